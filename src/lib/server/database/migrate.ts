import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { RootDatabase } from './pool';

/** Statements of a migration file: separated by a semicolon at a line's end. */
function statements(sql: string): string[] {
	return sql
		.replace(/^--.*$/gm, '')
		.split(/;\s*$/m)
		.map((statement) => statement.trim())
		.filter(Boolean);
}

/**
 * Brings the database to the newest shape: runs each numbered file once, in order. Several processes may start at
 * once; a named lock lets one of them work.
 *
 * @returns names of the files that ran
 */
export async function migrate(database: RootDatabase, folder: string): Promise<string[]> {
	return database.transaction(async (connection) => {
		await connection.run('SELECT GET_LOCK(?, 60)', ['orderly compass migration']);
		try {
			// Whatever the server's default is: names have letters of all scripts.
			await connection.run('ALTER DATABASE CHARACTER SET utf8mb4 COLLATE utf8mb4_uca1400_ai_ci');
			await connection.run(
				'CREATE TABLE IF NOT EXISTS migration (name VARCHAR(120) PRIMARY KEY, ran_at DATETIME(3) NOT NULL)'
			);
			const done = new Set(
				(await connection.rows<{ name: string }>('SELECT name FROM migration')).map(({ name }) => name)
			);
			const files = (await readdir(folder)).filter((name) => name.endsWith('.sql') && !done.has(name)).sort();
			for (const name of files) {
				for (const statement of statements(await readFile(join(folder, name), 'utf8'))) await connection.run(statement);
				await connection.run('INSERT INTO migration (name, ran_at) VALUES (?, UTC_TIMESTAMP(3))', [name]);
			}
			return files;
		} finally {
			await connection.run('SELECT RELEASE_LOCK(?)', ['orderly compass migration']);
		}
	});
}
