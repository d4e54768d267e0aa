import { isPastDue, setTitle } from '../../core/practice';
import type { Database } from '../database';
import { currentGroups } from '../groups';
import { skillList } from '../library';
import { idsCounted, type RosterStudent } from '../people';
import { FIRST_ROWS, numberIn, oneIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { gapCounts } from '../standing';
import { practiceSets, queuedSets } from './store/practice';
import { withWork } from './store/waiting';

/** Sets that are shown at once. */
const SETS_AT_ONCE = 40;

/** Sets that students of a scope were given, and of each student the queue: who has most gaps first. */
export async function practicePage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const part = { from: numberIn(url, 'sets'), most: SETS_AT_ONCE };
	const students = await scope.students();
	const ids = students.map(({ id }) => id);
	const [sets, waiting, gaps, skills, groups] = await Promise.all([
		practiceSets(database, scope.roster, part),
		idsCounted(database, scope.roster, withWork(school.today)),
		gapCounts(database, ids),
		skillList(database, school.id),
		currentGroups(database, staff, school.today)
	]);
	const nameOf = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	const isClear = ({ id }: RosterStudent) => !waiting.has(id) && gaps.get(id)! > 0;
	const show = oneIn(url, 'queue', ['waiting', 'clear']);
	const shown = students
		.filter((student) => (show === 'waiting' ? waiting.has(student.id) : show !== 'clear' || isClear(student)))
		.sort((a, b) => gaps.get(b.id)! - gaps.get(a.id)!);
	return {
		...part,
		total: sets.total,
		sets: sets.sets.map(({ skillIds, ...set }) => ({
			...set,
			title: setTitle(
				set,
				skillIds.map((id) => nameOf.get(id)!)
			)
		})),
		groupNames: Object.fromEntries(groups.map((group) => [group.id, group.name])),
		show,
		clear: students.filter(isClear).length,
		ids: shown.map(({ id }) => id as number),
		rows: await queueRows(database, school, shown.slice(0, FIRST_ROWS))
	};
}

/** Rows of some students' queues. */
export async function queueRows(database: Database, school: School, students: RosterStudent[]) {
	const ids = students.map(({ id }) => id);
	const [queued, gaps] = await Promise.all([queuedSets(database, ids, school.today), gapCounts(database, ids)]);
	return students.map(({ id, givenName, familyName, className }) => {
		const own = queued.filter(({ studentId }) => studentId === id);
		return {
			id: id as number,
			givenName,
			familyName,
			className,
			waiting: own.length,
			late: own.filter((set) => isPastDue(set, { day: school.today, minute: school.minute })).length,
			gaps: gaps.get(id)!
		};
	});
}
