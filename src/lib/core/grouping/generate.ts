import { seededRandom } from '../random';
import type { GroupingProblem } from './problem';

/** A made-up problem of a given size, as a mid-cycle school would have it; for tests and benchmarks. */
export function generateProblem(
	size: { students: number; slots: number; focuses: number },
	seed: number
): GroupingProblem {
	const random = seededRandom(seed);
	const slots = Array.from({ length: size.slots }, (_, s) => ({
		id: `slot ${s}`,
		...(random.chance(0.4) ? { tier: random.chance(0.6) ? (2 as const) : (3 as const) } : {})
	}));
	const students = Array.from({ length: size.students }, (_, i) => {
		const tier = random.chance(0.7) ? (2 as const) : (3 as const);
		const center = random.integer(0, size.focuses - 1);
		const needs: Record<string, number> = {};
		for (let k = 0; k < random.integer(2, 6); k++) {
			const focus = Math.min(size.focuses - 1, Math.max(0, center + random.integer(-3, 3)));
			needs[`focus ${focus}`] = Math.round(1_000 * random.unit() * (tier === 3 ? 1.5 : 1)) / 1_000;
		}
		return {
			id: `student ${i}`,
			tier,
			needs,
			available: slots.filter(() => random.chance(0.5)).map((slot) => slot.id)
		};
	});
	const pair = (): [string, string] => {
		const [a, b] = random.shuffle(students).slice(0, 2);
		return [a.id, b.id];
	};
	const few = (most: number) => Array.from({ length: size.students < 2 ? 0 : random.integer(0, most) }, pair);
	return {
		students,
		slots,
		sizes: { 2: { minimum: 3, maximum: 6 }, 3: { minimum: 1, maximum: 3 } },
		apart: few(Math.ceil(size.students / 20)),
		together: few(Math.ceil(size.students / 40))
	};
}
