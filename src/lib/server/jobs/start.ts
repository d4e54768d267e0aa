import { existsSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import type { Logger } from 'pino';
import { threadFile } from './threadFile';

/** After a thread has died, as from too little memory. */
const AGAIN_MS = 10_000;

/** Starts the thread that works on jobs, once a process; each process of several has one. */
export function startJobs(log: Logger): void {
	const path = threadFile('jobs');
	if (!existsSync(path)) {
		log.warn(`No jobs are worked on by this process: ${path} is missing`);
		return;
	}
	let stopping = false;
	let worker: Worker;
	const begin = () => {
		worker = new Worker(path);
		worker.unref();
		worker.on('error', (error) => log.error({ err: error }, 'the thread for jobs has ended'));
		worker.on('exit', () => {
			if (!stopping) setTimeout(begin, AGAIN_MS).unref();
		});
	};
	begin();
	process.once('sveltekit:shutdown', () => {
		stopping = true;
		worker.postMessage('stop');
	});
}
