import { seededRandom, seedFrom } from '../random';

/** A fact on a number fluency sheet. */
interface Fact {
	/** As printed, without the equals sign: `7 + 5`. */
	text: string;
	answer: number;
}

/** Facts on a sheet: more than anybody answers in a minute. */
export const FACTS_A_SHEET = 60;
/** One row of a sheet asks each kind equally often, so that every part of it is as hard as another. */
export const FACTS_A_ROW = 6;

type Kind = (draw: (low: number, high: number) => number) => Fact;

const add =
	(most: number): Kind =>
	(draw) => {
		const sum = draw(2, most);
		const first = draw(Math.max(1, sum - 9), Math.min(9, sum - 1));
		return { text: `${first} + ${sum - first}`, answer: sum };
	};
const take =
	(most: number): Kind =>
	(draw) => {
		const whole = draw(3, most);
		const part = draw(Math.max(1, whole - 9), Math.min(9, whole - 1));
		return { text: `${whole} − ${part}`, answer: whole - part };
	};
const times =
	(most: number): Kind =>
	(draw) => {
		const [first, second] = [draw(2, most), draw(2, 9)];
		return { text: `${first} × ${second}`, answer: first * second };
	};
const divide =
	(most: number): Kind =>
	(draw) => {
		const [divisor, quotient] = [draw(2, most), draw(2, 9)];
		return { text: `${divisor * quotient} ÷ ${divisor}`, answer: quotient };
	};
const addTens: Kind = (draw) => {
	const [first, second] = [draw(2, 9) * 10 + draw(1, 9), draw(1, 9) * 10];
	return { text: `${first} + ${second}`, answer: first + second };
};
const timesTens: Kind = (draw) => {
	const [first, second] = [draw(2, 9), draw(2, 9) * 10];
	return { text: `${first} × ${second}`, answer: first * second };
};

/** What is asked of a grade: kinds of facts that a row goes through in turn. */
const KINDS: Record<number, Kind[]> = {
	1: [add(10), take(10)],
	2: [add(18), take(18)],
	3: [add(18), take(18), times(5)],
	4: [times(9), divide(5), times(9)],
	5: [times(9), divide(9)],
	6: [times(9), divide(9), addTens],
	7: [times(9), divide(9), timesTens],
	8: [times(9), divide(9), timesTens]
};

/**
 * The facts of a sheet in order. The same grade and form give the same sheet; no fact follows itself within a row.
 *
 * @param grade 1–8
 * @param form which of the sheets of a grade, any whole number
 * @throws RangeError for another grade
 */
export function factSheet(grade: number, form: number): Fact[] {
	const kinds = KINDS[grade];
	if (!kinds) throw new RangeError(`There is no fact sheet for grade ${grade}`);
	const random = seededRandom(seedFrom('fact sheet', grade, form));
	const facts: Fact[] = [];
	while (facts.length < FACTS_A_SHEET) {
		const row = random.shuffle(Array.from({ length: FACTS_A_ROW }, (_, i) => kinds[i % kinds.length]));
		for (const kind of row) {
			const recent = facts.slice(-FACTS_A_ROW).map(({ text }) => text);
			let fact = kind(random.integer);
			while (recent.includes(fact.text)) fact = kind(random.integer);
			facts.push(fact);
		}
	}
	return facts;
}
