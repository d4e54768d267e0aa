import { describe, expect, it } from 'vitest';
import { estimateField, levelFor, rootCauses, shareAt, skillField, type FieldAnswer } from '.';

/** D needs B and C; B needs A. E is apart. */
const field = skillField([
	{ code: 'A', domain: 'X', difficulty: -0.6, prerequisites: [] },
	{ code: 'B', domain: 'X', difficulty: -0.3, prerequisites: ['A'] },
	{ code: 'C', domain: 'X', difficulty: -0.3, prerequisites: [] },
	{ code: 'D', domain: 'X', difficulty: 0, prerequisites: ['B', 'C'] },
	{ code: 'E', domain: 'X', difficulty: 0, prerequisites: [] }
]);
const answers = (marks: Record<string, string>): FieldAnswer[] =>
	Object.entries(marks).flatMap(([skill, own]) =>
		[...own].map((mark) => ({
			skill,
			item: { discrimination: 1.2, difficulty: field.skills[field.placeOf.get(skill)!].difficulty },
			correct: mark === '1',
			on: '2026-10-05'
		}))
	);
const causes = (marks: Record<string, string>, code = 'D') => {
	const estimate = estimateField(field, answers(marks), { mean: 0 });
	return { estimate, found: rootCauses(field, estimate, code) };
};

describe('root causes', () => {
	it('are prerequisites that are rather not mastered, each with the nearest way down', () => {
		const { found } = causes({ A: '0000', B: '000', C: '1111111111', D: '0000' });
		expect(found.map(({ way }) => way).sort()).toEqual([['B'], ['B', 'A']]);
		expect(causes({ A: '11111', B: '11111', C: '1111111111', D: '0000' }).found).toEqual([]);
		expect(causes({ E: '000' }, 'E').found).toEqual([]);
	});

	it('come by how much the skill would be raised were they mastered, by conditioning worked out anew', () => {
		const { estimate, found } = causes({ A: '0000', B: '000', C: '1111111111', D: '0000' });
		for (const { way, raise, share } of found) {
			const root = way.at(-1)!;
			const place = field.placeOf.get(root)!;
			const away = levelFor(0.7, field.skills[place].difficulty) - estimate.mean[place];
			const expected = (estimate.together('D', root) / estimate.standardError[place] ** 2) * away;
			expect(raise).toBeCloseTo(expected, 9);
			expect(share.now).toBeCloseTo(shareAt(estimate.mean[3], 0), 12);
			expect(share.then).toBeCloseTo(shareAt(estimate.mean[3] + expected, 0), 9);
		}
		expect(found.map(({ raise }) => raise)).toEqual(found.map(({ raise }) => raise).sort((a, b) => b - a));
	});

	it('agree with what the field says once the root is known to be there', () => {
		const marks = { A: '0000', B: '000', C: '1111111111', D: '0000' };
		const { estimate, found } = causes(marks);
		const { raise } = found.find(({ way }) => way.at(-1) === 'A')!;
		// A score-like observation of A alone, many right answers around its line, moves D about as much.
		const line = levelFor(0.7, -0.6);
		const many = Array.from({ length: 400 }, (_, n) => ({
			skill: 'A',
			item: { discrimination: 1.2, difficulty: line },
			correct: n % 2 === 0,
			on: '2026-10-05'
		}));
		const still = { ...field.constants, change: { sameDay: 0, anotherDay: 0, afterLong: 0 } };
		const calm = skillField(field.skills, still);
		const before = estimateField(calm, answers({ ...marks, A: '' }), { mean: 0 });
		const after = estimateField(calm, [...answers({ ...marks, A: '' }), ...many], { mean: 0 });
		const place = field.placeOf.get('A')!;
		const slope = (after.mean[3] - before.mean[3]) / (after.mean[place] - before.mean[place]);
		expect(raise / (line - estimate.mean[place])).toBeCloseTo(slope, 1);
	});

	it('know their own uncertainty as the diagonal of what goes together', () => {
		const { estimate } = causes({ A: '01', D: '110' });
		field.skills.forEach(({ code }, k) =>
			expect(Math.sqrt(estimate.together(code, code))).toBeCloseTo(estimate.standardError[k], 9)
		);
		expect(() => estimate.together('A', 'Z')).toThrow(RangeError);
		expect(() => rootCauses(field, estimate, 'Z')).toThrow(RangeError);
	});
});
