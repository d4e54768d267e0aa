import { addDays, beginningOf, mondayOf } from '../../core/calendar';
import { propose, type Proposal } from '../../core/commendations';
import { ownStanding } from '../../core/mastery';
import { activeMs } from '../../core/practice';
import type { Database } from '../database';
import { sessionDaysOf } from '../groups';
import { skillList } from '../library';
import type { RosterStudent } from '../people';
import { practiceTimes } from '../practice';
import { currentCycle, type School } from '../school';
import { readEarlierCells, readStandings } from '../standing';
import { probeSeries, readPlans } from '../track';
import { type Commendation, commendationsOf } from './store/commendations';

/** Weeks that a week is compared with. */
const WEEKS = 4;
/** Cells of an earlier day are worked out for no longer than this (ms): whoever has none is proposed for the other reasons. */
const MOST_MS = 1_000;

/** A student with what they may be commended for this week. */
export interface ProposedStudent {
	student: RosterStudent;
	proposals: Proposal[];
}

/** What students may be commended for this week; a kind for which they were this week is not proposed again. */
export async function proposalsFor(
	database: Database,
	school: School,
	students: RosterStudent[],
	at: Date
): Promise<ProposedStudent[]> {
	const ids = students.map(({ id }) => id);
	const monday = mondayOf(school.today);
	const weekBegan = beginningOf(monday, school.timeZone);
	const weeks = Array.from({ length: WEEKS }, (_, i) =>
		beginningOf(addDays(monday, -7 * (WEEKS - i)), school.timeZone)
	);
	const [times, days, series, secure, before] = await Promise.all([
		practiceTimes(database, ids, weeks[0]),
		sessionDaysOf(database, ids, school),
		probeSeries(database, ids, school).then((plans) => readPlans(database, school, plans)),
		madeSecure(database, school, ids, monday),
		commendationsOf(database, ids)
	]);
	return students.map((student) => {
		const given = before.filter(({ studentId }) => studentId === student.id);
		const isGiven = (kind: Commendation['kind']) =>
			given.some((one) => one.kind === kind && one.givenAt >= weekBegan && one.givenAt <= at);
		const own = times.get(student.id) ?? [];
		const minutesIn = (from: Date, until: Date) =>
			activeMs(own.filter((one) => one.at >= from.getTime() && one.at < until.getTime())) / 60_000;
		const named = new Set(given.flatMap(({ reason }) => (reason.is === 'secure' ? reason.skillIds : [])));
		const proposals = propose({
			minutes: minutesIn(weekBegan, at),
			minutesBefore: weeks.map((from, i) => minutesIn(from, weeks[i + 1] ?? weekBegan)),
			sessions: [...days]
				.filter(([key]) => key.startsWith(`${student.id} `))
				.map(([, all]) =>
					all
						.filter(({ is, on }) => is !== 'not held' && on <= school.today)
						.map(({ is }) => ({ attended: is === 'attended' }))
				),
			secure: (secure.get(student.id) ?? []).filter((id) => !named.has(id)),
			series: series
				.filter(({ studentId, afterExit, reading }) => studentId === student.id && !afterExit && reading)
				.map(({ skillId, questions, reading }) => ({
					...{ skillId, of: questions, probes: reading!.probes.length },
					first: reading!.levels[0],
					last: reading!.levels[reading!.levels.length - 1]
				})),
			risenBefore: given.flatMap(({ reason }) => (reason.is === 'risen' ? reason.skillId : []))
		});
		return { student, proposals: proposals.filter(({ kind }) => !isGiven(kind)) };
	});
}

/** Skills that are secure now and were not on the cycle's first day, answered this week, by student. */
async function madeSecure(
	database: Database,
	school: School,
	ids: RosterStudent['id'][],
	monday: string
): Promise<Map<number, number[]>> {
	const cycle = await currentCycle(database, school.id, school.today);
	if (!cycle || cycle.startsOn >= school.today) return new Map();
	const [now, { cells, missing }, skills] = await Promise.all([
		readStandings(database, ids),
		readEarlierCells(database, school, ids, cycle.startsOn, MOST_MS),
		skillList(database, school.id)
	]);
	const taught = new Set(skills.map(({ id }) => id));
	return new Map(
		ids
			.filter((id) => !missing.has(id))
			.map((id) => [
				id,
				[...now.get(id)!]
					.filter(
						([skill, { standing, lastOn }]) => taught.has(skill) && standing === 'secure' && (lastOn ?? '') >= monday
					)
					.map(([skill]) => skill)
					.filter((skill) => ownStanding(cells.of(id, skill)) !== 'secure')
			])
	);
}
