import Piscina from 'piscina';
import { threadFile } from '../../jobs';
import type { ToRender } from './renderPdf';

/** Threads end when nobody has asked for so long. */
const IDLE_MS = 30_000;

let pool: Piscina | undefined;

/** Student reports or a sheet as the bytes of a PDF, made in a thread of its own; of several asked for at once two at a time. */
export async function pdfOf(asked: ToRender): Promise<Uint8Array> {
	pool ??= new Piscina({
		filename: threadFile('pdf'),
		minThreads: 0,
		maxThreads: 2,
		idleTimeout: IDLE_MS
	});
	return pool.run(asked);
}
