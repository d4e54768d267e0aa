import { describe, expect, it } from 'vitest';
import type { Advice, Verdict } from './advise';
import { sayDecision, type DecisionSaid } from './sayDecision';
import { isAsAdvised, tierAfter, VERDICTS, verdictOf, whatBecame } from './verdict';

describe('a verdict', () => {
	it('is as advised when it is the same; while too little is known or was delivered, when the plan goes on', () => {
		const followed = (advice: Advice) => VERDICTS.filter((verdict) => isAsAdvised(verdict, advice));
		for (const verdict of VERDICTS) expect(followed(verdict)).toEqual([verdict]);
		expect(followed('not enough yet')).toEqual(['continue']);
		expect(followed('deliver first')).toEqual(['continue']);
		expect(verdictOf('deliver first')).toBe('continue');
	});

	it('leads to its usual tier, within the three there are', () => {
		const tiers = (verdict: Verdict) => ([1, 2, 3] as const).map((tier) => tierAfter(verdict, tier));
		expect(tiers('continue')).toEqual([1, 2, 3]);
		expect(tiers('adjust')).toEqual([1, 2, 3]);
		expect(tiers('intensify')).toEqual([2, 3, 3]);
		expect(tiers('fade')).toEqual([1, 1, 2]);
		expect(tiers('exit')).toEqual([1, 1, 1]);
	});

	it('has become better, the same or worse by the next one; an exit also by staying out or coming back', () => {
		const one = (verdict: Verdict, next: Verdict | null, cameBack = false, isOver = true) =>
			whatBecame({ verdict, advice: verdict, next, cameBack }, isOver);
		expect(one('continue', 'exit')).toBe('better');
		expect(one('adjust', 'fade')).toBe('better');
		expect(one('adjust', 'continue')).toBe('same');
		expect(one('continue', 'adjust')).toBe('worse');
		expect(one('fade', 'intensify')).toBe('worse');
		expect(one('continue', null)).toBeNull();
		expect(one('exit', null)).toBe('better');
		expect(one('exit', null, false, false)).toBeNull();
		expect(one('exit', null, true)).toBe('worse');
	});
});

describe('a decision in words', () => {
	const said = (change: Partial<DecisionSaid> = {}): DecisionSaid => ({
		...{ name: 'Levan', verdict: 'continue', effectiveOn: '2026-11-30', tier: { now: 2, then: 2 } },
		...{ group: '“Fractions”', leaves: false, joins: null, change: '', focus: null, goal: null },
		...{ nextReviewOn: '2026-12-18', tasks: 0, tellsFamily: false },
		...change
	});

	it('says all that will happen', () => {
		expect(sayDecision(said())).toBe(
			'Levan goes on as planned from Mon, Nov 30, tier 2: stays in “Fractions”, looked at again Fri, Dec 18.'
		);
		expect(
			sayDecision(
				said({
					...{ verdict: 'intensify', tier: { now: 2, then: 3 }, leaves: true, joins: '“Parts of a whole”' },
					...{ tasks: 2, tellsFamily: true, nextReviewOn: null }
				})
			)
		).toBe(
			'Levan moves to tier 3 on Mon, Nov 30: leaves “Fractions”, joins “Parts of a whole”, 2 tasks, the family is told.'
		);
		expect(
			sayDecision(
				said({
					...{ verdict: 'adjust', change: 'smaller steps', focus: 'Equal parts' },
					goal: { right: 12, on: '2027-01-15' }
				})
			)
		).toBe(
			'Levan goes on in another way from Mon, Nov 30, tier 2: stays in “Fractions”, smaller steps, “Fractions” works on Equal parts, goal 12 right by Fri, Jan 15, looked at again Fri, Dec 18.'
		);
		expect(sayDecision(said({ verdict: 'exit', tier: { now: 2, then: 1 }, leaves: true, nextReviewOn: null }))).toBe(
			'Levan moves to tier 1 on Mon, Nov 30: leaves “Fractions”, watched for eight weeks.'
		);
		expect(sayDecision(said({ group: null, nextReviewOn: null }))).toBe(
			'Levan goes on as planned from Mon, Nov 30, tier 2.'
		);
	});
});
