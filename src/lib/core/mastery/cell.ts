import { levelFor, shareBand } from './share';
import { RATHER_MASTERED } from './skillGraph';
import type { Standing, StandingNow } from './standing';
import { dayNumber, NO_DAY } from './storedDay';

/** A cell of the needle map: the standing it shows, and what else is seen of it at a glance. */
export interface Cell {
	/** By the student's own answers, or what is inferred where they are too few. */
	standing: Standing;
	inferred: boolean;
	/** First tries behind it, at most 255. */
	answers: number;
	readyNext: boolean;
	/** Whether the share of right first tries is known well enough: its 80% band is at most half of all wide. */
	isSure: boolean;
	/** Whether it is rather mastered than not, which what builds on it waits for. */
	isMastered: boolean;
	/** Whether rather under half of the usual questions would be right. */
	lacks: boolean;
	/** The day of the last answer, as a number of days since 2000; null without any. */
	lastDay: number | null;
}

const STANDINGS: Standing[] = ['gap', 'forming', 'secure', 'slipping', 'unseen'];
/** Bits beside the standing, which takes three. */
const INFERRED = 8;
const READY = 16;
const SURE = 32;
const LACKS = 64;
const MASTERED = 128;
const MOST_ANSWERS = 255;
/** Of a cell that is packed: bits, answers, and the day of the last in two. */
const BYTES = 4;
/** As wide as the band of a share may be that is known well enough. */
const SURE_BAND = 0.5;

export function cellOf(now: StandingNow, readyNext: boolean): Cell {
	const { lower, upper } = shareBand(now.level, now.difficulty);
	const lastDay = dayNumber(now.lastOn);
	return {
		standing: now.inferred ?? now.standing,
		inferred: now.inferred !== null,
		answers: Math.min(MOST_ANSWERS, now.answers),
		readyNext,
		isSure: upper - lower <= SURE_BAND,
		isMastered: now.mastered >= RATHER_MASTERED,
		lacks: now.level.mean < levelFor(0.5, now.difficulty),
		lastDay: lastDay === NO_DAY ? null : lastDay
	};
}

/** Cells as four bytes each, so that those of a whole school are read and sent at once. */
export function packCells(cells: Cell[]): Uint8Array {
	const bytes = new Uint8Array(cells.length * BYTES);
	cells.forEach(({ standing, inferred, answers, readyNext, isSure, isMastered, lacks, lastDay }, place) => {
		const at = BYTES * place;
		const day = lastDay ?? NO_DAY;
		bytes[at] =
			STANDINGS.indexOf(standing) |
			(inferred ? INFERRED : 0) |
			(readyNext ? READY : 0) |
			(isSure ? SURE : 0) |
			(lacks ? LACKS : 0) |
			(isMastered ? MASTERED : 0);
		bytes[at + 1] = answers;
		bytes[at + 2] = day >> 8;
		bytes[at + 3] = day & 0xff;
	});
	return bytes;
}

/** What a cell says but for how many answers there are and of which day: one of few, so that all are made once. */
export type CellLook = Readonly<Omit<Cell, 'answers' | 'lastDay'>>;

const LOOKS: CellLook[] = Array.from({ length: 256 }, (_, bits) => ({
	standing: STANDINGS[bits & 7],
	inferred: (bits & INFERRED) !== 0,
	readyNext: (bits & READY) !== 0,
	isSure: (bits & SURE) !== 0,
	isMastered: (bits & MASTERED) !== 0,
	lacks: (bits & LACKS) !== 0
}));

/** What the cell at a place of packed ones says, for loops over all cells of a school: nothing is made for it. */
export const readLook = (bytes: Uint8Array, place: number): CellLook => LOOKS[bytes[BYTES * place]];

/** The cell at a place of packed ones. */
export function readCell(bytes: Uint8Array, place: number): Cell {
	const at = BYTES * place;
	const day = (bytes[at + 2] << 8) | bytes[at + 3];
	return { ...readLook(bytes, place), answers: bytes[at + 1], lastDay: day === NO_DAY ? null : day };
}

/** Whether a cell shows a standing by the student's own answers. */
export const isOwn = ({ standing, inferred }: Pick<Cell, 'standing' | 'inferred'>): boolean =>
	!inferred && standing !== 'unseen';

/** The standing by the student's own answers: Unseen where there are too few. */
export const ownStanding = (cell: Pick<Cell, 'standing' | 'inferred'>): Standing =>
	isOwn(cell) ? cell.standing : 'unseen';
