import type { Highs } from 'highs';
import { noPrices, Relaxation, tightenBound, type Dual } from './bound';
import { diveForAll, openOptions, searchByDiving } from './dive';
import { arrange, worth, type Arrangement } from './arrangement';
import { runHighs, writeProgram } from './integerProgram';
import { indexProblem, type GroupingProblem, type GroupingResult, type IndexedProblem } from './problem';
import { tableOf } from './seats';
import { unplacedReasons } from './unplaced';

interface SolveOptions {
	/** Stop after this long; 10 s unless said. */
	timeLimitMs?: number;
	/** Stop once proven within this share of the best; 0.001 unless said. */
	relativeGap?: number;
	/** Gets every better result and every lower bound. */
	onProgress?: (result: GroupingResult) => void;
	/** A clock in milliseconds. Without one, only HiGHS' own clock limits the time. */
	clock?: () => number;
	/** Loads HiGHS; a browser passes one that knows where the WebAssembly file lies. */
	loadSolver?: () => Promise<Highs>;
}

/** Dual steps before the first dive: its prices mean something by then. */
const FIRST_STEPS = 50;
/** After so many more the bound has settled, found by trying: more steps lower it by less than a thousandth. */
const MORE_STEPS = 250;
const STEP_LENGTH = 0.5;
/** The search may take this share of the time before HiGHS begins. */
const SEARCH_SHARE = 0.3;

/**
 * Forms groups that meet as much need as the limits allow, and says how far from the best it could be at most.
 *
 * A greedy start gives a grouping at once; Lagrangian prices bound the best one and guide the search for better ones;
 * HiGHS, started from there, closes the gap as a mixed-integer program of the groups that could still be better. Same
 * problem and enough time, same answer.
 *
 * @throws RangeError when the problem contradicts itself, see `indexProblem`
 */
export async function solveGrouping(source: GroupingProblem, options: SolveOptions = {}): Promise<GroupingResult> {
	const { timeLimitMs = 10_000, relativeGap = 0.001, onProgress, clock = () => 0 } = options;
	const problem = indexProblem(source);
	const began = clock();
	const left = () => timeLimitMs - (clock() - began);
	const outOfTime = () => left() <= 0;
	let best: Arrangement = source.slots.map(() => null);
	let objective = 0;
	let bound = problem.needs.reduce(
		(sum, row, i) => sum + Math.max(0, ...row) * problem.maximumGroups[i] + (problem.kept[i]?.worth ?? 0),
		0
	);
	const done = () => bound - objective <= relativeGap * Math.max(bound, 1e-9);
	/** The groups and reasons of the best so far; worked out once, as many lower bounds are told about them. */
	let told: Pick<GroupingResult, 'groups' | 'unplaced'> | null = null;
	const resultNow = (): GroupingResult => {
		told ??= describe(problem, best);
		return { ...told, objective, bound, gap: bound > 0 ? Math.max(0, (bound - objective) / bound) : 0 };
	};
	const report = () => onProgress?.(resultNow());
	const offer = (arrangement: Arrangement) => {
		const value = worth(problem, arrangement);
		if (value <= objective + 1e-9) return;
		best = arrangement;
		objective = value;
		told = null;
		report();
	};
	const lower = (value: number) => {
		if (value >= bound - 1e-9) return;
		bound = Math.max(value, objective);
		report();
	};

	const searchUntil = clock() + timeLimitMs * SEARCH_SHARE;
	const searchOver = () => clock() > searchUntil || done();
	offer(arrange(problem));
	const relaxation = new Relaxation(problem);
	const everything = tableOf(problem).optionsOf;
	const tighten = (from: Dual, steps: number) =>
		tightenBound(relaxation, from, everything, {
			steps,
			length: STEP_LENGTH,
			reached: () => objective,
			onView: (view) => lower(view.bound),
			shouldStop: () => outOfTime() || done()
		});
	let root = tighten(noPrices(problem), FIRST_STEPS);
	if (!done() && !outOfTime()) {
		offer(diveForAll(relaxation, root));
		root = tighten(root, MORE_STEPS);
	}
	if (!done() && !outOfTime()) searchByDiving(relaxation, root, best, searchOver, offer);
	if (!done() && left() > 0) {
		const highs = await (options.loadSolver ?? loadHighs)();
		runHighs(
			highs,
			problem,
			writeProgram(problem, openOptions(problem, root, objective)),
			best,
			{ timeLimitMs: left(), relativeGap },
			{
				onSolution: offer,
				onBound: lower,
				shouldStop: outOfTime
			}
		);
	}
	return resultNow();
}

async function loadHighs(): Promise<Highs> {
	const { default: load } = await import('highs');
	return load();
}

function describe(problem: IndexedProblem, arrangement: Arrangement): Pick<GroupingResult, 'groups' | 'unplaced'> {
	const { source, focusIds } = problem;
	const groups = arrangement.flatMap((seating, slot) =>
		seating
			? [
					{
						slotId: source.slots[slot].id,
						focusId: focusIds[seating.focus],
						studentIds: [...seating.members].sort((a, b) => a - b).map((i) => source.students[i].id)
					}
				]
			: []
	);
	return { groups, unplaced: unplacedReasons(problem, arrangement) };
}
