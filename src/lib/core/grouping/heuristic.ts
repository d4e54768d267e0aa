import type { IndexedProblem } from './problem';

/** A group being built: indexes into the problem. */
export interface Seating {
	focus: number;
	tier: 2 | 3;
	members: number[];
}

/** One place for each slot; null where no group is held. */
export type Arrangement = (Seating | null)[];

export function worth(problem: IndexedProblem, arrangement: Arrangement): number {
	let sum = 0;
	for (const seating of arrangement)
		if (seating) for (const i of seating.members) sum += problem.needs[i][seating.focus];
	return sum;
}

/**
 * Students come as units that must not be split (those kept together); a unit is seated whole or not at all. `null`
 * when the unit can never be seated: tiers differ, or two of it must be apart.
 */
function unitsOf(problem: IndexedProblem): number[][] {
	const done = new Set<number>();
	const units: number[][] = [];
	problem.tiers.forEach((tier, i) => {
		if (done.has(i)) return;
		const unit = [i, ...problem.together[i]];
		unit.forEach((member) => done.add(member));
		const sound = unit.every((a) => problem.tiers[a] === tier && unit.every((b) => !problem.apart[a].includes(b)));
		if (sound) units.push(unit);
	});
	return units;
}

/**
 * The best members for one slot, tier and focus: units by worth a head, as long as they fit. Sizes are respected, or
 * the result is null.
 *
 * @param price worth subtracted for each student, 0 for none
 * @param open whether a student may still join a group
 */
function bestSeating(
	problem: IndexedProblem,
	units: number[][],
	slot: number,
	tier: 2 | 3,
	focus: number,
	open: (student: number) => boolean
): { seating: Seating; value: number } | null {
	const { minimum, maximum } = problem.source.sizes[tier];
	const { needs, isFree, apart } = problem;
	const candidates: { unit: number[]; value: number }[] = [];
	for (const unit of units) {
		if (problem.tiers[unit[0]] !== tier) continue;
		let value = 0;
		let able = true;
		for (const i of unit) {
			if (!isFree[slot][i] || needs[i][focus] <= 0 || !open(i)) {
				able = false;
				break;
			}
			value += needs[i][focus];
		}
		if (able) candidates.push({ unit, value });
	}
	candidates.sort((a, b) => b.value / b.unit.length - a.value / a.unit.length);
	const members: number[] = [];
	let value = 0;
	for (const candidate of candidates) {
		if (members.length + candidate.unit.length > maximum) continue;
		if (candidate.unit.some((i) => apart[i].some((other) => members.includes(other)))) continue;
		members.push(...candidate.unit);
		value += candidate.value;
		if (members.length === maximum) break;
	}
	return members.length >= minimum ? { seating: { focus, tier, members }, value } : null;
}

/** Keeps count of the groups each student is in. */
function seatCounts(problem: IndexedProblem, arrangement: Arrangement, except = -1): number[] {
	const counts = problem.tiers.map(() => 0);
	arrangement.forEach((seating, slot) => {
		if (seating && slot !== except) for (const i of seating.members) counts[i]++;
	});
	return counts;
}

/** Fills empty slots one after another, each time with the group that is worth most. */
function fillGreedily(problem: IndexedProblem, units: number[][], arrangement: Arrangement): Arrangement {
	const counts = seatCounts(problem, arrangement);
	const open = (i: number) => counts[i] < problem.maximumGroups[i];
	for (;;) {
		let best: { slot: number; seating: Seating; value: number } | null = null;
		arrangement.forEach((taken, slot) => {
			if (taken) return;
			for (const tier of problem.slotTiers[slot]) {
				for (let focus = 0; focus < problem.focusIds.length; focus++) {
					const found = bestSeating(problem, units, slot, tier, focus, open);
					if (found && (!best || found.value > best.value + 1e-12)) best = { slot, ...found };
				}
			}
		});
		if (!best) return arrangement;
		const { slot, seating } = best as { slot: number; seating: Seating };
		arrangement[slot] = seating;
		for (const i of seating.members) counts[i]++;
	}
}

/** Seats units that are left wherever a group has room for them, and moves units to groups that need them more. */
function moveStudents(problem: IndexedProblem, units: number[][], arrangement: Arrangement): boolean {
	let improved = false;
	const counts = seatCounts(problem, arrangement);
	const gain = (unit: number[], seating: Seating) => unit.reduce((sum, i) => sum + problem.needs[i][seating.focus], 0);
	const fits = (unit: number[], slot: number, leaving: number[] = []) => {
		const seating = arrangement[slot]!;
		const staying = seating.members.filter((i) => !leaving.includes(i));
		return (
			seating.tier === problem.tiers[unit[0]] &&
			staying.length + unit.length <= problem.source.sizes[seating.tier].maximum &&
			unit.every(
				(i) =>
					problem.isFree[slot][i] &&
					problem.needs[i][seating.focus] > 0 &&
					!staying.includes(i) &&
					!problem.apart[i].some((other) => staying.includes(other))
			)
		);
	};
	const held = arrangement.flatMap((seating, slot) => (seating ? [slot] : []));
	const put = (unit: number[], from: number | null, to: number) => {
		if (from !== null) arrangement[from]!.members = arrangement[from]!.members.filter((i) => !unit.includes(i));
		else unit.forEach((i) => counts[i]++);
		arrangement[to]!.members.push(...unit);
		improved = true;
	};
	for (const unit of units) {
		const places = held.filter((slot) => arrangement[slot]!.members.includes(unit[0]));
		const sources: (number | null)[] = [...places];
		if (unit.every((i) => counts[i] < problem.maximumGroups[i])) sources.unshift(null);
		for (const from of sources) {
			if (from !== null && !arrangement[from]!.members.includes(unit[0])) continue;
			const now = from === null ? 0 : gain(unit, arrangement[from]!);
			const canLeave =
				from === null ||
				arrangement[from]!.members.length - unit.length >= problem.source.sizes[arrangement[from]!.tier].minimum;
			for (const to of held) {
				if (to === from || arrangement[to]!.members.includes(unit[0])) continue;
				if (gain(unit, arrangement[to]!) <= now + 1e-9) continue;
				if (canLeave && fits(unit, to)) {
					put(unit, from, to);
					break;
				}
				const other = exchangeFor(unit, from, to, now);
				if (other) {
					put(unit, from, to);
					if (from !== null) put(other, to, from);
					else {
						arrangement[to]!.members = arrangement[to]!.members.filter((i) => !other.includes(i));
						other.forEach((i) => counts[i]--);
					}
					break;
				}
			}
		}
	}
	return improved;

	/** A unit in `to` that can change places with `unit` so that the sum of needs met grows. */
	function exchangeFor(unit: number[], from: number | null, to: number, now: number): number[] | null {
		for (const other of units) {
			if (other.length !== unit.length || !arrangement[to]!.members.includes(other[0])) continue;
			const before = now + gain(other, arrangement[to]!);
			const after = gain(unit, arrangement[to]!) + (from === null ? 0 : gain(other, arrangement[from]!));
			if (after <= before + 1e-9 || !fits(unit, to, other)) continue;
			if (from === null || (!arrangement[from]!.members.includes(other[0]) && fits(other, from, unit))) return other;
		}
		return null;
	}
}

const copy = (arrangement: Arrangement): Arrangement =>
	arrangement.map((seating) => seating && { ...seating, members: [...seating.members] });

/**
 * A good arrangement quickly: greedy, then local search that moves and exchanges students and re-decides one and two
 * slots at a time, until nothing improves or `shouldStop` says so. Deterministic.
 *
 * @param start slots already decided, for instance by the dual bound's choice of focuses
 */
export function arrange(problem: IndexedProblem, start: Arrangement | null, shouldStop: () => boolean): Arrangement {
	const units = unitsOf(problem);
	let best = fillGreedily(problem, units, start ? copy(start) : problem.source.slots.map(() => null));
	const settle = (arrangement: Arrangement) => {
		for (let pass = 0; pass < 12 && moveStudents(problem, units, arrangement); pass++) if (shouldStop()) break;
		return arrangement;
	};
	best = settle(best);
	let value = worth(problem, best);
	for (let improved = true; improved && !shouldStop();) {
		improved = false;
		for (let slot = 0; slot < best.length && !shouldStop(); slot++) {
			for (let second = slot; second < best.length && !shouldStop(); second++) {
				const trial = copy(best);
				trial[slot] = null;
				trial[second] = null;
				settle(fillGreedily(problem, units, trial));
				const reached = worth(problem, trial);
				if (reached > value + 1e-9) {
					best = trial;
					value = reached;
					improved = true;
				}
			}
		}
	}
	return best;
}

/** Groups for slots whose focus and tier are already chosen: the best members in turn, then local search. */
export function seat(problem: IndexedProblem, choices: ({ focus: number; tier: 2 | 3 } | null)[]): Arrangement {
	const units = unitsOf(problem);
	const arrangement: Arrangement = choices.map(() => null);
	const counts = problem.tiers.map(() => 0);
	const open = (i: number) => counts[i] < problem.maximumGroups[i];
	choices.forEach((choice, slot) => {
		if (!choice) return;
		const found = bestSeating(problem, units, slot, choice.tier, choice.focus, open);
		if (!found) return;
		arrangement[slot] = found.seating;
		found.seating.members.forEach((i) => counts[i]++);
	});
	fillGreedily(problem, units, arrangement);
	for (let pass = 0; pass < 12 && moveStudents(problem, units, arrangement); pass++);
	return arrangement;
}
