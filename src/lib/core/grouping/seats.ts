import { valueOf, type IndexedProblem } from './problem';

/** Students who must not be split: they sit together or not at all. Most units are one student. */
export interface Unit {
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
	/** Need met by seating a unit in an option's focus; 0 where it cannot sit there. By unit, then focus. */
	need: Float64Array;
	/** By unit: the group it is in now, and what leaving it there is worth. */
	kept: ({ slot: number; focus: number; worth: number } | null)[];
	/** By unit: the most that seating it anywhere is worth. */
	mostWorth: Float64Array;
	/** Whether a unit is free at a slot: by slot, then unit. */
	free: Uint8Array;
}

/** What seating a unit in a group is worth: need met, and more if it sits there now; 0 where it does not need it. */
export function unitWorth({ need, kept, problem }: Table, unit: number, slot: number, focus: number): number {
	const met = need[unit * problem.focusIds.length + focus];
	const own = kept[unit];
	return own !== null && own.slot === slot && own.focus === focus && met > 0 ? met + own.worth : met;
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
	// Who belong together and are in one group now are worth leaving there all together.
	const kept = units.map(({ members }) => {
		const [first] = members;
		const same = members.map((i) => problem.kept[i]).filter((one) => one !== null);
		const own = problem.kept[first];
		const stays = same.filter((one) => one.slot === own?.slot && one.focus === own.focus);
		return own ? { ...own, worth: stays.reduce((sum, { worth }) => sum + worth, 0) } : null;
	});
	const options: Option[] = [];
	const table: Table = {
		problem,
		units,
		sizes: Int32Array.from(units, ({ members }) => members.length),
		options,
		optionsOf: [],
		need,
		kept,
		mostWorth: Float64Array.from(
			units,
			(_, u) => Math.max(0, ...need.subarray(u * focuses, (u + 1) * focuses)) + (kept[u]?.worth ?? 0)
		),
		free
	};
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
	table.optionsOf = problem.source.slots.map((_, slot) => {
		const found: number[] = [];
		for (const tier of problem.slotTiers[slot]) {
			for (let focus = 0; focus < focuses; focus++) {
				const able = wanting[tier][focus].filter((u) => free[slot * units.length + u]);
				const option = optionWith(table, slot, tier, focus, able);
				if (option) found.push(options.push(option) - 1);
			}
		}
		return found;
	});
	tables.set(problem, table);
	return table;
}

/** A group that some units could sit in; null where they are too few. */
function optionWith(table: Table, slot: number, tier: 2 | 3, focus: number, units: number[]): Option | null {
	const { problem, sizes, kept } = table;
	let heads = 0;
	let stays = false;
	for (const unit of units) {
		heads += sizes[unit];
		stays ||= kept[unit] !== null && kept[unit].slot === slot && kept[unit].focus === focus;
	}
	if (heads < problem.source.sizes[tier].minimum) return null;
	// Leaving a unit where it is now may be worth more than its need.
	if (stays) {
		const perHead = (unit: number) => unitWorth(table, unit, slot, focus) / sizes[unit];
		units.sort((a, b) => perHead(b) - perHead(a) || a - b);
	}
	const worths = new Float64Array(units.length);
	const students = new Int32Array(heads);
	const values = new Float64Array(heads);
	let seated = 0;
	for (let k = 0; k < units.length; k++) {
		worths[k] = unitWorth(table, units[k], slot, focus);
		for (const student of table.units[units[k]].members) {
			students[seated] = student;
			values[seated++] = valueOf(problem, student, slot, focus);
		}
	}
	return { slot, tier, focus, units, worths, students, values };
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
