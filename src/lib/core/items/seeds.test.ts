import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	adaptiveSeed,
	CHECK_ITEMS,
	checkSeed,
	FIRST_PRACTICE_SEED,
	formSeed,
	ownSeed,
	probeSeeds,
	SAMPLE_SEED,
	SEED_RANGES,
	warmUpSeed,
	type SeedUse
} from './seeds';

/** Ids as tables give them. */
const anId = fc.integer({ min: 1, max: 4_294_967_295 });
const small = (max: number) => fc.integer({ min: 0, max });

/** All seeds that one asking uses, and what for. */
const asked: fc.Arbitrary<{ use: SeedUse; seeds: number[] }> = fc.oneof(
	small(400_000_000).map((place) => ({ use: 'practice' as const, seeds: [FIRST_PRACTICE_SEED + place] })),
	small(60).map((place) => ({ use: 'sample' as const, seeds: [SAMPLE_SEED + place] })),
	small(9_999).map((place) => ({ use: 'warmUp' as const, seeds: [warmUpSeed(place)] })),
	fc
		.tuple(anId, fc.integer({ min: 1, max: 9 }), small(200))
		.map(([id, attempt, i]) => ({ use: 'form' as const, seeds: [formSeed(id, attempt) + i] })),
	fc.tuple(anId, fc.integer({ min: 1, max: 60 })).map(([id, week]) => ({
		use: 'probe' as const,
		seeds: probeSeeds(id, week).slice(0, 40)
	})),
	anId.map((id) => ({
		use: 'check' as const,
		seeds: Array.from({ length: CHECK_ITEMS }, (_, i) => checkSeed(id) + i)
	})),
	fc
		.tuple(anId, fc.integer({ min: 1, max: 49 }))
		.map(([id, position]) => ({ use: 'adaptive' as const, seeds: [adaptiveSeed(id, position)] })),
	fc.tuple(anId, small(20_000)).map(([id, asked]) => ({ use: 'own' as const, seeds: [ownSeed(id, asked)] }))
);

describe('seeds of questions', () => {
	it('lie in ranges that do not meet and fit into 32 bits', () => {
		const ranges = Object.values(SEED_RANGES).sort((a, b) => a.from - b.from);
		ranges.forEach(({ from, until }, i) => {
			expect(from).toBeLessThan(until);
			expect(until).toBeLessThanOrEqual(ranges[i + 1]?.from ?? 2 ** 32);
		});
	});

	it('never repeat, in one use, a question of another', () => {
		fc.assert(
			fc.property(asked, asked, (one, other) => {
				for (const seed of one.seeds) {
					expect(seed).toBeGreaterThanOrEqual(SEED_RANGES[one.use].from);
					expect(seed).toBeLessThan(SEED_RANGES[one.use].until);
				}
				if (one.use !== other.use) expect(one.seeds.filter((seed) => other.seeds.includes(seed))).toEqual([]);
			}),
			{ numRuns: 2_000 }
		);
	});

	it('are others each time that a student meets a skill of themselves', () => {
		fc.assert(
			fc.property(anId, (id) => {
				const seeds = Array.from({ length: 5_000 }, (_, asked) => ownSeed(id, asked));
				expect(new Set(seeds).size).toBe(seeds.length);
			}),
			{ numRuns: 20 }
		);
	});

	it('are others for each window, plan, check and sitting of a district’s years', () => {
		const plans = Array.from({ length: 400 }, (_, i) => i * 1_249 + 1);
		const seeds = plans.flatMap((id) => probeSeeds(id, 1));
		expect(new Set(seeds).size).toBe(seeds.length);
		const sittings = Array.from({ length: 400 }, (_, i) => i * 99_991 + 1);
		const own = sittings.flatMap((id) => Array.from({ length: 40 }, (_, i) => adaptiveSeed(id, i + 1)));
		expect(new Set(own).size).toBe(own.length);
	});

	it('of a plan are the same for each of its probes, begun elsewhere', () => {
		fc.assert(
			fc.property(anId, fc.integer({ min: 1, max: 60 }), (id, number) => {
				const [one, next] = [probeSeeds(id, number), probeSeeds(id, number + 1)];
				expect(new Set([...one, ...next]).size).toBe(one.length);
				expect(next[0]).not.toBe(one[0]);
			}),
			{ numRuns: 50 }
		);
	});
});
