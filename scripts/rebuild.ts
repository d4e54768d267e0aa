/** Works out all standings anew from the answer log; says how many differ from what was stored (none should). */
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { dataFolder } from './prepare.mjs';
import { openDatabase } from '../src/lib/server/database/pool';
import { lockStudents } from '../src/lib/server/store/people';
import { skillList } from '../src/lib/server/store/skills';
import { readTraces, rebuildTraces, type TraceRow } from '../src/lib/server/store/standings';
import { everybody } from '../src/lib/server/traceRule';

const startFile = join(dataFolder, 'start.json');
const url =
	process.env.DATABASE_URL || (existsSync(startFile) && JSON.parse(readFileSync(startFile, 'utf8')).databaseUrl);
if (!url) {
	console.error('Run this while “npm start” runs, or set DATABASE_URL to the database whose standings are meant.');
	process.exit(1);
}
const database = openDatabase(url);
const skills = await skillList(database);
const face = (row: TraceRow) => JSON.stringify({ ...row, probability: row.probability.toFixed(9) });
let changed = 0;
let total = 0;
for await (const { ids, timeZone } of everybody(database)) {
	const [before, after] = await database.transaction(async (transaction) => {
		await lockStudents(transaction, ids);
		const stored = await readTraces(transaction, ids);
		await rebuildTraces(transaction, ids, skills, timeZone);
		return [stored, await readTraces(transaction, ids)];
	});
	const faces = new Map(before.map((row) => [`${row.studentId} ${row.skillId}`, face(row)]));
	total += after.length;
	changed += after.filter((row) => faces.get(`${row.studentId} ${row.skillId}`) !== face(row)).length;
}
console.log(`${total} traces worked out anew, ${changed} of them different from before.`);
await database.close();
