import { dirname, join } from 'node:path';

/** A thread's program, as vite.threads.config.ts builds it: beside the app, or where tests say it lies. */
export const threadFile = (name: 'jobs' | 'pdf' | 'files') =>
	join(process.env.ORDERLY_THREADS ?? join(dirname(process.argv[1] ?? ''), 'threads'), `${name}.js`);
