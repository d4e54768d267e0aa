// The demo school in a throwaway database, served on a free port: for browser tests, screenshots and benchmarks.
import { execFileSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort, startMariadb } from './mariadb.mjs';
import { root } from './prepare.mjs';
import { serveApp } from './serve.mjs';

/** The instant the demo stands on wherever it must look the same each time: a Monday morning at the school. */
export const DEMO_CLOCK = '2026-11-23T15:00:00Z';

// Stand-ins are asked on this machine, without TLS.
const ENVIRONMENT = { ORDERLY_CLOCK: DEMO_CLOCK, ORDERLY_STANDINS: 'yes' };
const isForgetful = process.env.ORDERLY_TESTS === 'yes';

/**
 * Prepares a database as `npm start` does.
 *
 * @param {{ url: string, ownerUrl: string }} mariadb
 * @param {string[]} flags of `npm start`
 * @param {Record<string, string>} more of the app's environment
 * @returns {string} what was said
 */
const prepareDatabase = (mariadb, flags = [], more = {}) =>
	execFileSync(process.execPath, ['--import', 'tsx', join('scripts', 'prepareDatabase.ts'), ...flags], {
		cwd: root,
		encoding: 'utf8',
		stdio: ['ignore', 'pipe', 'inherit'],
		env: { ...process.env, ...ENVIRONMENT, ...more, DATABASE_URL: mariadb.url, DATABASE_OWNER_URL: mariadb.ownerUrl }
	});

/**
 * Makes the demo school's data in a folder once, for several servers: each that is started with `ORDERLY_DEMO_DATA` naming the
 * folder begins with a copy.
 *
 * @param {string} folder
 */
export async function makeDemoData(folder) {
	const mariadb = await startMariadb(folder, { isForgetful });
	try {
		prepareDatabase(mariadb);
	} finally {
		await mariadb.stop();
	}
}

/**
 * With `ORDERLY_TESTS=yes` the database is one that waits for no disk.
 *
 * @param {string[]} flags of `npm start`, such as `--empty`
 * @param {Record<string, string>} more of the app's environment
 * @returns {Promise<{ address: string, databaseUrl: string, ownerUrl: string, said: string, stop: () => Promise<void> }>} with what was
 *   said while the database was prepared
 */
export async function startDemoServer(flags = [], more = {}) {
	const folder = mkdtempSync(join(tmpdir(), 'compass-demo-'));
	const made = flags.length === 0 && process.env.ORDERLY_DEMO_DATA;
	if (made) cpSync(made, folder, { recursive: true });
	const mariadb = await startMariadb(folder, { isForgetful });
	try {
		const said = prepareDatabase(mariadb, flags, more);
		const app = await serveApp({
			databaseUrl: mariadb.url,
			port: await freePort(),
			environment: { ...ENVIRONMENT, ...more },
			quiet: true
		});
		return {
			address: app.address,
			databaseUrl: mariadb.url,
			ownerUrl: mariadb.ownerUrl,
			said,
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
