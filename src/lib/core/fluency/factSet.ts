/** What facts are about. */
export type Operation = 'add' | 'take' | 'times' | 'divide';
export const OPERATIONS: readonly Operation[] = ['add', 'take', 'times', 'divide'];

/** As students and adults read them. */
export const OPERATION_NAMES: Readonly<Record<Operation, string>> = {
	add: 'adding',
	take: 'taking away',
	times: 'times',
	divide: 'dividing'
};

/** A fact by two numbers from 1 to 10: `first + second`, `first × second`, and what undoes them. */
export interface FactKey {
	first: number;
	second: number;
}

/** The numbers that facts are made of: a grid of ten by ten. */
export const FACT_NUMBERS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10] as const;

/** A fact as it is asked. Of taking away and dividing the whole stands first: `13 − 5` is the fact of 8 and 5. */
export function askFact(operation: Operation, { first, second }: FactKey): { text: string; answer: number } {
	if (operation === 'add') return { text: `${first} + ${second}`, answer: first + second };
	if (operation === 'take') return { text: `${first + second} − ${second}`, answer: first };
	if (operation === 'times') return { text: `${first} × ${second}`, answer: first * second };
	return { text: `${first * second} ÷ ${second}`, answer: first };
}

/** In which order tables are met: those that are counted by first, the ones with the fewest patterns last. Ours. */
const TABLES = [1, 2, 10, 5, 3, 4, 9, 6, 8, 7];

/** How hard a fact is beside others of its operation: the larger, the later it comes. */
function hardness(operation: Operation, { first, second }: FactKey): number {
	if (operation === 'times' || operation === 'divide') {
		const [easy, hard] = [TABLES.indexOf(first), TABLES.indexOf(second)].sort((a, b) => a - b);
		// A fact is as easy as the easier of its tables; squares are known early.
		return easy * 10 + (first === second ? easy : hard);
	}
	const sum = first + second;
	const [small] = [first, second].sort((a, b) => a - b);
	// By one or two is counted; tens and doubles are patterns; all else by its size (problem-size effect, Zbrodoff & Logan 2005).
	if (small <= 2 || first === 10 || second === 10) return sum / 4 + small;
	return first === second ? sum / 2 : sum;
}

const keyOf = ({ first, second }: FactKey) => `${first} ${second}`;

/** All facts of an operation in the order in which they are met; the two of a pair stand beside each other. */
export const FACT_ORDER: Readonly<Record<Operation, readonly FactKey[]>> = Object.fromEntries(
	OPERATIONS.map((operation) => [
		operation,
		FACT_NUMBERS.flatMap((first) => FACT_NUMBERS.map((second) => ({ first, second }))).sort(
			(a, b) =>
				hardness(operation, a) - hardness(operation, b) ||
				Math.min(a.first, a.second) - Math.min(b.first, b.second) ||
				a.first - b.first
		)
	])
) as unknown as Record<Operation, readonly FactKey[]>;

const PLACES = Object.fromEntries(
	OPERATIONS.map((operation) => [operation, new Map(FACT_ORDER[operation].map((fact, i) => [keyOf(fact), i]))])
) as Record<Operation, Map<string, number>>;

/** The place of a fact in the order of its operation, 0–99. @throws RangeError for numbers that make no fact */
export function placeOfFact(operation: Operation, fact: FactKey): number {
	const place = PLACES[operation].get(keyOf(fact));
	if (place === undefined) throw new RangeError(`no fact of ${fact.first} and ${fact.second}`);
	return place;
}

/** Which facts are worked on in a grade, unless a class says otherwise. Ours. */
export function usualOperations(grade: number): Operation[] {
	return grade <= 2 ? ['add', 'take'] : ['times', 'divide'];
}
