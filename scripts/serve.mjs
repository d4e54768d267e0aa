// Runs the built app as a process of its own, and waits until it answers. Plain Node.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { root } from './prepare.mjs';

/**
 * Serves a built app on 127.0.0.1.
 *
 * @param {{ databaseUrl: string, port: number, environment?: Record<string, string>, quiet?: boolean, build?: string }}
 *   options `build` is the folder of another app than the product
 */
export async function serveApp({ databaseUrl, port, environment = {}, quiet = false, build = join(root, 'build') }) {
	const address = `http://127.0.0.1:${port}`;
	const server = spawn(process.execPath, [join(build, 'index.js')], {
		cwd: root,
		detached: true,
		stdio: ['ignore', quiet ? 'ignore' : 'inherit', 'inherit'],
		env: {
			...process.env,
			NODE_ENV: 'production',
			HOST: '127.0.0.1',
			PORT: String(port),
			ORIGIN: address,
			DATABASE_URL: databaseUrl,
			BODY_SIZE_LIMIT: '4M',
			LOG_LEVEL: 'warn',
			...environment
		}
	});
	let ended = false;
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
			if (ended) return;
			server.kill('SIGTERM');
			for (let waited = 0; !ended; waited += 50) {
				if (waited > 5_000) server.kill('SIGKILL');
				await pause(50);
			}
		},
		onExit: (then) => server.on('exit', then)
	};
}
