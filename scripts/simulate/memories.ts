import type { Random } from '../../src/lib/core/random';

/** What a simulated student remembers of one skill. Days are counted from the term's first. */
export interface Memory {
	/** The chance of a right first try. */
	chanceRight(day: number): number;
	/** Whether it counts as still known: a share of right first tries of 70% or more. */
	isKnown(day: number): boolean;
	/** What answering a question, with its feedback, does to it. */
	answer(day: number, right: boolean): void;
}

/** A student, who gets a memory of each skill as it is learned. */
export type Student = () => Memory;

const LINE = 0.7;

/**
 * Half-lives (Settles & Meeder 2016): what is known halves in a time that a right answer makes longer, the more so the
 * nearer it was to being forgotten. Students and skills differ.
 */
export function halfLifeStudent(random: Random): Student {
	const student = 0.6 * random.normal();
	return () => {
		const first = Math.exp(Math.log(5) + student + 0.5 * random.normal());
		let [halfLife, last] = [first, 0];
		const known = (day: number) => 2 ** (-(day - last) / halfLife);
		const chanceRight = (day: number) => 0.07 + 0.89 * known(day);
		return {
			chanceRight,
			isKnown: (day) => chanceRight(day) >= LINE,
			answer(day, right) {
				const before = known(day);
				halfLife = right ? halfLife * (1 + 4 * (1 - before)) : Math.max(first / 2, halfLife / 3);
				last = day;
			}
		};
	};
}

/**
 * Traces that fade (Pavlik & Anderson 2005): each answer leaves a trace of activation that decays as a power of time,
 * the faster the more active the memory was when it was laid, so that answers close together are soon lost.
 */
export function fadingStudent(random: Random): Student {
	const student = 0.05 * random.normal();
	return () => {
		const slowest = Math.max(0.06, 0.13 + student + 0.04 * random.normal());
		const traces: { at: number; decay: number }[] = [];
		/** Hours count within a day; between days time runs as slowly as the authors found. */
		const activation = (day: number) => {
			const sum = traces.reduce((all, { at, decay }) => all + Math.max(1, (day - at) * 86_400 * 0.025) ** -decay, 0);
			return sum > 0 ? Math.log(sum) : -Infinity;
		};
		const chanceRight = (day: number) => 0.07 + 0.89 / (1 + Math.exp((-0.7 - activation(day)) / 0.255));
		return {
			chanceRight,
			isKnown: (day) => chanceRight(day) >= LINE,
			answer(day) {
				const before = activation(day);
				// A right answer and one that was put right both are a look at it.
				traces.push({ at: day, decay: slowest + (before > -Infinity ? 0.217 * Math.exp(Math.min(before, 1)) : 0) });
			}
		};
	};
}
