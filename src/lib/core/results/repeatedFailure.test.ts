import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { firstToLast, isUnder, repeatedFailure, type SkillRun } from './repeatedFailure';

const run = (setId: number, right: number, attempt = 1, answered = 5): SkillRun => ({
	...{ setId, attempt, skillId: 1, answered, right, line: 80 }
});

describe('under the line again and again', () => {
	it('is so in three runs through one set, or in three sets on the skill', () => {
		expect(repeatedFailure([run(1, 3), run(1, 2, 2)])).toBeNull();
		expect(repeatedFailure([run(1, 3), run(1, 2, 2), run(1, 3, 3)])).toEqual({ why: 'one set', times: 3 });
		expect(repeatedFailure([run(1, 3), run(2, 2), run(3, 0)])).toEqual({ why: 'several sets', times: 3 });
		expect(repeatedFailure([run(1, 3), run(1, 3, 2), run(2, 2)])).toBeNull();
	});

	it('is over once the line was reached, and begins anew after it', () => {
		expect(repeatedFailure([run(1, 3), run(2, 2), run(3, 0), run(4, 4)])).toBeNull();
		expect(repeatedFailure([run(1, 3), run(2, 2), run(3, 4), run(4, 0)])).toBeNull();
		expect(repeatedFailure([run(1, 4), run(2, 2), run(3, 3), run(4, 0)])).toMatchObject({ times: 3 });
	});

	it('goes by the line of each set; exactly on it is not under it', () => {
		expect(isUnder({ right: 4, answered: 5, line: 80 })).toBe(false);
		expect(isUnder({ right: 2, answered: 3, line: 67 })).toBe(true);
		expect(isUnder({ right: 2, answered: 3, line: 66 })).toBe(false);
	});

	it('counts no run without an answer', () => {
		expect(repeatedFailure([run(1, 0, 1, 0), run(2, 0, 1, 0), run(3, 0, 1, 0)])).toBeNull();
		expect(repeatedFailure([])).toBeNull();
	});

	it('agrees with counting backward, whatever came', () => {
		const random = seededRandom(88);
		let found = 0;
		for (let i = 0; i < 500; i++) {
			const runs = Array.from({ length: random.integer(0, 8) }, (_, at) =>
				run(random.integer(1, 4), random.integer(0, 5), at + 1)
			);
			const under: SkillRun[] = [];
			for (const one of [...runs].reverse()) {
				if (one.right / one.answered >= 0.8) break;
				under.push(one);
			}
			const sets = [...new Set(under.map(({ setId }) => setId))];
			const most = Math.max(0, ...sets.map((set) => under.filter(({ setId }) => setId === set).length));
			const expected =
				sets.length >= 3
					? { why: 'several sets', times: sets.length }
					: most >= 3
						? { why: 'one set', times: most }
						: null;
			expect(repeatedFailure(runs)).toEqual(expected);
			if (expected) found++;
		}
		expect(found).toBeGreaterThan(50);
	});
});

describe('the first and the last run', () => {
	it('are of those with an answer', () => {
		const runs = [run(1, 0, 1, 0), run(2, 1), run(3, 5), run(4, 0, 1, 0)];
		expect(firstToLast(runs)).toEqual({ first: runs[1], last: runs[2] });
		expect(firstToLast([run(2, 1)])).toEqual({ first: run(2, 1), last: run(2, 1) });
		expect(firstToLast([run(1, 0, 1, 0)])).toBeNull();
	});
});
