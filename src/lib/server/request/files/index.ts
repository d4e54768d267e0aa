/** Files from outside: read in a thread of their own, which is ended when one takes too much time or memory. */
import Piscina from 'piscina';
import { threadFile } from '../../jobs';
import type { Asked, Found, Kind, Readings } from './read';

/** A file of the largest size that is allowed takes a tenth of it. */
const PATIENCE_MS = 10_000;
const MEMORY_MB = 512;
/** Files that wait for the one that is being read. */
const MOST_WAITING = 8;
const IDLE_MS = 30_000;

let pool: Piscina | undefined;

/**
 * Reads a file of a kind. Others are served meanwhile.
 *
 * @param patienceMs after which a file is given up
 * @returns what was found, or the problem in words for people, where time and memory run out, too
 */
export async function readFile<K extends Kind>(
	kind: K,
	asked: Readings[K]['asked'],
	patienceMs = PATIENCE_MS
): Promise<Found<K>> {
	pool ??= new Piscina({
		filename: threadFile('files'),
		minThreads: 0,
		maxThreads: 1,
		maxQueue: MOST_WAITING,
		idleTimeout: IDLE_MS,
		resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB }
	});
	if (pool.queueSize >= MOST_WAITING)
		return { problem: 'Several files are being read just now; try again in a minute' };
	const late = AbortSignal.timeout(patienceMs * (pool.queueSize + 1));
	try {
		return await pool.run({ kind, asked } satisfies Asked<K>, { signal: late });
	} catch (problem) {
		if (late.aborted) return { problem: `The file takes longer than ${patienceMs / 1_000} seconds to read` };
		if ((problem as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY')
			return { problem: `The file takes more than ${MEMORY_MB} MB to read` };
		throw problem;
	}
}
