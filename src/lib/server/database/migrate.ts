import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Database, RootDatabase } from './pool';

/** Statements of a migration file: separated by a semicolon at a line's end. */
function statements(sql: string): string[] {
	return sql
		.replace(/^--.*$/gm, '')
		.split(/;\s*$/m)
		.map((statement) => statement.trim())
		.filter(Boolean);
}

/** How many statements of a file were run; null once all were. */
type Progress = Map<string, number | null>;

async function readProgress(connection: Database): Promise<Progress> {
	await connection.run(
		'CREATE TABLE IF NOT EXISTS migration (name VARCHAR(120) PRIMARY KEY, ran_at DATETIME(3) NOT NULL)'
	);
	await connection.run(
		`ALTER TABLE migration
			ADD COLUMN IF NOT EXISTS statements_run INT UNSIGNED NULL COMMENT 'of a file that is not through; else NULL'`
	);
	const rows = await connection.rows<{ name: string; statementsRun: number | null }>(
		'SELECT name, statements_run AS statementsRun FROM migration'
	);
	return new Map(rows.map(({ name, statementsRun }) => [name, statementsRun]));
}

/**
 * Brings the database to the newest shape: runs each numbered file once, in order. Several processes may start at
 * once; a named lock lets one of them work. Statements that change tables cannot be taken back, so each is written down
 * once it has run: a file that was cut short goes on with the next one.
 *
 * @param patience how long (s) another process may work before this one gives up
 * @returns names of the files that ran
 * @throws Error that says which statement did not run, and how to go on
 */
export async function migrate(database: RootDatabase, folder: string, patience = 60): Promise<string[]> {
	return database.transaction(async (connection) => {
		const lock = await connection.row<{ got: number | null }>('SELECT GET_LOCK(?, ?) AS got', [LOCK, patience]);
		if (lock!.got !== 1)
			throw new Error('Another process is changing the tables of this database. Start again once it is through.');
		try {
			// From here each statement stands by itself.
			await connection.run('COMMIT');
			// Whatever the server's default is: names have letters of all scripts.
			await connection.run('ALTER DATABASE CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_ai_ci');
			const progress = await readProgress(connection);
			const files = (await readdir(folder))
				.filter((name) => name.endsWith('.sql') && progress.get(name) !== null)
				.sort();
			for (const name of files)
				await runFile(connection, name, await readFile(join(folder, name), 'utf8'), progress.get(name) ?? 0);
			return files;
		} finally {
			await connection.run('SELECT RELEASE_LOCK(?)', [LOCK]);
		}
	});
}

const LOCK = 'orderly compass migration';

/** @param from how many of its statements were run before */
async function runFile(connection: Database, name: string, sql: string, from: number): Promise<void> {
	const all = statements(sql);
	const note = (statementsRun: number | null) =>
		connection.run(
			`INSERT INTO migration (name, ran_at, statements_run) VALUES (?, UTC_TIMESTAMP(3), ?)
			ON DUPLICATE KEY UPDATE ran_at = VALUES(ran_at), statements_run = VALUES(statements_run)`,
			[name, statementsRun]
		);
	for (let i = from; i < all.length; i++) {
		try {
			await connection.run(all[i]);
		} catch (error) {
			throw new Error(
				`${name}: statement ${i + 1} of ${all.length} could not be run: ${(error as Error).message}. Those before it are done. Mend the cause and start again: it goes on with this one. Should this one be done already, as after a crash at that very moment, write it down: UPDATE migration SET statements_run = ${i + 1} WHERE name = '${name}'`,
				{ cause: error }
			);
		}
		await note(i + 1);
	}
	await note(null);
}
