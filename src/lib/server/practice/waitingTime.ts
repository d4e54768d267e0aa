import type { QueuedSet } from './store/practice';
import { questionMs } from './setLengths';

/** Time (ms) that what is left of a student's sets usually takes. @param codeOf of skills, by id */
export const waitingMs = (
	sets: Pick<QueuedSet, 'skillIds' | 'itemCount' | 'answered'>[],
	codeOf: Map<number, string>
): number =>
	sets.reduce((sum, { skillIds, itemCount, answered }) => {
		const each = skillIds.reduce((all, id) => all + questionMs(codeOf.get(id)!), 0) / skillIds.length;
		return sum + (itemCount - (answered ?? 0)) * each;
	}, 0);
