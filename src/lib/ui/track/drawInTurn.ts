const waiting = new Set<() => void>();
let isUnderWay = false;

/** A task of its own each, after what a person did meanwhile. */
function next() {
	const [job] = waiting;
	isUnderWay = job !== undefined;
	if (!job) return;
	waiting.delete(job);
	setTimeout(next);
	job();
}

/**
 * Draws something when its turn comes: one thing a task, so that many on a page do not keep anybody waiting.
 *
 * @returns gives the turn up, where it has not come yet
 */
export function drawInTurn(job: () => void): () => void {
	waiting.add(job);
	if (!isUnderWay) {
		isUnderWay = true;
		setTimeout(next);
	}
	return () => waiting.delete(job);
}
