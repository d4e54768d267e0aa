import { reliableChange } from '../measurement';
import { benchmarkBand, type BenchmarkBand } from './bands';

/** A score with its standard error, on any one scale. */
interface ScoreWithError {
	score: number;
	standardError: number;
}

/** One student's score as a summary needs it. */
export interface ScoredStudent extends ScoreWithError {
	/** Of the student's grade, on the same scale; null where the score is held against none. */
	cut: number | null;
	/** In the window before; absent where there was none. */
	before?: ScoreWithError;
}

/** How a class, a grade or a school stands on one measure. */
export interface ScoreSummary {
	scored: number;
	/** Quartiles by linear interpolation (Hyndman & Fan 1996, type 7); null without scores. */
	quartiles: { lower: number; median: number; upper: number } | null;
	bands: Record<BenchmarkBand, number>;
	/** Of those with a score before: risen or fallen beyond error, and neither. */
	moved: { up: number; down: number; within: number };
	/** Mean change with its standard error; null for fewer than two. */
	change: { mean: number; standardError: number } | null;
}

/** The value below which a share of the values lies (type 7). Values ascending, at least one. */
function quantile(ascending: number[], share: number): number {
	const place = share * (ascending.length - 1);
	const below = Math.floor(place);
	const rest = place - below;
	return ascending[below] + (rest > 0 ? rest * (ascending[below + 1] - ascending[below]) : 0);
}

/** Sums up the scores of some students on one measure. Students without a score are not among them. */
export function summarizeScores(students: ScoredStudent[]): ScoreSummary {
	const ascending = students.map(({ score }) => score).sort((a, b) => a - b);
	const bands = { below: 0, near: 0, above: 0 };
	const moved = { up: 0, down: 0, within: 0 };
	const changes: number[] = [];
	for (const { score, standardError, cut, before } of students) {
		if (cut !== null) bands[benchmarkBand(score, standardError, cut)]++;
		if (!before) continue;
		changes.push(score - before.score);
		const { reliable, index } = reliableChange(before, { score, standardError });
		moved[!reliable ? 'within' : index > 0 ? 'up' : 'down']++;
	}
	return {
		scored: students.length,
		quartiles:
			ascending.length === 0
				? null
				: {
						lower: quantile(ascending, 0.25),
						median: quantile(ascending, 0.5),
						upper: quantile(ascending, 0.75)
					},
		bands,
		moved,
		change: meanWithError(changes)
	};
}

function meanWithError(values: number[]): { mean: number; standardError: number } | null {
	if (values.length < 2) return null;
	const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
	const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1);
	return { mean, standardError: Math.sqrt(variance / values.length) };
}

/**
 * How many scores fall into each bin of a width, from the bin of the lowest to that of the highest.
 *
 * @returns bins with the lower edge and the indices of the scores in it; none for no scores
 */
export function binScores(scores: number[], width: number): { from: number; members: number[] }[] {
	if (scores.length === 0) return [];
	const binOf = (score: number) => Math.floor(score / width);
	const first = Math.min(...scores.map(binOf));
	const last = Math.max(...scores.map(binOf));
	const bins = Array.from({ length: last - first + 1 }, (_, i) => ({
		from: (first + i) * width,
		members: [] as number[]
	}));
	scores.forEach((score, i) => bins[binOf(score) - first].members.push(i));
	return bins;
}
