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

/** A grade·term as text. */
export function formatGradeTerm({ grade, term }: GradeTerm): string {
	return `${grade}·${term}`;
}

/** How an item is answered, as far as difficulty and luck depend on it. */
export interface ResponseFormat {
	kind: 'choice' | 'several' | 'number' | 'fraction' | 'line' | 'order';
	/** How many options, for the kinds that show some. */
	options?: number;
}

/** Chance of a right answer by luck alone. Typed answers cannot be guessed from a list; a mark on a line can be near. */
export function guessingChance({ kind, options = 4 }: ResponseFormat): number {
	switch (kind) {
		case 'choice':
			return 1 / options;
		case 'several':
			return 1 / (2 ** options - 1);
		case 'order': {
			let orders = 1;
			for (let n = 2; n <= options; n++) orders *= n;
			return 1 / orders;
		}
		case 'line':
			return 0.05;
		default:
			return 0.02;
	}
}

/** How much harder (logits) a response kind makes the same skill: producing an answer asks more than recognizing it. */
const KIND_DIFFICULTY: Record<ResponseFormat['kind'], number> = {
	choice: -0.2,
	several: 0.1,
	number: 0,
	fraction: 0.1,
	line: 0,
	order: 0.1
};

/**
 * Parameters of an item before any answer is known: the skill's expected median, shifted by response kind. A student
 * at the median of a skill's term has an even chance (before luck) with a typed item. Discrimination starts at 1.2.
 */
export function startingParameters(level: GradeTerm, format: ResponseFormat): ItemParameters {
	return {
		discrimination: 1.2,
		difficulty: expectedTheta(level) + KIND_DIFFICULTY[format.kind],
		guessing: guessingChance(format)
	};
}
