import { POINTS_PER_LOGIT, toPoints } from '../core/measurement';
import type { Database } from './database/pool';
import { windowPlaces } from './screening';
import { cutScores, type School } from './store/calendar';
import type { RosterStudent } from './store/people';
import { windowScores, type Score } from './store/scores';
import { domainList } from './store/skills';
import type { ScreeningWindow } from './store/windows';

/** Results of a window, one row a student of the scope, with scores of the window before. Points. */
export async function screenResults(
	database: Database,
	school: School,
	windows: ScreeningWindow[],
	window: ScreeningWindow,
	students: RosterStudent[]
) {
	const earlier = windows.find((one) => one.opensOn < window.opensOn && one.subject === window.subject) ?? null;
	const ids = students.map(({ id }) => id);
	const [places, cuts, allDomains, before] = await Promise.all([
		windowPlaces(database, window, students),
		cutScores(database, school.id, window.term),
		domainList(database),
		earlier ? windowScores(database, earlier.id, ids) : new Map<number, Score[]>()
	]);
	const domains = allDomains.filter(({ subject }) => subject === window.subject);
	const measures = [0, ...domains.map(({ id }) => id)];
	const inPoints = (scores: Score[]) =>
		Object.fromEntries(
			measures.map((measure) => {
				const score = scores.find(({ domainId }) => domainId === measure);
				return [
					measure,
					score ? { points: toPoints(score.theta), error: POINTS_PER_LOGIT * score.standardError } : null
				];
			})
		);
	const rows = students.map((student) => {
		const { status, sitting, scores } = places.get(student.id)!;
		return {
			id: student.id,
			number: student.number,
			givenName: student.givenName,
			familyName: student.familyName,
			classId: student.classId,
			className: student.className,
			grade: student.grade,
			tier: student.tier,
			status,
			answered: sitting?.answered ?? 0,
			cut: cuts[student.grade],
			scores: inPoints(scores),
			before: inPoints(before.get(student.id) ?? [])
		};
	});
	return { earlier, domains, rows };
}

type Results = Awaited<ReturnType<typeof screenResults>>;

/** Results as a table of plain cells, the first row its header: every student, scores with their errors. */
export function resultsTable({ rows, domains, earlier }: Results): (string | number | null)[][] {
	const measures = [{ id: 0, name: 'Overall' }, ...domains];
	const round = (value: number | undefined) => (value === undefined ? null : Math.round(value * 10) / 10);
	const header = [
		...['Student number', 'Given name', 'Family name', 'Class', 'Grade', 'Tier', 'Status', 'Cut score'],
		...measures.flatMap(({ name }) => [name, `${name}: standard error`]),
		...(earlier ? [`Overall in ${earlier.name}`] : [])
	];
	return [
		header,
		...rows.map((row) => [
			...[row.number, row.givenName, row.familyName, row.className, row.grade, row.tier, row.status, row.cut],
			...measures.flatMap(({ id }) => [round(row.scores[id]?.points), round(row.scores[id]?.error)]),
			...(earlier ? [round(row.before[0]?.points)] : [])
		])
	];
}
