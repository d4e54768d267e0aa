import { describe, expect, it } from 'vitest';
import { readSeries } from './readSeries';
import { sayErrorRates, sayReason, saySeries } from './saySeries';
import { sayStake } from './sayStake';

const skillName = (id: number) => `skill ${id}`;

describe('a series in words', () => {
	it('says the level with its band, the focus by itself, and the outlook with its chance', () => {
		const series = [4, 5, 6].map((right, week) => ({
			week,
			answers: Array.from({ length: 16 }, (_, i) => ({
				item: { discrimination: 1, difficulty: 0 },
				correct: i < right
			}))
		}));
		const [level, outlook] = saySeries(readSeries(series, { week: 8, right: 14, of: 16 }, 0), {
			...{ questions: 16, right: 14, goalOn: '2026-12-18' }
		});
		expect(level).toMatch(
			/^Now about \d+(\.\d)? of 16 right, between \d+(\.\d)? and \d+(\.\d)? \(80%\); on the focus itself /
		);
		expect(outlook).toMatch(
			/^A probe on Fri, Dec 18 may have \d+ to \d+ right \(80%\); .* likely to reach 14 of 16\.$/
		);
	});

	it('gives each reason with its figures, and no certainty that a simulation has not', () => {
		expect(sayReason({ is: 'share reached', chances: [0.81, 0.99] })).toContain('81% and over 95% sure');
		expect(sayReason({ is: 'delivered', planned: 12, attended: 3 })).toBe('3 of 12 planned sessions attended.');
		expect(sayReason({ is: 'too early', probes: 6, needed: 9 })).toContain('6 weeks with a probe cannot tell');
		expect(sayReason({ is: 'too early', probes: 6, needed: null })).toContain('nor can all up to the goal’s day');
		const growth = { value: -0.02, lower: -0.1, upper: 0.05 };
		expect(sayReason({ is: 'growth', risen: growth, asked: 0.43, underHalf: 0.97 })).toBe(
			'The share right has risen by −2 in 100 (80%: −10 in 100 to 5 in 100); the goal asks for 43 in 100 by now. Under half of that is over 95% likely.'
		);
		const errorRates = { onTrackToldToChange: 0.04, flatToldToContinue: 0.001, exitUnder75: 0.01 };
		expect(sayErrorRates({ advice: 'adjust', errorRates })).toContain('exactly on track 4% are told to change');
		expect(sayErrorRates({ advice: 'adjust', errorRates })).toContain('do not grow under 1% to continue');
		expect(sayErrorRates({ advice: 'exit', errorRates })).toMatch(/share of 75% 1% are told to exit\.$/);
		expect(sayErrorRates({ advice: 'adjust', errorRates: null })).toBeNull();
	});

	it('says what is at stake in a sentence', () => {
		const plan = { planId: 1, skillId: 4 };
		expect(sayStake({ is: 'goal unlikely', ...plan, chance: 0.02 }, skillName)).toBe(
			'The goal is unlikely (under 5%), though sessions took place.'
		);
		expect(sayStake({ is: 'not measured', ...plan, days: null }, skillName)).toBe('No probe was taken yet.');
		expect(sayStake({ is: 'two groups', skillId: 4 }, skillName)).toBe('In two groups on skill 4.');
	});
});
