import { FACT_ORDER, placeOfFact, type FactKey, type Operation } from './factSet';

/** One first try at a fact. */
export interface FactTry extends FactKey {
	correct: boolean;
	/** From seeing it to the last digit. */
	milliseconds: number;
}

/** `fluent` and `slow` are known; `not yet` was tried; `unseen` was not. */
export type FactState = 'fluent' | 'slow' | 'not yet' | 'unseen';

/** Longer than this a student was elsewhere: the time says nothing, and the try counts for nothing. */
export const PAUSE_MS = 10_000;

/**
 * The time (ms) within which a fact of a grade counts as known by heart. Three seconds to an answer are usual in the
 * field (Baroody 2006, Why children have difficulties mastering the basic number combinations); what is added for
 * finding digits, more for younger children, is ours.
 */
export function fluentMs(grade: number): number {
	return 3_000 + [2_500, 2_500, 2_000, 1_500, 1_000][Math.max(0, Math.min(4, grade))];
}

/** Tries that are looked at, and how many of them must be right (and in time). */
const [LOOKED_AT, ENOUGH] = [4, 3];

/** What a student's last tries at a fact say, oldest first. */
export function factState(tries: readonly Omit<FactTry, keyof FactKey>[], grade: number): FactState {
	const counted = tries.filter(({ milliseconds }) => milliseconds <= PAUSE_MS);
	if (counted.length === 0) return 'unseen';
	const last = counted.slice(-LOOKED_AT);
	const right = last.filter(({ correct }) => correct);
	if (right.filter(({ milliseconds }) => milliseconds <= fluentMs(grade)).length >= ENOUGH) return 'fluent';
	return right.length >= ENOUGH ? 'slow' : 'not yet';
}

/** The tries of each fact of an operation, in its order. */
export function triesByFact<Try extends FactKey>(operation: Operation, tries: readonly Try[]): Try[][] {
	const byFact: Try[][] = FACT_ORDER[operation].map(() => []);
	for (const one of tries) byFact[placeOfFact(operation, one)].push(one);
	return byFact;
}

/** The state of each fact of an operation, in its order. @param tries in the order in which they were given */
export function factStates(operation: Operation, tries: readonly FactTry[], grade: number): FactState[] {
	return triesByFact(operation, tries).map((own) => factState(own, grade));
}

/** How quick a student is: the middle time (ms) of right tries among the last fifty; null of fewer than five. */
export function medianFactMs(tries: readonly FactTry[]): number | null {
	const times = tries
		.filter(({ correct, milliseconds }) => correct && milliseconds <= PAUSE_MS)
		.slice(-50)
		.map(({ milliseconds }) => milliseconds)
		.sort((a, b) => a - b);
	return times.length < 5 ? null : (times[(times.length - 1) >> 1] + times[times.length >> 1]) / 2;
}
