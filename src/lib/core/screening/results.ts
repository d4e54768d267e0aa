import { reliableChange } from '../measurement';
import { benchmarkBand, type BenchmarkBand } from './bands';
import type { ScreeningStatus } from './status';
import type { ScoredStudent } from './summary';

/** A score in the window's unit, points or correct a minute, with its standard error. */
interface PointsWithError {
	points: number;
	error: number;
}

/** The overall score among the measures of a window; the others are domain ids. */
export const OVERALL = 0;

/** A student of a screening window. */
export interface WindowStudent {
	id: number;
	givenName: string;
	familyName: string;
	classId: number;
	className: string;
	grade: number;
	status: ScreeningStatus;
}

/** A student in the results of a screening window. */
export interface ScreenRow extends WindowStudent {
	tier: number;
	answered: number;
	/** The line for the student's grade, in the window's unit; null when the score is held against none. */
	cut: number | null;
	/** How a measure went that was given; null in other windows, or before. */
	given: { id: string; sheetGrade: number; attempted: number; accuracy: number | null; by: string } | null;
	/** By domain id, and overall. */
	scores: Record<number, PointsWithError | null>;
	/** The same in the window before. */
	before: Record<number, PointsWithError | null>;
}

export const bandWords: Record<BenchmarkBand, string> = {
	below: 'below the line',
	near: 'near the line',
	above: 'above the line'
};

/** The band of a row's score on a measure; null without one. */
export function bandOf({ scores, cut }: ScreenRow, measure: number): BenchmarkBand | null {
	const score = scores[measure];
	return score && cut !== null ? benchmarkBand(score.points, score.error, cut) : null;
}

/** Change since the window before, in points, and whether it is beyond error; null where a score is missing. */
export function changeOf({ scores, before }: ScreenRow, measure: number): { points: number; reliable: boolean } | null {
	const [now, then] = [scores[measure], before[measure]];
	if (!now || !then) return null;
	const withError = ({ points, error }: PointsWithError) => ({ score: points, standardError: error });
	return { points: now.points - then.points, reliable: reliableChange(withError(then), withError(now)).reliable };
}

/** A row as core's summaries take it; null without a score. */
export function scoredStudent({ scores, before, cut }: ScreenRow, measure: number): ScoredStudent | null {
	const [now, then] = [scores[measure], before[measure]];
	if (!now) return null;
	return {
		score: now.points,
		standardError: now.error,
		cut,
		...(then ? { before: { score: then.points, standardError: then.error } } : {})
	};
}

/** What rows are sorted by: `name`, `class`, `tier`, `status`, `change`, or a measure's number. */
type SortKey = string;

const NOTHING = Infinity;

/**
 * Rows sorted low to high by a key; rows without a value stand at the end, so that nobody is missing.
 *
 * @param measure that `change` is of
 */
export function sortRows(rows: ScreenRow[], key: SortKey, measure: number): ScreenRow[] {
	if (key === 'name') return rows;
	const value = (row: ScreenRow): number | string => {
		if (key === 'class') return row.className;
		if (key === 'tier') return row.tier;
		if (key === 'status') return row.status;
		if (key === 'change') return changeOf(row, measure)?.points ?? NOTHING;
		return row.scores[Number(key)]?.points ?? NOTHING;
	};
	return rows
		.map((row) => ({ row, value: value(row) }))
		.sort((a, b) => (a.value === b.value ? 0 : a.value < b.value ? -1 : 1))
		.map(({ row }) => row);
}

/** What rows are narrowed to; `all` narrows nothing. */
interface RowFilter {
	/** A status, or a band on the measure. */
	show: string;
	/** A tier, 1 to 3. */
	tier: string;
	/** Movement on the measure since the window before. */
	moved: string;
}

export function filterRows(rows: ScreenRow[], { show, tier, moved }: RowFilter, measure: number): ScreenRow[] {
	return rows.filter((row) => {
		if (show !== 'all' && row.status !== show && bandOf(row, measure) !== show) return false;
		if (tier !== 'all' && String(row.tier) !== tier) return false;
		if (moved === 'all') return true;
		const change = changeOf(row, measure);
		if (!change) return moved === 'no earlier score';
		return moved === (!change.reliable ? 'within error' : change.points > 0 ? 'risen' : 'fallen');
	});
}

/** Ends of an axis, in tens, that holds every band and line of a measure. */
export function pointsAxis(rows: ScreenRow[], measure: number): { from: number; to: number } {
	const held = rows.flatMap(({ scores, cut }) => {
		const score = scores[measure];
		return score ? [score.points - score.error, score.points + score.error, cut ?? score.points] : [];
	});
	if (held.length === 0) return { from: 480, to: 520 };
	return {
		from: Math.floor(Math.min(...held) / 10) * 10,
		to: Math.ceil(Math.max(...held) / 10) * 10
	};
}

/** How accurate a measure was that was given; empty before. */
export function sayAccuracy(given: ScreenRow['given']): string {
	if (!given) return '';
	return given.accuracy === null ? 'none attempted' : `${Math.round(100 * given.accuracy)}% of ${given.attempted}`;
}
