/** The identity provider with the demo's people, by the ids with which the school goes out. Started by `npm start -- --identity-provider`. */
import { sourcedIdOf } from '../../src/lib/core/interchange/roster/schoolRoster';
import { openDatabase } from '../../src/lib/server/database/pool';
import { schoolNow } from '../../src/lib/server/people/rosters/store/schoolNow';
import { now } from '../../src/lib/server/request/clock';
import { findSchool } from '../../src/lib/server/school/store/school';
import { serveIdentities } from './server';

const database = openDatabase(process.env.DATABASE_URL!, 1);
const first = await database.row<{ id: number }>('SELECT MIN(id) AS id FROM school');
const { id, today } = await findSchool(database, first!.id, now());
const school = await schoolNow(database, id, today);
await database.close();
const provider = await serveIdentities(
	[
		...school.adults.map((one) => ({ id: sourcedIdOf(school, 'adult', one), name: one.displayName })),
		...school.students.map((one) => ({
			id: sourcedIdOf(school, 'student', one),
			name: `${one.preferredName ?? one.givenName} ${one.familyName}`
		}))
	],
	Number(new URL(process.env.ORDERLY_OIDC_ISSUER!).port)
);
console.log(`The identity provider (a stand-in) is at ${provider.issuer}.`);
const stop = () => provider.stop().then(() => process.exit(0));
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, stop);
// Whoever started it is gone.
process.stdin.on('end', stop).resume();
