/** The roster service with what the demo school has in its database. Started by `npm start -- --roster-service`. */
import { addDays } from '../../src/lib/core/calendar';
import { writeOneRoster } from '../../src/lib/core/interchange/oneRoster/writeOneRoster';
import { openDatabase } from '../../src/lib/server/database/pool';
import { schoolNow } from '../../src/lib/server/people/rosters/store/schoolNow';
import { now } from '../../src/lib/server/request/clock';
import { findSchool } from '../../src/lib/server/school/store/school';
import { CLIENT, serveRoster } from './server';
import { thingsOf } from './things';

const HALF_A_YEAR = 182;

const database = openDatabase(process.env.DATABASE_URL!, 1);
const first = await database.row<{ id: number }>('SELECT MIN(id) AS id FROM school');
const { id, today } = await findSchool(database, first!.id, now());
const school = await schoolNow(database, id, today);
await database.close();
const year = { startsOn: addDays(today, -HALF_A_YEAR), endsOn: addDays(today, HALF_A_YEAR) };
// By ids of its own, as such a service has.
const files = writeOneRoster(
	{ ...school, key: 'harbor' },
	{ sourcedId: school.sourcedId, name: school.name, homeClasses: 'homeroom', year }
);
const service = await serveRoster(thingsOf(files), Number(process.env.PORT) || 0);
console.log(`The roster service (a stand-in) is at ${service.address}: client ${CLIENT.id}, secret ${CLIENT.secret}.`);
const stop = () => service.stop().then(() => process.exit(0));
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, stop);
// Whoever started it is gone.
process.stdin.on('end', stop).resume();
