import { describe, expect, it } from 'vitest';
import { shippedFramework } from '../../../../framework/shipped';
import { addDays, weekday } from '../calendar';
import { estimateEap, expectedTheta, probabilityCorrect, type ScoredResponse } from '../measurement';
import { seededRandom } from '../random';
import { gradePrior, itemPool, LEVEL_CHECK_ITEMS, nextQuestion } from '../screening';
import { hasFallen, levelChange, type Level, levelCheckDays, levelsSince, openLevelChecks, sayLevels } from '.';

const plan = {
	id: 1,
	domainId: 7,
	startsOn: '2026-10-05',
	goalOn: '2026-12-13',
	afterExit: false,
	levelChecks: true
};

describe('when levels are checked', () => {
	it('is two weeks of school in the middle of a plan, and its last two weeks', () => {
		const [middle, end] = levelCheckDays(plan);
		expect(middle).toEqual({ place: 'middle', opensOn: '2026-11-02', closesOn: '2026-11-13' });
		expect(weekday(middle.opensOn)).toBe(1);
		expect(end).toEqual({ place: 'end', opensOn: '2026-12-02', closesOn: '2026-12-13' });
	});

	it('is once for a short plan and for a watch after an exit, and never where nobody wants it', () => {
		const places = (change: Partial<typeof plan>) => levelCheckDays({ ...plan, ...change }).map(({ place }) => place);
		expect(places({ goalOn: '2026-11-15' })).toEqual(['end']);
		expect(places({ afterExit: true })).toEqual(['end']);
		expect(places({ levelChecks: false })).toEqual([]);
	});

	it('never has the middle of a plan reach into its end', () => {
		for (let weeks = 2; weeks < 40; weeks++) {
			const days = levelCheckDays({ ...plan, goalOn: addDays(plan.startsOn, 7 * weeks) });
			for (const [i, { closesOn }] of days.slice(0, -1).entries()) expect(closesOn < days[i + 1].opensOn).toBe(true);
		}
	});
});

describe('the checks a student has to take', () => {
	const inMiddle = '2026-11-04';

	it('wait from their first day to their last, and are gone once taken', () => {
		const on = (day: string) => openLevelChecks([plan], [], [], day).map(({ place }) => place);
		expect([on('2026-11-01'), on('2026-11-02'), on('2026-11-13'), on('2026-11-14')]).toEqual([
			[],
			['middle'],
			['middle'],
			[]
		]);
		const taken = { planId: 1, place: 'middle' as const, sittingId: 5, isFinished: true };
		expect(openLevelChecks([plan], [taken], [{ domainId: 7, on: inMiddle }], inMiddle)).toEqual([]);
	});

	it('can be finished later, once begun', () => {
		const begun = { planId: 1, place: 'middle' as const, sittingId: 5, isFinished: false };
		expect(openLevelChecks([plan], [begun], [], '2026-11-25')).toEqual([
			expect.objectContaining({ planId: 1, place: 'middle', sittingId: 5 })
		]);
	});

	it('ask a domain once, whichever of two plans it is for, and not again within four weeks', () => {
		const other = { ...plan, id: 2 };
		expect(openLevelChecks([plan, other], [], [], inMiddle).map(({ planId }) => planId)).toEqual([1]);
		const elsewhere = { ...plan, id: 3, domainId: 8 };
		expect(openLevelChecks([plan, elsewhere], [], [], inMiddle).map(({ planId }) => planId)).toEqual([1, 3]);
		const checked = (on: string) => openLevelChecks([plan], [], [{ domainId: 7, on }], inMiddle).length;
		expect([checked('2026-10-20'), checked('2026-10-07')]).toEqual([0, 1]);
	});
});

describe('what levels say', () => {
	const level = (score: number, on: string, by: Level['by'] = 'middle', standardError = 9): Level => ({
		by,
		on,
		score,
		standardError
	});

	it('is judged by the last level from before the series and all since', () => {
		const levels = [level(470, '2026-11-04'), level(440, '2026-02-01', 'diagnostic'), level(450, '2026-09-10')];
		expect(levelsSince(levels, '2026-10-05').map(({ score }) => score)).toEqual([450, 470]);
		expect(levelsSince([], '2026-10-05')).toEqual([]);
	});

	it('is a fall only where it is more than 1.645 errors of the difference', () => {
		// 1.645 · √(9² + 9²) = 20.9
		const to = (score: number) => [level(470, '2026-09-10', 'diagnostic'), level(score, '2026-11-04')];
		expect(hasFallen(to(450))).toBe(false);
		expect(hasFallen(to(449))).toBe(true);
		expect(hasFallen(to(495))).toBe(false);
		expect(levelChange(to(495))!.reliable).toBe(true);
		expect(levelChange([level(470, '2026-09-10')])).toBeNull();
	});

	it('is told with its errors, and what cannot be told is said', () => {
		const marks = { domain: 'Fractions', cut: 483, norm: 500 };
		const levels = [level(470, '2026-09-10', 'diagnostic'), level(482, '2026-11-04')];
		expect(sayLevels(levels, marks)).toEqual([
			'Level of Fractions: 470 points, give or take 9 (diagnostic, Sep 10); 482 points, give or take 9 (level check, middle, Nov 4); the cut of the grade is 483 now, the median of the made-up norm 500.',
			'Up 12 points: under 21 nothing can be told from their errors.'
		]);
		expect(sayLevels([levels[0], level(430, '2026-11-04')], marks)[1]).toBe(
			'Down 40 points, more than their errors explain.'
		);
		expect(sayLevels([], { ...marks, cut: null })[0]).toBe(
			'The level of Fractions was not measured yet; the median of the made-up norm 500.'
		);
	});
});

describe('a level check of twenty questions', () => {
	const { skills, domains } = shippedFramework();
	const pool = itemPool(
		skills.map((skill) => ({ ...skill, domainId: domains.findIndex(({ code }) => code === skill.domain) }))
	);
	const random = seededRandom(18);
	const grade = { grade: 4, term: 2 };

	/** One check of a student at a level. */
	function check(id: number, truth: number, domainId: number) {
		const answers: { familyId: string; skillCode: string; domainId: number; response: ScoredResponse }[] = [];
		const own = pool.filter((item) => item.domainId === domainId);
		for (;;) {
			const next = nextQuestion({ id, level: grade, pool: own, as: 'level check', answers });
			if (!next) break;
			const response = { item: next.parameters, correct: random.chance(probabilityCorrect(truth, next.parameters)) };
			answers.push({ ...next, response });
		}
		return {
			answers,
			...estimateEap(
				answers.map(({ response }) => response),
				gradePrior(grade)
			)
		};
	}

	it('asks twenty of the domain, no family twice, and is about as sure as it says', () => {
		const domain = pool.find(({ skillCode }) => skillCode.startsWith('4'))?.domainId ?? pool[0].domainId;
		const levels = Array.from({ length: 120 }, () => expectedTheta(grade) + 1.1 * random.normal());
		const checks = levels.map((truth, i) => ({ truth, ...check(i + 1, truth, domain) }));
		for (const { answers } of checks) {
			expect(answers.length).toBe(LEVEL_CHECK_ITEMS);
			expect(new Set(answers.map(({ familyId }) => familyId)).size).toBe(LEVEL_CHECK_ITEMS);
		}
		const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
		const said = mean(checks.map(({ standardError }) => standardError));
		const found = Math.sqrt(mean(checks.map(({ theta, truth }) => (theta - truth) ** 2)));
		expect(said).toBeLessThan(0.45);
		expect(Math.abs(found - said)).toBeLessThan(0.08);
		// 90% bands hold the truth about that often: 108 of 120, give or take 3.3.
		const held = checks.filter(({ theta, standardError, truth }) => Math.abs(theta - truth) < 1.645 * standardError);
		expect(held.length).toBeGreaterThan(97);
	});
});
