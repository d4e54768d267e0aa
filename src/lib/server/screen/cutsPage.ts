import { judgeCut, summarizeScores, usualCut, type ScoredStudent } from '../../core/screening';
import type { Database } from '../database';
import { rosterStudents } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import { briefRows } from './resultsPage';
import { screenResults, unitOf } from './screenResults';
import { cutScores } from './store/cutScores';
import { outcomeNames, outcomes } from './store/outcomes';
import type { ScreeningWindow } from './store/windows';

const SENSITIVITIES = [0.7, 0.8, 0.9];

/** The cut scores of a window: for each grade the bands they make, and how well they tell who met an outcome later. */
export async function cutsPage(
	database: Database,
	staff: Staff,
	school: School,
	{ windows, window }: { windows: ScreeningWindow[]; window: ScreeningWindow | null },
	url: URL
) {
	const roster = { staff, today: school.today };
	const students = await rosterStudents(database, roster);
	const names = await outcomeNames(database, school.id);
	const wanted = SENSITIVITIES.find((one) => String(one) === url.searchParams.get('catch')) ?? 0.8;
	const outcome = names.find(({ name }) => name === url.searchParams.get('outcome')) ?? names[0] ?? null;
	const shared = { windows, outcomes: names, outcome, wanted, sensitivities: SENSITIVITIES, today: school.today };
	if (!window) return { ...shared, window: null, unit: 'points', grades: [] };
	const [cuts, rows, found] = await Promise.all([
		cutScores(database, school.id, window),
		window.measure
			? screenResults(database, school, windows, window, students).then((all) => all.rows)
			: briefRows(database, school, students, roster, window, null),
		outcome ? outcomes(database, school.id, outcome.name) : new Map<number, boolean>()
	]);
	const grades = [...new Set(students.map(({ grade }) => grade))].sort((a, b) => a - b);
	return {
		...shared,
		window,
		unit: unitOf(window),
		grades: grades.map((grade) => {
			const cut = cuts[grade];
			const scored: (ScoredStudent & { id: number })[] = rows
				.filter((row) => row.grade === grade)
				.flatMap(({ id, scores: { 0: overall }, cut: line }) =>
					overall && line !== null ? [{ id, score: overall.points, standardError: overall.error, cut }] : []
				);
			const judged = scored.filter(({ id }) => found.has(id));
			const judgment = judgeCut(
				judged.map(({ score }) => score),
				judged.map(({ id }) => !found.get(id)),
				cut,
				wanted
			);
			return {
				grade,
				cut,
				usual: usualCut(window.measure, grade, window.term),
				bands: summarizeScores(scored).bands,
				judgment
			};
		})
	};
}
