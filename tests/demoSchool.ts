import { inject } from 'vitest';
import { seedDemoSchool } from '../demo/seed';
import { openDatabase, type RootDatabase } from '../src/lib/server/database/pool';
import { addressOf, NOW, ownDatabase } from './smallSchool';

/** Seconds that a file waits while another one makes it. */
const PATIENCE = 290;

/** A demo school of its own, in a new database. */
export async function ownDemoSchool(name: string): Promise<RootDatabase> {
	const database = await ownDatabase(name);
	await seedDemoSchool(database, NOW, () => {});
	return database;
}

/** The demo school, made once for all test files of a run: whoever asks for it leaves it as it is. */
export async function demoSchool(): Promise<RootDatabase> {
	const owner = openDatabase(inject('ownerUrl'), 1);
	await owner.transaction(async (connection) => {
		await connection.rows("SELECT GET_LOCK('demo school', ?)", [PATIENCE]);
		try {
			const made = await connection.row(
				"SELECT 1 FROM information_schema.SCHEMATA WHERE SCHEMA_NAME = 'orderly_compass_demo_made'"
			);
			if (made) return;
			await (await ownDemoSchool('demo')).close();
			await connection.run('CREATE DATABASE orderly_compass_demo_made');
		} finally {
			await connection.rows("SELECT RELEASE_LOCK('demo school')");
		}
	});
	await owner.close();
	return openDatabase(addressOf(inject('ownerUrl'), 'demo'));
}
