import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { startMariadb } from '../scripts/mariadb.mjs';
import { ensureBuild } from '../scripts/prepare.mjs';
import { migrate } from '../src/lib/server/database/migrate';
import { openDatabase } from '../src/lib/server/database/pool';
import { migrations, SHAPE } from './databaseShape';

/** A MariaDB of its own for the store tests, gone when they end. It has one database with all tables, for others to be made like it. */
export default async function (project: TestProject) {
	// Threads run as they are built.
	ensureBuild();
	const folder = mkdtempSync(join(tmpdir(), 'compass-test-'));
	const server = await startMariadb(folder, { isForgetful: true });
	project.provide('databaseUrl', server.url);
	project.provide('ownerUrl', server.ownerUrl);
	project.provide('shape', await makeShape(server.ownerUrl));
	return async () => {
		await server.stop();
		rmSync(folder, { recursive: true, force: true });
	};
}

async function makeShape(ownerUrl: string): Promise<string[]> {
	const first = openDatabase(ownerUrl, 1);
	await first.run(`CREATE DATABASE ${SHAPE}`);
	await first.close();
	const shape = openDatabase(Object.assign(new URL(ownerUrl), { pathname: `/${SHAPE}` }).href);
	try {
		await migrate(shape, migrations);
		const tables = await shape.rows<{ name: string }>(
			'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()'
		);
		const statements: string[] = [];
		for (const { name } of tables) {
			const made = await shape.row<{ 'Create Table': string }>(`SHOW CREATE TABLE \`${name}\``);
			statements.push(made!['Create Table']);
			if (await shape.row(`SELECT 1 FROM \`${name}\` LIMIT 1`))
				statements.push(`INSERT INTO \`${name}\` SELECT * FROM ${SHAPE}.\`${name}\``);
		}
		return statements;
	} finally {
		await shape.close();
	}
}

declare module 'vitest' {
	interface ProvidedContext {
		/** As the app connects. */
		databaseUrl: string;
		/** As who makes and changes tables connects. */
		ownerUrl: string;
		/** What makes a migrated database out of an empty one. */
		shape: string[];
	}
}
