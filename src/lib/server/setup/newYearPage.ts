import { addDays } from '../../core/calendar';
import { nextClass } from '../../core/interchange/nextClasses';
import type { RootDatabase } from '../database';
import { countGroups } from '../groups';
import { classesInSetup, classList, plannedAfter } from '../people';
import type { Staff } from '../request';
import { type School, schoolProfile, schoolYears } from '../school';
import { runningYear } from './newYear';
import { newestYearBegun } from './store/yearsBegun';

/** Days of a school year and its holidays, to propose dates by. */
const YEAR = 364;

/** What a new year would do, and the one that was begun last. */
export async function newYearPage(database: RootDatabase, staff: Staff, school: School) {
	const { id, today } = school;
	const [profile, years, allClasses, sections, groups, planned, begun] = await Promise.all([
		schoolProfile(database, id),
		schoolYears(database, id),
		classesInSetup(database, staff, today),
		classList(database, id, 'section'),
		countGroups(database, staff, null, today),
		plannedAfter(database, staff, today),
		newestYearBegun(database, id)
	]);
	const ahead = years.filter(({ startsOn }) => startsOn > today).at(-1) ?? null;
	const last = years.find(({ startsOn }) => startsOn <= today) ?? null;
	// The year that is planned, or dates of the last one a year later, on the same weekdays.
	const proposed = ahead ?? last;
	const shift = ahead || !last ? 0 : YEAR;
	const startsOn = proposed ? addDays(proposed.startsOn, shift) : null;
	const runs = await runningYear(database, id, today, startsOn);
	return {
		proposed: proposed && { startsOn, endsOn: addDays(proposed.endsOn, shift) },
		runs,
		classes: allClasses
			.filter(({ endedOn }) => endedOn === null)
			.map(({ id: classId, name, grade, students }) => ({
				...{ id: classId, name, grade, students },
				becomes: nextClass({ name, grade, students }, profile.lastGrade)
			})),
		/** They end. */
		sections: sections.length,
		groups,
		planned,
		begun
	};
}
