import type { ItemParameters } from './itemResponse';

/** Points a logit; 500 points is the middle of grade 4's second term. */
export const POINTS_PER_LOGIT = 25;
const MIDDLE = 500;

/** A grade and a term of it (1–3), written `4·2`. */
export interface GradeTerm {
	grade: number;
	term: number;
}

/** Ability in logits to points. */
export function toPoints(theta: number): number {
	return MIDDLE + POINTS_PER_LOGIT * theta;
}

/** Points to ability in logits. */
export function fromPoints(points: number): number {
	return (points - MIDDLE) / POINTS_PER_LOGIT;
}

/**
 * Ability (logits) that half of the students reach in a term of a grade, by our made-up norms: one logit a year,
 * in equal steps of three terms, 0 at `4·2`.
 */
export function expectedTheta({ grade, term }: GradeTerm): number {
	return grade - 4 + (term - 2) / 3;
}

/** Working level: the last term whose expected median the student reaches, from `1·1` to `8·3`. */
export function workingLevel(theta: number): GradeTerm {
	const step = Math.floor((theta - expectedTheta({ grade: 1, term: 1 })) * 3 + 1e-9);
	const clamped = Math.min(23, Math.max(0, step));
	return { grade: 1 + Math.floor(clamped / 3), term: 1 + (clamped % 3) };
}

/** How an item is answered, as far as difficulty and luck depend on it. */
export interface ResponseFormat {
	kind: keyof typeof KINDS;
	/** How many options, for the kinds that show some. */
	options?: number;
}

function orders(options: number): number {
	let count = 1;
	for (let n = 2; n <= options; n++) count *= n;
	return count;
}

/**
 * For each response kind: the chance of a right answer by luck alone, and how much harder (logits) it makes the same
 * skill, as producing an answer asks more than recognizing it. Typed answers cannot be guessed from a list; a mark on a
 * line or a few shaded parts can be near by chance.
 */
const KINDS = {
	choice: { luck: (options: number) => 1 / options, harder: -0.2 },
	several: { luck: (options: number) => 1 / (2 ** options - 1), harder: 0.1 },
	order: { luck: (options: number) => 1 / orders(options), harder: 0.1 },
	match: { luck: (options: number) => 1 / orders(options), harder: 0 },
	number: { luck: () => 0.02, harder: 0 },
	fraction: { luck: () => 0.02, harder: 0.1 },
	expression: { luck: () => 0.01, harder: 0.2 },
	text: { luck: () => 0.02, harder: 0.1 },
	fill: { luck: () => 0.01, harder: 0.1 },
	line: { luck: () => 0.05, harder: 0 },
	shade: { luck: () => 0.05, harder: -0.1 },
	rectangle: { luck: () => 0.02, harder: 0 },
	clock: { luck: () => 0.02, harder: 0 },
	plot: { luck: () => 0.02, harder: 0 }
};

/** Chance of a right answer by luck alone. */
export function guessingChance({ kind, options = 4 }: ResponseFormat): number {
	return KINDS[kind].luck(options);
}

/** How much harder (logits) each digit more than usual makes an item. */
export const DIFFICULTY_A_DIGIT = 0.08;

/**
 * Parameters of an item before any answer is known: the skill's expected median, shifted by response kind and number
 * size. A student at the median of a skill's term has an even chance (before luck) with a typed item of usual numbers.
 * Discrimination starts at 1.2.
 *
 * @param extraDigits digits that the item's numbers have more than usual in its family; negative for fewer
 */
export function startingParameters(level: GradeTerm, format: ResponseFormat, extraDigits = 0): ItemParameters {
	return {
		discrimination: 1.2,
		difficulty: expectedTheta(level) + KINDS[format.kind].harder + DIFFICULTY_A_DIGIT * extraDigits,
		guessing: guessingChance(format)
	};
}
