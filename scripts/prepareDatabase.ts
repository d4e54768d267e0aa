import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { SCHOOL_NAME } from '../demo/people';
import { seedDemoSchool } from '../demo/seed';
import { shippedFramework } from '../framework/shipped';
import { now } from '../src/lib/server/request/clock';
import { migrate } from '../src/lib/server/database/migrate';
import { openDatabase, type RootDatabase } from '../src/lib/server/database/pool';
import { eraseEverything, schoolNames } from '../src/lib/server/database/seeding';
import { countDigitsOfBefore, keepItemsOfBefore } from '../src/lib/server/library/store/askedItems';
import { shipFramework } from '../src/lib/server/library/store/frameworks';
import { UNNAMED_SCHOOL } from '../src/lib/server/school/store/profile';
import { makeSchool } from '../src/lib/server/setup/makeSchool';
import { bringFieldsUpToDate } from '../src/lib/server/standing/keepFresh';

/** A school with nobody in it but a coordinator, whose password is made here and said once. */
async function makeEmptySchool(database: RootDatabase): Promise<void> {
	await shipFramework(database, shippedFramework());
	const bare = { name: UNNAMED_SCHOOL, timeZone: 'America/New_York', userName: 'coordinator' };
	const password = await makeSchool(database, bare, now());
	console.log(`An empty school. Sign in as coordinator with the password ${password} (shown only now).`);
}

const signIns = fileURLToPath(new URL('../demo/sign-ins.txt', import.meta.url));

/**
 * Migrates the database at DATABASE_URL, as its owner at DATABASE_OWNER_URL where there is one, and fills it when empty: with the demo school, whose sign-ins it says, or with
 * `--empty` a bare one.
 */
async function prepare(flags: Set<string>): Promise<void> {
	// Tables are made and emptied by their owner; everything else is done as the app does it.
	const owned = openDatabase(process.env.DATABASE_OWNER_URL || process.env.DATABASE_URL!, 1);
	try {
		const ran = await migrate(owned, fileURLToPath(new URL('../database', import.meta.url)));
		if (ran.length) console.log(`Migrated: ${ran.join(', ')}`);
		if (flags.has('--reset-demo')) await eraseEverything(owned);
	} finally {
		await owned.close();
	}
	const database = openDatabase(process.env.DATABASE_URL!);
	try {
		await keepItemsOfBefore(database, console.log);
		await countDigitsOfBefore(database, console.log);
		await bringFieldsUpToDate(database, (done) => console.log(`Standings worked out anew: ${done} students`));
		const isNew = (await schoolNames(database)).length === 0;
		if (isNew && flags.has('--empty')) await makeEmptySchool(database);
		else if (isNew) {
			console.log('Making the demo school:');
			await seedDemoSchool(database, now(), (line) => console.log(`  ${line}`));
		}
		if ((await schoolNames(database)).includes(SCHOOL_NAME))
			console.log(`\n${readFileSync(signIns, 'utf8').trimEnd()}`);
	} finally {
		await database.close();
	}
}

await prepare(new Set(process.argv.slice(2)));
