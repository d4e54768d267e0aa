/** Rows that Page Up and Page Down move. */
const PAGE = 15;

/** How a key moves the focus in the map, as rows down and columns right; null for a key that does not. */
export function stepOf(key: string, columns: number): { rows: number; columns: number } | null {
	const steps = new Map([
		['ArrowUp', { rows: -1, columns: 0 }],
		['ArrowDown', { rows: 1, columns: 0 }],
		['ArrowLeft', { rows: 0, columns: -1 }],
		['ArrowRight', { rows: 0, columns: 1 }],
		['PageUp', { rows: -PAGE, columns: 0 }],
		['PageDown', { rows: PAGE, columns: 0 }],
		['Home', { rows: 0, columns: -columns }],
		['End', { rows: 0, columns }]
	]);
	return steps.get(key) ?? null;
}
