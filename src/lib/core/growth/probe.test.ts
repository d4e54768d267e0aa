import { expect, it } from 'vitest';
import { goalInForm, goalWeek, probeForm, probeNumber, probeReliability, weekOfProbe } from './probe';

const items = (count: number) => Array.from({ length: count }, () => ({ discrimination: 1, difficulty: 0 }));

it('a probe has sixteen questions, ten of the focus; the youngest have two of eight a week', () => {
	expect(probeForm(3)).toEqual({ questions: 16, ofFocus: 10, aWeek: 1 });
	expect(probeForm(2)).toEqual({ questions: 8, ofFocus: 5, aWeek: 2 });
	expect(goalInForm(4, 1, 13)).toMatchObject({ id: 4, questions: 8, goalCorrect: 7 });
	expect(goalInForm(4, 5, 13)).toMatchObject({ questions: 16, goalCorrect: 13 });
});

it('reliability follows from the information of the questions, and grows with their number', () => {
	// At a share of one half, a question brings 1/4: 8 bring 2, the error is 1/2 and the day's form 1/16.
	const { reliability, standardError } = probeReliability(items(8), 0);
	expect(standardError).toBeCloseTo(Math.sqrt(0.5 + 0.0625), 9);
	expect(reliability).toBeCloseTo(0.4096 / (0.4096 + 0.5625), 9);
	expect(probeReliability(items(16), 0).reliability).toBeGreaterThan(reliability);
	expect(probeReliability(items(16), 2).reliability).toBeLessThan(probeReliability(items(16), 0).reliability);
});

it('each day belongs to one probe of a plan, and each probe to one week', () => {
	const once = { startsOn: '2026-10-12', aWeek: 1 };
	expect(['2026-10-11', '2026-10-12', '2026-10-18', '2026-10-19'].map((day) => probeNumber(once, day))).toEqual([
		0, 1, 1, 2
	]);
	const twice = { startsOn: '2026-10-12', aWeek: 2 };
	expect(['2026-10-12', '2026-10-15', '2026-10-16', '2026-10-19'].map((day) => probeNumber(twice, day))).toEqual([
		1, 1, 2, 3
	]);
	expect([1, 2, 3, 4].map((number) => weekOfProbe(twice, number))).toEqual([0, 0, 1, 1]);
	expect([1, 2, 3].map((number) => weekOfProbe(once, number))).toEqual([0, 1, 2]);
	expect(goalWeek({ startsOn: '2026-10-12', goalOn: '2026-12-18' })).toBe(9);
});
