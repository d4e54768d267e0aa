/**
 * npm run restore -- FILE: puts a backup in the place of the database. The backup is first loaded beside it and looked
 * through: its standings, worked out anew, must be those that it holds. What was there is kept as a backup of its own.
 * The app must not run meanwhile.
 */
import { existsSync, mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { migrate } from '../../src/lib/server/database/migrate';
import { openDatabase } from '../../src/lib/server/database/pool';
import { rebuildEverything } from '../../src/lib/server/standing/rebuild';
import { schoolNames } from '../../src/lib/server/database/seeding';
import { dataFolder } from '../prepare.mjs';
import { dumpInto, loadFrom, runIn } from './dump';
import { isStarted, ownerUrl } from './ownerUrl';

/** Empties a database; its tables name each other, so that each would keep others from being dropped. */
const emptied = (name: string) =>
	`SET FOREIGN_KEY_CHECKS = 0;
	CREATE OR REPLACE DATABASE \`${name}\` CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_ai_ci`;

/** Looks a backup through that was loaded. @throws Error when it is not sound */
async function lookThrough(url: string): Promise<void> {
	const database = openDatabase(url, 2);
	try {
		await migrate(database, fileURLToPath(new URL('../../database', import.meta.url)));
		const { students, different } = await rebuildEverything(database);
		if (different)
			throw new Error(`Standings of ${different} of its ${students} students do not follow from their answers.`);
		const schools = (await schoolNames(database)).join(', ') || 'no school';
		console.log(`The backup of ${schools} is sound: standings of ${students} students follow from their answers.`);
	} finally {
		await database.close();
	}
}

async function restore(file: string): Promise<void> {
	if (!existsSync(file)) throw new Error(`There is no file ${file}.`);
	if (!process.env.DATABASE_OWNER_URL && isStarted()) throw new Error('End “npm start” first.');
	const { url, done } = await ownerUrl();
	const name = new URL(url).pathname.slice(1);
	const besideUrl = Object.assign(new URL(url), { pathname: `/${name}_restored` }).href;
	try {
		await runIn(url, emptied(`${name}_restored`));
		try {
			await loadFrom(file, besideUrl);
			await lookThrough(besideUrl);
			const folder = join(dataFolder, 'backups');
			mkdirSync(folder, { recursive: true, mode: 0o700 });
			const stamp = new Date().toISOString().slice(0, 23).replaceAll(':', '.');
			const kept = join(folder, `before restoring ${stamp}.sql.gz`);
			await dumpInto(kept, url);
			console.log(`What was there is kept in ${kept}.`);
			await runIn(besideUrl, emptied(name));
			await loadFrom(file, url);
		} finally {
			await runIn(url, `SET FOREIGN_KEY_CHECKS = 0; DROP DATABASE \`${name}_restored\``);
		}
		console.log('Restored. “npm start” goes on with it.');
	} finally {
		await done();
	}
}

const [given] = process.argv.slice(2);
try {
	if (!given) throw new Error('Say which file: npm run restore -- FILE');
	await restore(resolve(given));
} catch (error) {
	console.error(
		`${(error as Error).message}\nNothing was restored; the database is as it was, or kept where it was said.`
	);
	process.exitCode = 1;
}
