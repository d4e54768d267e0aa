/** The thread that works on jobs and keeps standings fresh, so that no request waits for them. Bundled by vite.threads.config.ts, begun by start.ts. */
import { parentPort } from 'node:worker_threads';
import pino from 'pino';
import { now } from '../request/clock';
import { openDatabase } from '../database';
import { keepFieldsFresh } from '../standing';
import { keepRecurring } from './store/jobs';
import { workJob } from './workJob';

const IDLE_MS = 1_000;
/** After an error, as while the database is away. */
const TROUBLE_MS = 5_000;

const log = pino({ level: process.env.LOG_LEVEL ?? 'info' });
const database = openDatabase(process.env.DATABASE_URL!, 4);
keepFieldsFresh(database, (error) => log.error({ err: error }, 'standings could not be made anew'));
let stopping = false;
let wake = () => {};
parentPort!.once('message', () => {
	stopping = true;
	wake();
});
const pause = (milliseconds: number) =>
	new Promise<void>((resolve) => {
		const timer = setTimeout(resolve, milliseconds);
		wake = () => {
			clearTimeout(timer);
			resolve();
		};
	});

let isKept = false;
while (!stopping) {
	try {
		if (!isKept) await keepRecurring(database, now());
		isKept = true;
		if (!(await workJob(database, now, () => stopping))) await pause(IDLE_MS);
	} catch (error) {
		log.error({ err: error }, 'job failed');
		await pause(TROUBLE_MS);
	}
}
await database.close();
