import { sayDate } from '../../core/calendar';
import { plural } from '../../core/words';
import type { Database } from '../database';
import { skillList } from '../library';
import { classesInSetup, countWithoutPin, staffInSetup, tieredIn } from '../people';
import type { Staff } from '../request';
import { cycleList, daysOff, schoolProfile, schoolYears, type School, UNNAMED_SCHOOL } from '../school';
import { screeningWindows } from '../screen';

/** One thing to set up; done or not by what there is. */
export interface Step {
	says: string;
	/** What there is, or what is still missing. */
	fact: string;
	isDone: boolean;
	/** Whether the first screening cannot begin without it. */
	isNeeded: boolean;
	path: string;
}

/** What a school has, and what it lacks, in the order in which it is set up. */
export async function whatIsMissing(database: Database, staff: Staff, school: School, at: Date): Promise<Step[]> {
	const { id, today } = school;
	const [profile, years, cycles, off, allClasses, people, pins, windows, skills, tiered] = await Promise.all([
		schoolProfile(database, id),
		schoolYears(database, id),
		cycleList(database, id),
		daysOff(database, id, today),
		classesInSetup(database, staff, today),
		staffInSetup(database, id, at),
		countWithoutPin(database, id, today),
		screeningWindows(database, id),
		skillList(database, id),
		tieredIn(database, { staff, today })
	]);
	const classes = allClasses.filter(({ endedOn }) => endedOn === null || endedOn > today);
	const grades = new Set(skills.map(({ grade }) => grade));
	const screened = classes.filter(({ grade }) => grades.has(grade));
	const empty = classes.filter(({ students }) => students === 0);
	const alone = classes.filter(({ adults }) => adults.length === 0);
	const year = years.find(({ endsOn }) => endsOn >= today);
	const cycle = cycles.find(({ endsOn }) => endsOn >= today);
	const others = people.filter((one) => one.id !== staff.id && one.deactivatedAt === null);
	const uninvited = others.filter(({ hasPassword, invitedUntil }) => !hasPassword && !invitedUntil);
	const named = (some: { name: string }[]) => some.map(({ name }) => name).join(', ');
	const steps: (Omit<Step, 'isNeeded'> & { isNeeded?: boolean })[] = [
		{
			says: 'Name and time zone',
			fact: profile.name === UNNAMED_SCHOOL ? 'The school has no name yet' : `${profile.name}, ${profile.timeZone}`,
			isDone: profile.name !== UNNAMED_SCHOOL,
			isNeeded: true,
			path: '/setup/school'
		},
		{
			says: 'School year',
			fact: year
				? `${sayDate(year.startsOn)} to ${sayDate(year.endsOn)}`
				: 'No year is planned: norms and benchmarks go by the week of it',
			isDone: year !== undefined,
			isNeeded: true,
			path: '/setup/school'
		},
		{
			says: 'Classes',
			fact:
				classes.length === 0
					? 'There is no class yet'
					: `${plural(classes.length, 'class', 'classes')}${screened.length < classes.length ? `, ${screened.length} of them of grades with skills` : ''}`,
			isDone: screened.length > 0,
			isNeeded: true,
			path: '/setup/classes'
		},
		{
			says: 'Students',
			fact:
				pins.students === 0
					? 'There is no student yet'
					: `${plural(pins.students, 'student')}${empty.length ? `; nobody in ${named(empty)}` : ''}`,
			isDone: screened.length > 0 && screened.every(({ students }) => students > 0),
			isNeeded: true,
			path: '/setup/add'
		},
		{
			says: 'PINs',
			fact:
				pins.withoutPin || pins.students === 0
					? `${plural(pins.withoutPin, 'student')} cannot sign in yet`
					: 'Every student can sign in',
			isDone: pins.students > 0 && pins.withoutPin === 0,
			isNeeded: true,
			path: '/setup/cards'
		},
		{
			says: 'First screening window',
			fact: windows.length ? `${plural(windows.length, 'window')} planned` : 'No window is planned',
			isDone: windows.length > 0,
			isNeeded: true,
			path: '/screen/windows'
		},
		{
			says: 'Colleagues',
			fact:
				others.length === 0
					? 'Nobody but you can sign in'
					: `${plural(others.length, 'colleague')}${uninvited.length ? `; ${uninvited.length} not invited yet` : ''}`,
			isDone: others.length > 0 && uninvited.length === 0,
			path: '/setup/people'
		},
		{
			says: 'Adults of classes',
			fact: alone.length ? `No adult in ${named(alone)}` : 'Every class has an adult',
			isDone: classes.length > 0 && alone.length === 0,
			path: '/setup/classes'
		},
		{
			says: 'Intervention cycle',
			fact: cycle
				? `Cycle ${cycle.number}, ${sayDate(cycle.startsOn)} to ${sayDate(cycle.endsOn)}`
				: 'No cycle is planned: groups would end in eight weeks',
			isDone: cycle !== undefined,
			path: '/setup/school'
		},
		{
			says: 'Days off',
			fact: off.length ? `${off.length} ahead` : 'None ahead: meetings would be planned on holidays',
			isDone: off.length > 0,
			path: '/setup/school'
		},
		{
			says: 'Interventions so far',
			fact: tiered.length
				? `${plural(tiered.length, 'student')} in tiers 2 and 3`
				: 'Nobody is in tier 2 or 3: where there are groups already, bring them in',
			isDone: tiered.length > 0,
			path: '/setup/interventions'
		}
	];
	return steps.map((step) => ({ isNeeded: false, ...step }));
}
