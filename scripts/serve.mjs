// Runs the built app as a process of its own, and waits until it answers. Plain Node.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { root } from './prepare.mjs';

/** Runs a build as a process. */
export const appScript = join(root, 'scripts', 'app.mjs');

/** Characters of what an app said that are told when it dies. */
const SAID_LAST = 2_000;
/** Before an app that died is started again; twice as long each time that it dies again soon. */
const [FIRST_PAUSE_MS, LONGEST_PAUSE_MS] = [1_000, 60_000];
/** An app that has lived so long is not one that cannot start. */
const STEADY_MS = 300_000;

/**
 * Serves a built app on 127.0.0.1.
 *
 * @param {{ databaseUrl: string, port: number, environment?: Record<string, string>, quiet?: boolean, build?: string }}
 *   options `build` is the folder of another app than the product
 */
export async function serveApp({ databaseUrl, port, environment = {}, quiet = false, build = join(root, 'build') }) {
	const address = `http://127.0.0.1:${port}`;
	const server = spawn(process.execPath, [appScript, build], {
		cwd: root,
		detached: true,
		stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'pipe'],
		env: {
			...process.env,
			NODE_ENV: 'production',
			HOST: '127.0.0.1',
			PORT: String(port),
			// Behind a proxy the operator says by which address people come.
			ORIGIN: process.env.ORIGIN || address,
			DATABASE_URL: databaseUrl,
			BODY_SIZE_LIMIT: '32M',
			LOG_LEVEL: 'warn',
			// Longer than proxies and clients keep a connection that rests: else one is closed just as it is used again.
			KEEP_ALIVE_TIMEOUT: '75',
			ORDERLY_THREADS: join(build, 'threads'),
			...environment
		}
	});
	let ended = false;
	let stopping = false;
	let said = '';
	server.stderr.setEncoding('utf8').on('data', (text) => {
		process.stderr.write(text);
		said = (said + text).slice(-SAID_LAST);
	});
	server.on('exit', () => (ended = true));
	for (let waited = 0; ; waited += 100) {
		if (ended) throw new Error('The app ended while starting.');
		if (waited > 30_000) throw new Error('The app did not answer within 30 seconds.');
		try {
			await fetch(`${address}/sign-in`);
			break;
		} catch {
			await pause(100);
		}
	}
	return {
		address,
		pid: server.pid,
		async stop() {
			stopping = true;
			if (ended) return;
			server.kill('SIGTERM');
			for (let waited = 0; !ended; waited += 50) {
				if (waited > 5_000) server.kill('SIGKILL');
				await pause(50);
			}
		},
		/** Calls back, with what it said last, when the app ends without having been stopped. */
		onDeath: (then) => server.on('exit', (code, signal) => stopping || then({ cause: signal ?? `code ${code}`, said }))
	};
}

/**
 * Serves an app as `serveApp` does, and again when it dies, each time after a longer pause.
 *
 * @param {Parameters<typeof serveApp>[0]} options
 * @param {{ served: (app: { address: string, pid: number }) => void, say: (line: string) => void }} on
 */
export async function keepServing(options, { served, say }) {
	let app;
	let stopped = false;
	let pauseMs = FIRST_PAUSE_MS;
	async function serve() {
		app = await serveApp(options);
		const since = Date.now();
		served(app);
		app.onDeath(async ({ cause, said }) => {
			if (Date.now() - since > STEADY_MS) pauseMs = FIRST_PAUSE_MS;
			while (!stopped) {
				say(`The app has ended (${cause}). It is started again in ${pauseMs / 1000} s. It said last:\n${said.trim()}`);
				await pause(pauseMs);
				pauseMs = Math.min(2 * pauseMs, LONGEST_PAUSE_MS);
				if (stopped) return;
				try {
					return await serve();
				} catch (error) {
					[cause, said] = ['while starting', error.message];
				}
			}
		});
	}
	await serve();
	return {
		async stop() {
			stopped = true;
			await app.stop();
		}
	};
}
