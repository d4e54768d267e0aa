import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection } from 'mysql2/promise';
import { expect, it, onTestFinished } from 'vitest';
import { startMariadb } from './mariadb.mjs';

it('a server that starts leaves the temporary tables of one that runs alone', async () => {
	const folder = mkdtempSync(join(tmpdir(), 'compass-mariadb-'));
	onTestFinished(() => rmSync(folder, { recursive: true, force: true }));
	const running = await startMariadb(join(folder, 'one'));
	onTestFinished(running.stop);
	const connection = await createConnection(running.ownerUrl);
	onTestFinished(() => connection.end());
	await connection.query('CREATE TEMPORARY TABLE kept (number INT) ENGINE = Aria');
	await connection.query('INSERT INTO kept VALUES (1), (2)');

	onTestFinished((await startMariadb(join(folder, 'two'))).stop);
	await expect(connection.query('SELECT SUM(number) AS sum FROM kept').then(([rows]) => rows)).resolves.toEqual([
		{ sum: '3' }
	]);
	// Takes its files away, and says so if they are gone already.
	await connection.query('DROP TEMPORARY TABLE kept');
	await expect(connection.query('SHOW WARNINGS').then(([rows]) => rows)).resolves.toEqual([]);
});
