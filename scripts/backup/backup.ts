/**
 * npm run backup [-- FILE]: the database as it is at one moment, packed, in FILE or under .data/backups; also while
 * “npm start” runs. With DATABASE_OWNER_URL, of the server that it names.
 */
import { existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { dataFolder } from '../prepare.mjs';
import { dumpInto } from './dump';
import { ownerUrl } from './ownerUrl';

const stamp = new Date().toISOString().slice(0, 19).replace('T', ' at ').replaceAll(':', '.');
const file = resolve(process.argv[2] ?? join(dataFolder, 'backups', `orderly compass ${stamp}.sql.gz`));
if (existsSync(file)) {
	console.error(`${file} is there already. Nothing was written.`);
	process.exit(1);
}
try {
	const { url, done } = await ownerUrl();
	mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
	await dumpInto(file, url).finally(done);
	console.log(
		`${file}: ${(statSync(file).size / 1e6).toFixed(1)} MB. Keep it as safe as the database: it holds all of it.`
	);
} catch (error) {
	console.error(`No backup was made. ${(error as Error).message}`);
	process.exitCode = 1;
}
