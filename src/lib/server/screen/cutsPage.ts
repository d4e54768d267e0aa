import { judgeCut, summarizeScores, usualCut, type ScoredStudent } from '../../core/screening';
import { POINTS_PER_LOGIT, toPoints } from '../../core/measurement';
import type { Database } from '../database';
import { classList, type Roster, rosterStudents } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import { screenResults, unitOf } from './screenResults';
import { cutScores } from './store/cutScores';
import { outcomeNames, outcomes } from './store/outcomes';
import { overallScores } from './store/places';
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
	const names = await outcomeNames(database, school.id);
	const wanted = SENSITIVITIES.find((one) => String(one) === url.searchParams.get('catch')) ?? 0.8;
	const outcome = names.find(({ name }) => name === url.searchParams.get('outcome')) ?? names[0] ?? null;
	const shared = { windows, outcomes: names, outcome, wanted, sensitivities: SENSITIVITIES, today: school.today };
	if (!window) return { ...shared, window: null, unit: 'points', grades: [] };
	const [cuts, all, found, classes] = await Promise.all([
		cutScores(database, school.id, window),
		window.measure ? measured(database, school, windows, window, roster) : scored(database, window, roster),
		outcome ? outcomes(database, school.id, outcome.name) : new Map<number, boolean>(),
		classList(database, school.id)
	]);
	// Only grades with a line: those without skills have none.
	const grades = [...new Set([...classes, ...all].map(({ grade }) => grade))]
		.filter((grade) => grade in cuts)
		.sort((a, b) => a - b);
	return {
		...shared,
		window,
		unit: unitOf(window),
		grades: grades.map((grade) => {
			const cut = cuts[grade];
			const own: (ScoredStudent & { id: number })[] = all
				.filter((one) => one.grade === grade)
				.map((one) => ({ ...one, cut }));
			const judged = own.filter(({ id }) => found.has(id));
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
				bands: summarizeScores(own).bands,
				judgment
			};
		})
	};
}

/** A student's score in the unit of a window, with its standard error. */
interface Score {
	id: number;
	grade: number;
	score: number;
	standardError: number;
}

/** Overall scores of a diagnostic, in points. */
async function scored(database: Database, window: ScreeningWindow, roster: Roster): Promise<Score[]> {
	const found = await overallScores(database, window.id, roster);
	return found.map(({ id, grade, theta, standardError }) => ({
		id,
		grade,
		score: toPoints(theta),
		standardError: POINTS_PER_LOGIT * standardError
	}));
}

/** Scores of a measure that was given, where they are held against a line. */
async function measured(
	database: Database,
	school: School,
	windows: ScreeningWindow[],
	window: ScreeningWindow,
	roster: Roster
): Promise<Score[]> {
	const { rows } = await screenResults(database, school, windows, window, await rosterStudents(database, roster));
	return rows.flatMap(({ id, grade, scores: { 0: overall }, cut }) =>
		overall && cut !== null ? [{ id, grade, score: overall.points, standardError: overall.error }] : []
	);
}
