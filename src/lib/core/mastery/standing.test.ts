import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar';
import { keepField, shareAtLeast, shareBand, skillField, standingOf, type KeptSkill, type SittingAnswer } from '.';

const field = skillField([
	{ code: 'A', domain: 'X', difficulty: 0, prerequisites: [] },
	{ code: 'B', domain: 'X', difficulty: 0.5, prerequisites: ['A'] }
]);
const item = { discrimination: 1.2, difficulty: 0, guessing: 0.02 };

/** Answers on A, a sitting a word, each on a day of its own. */
const sittings = (...marks: string[]): SittingAnswer[] =>
	marks.flatMap((mark, n) =>
		[...mark].map((one) => ({
			skill: 'A',
			item,
			correct: one === '1',
			on: addDays('2026-09-14', 2 * n),
			sittingId: n
		}))
	);
const keep = (answers: SittingAnswer[]) => keepField(field, answers, { mean: 0.3 })[0];
const standing = (...marks: string[]) => standingOf(keep(sittings(...marks)), 0).standing;

describe('a standing', () => {
	const kept = (mean: number, standardError: number, change: Partial<KeptSkill> = {}): KeptSkill => ({
		level: { mean, standardError },
		answers: 6,
		lastOn: '2026-10-01',
		isEnough: true,
		wasSecure: false,
		...change
	});

	it('follows from how sure a share of 70%, or of under 50%, is', () => {
		expect(standingOf(kept(1.3, 0.4), 0).standing).toBe('secure');
		expect(standingOf(kept(1.3, 0.8), 0).standing).toBe('forming');
		expect(standingOf(kept(-0.5, 0.4), 0).standing).toBe('gap');
		expect(standingOf(kept(-0.5, 0.8), 0).standing).toBe('forming');
		// The same level on a harder skill.
		expect(standingOf(kept(1.3, 0.4), 2).standing).toBe('gap');
		expect(standingOf(kept(1.3, 0.4), 0).mastered).toBeCloseTo(
			shareAtLeast({ mean: 1.3, standardError: 0.4 }, 0, 0.7),
			12
		);
	});

	it('is Secure only with answers enough, and Slipping only after it was', () => {
		expect(standingOf(kept(1.3, 0.4, { isEnough: false }), 0).standing).toBe('forming');
		expect(standingOf(kept(0.5, 0.4, { wasSecure: true }), 0).standing).toBe('slipping');
		expect(standingOf(kept(0.8, 0.4, { wasSecure: true }), 0).standing).toBe('forming');
		// A clear gap that was Secure once is slipping: it is told as what it was.
		expect(standingOf(kept(-2, 0.4, { wasSecure: true }), 0).standing).toBe('slipping');
	});

	it('is Unseen under two answers, with what the rest suggests in words of its own', () => {
		expect(standingOf(kept(-2, 0.4, { answers: 1 }), 0)).toMatchObject({ standing: 'unseen', inferred: 'gap' });
		expect(standingOf(kept(2, 0.4, { answers: 0 }), 0)).toMatchObject({ standing: 'unseen', inferred: 'secure' });
		expect(standingOf(kept(0.5, 0.9, { answers: 0 }), 0)).toMatchObject({ standing: 'unseen', inferred: 'forming' });
	});
});

describe('what is kept of a student', () => {
	it('counts answers and days, and says whether they are enough: 4 on 2 days, or 5 in one sitting', () => {
		const enough = (...marks: string[]) => keep(sittings(...marks)).isEnough;
		expect([enough('111'), enough('1111'), enough('11', '11'), enough('111', '0'), enough('11011')]).toEqual([
			false,
			false,
			true,
			true,
			true
		]);
		expect(keep(sittings('11', '0'))).toMatchObject({ answers: 3, lastOn: '2026-09-16' });
		expect(keepField(field, sittings('11'), { mean: 0.3 })[1]).toMatchObject({ answers: 0, lastOn: null });
	});

	it('calls Secure who gets nearly all, not who gets six of ten; and a Gap who gets hardly any', () => {
		expect(standing('11111', '11111')).toBe('secure');
		expect(standing('10110', '11010', '01110', '10101')).toBe('forming');
		expect(standing('00100', '00000')).toBe('gap');
	});

	it('slips once answers speak against what was Secure on two days, not by days alone', () => {
		expect(standing('11111', '11111', '000', '00')).toBe('slipping');
		expect(standing('111111', '0000')).not.toBe('slipping');
		expect(standing('11111', '11111')).toBe(standing('11111', '11111'));
	});

	it('tells a share with its band from the level', () => {
		const { value, lower, upper } = shareBand({ mean: 0.5, standardError: 0.4 }, 0);
		expect(value).toBeCloseTo(1 / (1 + Math.exp(-0.6)), 12);
		// Four fifths of a normal distribution lie within 1.2816 standard errors.
		expect(lower).toBeCloseTo(1 / (1 + Math.exp(-1.2 * (0.5 - 1.2815515655 * 0.4))), 9);
		expect(upper).toBeGreaterThan(value);
	});
});
