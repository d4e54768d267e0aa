import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nextInPool, type PoolQuestion } from './nextInPool';

const pool = (families: string[]): PoolQuestion[] =>
	families.map((familyId, position) => ({ position, familyId, right: null }));

/** Asks until nothing follows. @returns positions in the order they were asked, with what became of them */
function run(questions: PoolQuestion[], untilRight: number, answer: (position: number) => boolean) {
	const asked: { position: number; right: boolean }[] = [];
	for (;;) {
		const next = nextInPool(questions, untilRight, asked.at(-1)?.position ?? null);
		if (next === null) return asked;
		const right = answer(next);
		asked.push({ position: next, right });
		questions = questions.map((one) => (one.position === next ? { ...one, right } : one));
	}
}

describe('a set that ends once enough are right', () => {
	const families = fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: 1, maxLength: 15 });

	it('asks nothing twice, ends at the number or at its most, and goes on the same after a pause', () => {
		fc.assert(
			fc.property(families, fc.integer({ min: 1, max: 10 }), fc.func(fc.boolean()), (kinds, untilRight, answer) => {
				const asked = run(pool(kinds), untilRight, answer);
				expect(new Set(asked.map(({ position }) => position)).size).toBe(asked.length);
				const right = asked.filter((one) => one.right).length;
				expect(right === untilRight || asked.length === kinds.length).toBe(true);
				expect(right).toBeLessThanOrEqual(untilRight);
				if (right === untilRight) expect(asked.at(-1)!.right).toBe(true);
			})
		);
	});

	it('asks another of the same kind after a miss, and else of the kind that was asked least', () => {
		const asked = run(pool(['a', 'b', 'c', 'a', 'b', 'c']), 4, (position) => position !== 1);
		expect(asked.map(({ position }) => position)).toEqual([0, 1, 4, 2, 3]);
	});

	it('goes on in the order of the pool where the kind has run out', () => {
		const asked = run(pool(['a', 'b']), 2, () => false);
		expect(asked.map(({ position }) => position)).toEqual([0, 1]);
	});
});
