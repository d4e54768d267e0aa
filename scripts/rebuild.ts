/**
 * Judges answers anew by all corrections, and works out all standings and series of probes anew from the answer log; says how many
 * differ from what was stored (none should).
 */
import { databaseMeant } from './prepare.mjs';
import { openDatabase } from '../src/lib/server/database/pool';
import { regradeEverything } from '../src/lib/server/sitting/regrade';
import { rebuildEverything } from '../src/lib/server/standing/rebuild';
import { rebuildReadings } from '../src/lib/server/track/readings';

const url = databaseMeant();
if (!url) {
	console.error('Run this while “npm start” runs, or set DATABASE_URL to the database whose standings are meant.');
	process.exit(1);
}
const database = openDatabase(url);
const began = performance.now();
const judged = await regradeEverything(database, new Date());
const { students, different, summariesChanged } = await rebuildEverything(database, (done, total) =>
	console.log(`${done} of ${total} students`)
);
console.log(`Answers judged otherwise by corrections: ${judged}.`);
console.log(
	`Standings of ${students} students worked out anew in ${((performance.now() - began) / 1_000).toFixed(1)} s, ${different} of them different from before; of what pages count by, ${summariesChanged} were.`
);
const { series, different: otherwise } = await rebuildReadings(database);
console.log(`What ${series} series of probes say worked out anew, ${otherwise} of them different from before.`);
await database.close();
