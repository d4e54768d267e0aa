import { addDays, momentOf, schoolDayFrom } from '../../core/calendar';
import { hasItems } from '../../core/items/bank';
import { isPastDue, setTitle, type SetDates, wasLeft } from '../../core/practice';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { currentGroups } from '../groups';
import { skillList } from '../library';
import { shownMaterials } from '../materials';
import { accommodations, NO_ACCOMMODATION, visibleAmong } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import { findSet, studentsOfSet, type StudentOfSet } from './store/oneSet';
import { followOnsOf } from './store/followOns';
import { changesOf } from './store/history';
import { activeMinutes } from './practicedMinutes';
import { historyOf } from './setHistory';
import { rushedIn, setTimes } from './store/outcomes';
import { skillsOfSets } from './store/setContent';

/** How far a student is with a set, by its due date; those who have something left first. */
const ORDER = ['not begun', 'under way', 'finished late', 'finished', 'marked done', 'excused'] as const;
export type SetState = (typeof ORDER)[number];

function stateOf(
	{ isExcused, isMarkedDone, hasBegun, finishedAt }: StudentOfSet,
	due: Pick<SetDates, 'dueOn' | 'dueMinute'>,
	timeZone: string
): SetState {
	if (finishedAt) return isPastDue(due, momentOf(finishedAt, timeZone)) ? 'finished late' : 'finished';
	if (isExcused) return isMarkedDone ? 'marked done' : 'excused';
	return hasBegun ? 'under way' : 'not begun';
}

/** One set, with every student to whom it was given and whom the staff member may see; null for no such set. */
export async function setPage(database: Database, staff: Staff, school: School, setId: number, at: Date) {
	const { today, minute, timeZone } = school;
	const set = await findSet(database, staff, setId);
	if (!set) return null;
	const [given, followed, rushed, times, parts, skills, groups, changes] = await Promise.all([
		studentsOfSet(database, { staff, today }, setId),
		followOnsOf(database, setId),
		rushedIn(database, setId),
		setTimes(database, setId),
		skillsOfSets(database, [setId]),
		skillList(database, school.id),
		currentGroups(database, staff, today),
		changesOf(database, staff, setId)
	]);
	const ids = given.map(({ id }) => id);
	const [students, help] = await Promise.all([
		visibleAmong(database, staff, ids, today),
		accommodations(database, ids)
	]);
	const of = new Map<number, StudentOfSet>(given.map((one) => [one.id, one]));
	const skillOf = new Map(skills.map((skill) => [skill.id, skill]));
	const [lesson] = await shownMaterials(database, school.id, set.lessonId === null ? [] : [set.lessonId]);
	const own = parts.get(setId)!;
	const { dates } = set;
	return {
		set,
		title: setTitle({ ...set, skillIds: own.map(({ skillId }) => skillId) }, (id) => skillOf.get(id)!.shortName),
		/** What it is called where it has no name of its own. */
		usualName: setTitle(
			{ ...set, name: null, skillIds: own.map(({ skillId }) => skillId) },
			(id) => skillOf.get(id)!.shortName
		),
		skills: own.map(({ skillId, practice, checks, hasExample }) => {
			const { code, shortName, statement } = skillOf.get(skillId)!;
			return { id: skillId, code, shortName, statement, practice, checks, hasExample };
		}),
		/** What can be put into it. */
		offered: skills.filter(({ code }) => hasItems(code)).map(({ id, code, shortName }) => ({ id, code, shortName })),
		/** Until when who is given more time has it, unless somebody says otherwise: a week. */
		moreTime: schoolDayFrom(addDays(dates.dueOn && dates.dueOn > today ? dates.dueOn : today, 7), school.calendar),
		lesson: lesson ?? null,
		groupName: groups.find(({ id }) => id === set.groupId)?.name ?? null,
		/** Those who wait for a person first, then those who have something left. */
		students: students
			.map((student) => {
				const one = of.get(student.id)!;
				const due = { dueOn: one.ownDueOn ?? dates.dueOn, dueMinute: dates.dueMinute };
				const state = stateOf(one, due, timeZone);
				const { readAloud, largerType } = help.get(student.id) ?? NO_ACCOMMODATION;
				return {
					id: student.id as number,
					name: fullName(student),
					className: student.className,
					skill: one.skillId === null ? null : skillOf.get(one.skillId)!.shortName,
					...due,
					hasOwnDue: one.ownDueOn !== null,
					variation: one.variation,
					/** What helps them everywhere. */
					help: { readAloud, largerType },
					state,
					isTurnedIn: one.isTurnedIn,
					/** Begun, to be done in one go, and left: a person has to let them go on. */
					isLeft: state === 'under way' && !set.how.pausing && wasLeft(one, at),
					isTaskDone: one.taskDoneAt !== null,
					isLate: isPastDue(due, { day: today, minute }) && (state === 'not begun' || state === 'under way'),
					answered: one.answered,
					itemCount: one.itemCount ?? set.itemCount,
					right: one.right,
					/** Of a set that was given again: the run before, and the how-manieth this is. */
					attempt: one.attempt,
					before: one.before,
					hasRushed: rushed.has(student.id),
					/** Minutes of work on it, in all runs; 0 for none. */
					activeMinutes: activeMinutes(times.get(student.id) ?? []),
					/** What followed by itself, or why there is only word. */
					followed: followed.get(student.id) ?? null
				};
			})
			.sort(
				(one, other) =>
					Number(other.isLeft) - Number(one.isLeft) || ORDER.indexOf(one.state) - ORDER.indexOf(other.state)
			),
		history: historyOf(
			set,
			changes,
			new Map(students.map((student) => [student.id, fullName(student)])),
			(id) => skillOf.get(id)?.shortName ?? 'a skill that is not taught here any more'
		)
	};
}
