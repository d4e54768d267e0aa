import { FSRSAlgorithm, generatorParameters, Rating, type Grade } from 'ts-fsrs';
import { daysBetween, type SchoolDate } from '../calendar';

/** The first tries of one day at one skill. */
export interface Recall {
	on: SchoolDate;
	right: number;
	of: number;
}

/** How well a skill that was once secure is kept: one card a student and skill, made from the log of answers alone. */
export interface Card {
	/** Of the student's own days, until a card says nine in ten. */
	stability: number;
	/** 1 (easily kept) to 10. */
	difficulty: number;
	lastOn: SchoolDate;
	/** Days since the first on which it was not known any more. */
	lapses: number;
}

/**
 * How sure a card must be that a skill is still known; under it, it is asked again. Cards were made for single words and
 * think well of what is kept: so high a line keeps most for its minutes in `npm run simulate:retention`.
 */
export const KEPT = 0.96;

// Days are days: nothing is asked twice on one, and nothing is moved by chance.
const algorithm = new FSRSAlgorithm(
	generatorParameters({ request_retention: KEPT, enable_fuzz: false, enable_short_term: false, maximum_interval: 365 })
);

/** What a day's first tries say: nothing known, known in part, known. */
function gradeOf({ right, of }: Recall): Grade {
	const share = right / of;
	if (share < 0.5) return Rating.Again;
	return share < 0.75 ? Rating.Hard : Rating.Good;
}

/** Of a student whose time to forget is 2, two days pass as one: they keep a thing twice as long. */
const ownDays = (from: SchoolDate, to: SchoolDate, timeToForget: number) => daysBetween(from, to) / timeToForget;

/**
 * The card of a skill, from all days on which it was answered. Source: the memory model of ts-fsrs (FSRS 6: stability,
 * difficulty, retrievability; Ye, Su & Cao 2022, A stochastic shortest path algorithm for optimizing spaced repetition
 * scheduling), with days that pass at the student's own pace.
 *
 * @param recalls in order of days, at least one answer each
 * @param timeToForget of the student: 1 is usual, 2 keeps twice as long (`timeToForget`)
 * @param ontest is told before each later day how sure the card was that the skill is still known, 0…1
 * @returns null of no day
 */
export function cardFrom(
	recalls: readonly Recall[],
	timeToForget = 1,
	ontest?: (known: number, recall: Recall) => void
): Card | null {
	let card: Card | null = null;
	for (const recall of recalls) {
		const grade = gradeOf(recall);
		const elapsed: number = card ? ownDays(card.lastOn, recall.on, timeToForget) : 0;
		if (card) ontest?.(algorithm.forgetting_curve(elapsed, card.stability), recall);
		const lapses: number = card ? card.lapses + Number(grade === Rating.Again) : 0;
		card = { ...algorithm.next_state(card, elapsed, grade), lastOn: recall.on, lapses };
	}
	return card;
}

/** The chance that a skill is still known on a day, 0…1. */
export function retrievability(card: Card, on: SchoolDate, timeToForget = 1): number {
	return algorithm.forgetting_curve(Math.max(0, ownDays(card.lastOn, on, timeToForget)), card.stability);
}
