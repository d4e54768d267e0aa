import { daysBetween, type SchoolDate } from '../calendar';
import type { Standing, StandingNow } from './standing';

const LETTERS = { gap: 'g', forming: 'f', secure: 's', slipping: 'l', unseen: 'u' } as const;
const STANDINGS = Object.fromEntries(Object.entries(LETTERS).map(([standing, letter]) => [letter, standing])) as Record<
	string,
	Standing
>;
/** The largest evidence count that one character holds. */
const MOST_ANSWERS = 35;
/** Days that two characters hold: the last of them stands for no answer, the one before it for longer ago. */
const NO_DAY = 36 ** 2 - 1;
/** Characters of a cell. */
const LENGTH = 5;

/** A cell of the needle map: the standing it shows, and whether that is only inferred. */
export interface Cell {
	standing: Standing;
	inferred: boolean;
	/** First tries behind it, at most 35. */
	answers: number;
	readyNext: boolean;
	/** Days since the last answer, at most 1,294; null without any. */
	daysAgo: number | null;
}

/**
 * A cell as five characters, so that a map of 264 × 200 stays small on its way to the browser: the standing's letter
 * (upper case when inferred), the evidence count in base 36, `1` when ready next, and the days since the last answer.
 *
 * writeCell(undefined, false, '2026-11-23') // 'u00zz'
 */
export function writeCell(now: StandingNow | undefined, readyNext: boolean, today: SchoolDate): string {
	const letter = !now ? LETTERS.unseen : now.inferred ? LETTERS[now.inferred].toUpperCase() : LETTERS[now.standing];
	const days = now?.lastOn ? Math.min(NO_DAY - 1, Math.max(0, daysBetween(now.lastOn, today))) : NO_DAY;
	const answers = Math.min(MOST_ANSWERS, now?.answers ?? 0).toString(36);
	return letter + answers + (readyNext ? '1' : '0') + days.toString(36).padStart(2, '0');
}

/** The cell at a place of a row of written cells. */
export function readCell(row: string, place: number): Cell {
	const [letter, answers, ready, tens, ones] = row.slice(LENGTH * place, LENGTH * (place + 1));
	const days = parseInt(tens + ones, 36);
	const lower = letter.toLowerCase();
	return {
		standing: STANDINGS[lower],
		inferred: letter !== lower,
		answers: parseInt(answers, 36),
		readyNext: ready === '1',
		daysAgo: days === NO_DAY ? null : days
	};
}
