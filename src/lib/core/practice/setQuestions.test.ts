import { describe, expect, it } from 'vitest';
import { extraDigits, familiesFor, itemFrom, itemsForSkill } from '../items/bank';
import { NO_VARIATION, USUAL_HOW } from './setPlan';
import { seedsOf, setQuestions, type SeededSkill } from './setQuestions';

const skill = (code: string, more: Partial<SeededSkill> = {}): SeededSkill => ({
	skillId: 1,
	code,
	firstSeed: 1_000,
	seeds: 100_000,
	practice: 5,
	checks: 0,
	hasExample: false,
	...more
});
const plain = { place: 0, variation: NO_VARIATION, older: [], olderSeed: 9_000 };
const keys = (questions: { familyId: string; seed: number }[]) =>
	questions.map(({ familyId, seed }) => `${familyId} ${seed}`);

describe('the questions of a set', () => {
	it('on one skill are its families in turn, from its seed on', () => {
		const questions = setQuestions([skill('F43')], USUAL_HOW, plain);
		expect(keys(questions)).toEqual(keys(itemsForSkill('F43', 5, 1_000)));
		expect(questions.map(({ help }) => help)).toEqual(Array(5).fill('second try'));
	});

	it('on several skills come in turn, with checks of each at the end and without help', () => {
		const questions = setQuestions(
			[skill('F43', { practice: 3, checks: 2 }), skill('F32', { firstSeed: 5_000, practice: 2 })],
			{ ...USUAL_HOW, secondTry: false },
			plain
		);
		expect(questions.map(({ skillCode, help }) => `${skillCode} ${help}`)).toEqual([
			...['F43 one try', 'F32 one try', 'F43 one try', 'F32 one try', 'F43 one try'],
			...['F43 told later', 'F43 told later']
		]);
		expect(new Set(keys(questions)).size).toBe(7);
	});

	it('have older ones among them, never first', () => {
		const questions = setQuestions([skill('F43', { practice: 6 })], USUAL_HOW, {
			...plain,
			older: ['W21', 'W31']
		});
		expect(questions.map(({ skillCode }) => skillCode)).toEqual([
			...['F43', 'F43', 'W21', 'F43', 'F43', 'W31', 'F43', 'F43']
		]);
		expect(questions[2].seed).toBe(9_000);
		expect(setQuestions([skill('F43', { practice: 1 })], USUAL_HOW, { ...plain, older: ['W21'] })[0].skillCode).toBe(
			'F43'
		);
	});

	it('are the same for all, or for each student others, within the seeds that a set takes', () => {
		const one = skill('F43', { checks: 2 });
		const ofPlaces = (ownQuestions: boolean) =>
			Array.from({ length: 30 }, (_, place) =>
				setQuestions([one], { ...USUAL_HOW, ownQuestions }, { ...plain, place })
			);
		expect(new Set(ofPlaces(false).flatMap(keys)).size).toBe(7);
		const own = ofPlaces(true);
		expect(new Set(own.flatMap(keys)).size).toBe(30 * 7);
		const seeds = own.flat().map(({ seed }) => seed);
		expect(Math.min(...seeds)).toBe(1_000);
		expect(Math.max(...seeds)).toBeLessThan(1_000 + 30 * seedsOf(one));
	});

	it('are those of the first again for whoever joins once all places are taken', () => {
		const one = skill('F43', { seeds: 2 * seedsOf({ practice: 5, checks: 0 }) });
		const at = (place: number) => keys(setQuestions([one], { ...USUAL_HOW, ownQuestions: true }, { ...plain, place }));
		expect(at(2)).toEqual(at(0));
		expect(at(3)).toEqual(at(1));
		expect(at(1)).not.toEqual(at(0));
	});

	it('are easier or harder for some by kind and by the size of numbers, and no others by accident', () => {
		for (const code of ['W41', 'F43', 'W31']) {
			expect(familiesFor(code).length).toBeGreaterThan(0);
			const digits = (families: 'easier' | 'harder' | null) => {
				const questions = setQuestions([skill(code, { practice: 8 })], USUAL_HOW, {
					...plain,
					variation: { practice: null, families }
				});
				expect(new Set(keys(questions)).size).toBe(8);
				expect(Math.max(...questions.map(({ seed }) => seed))).toBeLessThan(1_000 + 24);
				return questions.reduce((sum, { familyId, seed }) => sum + extraDigits(itemFrom(familyId, seed)), 0);
			};
			expect(digits('easier')).toBeLessThanOrEqual(digits(null));
			expect(digits('harder')).toBeGreaterThanOrEqual(digits('easier'));
		}
	});

	it('are fewer for some, shared out over the skills', () => {
		const questions = setQuestions([skill('F43', { practice: 8 }), skill('F32', { practice: 2 })], USUAL_HOW, {
			...plain,
			variation: { practice: 5, families: null }
		});
		expect(questions.map(({ skillCode }) => skillCode)).toEqual(['F43', 'F32', 'F43', 'F43', 'F43']);
	});

	it('cannot be made for a skill without any', () => {
		expect(() => setQuestions([skill('none')], USUAL_HOW, plain)).toThrow(RangeError);
	});
});
