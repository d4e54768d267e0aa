import { addDays, schoolDateOf, schoolDayFrom } from '../../core/calendar';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { currentGroups } from '../groups';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import { findSet, studentsOfSet, type StudentOfSet } from './store/oneSet';

/** How far a student is with a set, by its due date; those who have something left first. */
const ORDER = ['not begun', 'under way', 'finished late', 'finished', 'excused'] as const;
export type SetState = (typeof ORDER)[number];

function stateOf({ isExcused, hasBegun, finishedAt }: StudentOfSet, dueOn: string, timeZone: string): SetState {
	if (finishedAt) return schoolDateOf(finishedAt, timeZone) > dueOn ? 'finished late' : 'finished';
	if (isExcused) return 'excused';
	return hasBegun ? 'under way' : 'not begun';
}

/** One set, with every student to whom it was given and whom the staff member may see; null for no such set. */
export async function setPage(database: Database, staff: Staff, school: School, setId: number) {
	const { today, timeZone } = school;
	const set = await findSet(database, staff, setId);
	if (!set) return null;
	const [given, skills, groups] = await Promise.all([
		studentsOfSet(database, { staff, today }, setId),
		skillList(database, school.id),
		currentGroups(database, staff, today)
	]);
	const students = await visibleAmong(
		database,
		staff,
		given.map(({ id }) => id),
		today
	);
	const of = new Map<number, StudentOfSet>(given.map((one) => [one.id, one]));
	const skill = skills.find(({ id }) => id === set.skillId)!;
	return {
		set,
		skill: { code: skill.code, shortName: skill.shortName, statement: skill.statement },
		/** Until when who is given more time has it, unless somebody says otherwise: a week. */
		moreTime: schoolDayFrom(addDays(set.dueOn > today ? set.dueOn : today, 7), school.calendar),
		groupName: groups.find(({ id }) => id === set.groupId)?.name ?? null,
		/** Those who have something left first. */
		students: students
			.map((student) => {
				const own = of.get(student.id)!;
				const dueOn = own.ownDueOn ?? set.dueOn;
				const state = stateOf(own, dueOn, timeZone);
				return {
					id: student.id as number,
					name: fullName(student),
					className: student.className,
					dueOn,
					hasOwnDue: own.ownDueOn !== null,
					state,
					isLate: dueOn < today && (state === 'not begun' || state === 'under way'),
					answered: own.answered,
					right: own.right
				};
			})
			.sort((one, other) => ORDER.indexOf(one.state) - ORDER.indexOf(other.state))
	};
}
