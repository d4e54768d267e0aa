import { masteredIn, readyNext } from '../../core/mastery';
import {
	fromPoints,
	localPercentile,
	percentile,
	shippedNorm,
	toPoints,
	weekOfYear,
	yearOf,
	workingLevel
} from '../../core/measurement';
import { OVERALL } from '../../core/screening';
import type { Database } from '../database';
import { gradeAbilities, notYetCounts, type ScreeningWindow, screenResults } from '../screen';
import { schoolYears, type School } from '../school';
import type { RosterStudent } from '../people';
import { skillGraph, skillList } from '../library';
import { readStandings } from '../standing';

/** What a page about each student's screening says; students without a score are told as such. */
export async function studentReports(
	database: Database,
	school: School,
	windows: ScreeningWindow[],
	window: ScreeningWindow,
	students: RosterStudent[]
) {
	const [{ rows, domains, earlier }, skills, standings, years, notYet] = await Promise.all([
		screenResults(database, school, windows, window, students),
		skillList(database, school.id),
		readStandings(
			database,
			students.map(({ id }) => id)
		),
		schoolYears(database, school.id),
		notYetCounts(
			database,
			window.id,
			students.map(({ id }) => id)
		)
	]);
	const graph = await skillGraph(database, school.id, skills);
	const peers = new Map<number, number[]>();
	for (const grade of new Set(rows.map((row) => row.grade)))
		peers.set(grade, (await gradeAbilities(database, school.id, window.id, grade)).map(toPoints));
	const place = ({ grade, scores, takenOn }: (typeof rows)[number]) => {
		const overall = scores[OVERALL];
		if (!overall || !takenOn) return null;
		// In points as here, so that the student's own score is among them.
		const local = localPercentile(overall.points, peers.get(grade)!);
		if (local !== null) return { of: 'school' as const, value: local };
		const norm = shippedNorm(grade, weekOfYear(takenOn, window.term, yearOf(takenOn, years)));
		return { of: 'shipped norms' as const, value: percentile(fromPoints(overall.points), norm) };
	};
	return {
		earlier,
		reports: rows.map((row) => {
			const own = standings.get(row.id)!;
			const ready = new Set(readyNext(graph, masteredIn(own)));
			return {
				...row,
				percentile: place(row),
				notYet: notYet.get(row.id) ?? null,
				domains: domains.map(({ id, name }) => {
					const inDomain = skills.filter(({ domainId }) => domainId === id);
					const named = (is: (skill: number) => boolean) =>
						inDomain.filter((skill) => is(skill.id)).map(({ shortName }) => shortName);
					const score = row.scores[id];
					return {
						id,
						name,
						score,
						before: row.before[id],
						level: score ? workingLevel(fromPoints(score.points)) : null,
						secure: named((skill) => own.get(skill)?.standing === 'secure'),
						ready: named((skill) => ready.has(skill)),
						gaps: named((skill) => own.get(skill)?.standing === 'gap')
					};
				})
			};
		})
	};
}

export type StudentReport = Awaited<ReturnType<typeof studentReports>>['reports'][number];
