import type { Standing, StandingNow } from './standing';

const LETTERS = { gap: 'g', forming: 'f', secure: 's', slipping: 'l', unseen: 'u' } as const;
const STANDINGS = Object.fromEntries(Object.entries(LETTERS).map(([standing, letter]) => [letter, standing])) as Record<
	string,
	Standing
>;
/** The largest evidence count that one character holds. */
const MOST_ANSWERS = 35;

/** A cell of the needle map: the standing it shows, and whether that is only inferred. */
export interface Cell {
	standing: Standing;
	inferred: boolean;
	/** First tries behind it, at most 35. */
	answers: number;
	readyNext: boolean;
}

/**
 * A cell as three characters, so that a map of 264 × 200 stays small on its way to the browser: the standing's letter
 * (upper case when inferred), the evidence count in base 36, and `1` when ready next.
 *
 * writeCell(undefined, false) // 'u00'
 */
export function writeCell(now: StandingNow | undefined, readyNext: boolean): string {
	const letter = !now ? LETTERS.unseen : now.inferred ? LETTERS[now.inferred].toUpperCase() : LETTERS[now.standing];
	return letter + Math.min(MOST_ANSWERS, now?.answers ?? 0).toString(36) + (readyNext ? '1' : '0');
}

/** The cell at a place of a row of written cells. */
export function readCell(row: string, place: number): Cell {
	const [letter, answers, ready] = row.slice(3 * place, 3 * place + 3);
	const lower = letter.toLowerCase();
	return {
		standing: STANDINGS[lower],
		inferred: letter !== lower,
		answers: parseInt(answers, 36),
		readyNext: ready === '1'
	};
}
