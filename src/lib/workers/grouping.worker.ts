import loadHighs from 'highs';
import runtimeUrl from 'highs/runtime?url';
import {
	closeCalls,
	solveGrouping,
	solveMixed,
	type CloseCall,
	type Group,
	type GroupingProblem,
	type GroupingResult,
	type MixedProblem
} from '../core/grouping';

/** What the page asks: groups with the same need, mixed groups, or who of a grouping was close to another group. */
export type GroupingRequest =
	| { kind: 'same need'; problem: GroupingProblem; timeLimitMs: number }
	| { kind: 'mixed'; problem: MixedProblem; focusId: string }
	| { kind: 'close calls'; problem: GroupingProblem; groups: Group[]; mostLost: number };
export type GroupingReport =
	| { kind: 'progress' | 'done'; result: GroupingResult }
	| { kind: 'close calls'; calls: CloseCall[] }
	| { kind: 'failed'; message: string };

const send = (report: GroupingReport) => postMessage(report);

async function work(request: GroupingRequest): Promise<GroupingReport> {
	switch (request.kind) {
		case 'same need':
			return {
				kind: 'done',
				result: await solveGrouping(request.problem, {
					timeLimitMs: request.timeLimitMs,
					clock: () => performance.now(),
					loadSolver: () => loadHighs({ locateFile: () => runtimeUrl }),
					onProgress: (progress) => send({ kind: 'progress', result: progress })
				})
			};
		case 'mixed':
			return { kind: 'done', result: mixedResult(request.problem, request.focusId) };
		case 'close calls':
			return { kind: 'close calls', calls: closeCalls(request.problem, request.groups, request.mostLost) };
	}
}

/** Mixed groups as a result like any other: nothing can meet more than the needs of all. */
function mixedResult(problem: MixedProblem, focusId: string): GroupingResult {
	const { groups, unplaced } = solveMixed(problem);
	const objective = groups.reduce((sum, { load }) => sum + load, 0);
	const bound = problem.students.reduce((sum, { canHelp, need }) => sum + (canHelp ? 0 : need), 0);
	return {
		groups: groups.map(({ slotId, studentIds, helperIds }) => ({
			slotId,
			focusId,
			studentIds: [...studentIds, ...helperIds]
		})),
		objective,
		bound,
		gap: bound > 0 ? (bound - objective) / bound : 0,
		unplaced
	};
}

onmessage = async ({ data }: MessageEvent<GroupingRequest>) => {
	try {
		send(await work(data));
	} catch (error) {
		send({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
	}
};
