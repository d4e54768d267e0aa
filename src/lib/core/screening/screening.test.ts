import { describe, expect, it } from 'vitest';
import { shippedFramework } from '../../../../framework/shipped';
import { familyFormat } from '../items/bank';
import { ADAPTIVE_RULES, expectedTheta } from '../measurement';
import { seededRandom } from '../random';
import {
	benchmarkBand,
	classwideNeed,
	defaultCutScore,
	drawAbilities,
	fixedForm,
	isEnoughForToday,
	itemPool,
	nextQuestion,
	RESIT_ITEMS,
	SCREENING_STATUSES,
	screeningStatus,
	simulateSitting,
	warmUpItems,
	type AdaptiveSitting,
	type WindowStanding
} from '.';
import { cellFrom } from '../../../../tests/packedRow';
import { formLength } from './form';

describe('benchmark', () => {
	it('calls a score near the line whenever one standard error either way crosses it', () => {
		expect(benchmarkBand(480, 8, 490)).toBe('below');
		expect(benchmarkBand(483, 8, 490)).toBe('near');
		expect(benchmarkBand(497, 8, 490)).toBe('near');
		expect(benchmarkBand(498, 8, 490)).toBe('above');
	});

	it('starts two terms under the expected median: 483 for 4·2', () => {
		expect(defaultCutScore(4, 2)).toBe(483);
		expect(defaultCutScore(5, 1)).toBe(500);
	});
});

describe('class-wide need', () => {
	const of = (gaps: number, secure: number, unseen = 0) =>
		classwideNeed([
			...Array(gaps).fill(cellFrom('g8')),
			...Array(secure).fill(cellFrom('s8')),
			...Array(unseen).fill(cellFrom('U1'))
		]);

	it('begins at 60% of those with evidence and is firm at 80%', () => {
		expect(of(5, 5)).toMatchObject({ advice: 'none' });
		expect(of(6, 4, 12)).toEqual({ lacking: 6, withEvidence: 10, advice: 'whole class' });
		expect(of(8, 2)).toMatchObject({ advice: 'whole class, firm' });
	});

	it('says nothing from fewer than five students with evidence', () => {
		expect(of(4, 0)).toMatchObject({ advice: 'none', withEvidence: 4 });
	});
});

describe('the fixed form', () => {
	const framework = shippedFramework();
	const skills = framework.skills.map((skill) => ({
		...skill,
		domainId: framework.domains.findIndex((d) => d.code === skill.domain)
	}));

	it.each([1, 2, 3, 4, 5, 6, 7, 8])('has 24 items for grade %i: two of each of two skills in every domain', (grade) => {
		const form = fixedForm(skills, { grade, term: 2 }, 1_000);
		expect(form.length).toBe(24);
		expect([0, 1, 4, 5, 6].map(formLength)).toEqual([0, 24, 24, 20, 24]);
		const perSkill = new Map<string, number>();
		for (const item of form) perSkill.set(item.skillCode, (perSkill.get(item.skillCode) ?? 0) + 1);
		expect([...perSkill.values()]).toEqual(Array(12).fill(2));
		const perDomain = new Map<number, number>();
		for (const code of perSkill.keys()) {
			const { domainId } = skills.find((skill) => skill.code === code)!;
			perDomain.set(domainId, (perDomain.get(domainId) ?? 0) + 1);
		}
		expect([...perDomain.values()]).toEqual([2, 2, 2, 2, 2, 2]);
	});

	it('asks older students for later skills, and begins with easier ones', () => {
		const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;
		const levels = (grade: number) =>
			fixedForm(skills, { grade, term: 2 }, 0).map((item) =>
				expectedTheta(skills.find((s) => s.code === item.skillCode)!)
			);
		expect(mean(levels(6))).toBeGreaterThan(mean(levels(4)) + 1);
		expect(mean(levels(5).slice(0, 8))).toBeLessThan(mean(levels(5).slice(16)));
	});

	it('leaves out skills for which there are no questions', () => {
		const bare = { code: 'Z99', domainId: 0, grade: 4, term: 1 };
		const form = fixedForm([bare, ...skills], { grade: 4, term: 2 }, 0);
		expect(form).toEqual(fixedForm(skills, { grade: 4, term: 2 }, 0));
	});

	it('shares no item between windows', () => {
		const faces = (seed: number) =>
			fixedForm(skills, { grade: 4, term: 2 }, seed).map((item) => `${item.familyId} ${item.seed}`);
		const first = new Set(faces(1_000));
		expect(faces(2_000).some((face) => first.has(face))).toBe(false);
	});
});

describe('the status in a window', () => {
	const of = (change: Partial<WindowStanding> = {}) => screeningStatus({ sources: [], asked: true, ...change });

	it('goes from not started over under way to finished', () => {
		expect(of()).toBe('not started');
		expect(of({ sitting: { trust: 'open' } })).toBe('under way');
		expect(of({ sitting: { trust: 'trusted' }, sources: ['diagnostic', 'diagnostic'] })).toBe('finished');
		expect(of({ sitting: { trust: 'kept' }, sources: ['diagnostic'] })).toBe('finished');
		expect(of({ note: 'absent', sources: ['teacher-given'] })).toBe('finished');
	});

	it('asks for another look at a flagged sitting before anything else is said', () => {
		expect(of({ sitting: { trust: 'flagged' } })).toBe('needs another look');
		expect(of({ sitting: { trust: 'flagged' }, sources: ['district test'] })).toBe('needs another look');
		expect(of({ sitting: { trust: 'flagged' }, note: 'excused' })).toBe('needs another look');
	});

	it('lets a score from elsewhere stand in for a diagnostic that was set aside or never sat', () => {
		expect(of({ sitting: { trust: 'set aside' } })).toBe('to sit again');
		expect(of({ sitting: { trust: 'resit' } })).toBe('to sit again');
		expect(of({ sitting: { trust: 'set aside' }, sources: ['district test'] })).toBe('from a file');
		expect(of({ sources: ['district test'] })).toBe('from a file');
		expect(of({ sources: ['district test', 'diagnostic'] })).toBe('finished');
	});

	it('says why somebody is missing, unless there is a sitting after all', () => {
		expect(of({ note: 'absent' })).toBe('absent');
		expect(of({ note: 'absent', sitting: { trust: 'open' } })).toBe('under way');
		expect(of({ note: 'excused', sitting: { trust: 'open' } })).toBe('excused');
		expect(of({ asked: false })).toBe('not in this window');
		expect(of({ asked: false, sources: ['diagnostic'] })).toBe('finished');
	});

	it('is always one that can be chosen as a filter', () => {
		for (const trust of ['open', 'trusted', 'flagged', 'kept', 'set aside', 'resit'] as const)
			for (const sources of [[], ['diagnostic'], ['x']])
				for (const note of ['absent', 'excused', null] as const)
					for (const asked of [true, false])
						expect(SCREENING_STATUSES).toContain(screeningStatus({ sitting: { trust }, sources, note, asked }));
	});
});

describe('enough for one day', () => {
	const usual = { timeFactor: 1, itemsADay: null };

	it('is 40 minutes of answering, longer for those who get more time', () => {
		expect(isEnoughForToday({ answers: 20, milliseconds: 39 * 60_000 }, usual)).toBe(false);
		expect(isEnoughForToday({ answers: 20, milliseconds: 40 * 60_000 }, usual)).toBe(true);
		expect(isEnoughForToday({ answers: 20, milliseconds: 59 * 60_000 }, { ...usual, timeFactor: 1.5 })).toBe(false);
	});

	it('is a student’s own number of questions, whatever time they took', () => {
		expect(isEnoughForToday({ answers: 10, milliseconds: 1 }, { ...usual, itemsADay: 10 })).toBe(true);
		expect(isEnoughForToday({ answers: 9, milliseconds: 1 }, { ...usual, itemsADay: 10 })).toBe(false);
	});
});

describe('an adaptive sitting', () => {
	const framework = shippedFramework();
	const skills = framework.skills.map((skill) => ({
		...skill,
		domainId: framework.domains.findIndex((d) => d.code === skill.domain)
	}));
	const pool = itemPool(skills);
	const level = { grade: 4, term: 2 };

	/** Takes a whole sitting with every answer right or wrong by its place. */
	function take(id: number, right: (position: number) => boolean, change: Partial<AdaptiveSitting> = {}) {
		const answers: AdaptiveSitting['answers'] = [];
		for (;;) {
			const next = nextQuestion({ id, level, pool, as: 'diagnostic', ...change, answers });
			if (!next) return answers;
			answers.push({ ...next, response: { item: next.parameters, correct: right(answers.length) } });
		}
	}
	const meanDifficulty = (answers: AdaptiveSitting['answers']) =>
		answers.reduce((sum, { response }) => sum + response.item.difficulty, 0) / answers.length;

	it('has 25 to 40 questions of every domain, none of a family twice', () => {
		for (const [id, right] of [
			[1, () => true],
			[2, () => false],
			[3, (position: number) => position % 2 === 0]
		] as const) {
			const answers = take(id, right);
			expect(answers.length).toBeGreaterThanOrEqual(25);
			expect(answers.length).toBeLessThanOrEqual(40);
			expect(new Set(answers.map(({ domainId }) => domainId)).size).toBe(6);
			expect(new Set(answers.map(({ familyId }) => familyId)).size).toBe(answers.length);
		}
	});

	it('follows the student up and down', () => {
		const [strong, weak] = [take(1, () => true), take(1, () => false)];
		expect(meanDifficulty(strong.slice(-8))).toBeGreaterThan(meanDifficulty(strong.slice(0, 8)) + 1);
		expect(meanDifficulty(weak.slice(-8))).toBeLessThan(meanDifficulty(weak.slice(0, 8)) - 1);
	});

	it('begins where the last sitting ended', () => {
		const first = (theta?: number) => {
			const previous = theta === undefined ? undefined : { theta, standardError: 0.33 };
			return nextQuestion({ id: 5, level, pool, as: 'diagnostic', previous, answers: [] })!.parameters.difficulty;
		};
		expect(first(-2)).toBeLessThan(first() - 0.8);
		expect(first(2)).toBeGreaterThan(first() + 0.8);
	});

	it('goes on in the same way whoever asks, and differently for another student', () => {
		const families = (id: number) => take(id, (position) => position % 3 > 0).map(({ familyId }) => familyId);
		expect(families(8)).toEqual(families(8));
		expect(families(8)).not.toEqual(families(9));
	});

	it('of one domain again has eight questions of it', () => {
		const one = pool.filter(({ domainId }) => domainId === 2);
		const answers = take(4, (position) => position % 2 > 0, { pool: one, as: 'resit' });
		expect(answers.length).toBe(RESIT_ITEMS);
		expect(new Set(answers.map(({ domainId }) => domainId))).toEqual(new Set([2]));
	});

	it('ends at once where a school has no questions', () => {
		expect(nextQuestion({ id: 1, level, pool: [], as: 'diagnostic', answers: [] })).toBeNull();
	});
});

describe('the warm-up', () => {
	const skills = shippedFramework().skills.map((skill) => ({ ...skill, domainId: 1 }));

	it('asks one to choose and one to type, easier than the grade, the same each time', () => {
		for (let grade = 1; grade <= 8; grade++) {
			const items = warmUpItems(skills, { grade, term: 2 }, 77);
			expect(items.map(({ familyId }) => familyFormat(familyId).kind)).toEqual(['choice', 'number']);
			for (const { skillCode } of items)
				expect(skills.find(({ code }) => code === skillCode)!.grade).toBeLessThanOrEqual(Math.max(2, grade - 1));
			expect(warmUpItems(skills, { grade, term: 2 }, 77)).toEqual(items);
		}
	});
});

describe('simulated screening', () => {
	const framework = shippedFramework();
	const pool = itemPool(
		framework.skills.map((skill) => ({
			...skill,
			domainId: framework.domains.findIndex((d) => d.code === skill.domain)
		}))
	);
	const domains = framework.domains.map((_, i) => i);

	it('finds abilities as well as it claims, in sittings of about the usual length', () => {
		const random = seededRandom(21);
		const STUDENTS = 240;
		let [squares, claimed, bias, length] = [0, 0, 0, 0];
		for (let n = 0; n < STUDENTS; n++) {
			const level = { grade: 2 + (n % 6), term: 2 };
			const truth = drawAbilities(domains, level, random);
			const { profile, asked } = simulateSitting(truth, level, pool, ADAPTIVE_RULES, random);
			const error = profile.overall.theta - [...truth.values()].reduce((a, b) => a + b) / domains.length;
			squares += error ** 2 / STUDENTS;
			bias += error / STUDENTS;
			claimed += profile.overall.standardError ** 2 / STUDENTS;
			length += asked.length / STUDENTS;
		}
		expect(Math.abs(bias)).toBeLessThan(0.07);
		expect(Math.sqrt(squares / claimed)).toBeGreaterThan(0.87);
		expect(Math.sqrt(squares / claimed)).toBeLessThan(1.13);
		expect(Math.abs(length - 32)).toBeLessThan(1.5);
	}, 30_000);
});
