import { describe, expect, it } from 'vitest';
import { type ItemParameters, probabilityCorrect } from '../measurement';
import { seededRandom } from '../random';
import { advise, type ReviewEvidence } from './advise';
import { canTell, errorRates, probesToTell } from './errorRates';
import { growthSoFar } from './growthSoFar';
import type { ProbeAnswers } from './series';
import { whatWouldChange } from './whatWouldChange';

const items: ItemParameters[] = Array.from({ length: 16 }, (_, i) => ({
	discrimination: 1.2,
	difficulty: 0.3 * (i % 3) - 0.3
}));
const weekly = (...counts: number[]): ProbeAnswers[] =>
	counts.map((right, week) => ({
		week,
		answers: items.map((item, i) => ({ item, correct: (i * 5) % 16 < right }))
	}));
const FLAT = weekly(4, 3, 4, 5, 4, 3, 4, 4, 3, 4);
const base: ReviewEvidence = {
	series: FLAT,
	goal: { week: 12, right: 14, of: 16 },
	focusDifficulty: 0,
	sessions: { planned: 30, attended: 28 },
	adjustmentsTried: 1,
	levelChecks: []
};
const adviceOn = (changes: Partial<ReviewEvidence>) => advise({ ...base, ...changes });

describe('advice', () => {
	it('is to intensify where nothing grew though the plan was delivered and adjusted once', () => {
		const { advice, reasons, errorRates: rates } = adviceOn({});
		expect(advice).toBe('intensify');
		expect(reasons.map(({ is }) => is)).toEqual(['growth', 'delivered', 'adjusted']);
		expect(rates!.onTrackToldToChange).toBeLessThanOrEqual(0.08);
	});

	it('is to adjust first where that was not tried, or where too few sessions took place to say that it was', () => {
		expect(adviceOn({ adjustmentsTried: 0 }).advice).toBe('adjust');
		expect(adviceOn({ sessions: { planned: 30, attended: 21 } }).advice).toBe('adjust');
		expect(adviceOn({ sessions: { planned: 0, attended: 0 } }).advice).toBe('adjust');
	});

	it('is to deliver first under six in ten sessions, whether growth can be told yet or not, but not to who grows', () => {
		const sessions = { planned: 30, attended: 17 };
		expect(adviceOn({ sessions }).advice).toBe('deliver first');
		expect(adviceOn({ sessions, series: FLAT.slice(0, 3) }).advice).toBe('deliver first');
		expect(adviceOn({ sessions, series: [] }).advice).toBe('deliver first');
		expect(adviceOn({ sessions, series: weekly(4, 5, 6, 7, 8, 9, 9, 10, 11, 11) }).advice).toBe('continue');
	});

	it('is that it is too early while so few probes would be wrong too often, and says how many it takes', () => {
		const flat = (count: number) => weekly(...Array.from({ length: count }, (_, i) => 4 + (i % 3)));
		const { advice, reasons, errorRates: rates } = adviceOn({ series: flat(5) });
		expect(advice).toBe('not enough yet');
		const [early] = reasons;
		expect(early).toMatchObject({ is: 'too early', probes: 5 });
		const needed = early.is === 'too early' ? early.needed! : 0;
		expect(needed).toBeGreaterThan(5);
		expect(canTell(rates!)).toBe(false);
		// One probe before that it is still too early; then it is not.
		expect(adviceOn({ series: flat(needed - 1) }).advice).toBe('not enough yet');
		expect(adviceOn({ series: flat(needed) }).advice).not.toBe('not enough yet');
	});

	it('says nothing before the first probe', () => {
		expect(adviceOn({ series: [] })).toEqual({
			advice: 'not enough yet',
			reasons: [
				{ is: 'too early', probes: 0, needed: null },
				{ is: 'delivered', planned: 30, attended: 28 }
			],
			errorRates: null
		});
	});

	it('is to exit once two probes in a row make the share sure, at any time', () => {
		expect(adviceOn({ series: weekly(4, 5, 16, 16, 16) }).advice).toBe('exit');
		expect(adviceOn({ series: weekly(16) }).advice).toBe('not enough yet');
		expect(adviceOn({ series: weekly(15, 16, 16, 16, 8) }).advice).not.toBe('exit');
	});

	it('is to fade where the share is less sure, or where a level check has fallen although the probes are secure', () => {
		expect(adviceOn({ series: weekly(14, 14, 15, 14, 14) }).advice).toBe('fade');
		const secure = weekly(4, 5, 16, 16, 16);
		const check = (score: number) => ({ score, standardError: 8 });
		const fallen = adviceOn({ series: secure, levelChecks: [check(500), check(475)] });
		expect(fallen.advice).toBe('fade');
		expect(fallen.reasons[0]).toEqual({ is: 'level fell', from: check(500), to: check(475) });
		expect(adviceOn({ series: secure, levelChecks: [check(500), check(490)] }).advice).toBe('exit');
		expect(adviceOn({ series: secure, levelChecks: [check(475), check(500)] }).advice).toBe('exit');
	});

	it('is to continue on the way to the goal', () => {
		expect(adviceOn({ series: weekly(4, 5, 6, 7, 8, 9, 9, 10, 11, 11) }).advice).toBe('continue');
	});
});

describe('error rates', () => {
	it('fall with more probes, with more questions, and with a goal that asks for more', () => {
		const one = { probes: 9, questions: 16, start: 0.3, weeks: 12 };
		const wrong = (changes: Partial<typeof one>) => {
			const { onTrackToldToChange, flatToldToContinue } = errorRates({ ...one, ...changes });
			return onTrackToldToChange + flatToldToContinue;
		};
		expect(wrong({ probes: 12 })).toBeLessThan(wrong({}));
		expect(wrong({ probes: 5 })).toBeGreaterThan(wrong({}));
		expect(wrong({ questions: 8 })).toBeGreaterThan(wrong({}));
		expect(wrong({ start: 0.6 })).toBeGreaterThan(wrong({}));
		expect(errorRates({ ...one, probes: 40 })).toEqual(errorRates({ ...one, probes: 13 }));
	});

	it('are found again, within chance, by students drawn elsewhere', () => {
		const random = seededRandom(77);
		const students = 150;
		const goal = { week: 12, right: 14, of: 16 };
		const wrongOf = (shareIn: (week: number) => number, isWrong: (underHalf: number) => boolean) => {
			let wrong = 0;
			for (let n = 0; n < students; n++) {
				const asked = Array.from({ length: 16 }, () => ({ discrimination: 1, difficulty: 0.4 * random.normal() }));
				const series = Array.from({ length: 9 }, (_, week) => {
					const today = Math.log(shareIn(week) / (1 - shareIn(week))) + 0.25 * random.normal();
					const answers = asked.map((item) => ({ item, correct: random.chance(probabilityCorrect(today, item)) }));
					return { week, answers };
				});
				if (isWrong(growthSoFar(series, goal).underHalf)) wrong++;
			}
			return wrong / students;
		};
		const told = errorRates({ questions: 16, start: 0.3, weeks: 12, probes: 9 });
		const near = (found: number, rate: number) =>
			expect(Math.abs(found - rate)).toBeLessThan(3.5 * Math.sqrt((rate * (1 - rate)) / students + 0.00005));
		near(
			wrongOf(
				(week) => 0.3 + (0.575 * week) / 12,
				(under) => under > 0.5
			),
			told.onTrackToldToChange
		);
		near(
			wrongOf(
				() => 0.3,
				(under) => under <= 0.5
			),
			told.flatToldToContinue
		);
	}, 30_000);

	it('say how many probes it takes, and where that is never', () => {
		const needed = probesToTell({ questions: 16, start: 0.3, weeks: 12 })!;
		expect(canTell(errorRates({ questions: 16, start: 0.3, weeks: 12, probes: needed }))).toBe(true);
		expect(canTell(errorRates({ questions: 16, start: 0.3, weeks: 12, probes: needed - 1 }))).toBe(false);
		expect(probesToTell({ questions: 8, start: 0.6, weeks: 6 })).toBeNull();
	});
});

describe('what would change the advice', () => {
	it('is what one more probe makes of it, from none right to all', () => {
		const stretches = whatWouldChange(base);
		expect(stretches[0]).toEqual({ right: 0, advice: 'intensify' });
		expect(stretches.map(({ right }) => right)).toEqual([...stretches.map(({ right }) => right)].sort((a, b) => a - b));
		const last = stretches[stretches.length - 1];
		expect(last.right).toBeGreaterThan(4);
		const next = (right: number) => {
			const easiest = [...items].sort((a, b) => a.difficulty - b.difficulty);
			const answers = easiest.map((item, i) => ({ item, correct: i < right }));
			return adviceOn({ series: [...FLAT, { week: 10, answers }] }).advice;
		};
		expect(next(last.right)).toBe(last.advice);
		expect(next(last.right - 1)).not.toBe(last.advice);
		expect(whatWouldChange({ ...base, series: [] })).toEqual([]);
	});
});
