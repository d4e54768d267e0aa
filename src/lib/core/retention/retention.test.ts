import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../calendar';
import { cardFrom, dueCards, retentionQueue, retrievability, timeToForget, type Recall } from '.';

const FIRST = '2026-09-07';
const day = (after: number, right = 1, of = 1): Recall => ({ on: addDays(FIRST, after), right, of });
const learned = [day(0, 4, 5), day(2, 5, 5), day(4, 5, 5)];

describe('a card', () => {
	it('is none where nothing was answered', () => {
		expect(cardFrom([])).toBeNull();
	});

	it('agrees with the model’s own formula of forgetting', () => {
		const card = cardFrom(learned)!;
		const decay = -0.1542;
		const factor = 0.9 ** (1 / decay) - 1;
		const known = (1 + (factor * 10) / card.stability) ** decay;
		expect(retrievability(card, addDays(card.lastOn, 10))).toBeCloseTo(known, 6);
	});

	it('keeps longer with each day on which the skill was known, the longer the more was forgotten before', () => {
		const once = cardFrom(learned)!;
		const soon = cardFrom([...learned, day(6)])!;
		const late = cardFrom([...learned, day(25)])!;
		expect(soon.stability).toBeGreaterThan(once.stability);
		expect(late.stability).toBeGreaterThan(soon.stability);
	});

	it('falls by a lapse, and counts it', () => {
		const card = cardFrom([...learned, day(25, 0)])!;
		expect(card.stability).toBeLessThan(cardFrom(learned)!.stability);
		expect(card.lapses).toBe(1);
	});

	it('is less and less sure as days pass, and slower so for who keeps longer', () => {
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 0, max: 3 })), { maxLength: 8 }),
				fc.integer({ min: 0, max: 200 }),
				(later, after) => {
					let at = 4;
					const card = cardFrom([...learned, ...later.map(([days, right]) => day((at += days), right, 3))])!;
					const on = addDays(card.lastOn, after);
					const known = retrievability(card, on);
					expect(known).toBeGreaterThan(0);
					expect(known).toBeLessThanOrEqual(1);
					expect(retrievability(card, addDays(on, 1))).toBeLessThan(known);
					expect(retrievability(card, addDays(on, 1), 2)).toBeGreaterThan(retrievability(card, addDays(on, 1)));
				}
			)
		);
	});
});

describe('the time to forget', () => {
	it('is usual of whom nothing is known', () => {
		expect(timeToForget([])).toBeCloseTo(1, 6);
		expect(timeToForget([[day(0)]])).toBeCloseTo(1, 6);
	});

	it('is longer for who knows it after weeks, shorter for who has forgotten in days', () => {
		const kept = Array.from({ length: 10 }, () => [...learned, day(40), day(120)]);
		const forgot = Array.from({ length: 10 }, () => [...learned, day(9, 0), day(14, 0)]);
		expect(timeToForget(kept)).toBeGreaterThan(1.15);
		expect(timeToForget(forgot)).toBeLessThan(0.6);
	});
});

describe('what is due', () => {
	const skills = [
		{ skill: 'fresh', recalls: [...learned, day(28)] },
		{ skill: 'old', recalls: learned },
		{ skill: 'lapsed', recalls: [...learned, day(20, 0)] }
	];

	it('is what may be forgotten, most at risk first, and nothing twice within days', () => {
		const due = dueCards(skills, addDays(FIRST, 29));
		expect(due.map(({ skill }) => skill)).toEqual(['lapsed', 'old']);
		expect(due[0].known).toBeLessThan(due[1].known);
		expect(dueCards(skills, addDays(FIRST, 22)).map(({ skill }) => skill)).not.toContain('lapsed');
		for (const { card } of due) expect(daysBetween(card.lastOn, addDays(FIRST, 29))).toBeGreaterThanOrEqual(4);
	});

	it('becomes a queue of as many as the minutes hold, those at risk before quick ones', () => {
		const due = dueCards(skills, addDays(FIRST, 60));
		expect(due).toHaveLength(3);
		expect(retentionQueue(due, 0, () => 40)).toEqual([]);
		expect(retentionQueue(due, 1, () => 40)).toEqual([due[0].skill]);
		expect(retentionQueue(due, 2, () => 40)).toEqual(due.map(({ skill }) => skill));
		const slow = due[0].skill;
		expect(retentionQueue(due, 1, (skill) => (skill === slow ? 90 : 30))).toEqual([due[1].skill, due[2].skill]);
	});
});
