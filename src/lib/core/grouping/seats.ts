import { valueOf, type IndexedProblem } from './problem';

/** Students who must not be split: they sit together or not at all. Most units are one student. */
interface Unit {
	members: number[];
	tier: 2 | 3;
	/** How many groups it may be in. */
	room: number;
	/** Units that must not sit with it. */
	apart: ReadonlySet<number>;
}

/** A group that a slot could hold: its tier and focus, with the units that can sit in it. */
export interface Option {
	slot: number;
	tier: 2 | 3;
	focus: number;
	/** Most needing first, a head; and what seating each is worth. */
	units: number[];
	worths: Float64Array;
	/** Students of these units, and what seating each is worth. */
	students: Int32Array;
	values: Float64Array;
}

/** The problem as searches use it: units instead of students, and only groups that enough students could sit in. */
export interface Table {
	problem: IndexedProblem;
	units: Unit[];
	/** Heads of each unit. */
	sizes: Int32Array;
	options: Option[];
	/** By slot: places of its options. */
	optionsOf: number[][];
	/** By unit: the most that seating it anywhere is worth. */
	mostWorth: Float64Array;
}

const tables = new WeakMap<IndexedProblem, Table>();

/** The table of a problem, made once. */
export function tableOf(problem: IndexedProblem): Table {
	const known = tables.get(problem);
	if (known) return known;
	const units = unitsOf(problem);
	const focuses = problem.focusIds.length;
	const need = new Float64Array(units.length * focuses);
	const free = new Uint8Array(problem.source.slots.length * units.length);
	units.forEach(({ members }, u) => {
		for (let focus = 0; focus < focuses; focus++) {
			let sum = 0;
			for (const i of members) {
				if (!(problem.needs[i][focus] > 0)) {
					sum = 0;
					break;
				}
				sum += problem.needs[i][focus];
			}
			need[u * focuses + focus] = sum;
		}
		problem.isFree.forEach((row, slot) => {
			if (members.every((i) => row[i])) free[slot * units.length + u] = 1;
		});
	});
	const options: Option[] = [];
	/** Units by tier and focus that need it, most a head first. */
	const wanting = { 2: [] as number[][], 3: [] as number[][] };
	for (let focus = 0; focus < focuses; focus++) {
		const perHead = (u: number) => need[u * focuses + focus] / units[u].members.length;
		const all = units.flatMap((_, u) => (need[u * focuses + focus] > 0 ? [u] : []));
		all.sort((a, b) => perHead(b) - perHead(a) || a - b);
		for (const tier of [2, 3] as const) {
			const { maximum } = problem.source.sizes[tier];
			wanting[tier].push(all.filter((u) => units[u].tier === tier && units[u].members.length <= maximum));
		}
	}
	const optionsOf = problem.source.slots.map((_, slot) => {
		const found: number[] = [];
		for (const tier of problem.slotTiers[slot]) {
			for (let focus = 0; focus < focuses; focus++) {
				const able = wanting[tier][focus].filter((u) => free[slot * units.length + u]);
				const option = optionWith(problem, units, { slot, tier, focus }, able);
				if (option) found.push(options.push(option) - 1);
			}
		}
		return found;
	});
	const mostWorth = new Float64Array(units.length);
	for (const option of options) {
		option.units.forEach((u, k) => (mostWorth[u] = Math.max(mostWorth[u], option.worths[k])));
	}
	const sizes = Int32Array.from(units, ({ members }) => members.length);
	const table: Table = { problem, units, sizes, options, optionsOf, mostWorth };
	tables.set(problem, table);
	return table;
}

/** A group that some units could sit in, given with most need a head first; null where they are too few. */
function optionWith(
	problem: IndexedProblem,
	all: Unit[],
	{ slot, tier, focus }: { slot: number; tier: 2 | 3; focus: number },
	units: number[]
): Option | null {
	let heads = 0;
	let stays = false;
	for (const u of units) {
		for (const i of all[u].members) {
			heads++;
			stays ||= problem.kept[i]?.slot === slot && problem.kept[i].focus === focus;
		}
	}
	if (heads < problem.source.sizes[tier].minimum) return null;
	// Leaving a unit where it is now may be worth more than its need.
	if (stays) {
		units.sort(
			(a, b) => worthPerHead(problem, all[b], slot, focus) - worthPerHead(problem, all[a], slot, focus) || a - b
		);
	}
	const worths = new Float64Array(units.length);
	const students = new Int32Array(heads);
	const values = new Float64Array(heads);
	let seated = 0;
	for (let k = 0; k < units.length; k++) {
		for (const student of all[units[k]].members) {
			students[seated] = student;
			values[seated] = valueOf(problem, student, slot, focus);
			worths[k] += values[seated++];
		}
	}
	return { slot, tier, focus, units, worths, students, values };
}

function worthPerHead(problem: IndexedProblem, { members }: Unit, slot: number, focus: number): number {
	return members.reduce((sum, i) => sum + valueOf(problem, i, slot, focus), 0) / members.length;
}

/** Units of the problem; those that can never sit (tiers differ, or two of one must be apart) are left out. */
function unitsOf(problem: IndexedProblem): Unit[] {
	const done = new Set<number>();
	const groups: number[][] = [];
	problem.tiers.forEach((tier, i) => {
		if (done.has(i)) return;
		const members = [i, ...problem.together[i]];
		members.forEach((member) => done.add(member));
		const isSound = members.every(
			(a) => problem.tiers[a] === tier && members.every((b) => !problem.apart[a].includes(b))
		);
		if (isSound) groups.push(members);
	});
	const unitOf = new Map(groups.flatMap((members, u) => members.map((i) => [i, u] as const)));
	return groups.map((members) => ({
		members,
		tier: problem.tiers[members[0]],
		room: Math.min(...members.map((i) => problem.maximumGroups[i])),
		apart: new Set(members.flatMap((i) => problem.apart[i].flatMap((other) => unitOf.get(other) ?? [])))
	}));
}
