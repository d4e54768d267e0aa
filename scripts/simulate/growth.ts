/**
 * npm run simulate:growth: seven weekly probes of 16, and what they say of the probe five weeks later, in worlds in which students
 * grow otherwise than the model thinks; beside the regression of before.
 */
import { growthPosterior } from '../../src/lib/core/growth';
import { normalCdf } from '../../src/lib/core/measurement';
import { seededRandom } from '../../src/lib/core/random';
import { countOf, GROWTH_WORLDS, probeItems, sitProbe } from './growthWorlds';
import { regressionOfBefore } from './regressionOfBefore';

const STUDENTS = Number(process.argv[2] ?? 500);
const PROBES = 7;
const ITEMS = 16;
const GOAL = { week: 11, right: 14 };

/** A predictive distribution of the count, told before it was seen. */
interface Told {
	chances: number[];
	seen: number;
}

const share = <T>(all: T[], is: (one: T) => boolean) => all.filter(is).length / Math.max(1, all.length);
const ofGoal = ({ chances }: Told) => chances.slice(GOAL.right).reduce((sum, chance) => sum + chance, 0);
const isReached = ({ seen }: Told) => seen >= GOAL.right;

/** The counts between which 80% of the distribution lies: from the tenth percentile to the ninetieth. */
function interval({ chances }: Told): [number, number] {
	let sum = 0;
	const cumulative = chances.map((chance) => (sum += chance));
	return [cumulative.findIndex((at) => at >= 0.1), cumulative.findIndex((at) => at >= 0.9 - 1e-12)];
}

/** The ranked probability score of a count (Epstein 1969), over its range. */
function rankedScore({ chances, seen }: Told): number {
	let sum = 0;
	return (
		chances.reduce((total, chance, right) => {
			sum += chance;
			return total + (sum - (right >= seen ? 1 : 0)) ** 2;
		}, 0) / chances.length
	);
}

function summary(told: Told[]): string {
	const low = told.filter((one) => ofGoal(one) < 0.05);
	const high = told.filter((one) => ofGoal(one) > 0.95);
	const percent = (value: number) => `${Math.round(100 * value)}%`.padStart(4);
	return [
		`covered ${percent(share(told, (one) => one.seen >= interval(one)[0] && one.seen <= interval(one)[1]))}`,
		`Brier ${(told.reduce((sum, one) => sum + (ofGoal(one) - Number(isReached(one))) ** 2, 0) / told.length).toFixed(3)}`,
		`ranked ${(told.reduce((sum, one) => sum + rankedScore(one), 0) / told.length).toFixed(4)}`,
		`under 5%: ${String(low.length).padStart(3)}, reached ${percent(share(low, isReached))}`,
		`over 95%: ${String(high.length).padStart(3)}, reached ${percent(share(high, isReached))}`,
		`told under 20% or over 80%: ${percent(share(told, (one) => ofGoal(one) < 0.2 || ofGoal(one) > 0.8))}`,
		`in fact reached ${percent(share(told, isReached))}`
	].join('; ');
}

/** The regression of before, on counts of 8, as chances of each count of 16. */
function byRegression(counts: number[]): number[] {
	const points = counts.map((count, x) => ({ x, y: count / 2 }));
	const { mean, sd } = regressionOfBefore(points, GOAL.week);
	const under = (count: number) => normalCdf((count / 2 - mean) / sd);
	return Array.from({ length: ITEMS + 1 }, (_, n) =>
		n === 0 ? under(0.5) : n === ITEMS ? 1 - under(n - 0.5) : under(n + 0.5) - under(n - 0.5)
	);
}

console.log(
	`${STUDENTS} students a world, ${PROBES} weekly probes of ${ITEMS}; ${GOAL.right} of ${ITEMS} in week ${GOAL.week}, counted from 0`
);
const began = performance.now();
for (const [name, world] of Object.entries(GROWTH_WORLDS)) {
	const random = seededRandom(31);
	const model: Told[] = [];
	const regression: Told[] = [];
	for (let n = 0; n < STUDENTS; n++) {
		const levelIn = world(random);
		const items = probeItems(random, ITEMS);
		const series = Array.from({ length: PROBES }, (_, week) => sitProbe(random, levelIn, week, items));
		const seen = countOf(sitProbe(random, levelIn, GOAL.week, items));
		model.push({ chances: growthPosterior(series).predict(GOAL.week, items), seen });
		regression.push({ chances: byRegression(series.map(countOf)), seen });
	}
	console.log(`${name.padEnd(11)}model       ${summary(model)}`);
	console.log(`${''.padEnd(11)}regression  ${summary(regression)}`);
}
console.log(`${((performance.now() - began) / (4 * STUDENTS)).toFixed(1)} ms a student`);
