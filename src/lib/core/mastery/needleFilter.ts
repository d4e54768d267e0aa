import { isOwn, readCell, type Cell } from './cell';

/** Fewer answers than this are little evidence. */
const FEW = 4;

/** Whatever is asked of a cell at a glance: not when its last answer was. */
export type CellTest = (cell: Omit<Cell, 'lastDay'>) => boolean;

/** Needles that a map can be narrowed to. */
export const NEEDLE_FILTERS = {
	all: () => true,
	gaps: (cell) => cell.standing === 'gap' && isOwn(cell),
	ready: ({ readyNext }) => readyNext,
	slipping: ({ standing }) => standing === 'slipping',
	// Worth a skill check: what is probably known is not.
	thin: (cell) => (!isOwn(cell) || cell.answers < FEW) && cell.standing !== 'secure'
} satisfies Record<string, CellTest>;

export type NeedleFilter = keyof typeof NEEDLE_FILTERS;

/** What a test says of each cell there can be: by the two bytes that it looks at. */
const tables = new WeakMap<CellTest, Uint8Array>();
const CELLS = 0x10000;

/**
 * A test of cells as they are packed. What it says of all cells there can be is written down once, so that a hundred
 * thousand are tested in a millisecond.
 */
export function packedTest(test: CellTest): (cells: Uint8Array, place: number) => boolean {
	let says = tables.get(test);
	if (!says) {
		says = new Uint8Array(CELLS);
		const bytes = new Uint8Array(4);
		for (let cell = 0; cell < CELLS; cell++) {
			bytes[0] = cell >> 8;
			bytes[1] = cell & 0xff;
			says[cell] = Number(test(readCell(bytes, 0)));
		}
		tables.set(test, says);
	}
	const known = says;
	return (cells, place) => known[(cells[4 * place] << 8) | cells[4 * place + 1]] === 1;
}
