/**
 * npm run roster -- roster.zip [apply]: brings a OneRoster 1.2 package to every school of the installation that it knows.
 * Without `apply` each school's plan waits in Setup to be looked at.
 */
import { existsSync, readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { databaseMeant } from './prepare.mjs';
import { openDatabase } from '../src/lib/server/database/pool';
import { readRosterZip } from '../src/lib/server/request/files/rosterZip';
import { now } from '../src/lib/server/request/clock';
import { rostersOfAll } from '../src/lib/server/setup/rostersOfAll';

const [path, mode] = process.argv.slice(2);
const url = databaseMeant();
if (!path || !existsSync(path) || !url) {
	console.error(
		'npm run roster -- roster.zip [apply], while “npm start” runs or with DATABASE_URL set to the database that is meant.'
	);
	process.exit(1);
}
const began = performance.now();
const seconds = () => ((performance.now() - began) / 1_000).toFixed(1);
const read = await readRosterZip(readFileSync(path));
for (const { file, line, says } of read.problems.told)
	console.error([file, line && `line ${line}`, says].filter(Boolean).join(': '));
if (read.problems.count) {
	console.error(`${read.problems.count} things in it are wrong. Nothing was changed.`);
	process.exit(1);
}
console.log(`Read in ${seconds()} s: ${read.records.users.length} people.`);
const database = openDatabase(url, 4);
let schools = 0;
for await (const { school, figures, doubts, became, says } of rostersOfAll(database, read, {
	fileName: basename(path),
	apply: mode === 'apply',
	at: now()
})) {
	schools++;
	const changes = Object.entries(figures).map(([effect, count]) => `${count} ${effect}`);
	const settle = doubts ? [`${doubts} to settle`] : [];
	const what = [...changes, ...settle].join(', ');
	console.log(`${school}: ${what ? `${what}, ` : ''}${says ? `${became}: ${says}` : became}`);
}
console.log(
	`${schools} schools in ${seconds()} s; at most ${Math.round(process.resourceUsage().maxRSS / 1_024)} MB of memory.`
);
await database.close();
