import { addDays } from '../../core/calendar';
import { isPastDue, setTitle, stageOf } from '../../core/practice';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { skillList } from '../library';
import { numberIn, oneIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { askedSets, setChoices } from './setFilters';
import { type StudentSet, studentSets } from './store/calendar';

/** Students whose sets are shown at once. */
const STUDENTS_AT_ONCE = 30;
/** Days back that the log can reach. */
const PERIODS = ['30', '90', '365'] as const;
/** Sets lie so many days ahead at most. */
const AHEAD = 130;

/** How far a student is with a set. */
function sayState(set: StudentSet, now: { day: string; minute: number }) {
	if (set.students === 0) return 'excused';
	if (set.finished) return 'finished';
	const state = set.answered ? 'under way' : stageOf(set, now) === 'not open yet' ? 'not open yet' : 'not begun';
	return isPastDue(set, now) ? `${state}, late` : state;
}

/** The sets of each student of a scope in the days past and to come, the newest first. */
export async function logPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const part = { from: numberIn(url, 'students'), most: STUDENTS_AT_ONCE };
	const period = oneIn(url, 'days', PERIODS) ?? PERIODS[0];
	const asked = askedSets(url);
	const now = { day: school.today, minute: school.minute };
	const [students, skills] = await Promise.all([scope.students(), skillList(database, school.id)]);
	const nameOf = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	const some = students.slice(part.from, part.from + part.most);
	const span = { from: addDays(school.today, -Number(period)), until: addDays(school.today, AHEAD) };
	const sets = (
		await studentSets(
			database,
			some.map(({ id }) => id),
			span,
			asked
		)
	).filter((set) => asked.stage === null || stageOf(set, now) === asked.stage);
	return {
		part: { ...part, total: students.length },
		period,
		periods: PERIODS,
		asked,
		choices: await setChoices(database, staff, skills),
		students: some.map((student) => ({
			id: student.id as number,
			name: fullName(student),
			className: student.className,
			sets: sets
				.filter(({ studentId }) => studentId === student.id)
				.map((set) => ({
					id: set.id,
					title: setTitle(set, (id) => nameOf.get(id)!),
					opensOn: set.opensOn,
					dueOn: set.dueOn,
					dueMinute: set.dueMinute,
					createdBy: set.createdBy,
					state: sayState(set, now),
					doneOnly: set.doneOnly,
					right: set.right,
					answered: set.answered,
					itemCount: set.itemCount
				}))
		}))
	};
}
