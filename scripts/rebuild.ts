/** Works out all standings anew from the answer log; says how many differ from what was stored (none should). */
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { dataFolder } from './prepare.mjs';
import { openDatabase } from '../src/lib/server/database/pool';
import { rebuildEverything } from '../src/lib/server/standing/rebuild';

const startFile = join(dataFolder, 'start.json');
const url =
	process.env.DATABASE_URL || (existsSync(startFile) && JSON.parse(readFileSync(startFile, 'utf8')).databaseUrl);
if (!url) {
	console.error('Run this while “npm start” runs, or set DATABASE_URL to the database whose standings are meant.');
	process.exit(1);
}
const database = openDatabase(url);
const { total, changed, summariesChanged } = await rebuildEverything(database);
console.log(
	`${total} traces worked out anew, ${changed} of them different from before; of what pages count by, ${summariesChanged} were.`
);
await database.close();
