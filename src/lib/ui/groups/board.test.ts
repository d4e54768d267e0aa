import { describe, expect, it } from 'vitest';
import { sayChange, sayCloseCall, sayNeed, type NeedWhy } from './board';

const why: NeedWhy = { probability: 0.234, readiness: 1, answers: 6, standing: 'gap', inferred: null };

describe('what the board says', () => {
	it('of a move: signed, and plus or minus nothing', () => {
		expect([0.123, -0.5, 0.001].map(sayChange)).toEqual(['+0.12', '−0.50', '±0']);
	});

	it('of a need: how likely the focus is known, on what ground, and how ready', () => {
		expect(sayNeed(why, 2)).toBe('knows it with a chance of 23%, from 6 answers; ready next');
		// Six answers do not bear a chance of nothing.
		expect(sayNeed({ ...why, probability: 0.004 }, 2)).toMatch(/^knows it with a chance of under 5%,/);
		expect(sayNeed({ ...why, readiness: 0.5, inferred: 'gap', answers: 0 }, 3)).toBe(
			'knows it with a chance of 23%, going by the domain as a whole; one prerequisite still forming, so half the weight; tier 3 weighs 1.5'
		);
		expect(sayNeed(undefined, 2)).toBe('does not need this focus');
	});

	it('of who was close to another group', () => {
		const names = { student: () => 'Ana Wick', className: () => '', skill: () => '', slot: () => 'Tue 10:05' };
		const call = { studentId: '1', slotId: '5', loss: 0.08 };
		expect(sayCloseCall(call, names, 'Area')).toBe('Ana Wick could as well be in Area (Tue 10:05): 0.08 less');
		expect(sayCloseCall({ ...call, loss: 0 }, names, 'Area')).toContain('the need met would be the same');
	});
});
