import { beginningOf, mondayOf, schoolDateOf } from '../../core/calendar';
import { isPastDue, minutesOf, muchWaiting } from '../../core/practice';
import type { Database } from '../database';
import { currentGroups } from '../groups';
import { skillList } from '../library';
import { idsCounted, type RosterStudent } from '../people';
import { FIRST_ROWS, oneIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { gapCounts } from '../standing';
import { clearQueues } from './clearQueues';
import { activeMinutes } from './practicedMinutes';
import { lastWorked, practiceTimes } from './store/ownWork';
import { queuedSets } from './store/practice';
import { withLate, withWork } from './store/waiting';
import { waitingMs } from './waitingTime';

/** Which students' queues are listed. */
const QUEUES = ['waiting', 'late', 'clear', 'clear-all'] as const;

/** What waits for each student of a scope: who has most gaps first. */
export async function queuesPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const students = await scope.students();
	const ids = students.map(({ id }) => id);
	const show = oneIn(url, 'queue', QUEUES);
	const [gaps, clear] = await Promise.all([gapCounts(database, ids), clearQueues(database, school, scope)]);
	const shown = (await those(database, school, scope, show, clear)).sort(
		(one, other) => gaps.get(other.id)! - gaps.get(one.id)!
	);
	return {
		show,
		clear: { pressing: clear.pressing.length, all: clear.all.length },
		ids: shown.map(({ id }) => id as number),
		rows: await queueRows(database, staff, school, shown.slice(0, FIRST_ROWS))
	};
}

async function those(
	database: Database,
	school: School,
	scope: Scope,
	show: (typeof QUEUES)[number] | null,
	clear: Awaited<ReturnType<typeof clearQueues>>
): Promise<RosterStudent[]> {
	if (show === 'clear') return [...clear.pressing];
	if (show === 'clear-all') return [...clear.all];
	const students = [...(await scope.students())];
	if (!show) return students;
	const counted = show === 'late' ? withLate(school) : withWork(school.today);
	const found = await idsCounted(database, scope.roster, counted);
	return students.filter(({ id }) => found.has(id));
}

/** Rows of some students' queues. */
export async function queueRows(database: Database, staff: Staff, school: School, students: RosterStudent[]) {
	const { today, minute, timeZone } = school;
	const ids = students.map(({ id }) => id);
	// What usually waits is what waits for those whom they are in a group with.
	const shown = new Set<number>(ids);
	const groups = (await currentGroups(database, staff, today)).filter((group) =>
		group.studentIds.some((id) => shown.has(id))
	);
	const [queued, gaps, skills, worked, times] = await Promise.all([
		queuedSets(database, [...new Set([...ids, ...groups.flatMap(({ studentIds }) => studentIds)])], today),
		gapCounts(database, ids),
		skillList(database, school.id),
		lastWorked(database, ids),
		practiceTimes(database, ids, beginningOf(mondayOf(today), timeZone))
	]);
	const codeOf = new Map(skills.map(({ id, code }) => [id, code]));
	const minutesFor = (studentId: number) => {
		const own = queued.filter((set) => set.studentId === studentId);
		return own.length ? minutesOf(waitingMs(own, codeOf)) : 0;
	};
	return students.map(({ id, givenName, familyName, className }) => {
		const own = queued.filter(({ studentId }) => studentId === id);
		const minutes = minutesFor(id);
		const mates = new Set(
			groups.filter(({ studentIds }) => studentIds.includes(id)).flatMap(({ studentIds }) => studentIds)
		);
		mates.delete(id);
		const last = worked.get(id);
		return {
			id: id as number,
			givenName,
			familyName,
			className,
			waiting: own.length,
			minutes,
			isMuch: muchWaiting(minutes, [...mates].map(minutesFor)),
			late: own.filter((set) => isPastDue(set, { day: today, minute })).length,
			notBegun: own.filter(({ sittingId }) => sittingId === null).length,
			lastOn: last ? schoolDateOf(last, timeZone) : null,
			/** Of this week. */
			activeMinutes: activeMinutes(times.get(id)!),
			gaps: gaps.get(id)!
		};
	});
}
