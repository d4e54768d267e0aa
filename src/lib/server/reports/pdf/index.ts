import Piscina from 'piscina';
import { threadFile } from '../../jobs';
import type { ReportsToRender } from './renderReports';

/** Threads end when nobody has asked for so long. */
const IDLE_MS = 30_000;

let pool: Piscina | undefined;

/** Student reports as the bytes of a PDF, made in a thread of its own; of several asked for at once two at a time. */
export async function pdfOf(reports: ReportsToRender): Promise<Uint8Array> {
	pool ??= new Piscina({
		filename: threadFile('pdf'),
		minThreads: 0,
		maxThreads: 2,
		idleTimeout: IDLE_MS
	});
	return pool.run(reports);
}
