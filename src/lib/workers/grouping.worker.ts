import loadHighs from 'highs';
import runtimeUrl from 'highs/runtime?url';
import { solveGrouping, type GroupingProblem, type GroupingResult } from '../core/grouping';

export interface GroupingRequest {
	problem: GroupingProblem;
	timeLimitMs: number;
}
export type GroupingReport =
	{ kind: 'progress' | 'done'; result: GroupingResult } | { kind: 'failed'; message: string };

const send = (report: GroupingReport) => postMessage(report);

onmessage = async ({ data }: MessageEvent<GroupingRequest>) => {
	try {
		const result = await solveGrouping(data.problem, {
			timeLimitMs: data.timeLimitMs,
			clock: () => performance.now(),
			loadSolver: () => loadHighs({ locateFile: () => runtimeUrl }),
			onProgress: (progress) => send({ kind: 'progress', result: progress })
		});
		send({ kind: 'done', result });
	} catch (error) {
		send({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
	}
};
