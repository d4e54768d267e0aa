import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { startMariadb } from '../mariadb.mjs';
import { dataFolder } from '../prepare.mjs';

const startFile = join(dataFolder, 'start.json');

/** Whether “npm start” runs on the data folder. */
export function isStarted(): boolean {
	if (!existsSync(startFile)) return false;
	try {
		process.kill(JSON.parse(readFileSync(startFile, 'utf8')).pid, 0);
		return true;
	} catch {
		return false;
	}
}

/**
 * The database for who may make and change tables: the one that is named, that of a running “npm start”, or that of the
 * data folder, whose server is started for as long as it is needed.
 */
export async function ownerUrl(): Promise<{ url: string; done: () => Promise<void> }> {
	const named = process.env.DATABASE_OWNER_URL || process.env.DATABASE_URL;
	if (named) return { url: named, done: async () => {} };
	if (isStarted()) {
		const { ownerUrl: url } = JSON.parse(readFileSync(startFile, 'utf8'));
		if (!url) throw new Error('“npm start” is only just starting; try again in a moment.');
		return { url, done: async () => {} };
	}
	if (!existsSync(join(dataFolder, 'mariadb', 'password')))
		throw new Error(`There is no database in ${dataFolder} yet.`);
	const server = await startMariadb(join(dataFolder, 'mariadb'));
	return { url: server.ownerUrl, done: server.stop };
}
