import type { BenchmarkBand, ScreeningStatus } from '$lib/core/screening';

/** A score in points with its standard error. */
export interface PointsWithError {
	points: number;
	error: number;
}

/** A student in the results of a screening window. */
export interface ScreenRow {
	id: number;
	givenName: string;
	familyName: string;
	className: string;
	tier: number;
	status: ScreeningStatus;
	answered: number;
	overall: PointsWithError | null;
	/** The line for the student's grade, in points. */
	cut: number;
	band: BenchmarkBand | null;
	/** By domain id. */
	domains: Record<number, PointsWithError | null>;
}

export const bandWords: Record<BenchmarkBand, string> = {
	below: 'below the line',
	near: 'near the line',
	above: 'above the line'
};

/**
 * Rows as asked for: lowest first by `overall` or a domain id, with those without a score at the end, so that nobody is
 * missing; or as they come, by `name`.
 *
 * @param show `all`, a status, or a band
 */
export function arrangeRows(rows: ScreenRow[], sort: string, show: string): ScreenRow[] {
	const list = rows.filter((row) => show === 'all' || row.status === show || row.band === show);
	if (sort === 'name') return list;
	const value = (row: ScreenRow) =>
		(sort === 'overall' ? row.overall : (row.domains[Number(sort)] ?? null))?.points ?? Infinity;
	return list
		.map((row) => ({ row, value: value(row) }))
		.sort((a, b) => (a.value === b.value ? 0 : a.value - b.value))
		.map(({ row }) => row);
}

/** Ends of an axis, in tens of points, that holds every band and line. */
export function pointsAxis(rows: ScreenRow[]): { from: number; to: number } {
	const held = rows.flatMap(({ overall, cut }) =>
		overall ? [overall.points - overall.error, overall.points + overall.error, cut] : []
	);
	return {
		from: Math.floor(Math.min(...held, 480) / 10) * 10,
		to: Math.ceil(Math.max(...held, 520) / 10) * 10
	};
}
