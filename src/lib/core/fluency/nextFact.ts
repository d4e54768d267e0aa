import type { Random } from '../random';
import { FACT_ORDER, placeOfFact, type FactKey, type Operation } from './factSet';
import { factState, fluentMs, PAUSE_MS, triesByFact, type FactTry } from './factState';

/** First tries by which a student is placed in the order of facts. */
const PLACING_TRIES = 12;
/** Known facts between two that are being learned: eight of ten are known, so that most goes well. */
const KNOWN_IN_A_ROW = 4;
/** Facts that are asked before one comes again. */
const APART = 3;
/** Facts that are asked before a known one that is not fluent yet comes again. */
const SETTLING = 7;
/** Facts that are learned at once. */
const LEARNED_AT_ONCE = 4;
/** How far a quick right answer, and any other, moves the place that is looked for. */
const [UP, DOWN] = [9, -7];
const FIRST_PLACE = 15;

/**
 * Where a student stands in the order of facts, by their first tries: those before it count as known until they are
 * tried. A staircase: up by a right answer in time, down by any other.
 */
export function placeBySpeed(operation: Operation, tries: readonly FactTry[], grade: number): number {
	let place = FIRST_PLACE;
	for (const { correct, milliseconds } of tries.slice(0, PLACING_TRIES)) {
		if (milliseconds > PAUSE_MS) continue;
		place += correct && milliseconds <= fluentMs(grade) ? UP : DOWN;
		place = Math.max(0, Math.min(FACT_ORDER[operation].length - 1, place));
	}
	return place;
}

/**
 * The next fact to ask. The first tries place the student in the order by their speed; from then on eight of ten are
 * known, and the others are the next few to learn, in order.
 *
 * @param tries all first tries at the operation, oldest first, those of this run at the end
 */
export function nextFact(operation: Operation, tries: readonly FactTry[], grade: number, random: Random): FactKey {
	const order = FACT_ORDER[operation];
	const recent = new Set(tries.slice(-APART).map((one) => placeOfFact(operation, one)));
	const place = placeBySpeed(operation, tries, grade);
	const byFact = triesByFact(operation, tries);
	if (tries.length < PLACING_TRIES) {
		// The nearest that was not asked yet.
		const open = order.map((_, i) => i).filter((i) => byFact[i].length === 0);
		return order[open.sort((a, b) => Math.abs(a - place) - Math.abs(b - place))[0]];
	}
	const inTime = ({ correct, milliseconds }: FactTry) => correct && milliseconds <= fluentMs(grade);
	const isKnown = byFact.map((own, i) => {
		if (own.length === 0) return i < place;
		return factState(own, grade) === 'fluent' || own.slice(-2).every(inTime);
	});
	const free = (i: number) => !recent.has(i);
	const known = order.map((_, i) => i).filter((i) => isKnown[i] && free(i));
	const learning = order
		.map((_, i) => i)
		.filter((i) => !isKnown[i])
		.slice(0, LEARNED_AT_ONCE)
		.filter(free);
	// One of five is being learned; where either kind is used up, the other is asked.
	const wantsKnown = tries.slice(-KNOWN_IN_A_ROW).some((one) => !isKnown[placeOfFact(operation, one)]);
	const pool = known.length && (wantsKnown || !learning.length) ? known : learning;
	if (pool !== known) return order[random.pick(pool)];
	// Of what is known, first what is on its way to fluent, a while after it was last asked; then what was asked least.
	const lately = new Set(tries.slice(-SETTLING).map((one) => placeOfFact(operation, one)));
	const onTheWay = known.filter(
		(i) => byFact[i].length > 0 && !lately.has(i) && factState(byFact[i], grade) !== 'fluent'
	);
	if (onTheWay.length) return order[random.pick(onTheWay.slice(0, LEARNED_AT_ONCE))];
	const least = Math.min(...known.map((i) => byFact[i].length));
	return order[random.pick(known.filter((i) => byFact[i].length <= least + 1))];
}
