import type { Highs } from 'highs';
import type { Allowed } from './bound';
import type { Arrangement } from './arrangement';
import { valueOf, type IndexedProblem } from './problem';
import { tableOf } from './seats';

/**
 * The grouping problem as a mixed-integer program for HiGHS. Columns: y(slot, tier, focus) says which group a slot
 * holds; x(student, slot, focus) who sits in it.
 */
export interface IntegerProgram {
	holds: { slot: number; tier: 2 | 3; focus: number }[];
	sits: { student: number; hold: number }[];
	rows: { columns: number[]; values: number[]; lower: number; upper: number }[];
	cost: number[];
}

/** @param allowed which options each slot may hold; all when absent */
export function writeProgram(problem: IndexedProblem, allowed: Allowed = tableOf(problem).optionsOf): IntegerProgram {
	const { source } = problem;
	const { options } = tableOf(problem);
	const holds = allowed.flatMap((own) => own.map((o) => options[o]));
	const sits: IntegerProgram['sits'] = [];
	const sitsOf = holds.map(({ students }, hold) => Array.from(students, (student) => sits.push({ student, hold }) - 1));
	const x = (sit: number) => holds.length + sit;
	const rows: IntegerProgram['rows'] = [];
	const sitIndex = new Map(sits.map(({ student, hold }, sit) => [`${student} ${hold}`, sit]));
	source.slots.forEach((_, slot) => {
		const columns = holds.flatMap((hold, h) => (hold.slot === slot ? [h] : []));
		if (columns.length > 1) rows.push({ columns, values: columns.map(() => 1), lower: -Infinity, upper: 1 });
	});
	if (problem.mostGroups < source.slots.length && holds.length) {
		const columns = holds.map((_, hold) => hold);
		rows.push({ columns, values: columns.map(() => 1), lower: -Infinity, upper: problem.mostGroups });
	}
	const bySeat = new Map<number, number[]>();
	sits.forEach(({ student, hold }, sit) => {
		bySeat.set(student, [...(bySeat.get(student) ?? []), x(sit)]);
		rows.push({ columns: [x(sit), hold], values: [1, -1], lower: -Infinity, upper: 0 });
	});
	for (const [student, columns] of bySeat) {
		rows.push({ columns, values: columns.map(() => 1), lower: -Infinity, upper: problem.maximumGroups[student] });
	}
	holds.forEach(({ tier }, hold) => {
		const { minimum, maximum } = source.sizes[tier];
		const columns = sitsOf[hold].map(x);
		const ones = columns.map(() => 1);
		rows.push({ columns: [...columns, hold], values: [...ones, -maximum], lower: -Infinity, upper: 0 });
		rows.push({ columns: [...columns, hold], values: [...ones, -minimum], lower: 0, upper: Infinity });
	});
	sits.forEach(({ student, hold }, sit) => {
		for (const other of problem.apart[student]) {
			const partner = sitIndex.get(`${other} ${hold}`);
			if (partner !== undefined && student < other) {
				rows.push({ columns: [x(sit), x(partner), hold], values: [1, 1, -1], lower: -Infinity, upper: 0 });
			}
		}
		for (const other of problem.together[student]) {
			const partner = sitIndex.get(`${other} ${hold}`);
			if (partner === undefined) rows.push({ columns: [x(sit)], values: [1], lower: 0, upper: 0 });
			else if (student < other) rows.push({ columns: [x(sit), x(partner)], values: [1, -1], lower: 0, upper: 0 });
		}
	});
	const cost = [
		...holds.map(() => 0),
		...sits.map(({ student, hold }) => valueOf(problem, student, holds[hold].slot, holds[hold].focus))
	];
	return { holds, sits, rows, cost };
}

/** What the solver may report while it works. */
interface SolverEvents {
	onSolution(arrangement: Arrangement): void;
	onBound(bound: number): void;
	shouldStop(): boolean;
}

/** Runs HiGHS on the program, started from an arrangement; reports better ones and lower bounds as they are found. */
export function runHighs(
	highs: Highs,
	problem: IndexedProblem,
	program: IntegerProgram,
	start: Arrangement | null,
	limits: { timeLimitMs: number; relativeGap: number },
	events: SolverEvents
): void {
	const { holds, sits, rows, cost } = program;
	const columns = cost.length;
	if (columns === 0) return events.onBound(0);
	const starts = [0];
	const indices: number[] = [];
	const values: number[] = [];
	for (const row of rows) {
		indices.push(...row.columns);
		values.push(...row.values);
		starts.push(indices.length);
	}
	const model = highs.createModel({
		numCols: columns,
		numRows: rows.length,
		sense: highs.constants.objectiveSense.maximize,
		colCost: cost,
		colLower: cost.map(() => 0),
		colUpper: cost.map(() => 1),
		rowLower: rows.map((row) => row.lower),
		rowUpper: rows.map((row) => row.upper),
		matrix: { format: 'csr', numRows: rows.length, numCols: columns, starts, indices, values },
		integrality: cost.map(() => 1)
	});
	const read = (solution: Float64Array): Arrangement => {
		const arrangement: Arrangement = problem.source.slots.map(() => null);
		holds.forEach(({ slot, tier, focus }, h) => {
			if (solution[h] > 0.5) arrangement[slot] = { tier, focus, members: [] };
		});
		sits.forEach(({ student, hold }, sit) => {
			if (solution[holds.length + sit] > 0.5) arrangement[holds[hold].slot]?.members.push(student);
		});
		return arrangement;
	};
	try {
		model.options.set({
			output_flag: false,
			time_limit: Math.max(1, limits.timeLimitMs) / 1_000,
			mip_rel_gap: limits.relativeGap,
			random_seed: 1
		});
		if (start) model.setSolution({ colValue: startValues(program, start) });
		const { callbackType } = highs.constants;
		model.run({
			[callbackType.mipImprovingSolution](event) {
				if (event.data.mip_solution) events.onSolution(read(event.data.mip_solution));
			},
			[callbackType.mipInterrupt](event) {
				const bound = event.data.mip_dual_bound;
				if (bound !== undefined && Number.isFinite(bound)) events.onBound(bound);
				if (events.shouldStop()) event.interrupt();
			}
		});
		const bound = model.info.get('mip_dual_bound');
		if (typeof bound === 'number' && Number.isFinite(bound)) events.onBound(bound);
		if (model.info.get('primal_solution_status') === 2) events.onSolution(read(model.getSolution().colValue));
	} finally {
		model.dispose();
	}
}

function startValues({ holds, sits, cost }: IntegerProgram, start: Arrangement): number[] {
	const values = cost.map(() => 0);
	holds.forEach(({ slot, tier, focus }, h) => {
		const seating = start[slot];
		if (seating && seating.tier === tier && seating.focus === focus) values[h] = 1;
	});
	sits.forEach(({ student, hold }, sit) => {
		if (values[hold] === 1 && start[holds[hold].slot]!.members.includes(student)) values[holds.length + sit] = 1;
	});
	return values;
}
