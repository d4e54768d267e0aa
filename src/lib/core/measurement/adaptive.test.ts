import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { ADAPTIVE_RULES, chooseItem, isAdaptiveDone, type PoolItem, type Profile } from '.';

/** Three domains of 20 skills with two families each, from −2 to 2 logits. */
const pool: PoolItem<string>[] = ['a', 'b', 'c'].flatMap((domainId) =>
	Array.from({ length: 40 }, (_, i) => ({
		familyId: `${domainId}${i}`,
		skillCode: `${domainId}-skill-${Math.floor(i / 2)}`,
		domainId,
		parameters: { discrimination: 1.2, difficulty: -2 + (4 * Math.floor(i / 2)) / 19 }
	}))
);
const profileAt = (theta: number, standardError = 1): Profile<string> => ({
	overall: { theta, standardError },
	domains: new Map(['a', 'b', 'c'].map((domain) => [domain, { theta, standardError }]))
});

/** What a sitting asks of a student whose estimate stays where it is. */
function asks(theta: number, count: number, seed: number, rules = ADAPTIVE_RULES): PoolItem<string>[] {
	const random = seededRandom(seed);
	const asked: PoolItem<string>[] = [];
	while (asked.length < count) asked.push(chooseItem(pool, asked, profileAt(theta), random, rules)!);
	return asked;
}

describe('the next question', () => {
	it('is the one that tells most, when chance may not choose', () => {
		const rules = { ...ADAPTIVE_RULES, nearlyAsGood: 1 };
		const [first] = asks(0.6, 1, 1, rules);
		const nearest = Math.min(...pool.map(({ parameters }) => Math.abs(parameters.difficulty - 0.6)));
		expect(Math.abs(first.parameters.difficulty - 0.6)).toBeCloseTo(nearest, 12);
	});

	it('keeps the domains within the lead of each other, at every point of the sitting', () => {
		for (const seed of [1, 2, 3]) {
			const counts = new Map(['a', 'b', 'c'].map((domain) => [domain, 0]));
			for (const { domainId } of asks(-0.4, 40, seed)) {
				counts.set(domainId, counts.get(domainId)! + 1);
				expect(Math.max(...counts.values()) - Math.min(...counts.values())).toBeLessThanOrEqual(ADAPTIVE_RULES.lead);
			}
		}
	});

	it('is never of a family asked before, nor of a skill asked twice or just now', () => {
		const asked = asks(0, 40, 7);
		expect(new Set(asked.map(({ familyId }) => familyId)).size).toBe(40);
		asked.forEach(({ skillCode }, i) => {
			expect(asked.filter((item) => item.skillCode === skillCode).length).toBeLessThanOrEqual(2);
			expect(asked[i - 1]?.skillCode).not.toBe(skillCode);
		});
	});

	it('comes back to a skill asked once more often than chance would', () => {
		const twice = (worthPairing: number) => {
			let count = 0;
			for (const seed of [1, 2, 3, 4, 5]) {
				const asked = asks(0, 30, seed, { ...ADAPTIVE_RULES, worthPairing });
				count += asked.length - new Set(asked.map(({ skillCode }) => skillCode)).size;
			}
			return count;
		};
		expect(twice(ADAPTIVE_RULES.worthPairing)).toBeGreaterThan(twice(2) + 5);
	});

	it('differs between students, and is the same again for the same draw', () => {
		const first = (seed: number) => asks(0, 12, seed).map(({ familyId }) => familyId);
		expect(first(1)).toEqual(first(1));
		expect(first(1)).not.toEqual(first(2));
	});

	it('is null when the pool is used up, and repeats a skill in a row before that', () => {
		const few = pool.slice(0, 2);
		const random = seededRandom(1);
		const first = chooseItem(few, [], profileAt(0), random)!;
		const second = chooseItem(few, [first], profileAt(0), random)!;
		expect(second.skillCode).toBe(first.skillCode);
		expect(chooseItem(few, [first, second], profileAt(0), random)).toBeNull();
	});
});

describe('the end of a sitting', () => {
	it('comes at the target error, but not before the minimum, and at the maximum in any case', () => {
		const { minimum, maximum, targetError } = ADAPTIVE_RULES;
		expect(isAdaptiveDone(minimum - 1, profileAt(0, 0.1))).toBe(false);
		expect(isAdaptiveDone(minimum, profileAt(0, targetError))).toBe(true);
		expect(isAdaptiveDone(minimum, profileAt(0, targetError + 0.01))).toBe(false);
		expect(isAdaptiveDone(maximum, profileAt(0, 9))).toBe(true);
	});
});
