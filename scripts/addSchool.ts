/**
 * npm run school -- "Gull Point School" America/New_York gull.coordinator: adds a school to the installation, with nobody in
 * it but a coordinator, and says once by which password they sign in.
 */
import { databaseMeant } from './prepare.mjs';
import { isTimeZone } from '../src/lib/core/calendar';
import { openDatabase } from '../src/lib/server/database/pool';
import { now } from '../src/lib/server/request/clock';
import { makeSchool } from '../src/lib/server/setup/makeSchool';

const [name, timeZone, userName] = process.argv.slice(2);
const url = databaseMeant();
if (!name?.trim() || !timeZone || !isTimeZone(timeZone) || !/^[A-Za-z0-9._@+-]{3,60}$/.test(userName ?? '') || !url) {
	console.error(
		'npm run school -- "Name of the school" Time/Zone user.name, while “npm start” runs or with DATABASE_URL set to the database that is meant.'
	);
	process.exit(1);
}
const database = openDatabase(url, 1);
const password = await makeSchool(database, { name: name.trim(), timeZone, userName }, now());
await database.close();
if (password === null) {
	console.error(`Somebody has the user name ${userName} already. Nothing was changed.`);
	process.exit(1);
}
console.log(`${name.trim()} is there. Sign in as ${userName} with the password ${password} (shown only now).`);
