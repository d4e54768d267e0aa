// The demo school in a throwaway database, served on a free port: for browser tests, screenshots and benchmarks.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, startMariadb } from './mariadb.mjs';
import { root } from './prepare.mjs';
import { serveApp } from './serve.mjs';

/** The instant the demo stands on wherever it must look the same each time: a Monday morning at the school. */
export const DEMO_CLOCK = '2026-11-23T15:00:00Z';

/** @returns {Promise<{ address: string, databaseUrl: string, stop: () => Promise<void> }>} */
export async function startDemoServer() {
	const folder = mkdtempSync(join(tmpdir(), 'compass-demo-'));
	const mariadb = await startMariadb(folder);
	try {
		const environment = { ORDERLY_CLOCK: DEMO_CLOCK };
		execFileSync(process.execPath, ['--import', 'tsx', join('scripts', 'prepareDatabase.ts')], {
			cwd: root,
			stdio: ['ignore', 'ignore', 'inherit'],
			env: { ...process.env, ...environment, DATABASE_URL: mariadb.url }
		});
		const app = await serveApp({ databaseUrl: mariadb.url, port: await freePort(), environment, quiet: true });
		return {
			address: app.address,
			databaseUrl: mariadb.url,
			async stop() {
				await app.stop();
				await mariadb.stop();
				rmSync(folder, { recursive: true, force: true });
			}
		};
	} catch (error) {
		await mariadb.stop();
		throw error;
	}
}
