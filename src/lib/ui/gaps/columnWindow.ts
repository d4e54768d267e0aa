import type { MapColumn } from './columns';

/** Widths in pixels: the row heads, a skill, the first skill of a domain with the space before it, a folded domain. */
export const WIDTHS = { student: 258, skill: 22, first: 31, folded: 60 };
/** Columns are drawn so many at a time, so that scrolling a little draws nothing new. */
export const SEGMENT = 12;

export const widthOf = (column: MapColumn) =>
	column.kind === 'folded' ? WIDTHS.folded : column.isFirst ? WIDTHS.first : WIDTHS.skill;

/** Columns, or rows, from the first up to, not including, the last. */
export interface ColumnRange {
	from: number;
	until: number;
}

/** Where each column begins, from the left of the first; and, last, where the last one ends. */
export function columnStarts(columns: MapColumn[]): number[] {
	const starts = [0];
	for (const column of columns) starts.push(starts[starts.length - 1] + widthOf(column));
	return starts;
}

/**
 * Columns that are drawn when the map shows the pixels from `left` to `right`: by whole segments, one more either way,
 * from the first up to, not including, the last.
 */
export function columnsInView(starts: number[], left: number, right: number): ColumnRange {
	const count = starts.length - 1;
	const first = starts.findIndex((_, i) => i < count && starts[i + 1] > left);
	const beyond = starts.findIndex((start) => start >= right);
	const snap = (place: number, up: boolean) =>
		SEGMENT * (up ? Math.ceil(place / SEGMENT) : Math.floor(place / SEGMENT));
	return {
		from: Math.max(0, snap(first < 0 ? Math.max(0, count - 1) : first, false) - SEGMENT),
		until: Math.min(count, snap(beyond < 0 ? count : beyond, true) + SEGMENT)
	};
}
