import { describe, expect, it } from 'vitest';
import { sayChange, sayCloseCall, sayNeed, sayShares, type NeedWhy } from './board';

const share = { value: 0.31, lower: 0.12, upper: 0.52 };
const why: NeedWhy = { share, readiness: 0.9, answers: 6, standing: 'gap', inferred: null };

describe('what the board says', () => {
	it('of a move: signed, and plus or minus nothing', () => {
		expect([0.123, -0.5, 0.001].map(sayChange)).toEqual(['+0.12', '−0.50', '±0']);
	});

	it('of a need: the share that is right, on what ground, and how ready', () => {
		expect(sayNeed(why, 2)).toBe('gets about 3 of 10, between 1 and 5, from 6 answers; ready for it');
		expect(sayNeed({ ...why, readiness: 0.34, inferred: 'gap', answers: 0 }, 3)).toBe(
			'gets about 3 of 10, between 1 and 5, going by what is near; all that comes before it is there with a chance of 34%; tier 3 weighs 1.5'
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

describe('the members of a group on its focus', () => {
	const why = (value: number) => ({ share: { value, lower: 0, upper: 1 } }) as NeedWhy;

	it('are told from who does least to who does most', () => {
		expect(sayShares([why(0.18), why(0.42), undefined])).toBe('right on about 2 to 4 of 10 now');
		expect(sayShares([why(0.31), why(0.29)])).toBe('right on about 3 of 10 now');
		expect(sayShares([undefined])).toBe('');
	});
});
