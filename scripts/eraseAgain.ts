/**
 * npm run erase:again -- erased.csv: after a backup was restored, erases those students again whom a list from Setup → Data
 * says were erased. Who has the number of one of them by now and is somebody else stays.
 */
import { existsSync, readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { databaseMeant } from './prepare.mjs';
import { openDatabase } from '../src/lib/server/database/pool';
import { now } from '../src/lib/server/request/clock';
import { eraseAgain } from '../src/lib/server/setup/eraseAgain';

const [path] = process.argv.slice(2);
const url = databaseMeant();
if (!path || !existsSync(path) || !url) {
	console.error(
		'npm run erase:again -- erased.csv, while “npm start” runs or with DATABASE_URL set to the database that is meant.'
	);
	process.exit(1);
}
const { data } = Papa.parse<Record<string, string>>(readFileSync(path, 'utf8'), { header: true, skipEmptyLines: true });
const database = openDatabase(url, 2);
const { erased, others, unread } = await eraseAgain(database, data, now());
console.log(`${erased} students erased again; ${data.length - unread - erased - others.length} were not there.`);
if (others.length) console.log(`Somebody else has these numbers by now, and stays: ${others.join(', ')}.`);
if (unread) console.error(`${unread} lines could not be read.`);
await database.close();
