/**
 * npm run simulate:pooled: what is told of a probe five weeks after the last of seven, by how students of a school move as
 * learned from thirty of its series of ten probes, beside what is shipped, in worlds that are not the model's.
 */
import { GROWTH_PRIOR, growthPosterior, LEAST_SERIES, pooledMoves, usualPrior } from '../../src/lib/core/growth';
import { seededRandom } from '../../src/lib/core/random';
import { countOf, GROWTH_WORLDS, probeItems, sitProbe, type GrowthWorld } from './growthWorlds';

const OTHERS = 150;
const LEARNED_FROM = 10;
const TOLD_FROM = 7;
const WEEK = 11;

const worlds: Record<string, GrowthWorld> = {
	...GROWTH_WORLDS,
	'no growth'(random) {
		const level = -0.6 + 0.7 * random.normal();
		return () => level;
	}
};

/** Students of a world with so many weekly probes, and a later one. */
function students(world: GrowthWorld, count: number, seed: number, probes: number) {
	const random = seededRandom(seed);
	return Array.from({ length: count }, () => {
		const levelIn = world(random);
		const items = probeItems(random, 16);
		const series = Array.from({ length: probes }, (_, week) => sitProbe(random, levelIn, week, items));
		return { series, phases: [], items, later: countOf(sitProbe(random, levelIn, WEEK, items)) };
	});
}

// For each world the mean logarithm of the chance that was told of what came: the nearer to 0 the better.
console.log(`${OTHERS} students a world; mean logarithm of the chance told of the probe in week ${WEEK}`);
for (const [name, world] of Object.entries(worlds)) {
	const moves = pooledMoves(students(world, LEAST_SERIES, 7, LEARNED_FROM))!;
	const others = students(world, OTHERS, 8, TOLD_FROM);
	const told = (by: typeof moves) =>
		others.reduce(
			(sum, { series, items, later }) =>
				sum + Math.log(growthPosterior(series, usualPrior(series, by)).predict(WEEK, items)[later]),
			0
		) / OTHERS;
	const [pooled, shipped] = [told(moves), told(GROWTH_PRIOR)];
	console.log(
		`${name.padEnd(11)}shipped ${shipped.toFixed(3)}, pooled ${pooled.toFixed(3)} (weekly growth ${moves.slope.mean} ± ${moves.slope.sd}, jumps ${moves.jump.chance})`
	);
}
