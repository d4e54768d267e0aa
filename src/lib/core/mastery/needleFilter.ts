import { isOwn, type Cell } from './cell';

/** Fewer answers than this are little evidence. */
const FEW = 4;

/** Needles that a map can be narrowed to. */
export const NEEDLE_FILTERS = {
	all: () => true,
	gaps: (cell: Cell) => cell.standing === 'gap' && isOwn(cell),
	ready: ({ readyNext }: Cell) => readyNext,
	slipping: ({ standing }: Cell) => standing === 'slipping',
	// Worth a skill check: what is probably known is not.
	thin: (cell: Cell) => (!isOwn(cell) || cell.answers < FEW) && cell.standing !== 'secure'
} satisfies Record<string, (cell: Cell) => boolean>;

export type NeedleFilter = keyof typeof NEEDLE_FILTERS;
