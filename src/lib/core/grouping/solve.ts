import type { Highs } from 'highs';
import { tightenBound, type DualView } from './bound';
import { arrange, improve, seat, worth, type Arrangement } from './heuristic';
import { runHighs, writeProgram } from './integerProgram';
import { indexProblem, type GroupingProblem, type GroupingResult, type IndexedProblem } from './problem';
import { unplacedReasons } from './unplaced';

export interface SolveOptions {
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

/** By then the bound has settled, found by trying: more steps lower it by less than a thousandth. */
const DUAL_STEPS = 600;
/** The dual's choice of focuses is seated once in so many steps, once its prices mean something. */
const SEATED_EVERY = 5;
const SEATED_FROM = 70;
/** The best of these choices so far is improved by local search after so many steps. */
const IMPROVED_AT = new Set([99, 139, 199, 299, 399, 499]);
/** Local search may take this share of the time before HiGHS begins. */
const SEARCH_SHARE = 0.3;

/**
 * Forms groups that meet as much need as the limits allow, and says how far from the best it could be at most.
 *
 * A greedy start with local search gives a good grouping at once; Lagrangian prices bound the best one and suggest
 * focuses; HiGHS, started from there, closes the gap as a mixed-integer program. Same problem and enough time, same
 * answer.
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
	offer(arrange(problem, null, () => true));
	/** The best of the dual's choices since one was improved last. */
	let promising: Arrangement | null = null;
	const onView = (view: DualView, iteration: number) => {
		lower(view.bound);
		if (iteration >= SEATED_FROM && iteration % SEATED_EVERY === SEATED_EVERY - 1) {
			const seated = seat(problem, view.choices);
			if (!promising || worth(problem, seated) > worth(problem, promising)) promising = seated;
			offer(seated);
		}
		if (!promising || !IMPROVED_AT.has(iteration)) return;
		improve(problem, promising, searchOver, offer);
		promising = null;
	};
	lower(
		tightenBound(
			problem,
			() => objective,
			DUAL_STEPS,
			onView,
			() => outOfTime() || done()
		)
	);
	if (!done() && !outOfTime()) offer(arrange(problem, best, searchOver, offer));
	if (!done() && left() > 0) {
		const highs = await (options.loadSolver ?? loadHighs)();
		runHighs(
			highs,
			problem,
			writeProgram(problem),
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
