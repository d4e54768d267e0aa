import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { migrations } from '../../../../tests/databaseShape';
import { emptyDatabase, migratedDatabase } from '../../../../tests/smallSchool';
import { migrate } from './migrate';
import { openDatabase, type RootDatabase } from './pool';

let database: RootDatabase;
beforeAll(async () => {
	database = await emptyDatabase('plain');
	await database.run(
		'CREATE TABLE counter (id INT PRIMARY KEY, value INT NOT NULL, done BOOLEAN NULL, label VARCHAR(20) NULL)'
	);
	await database.insertMany('INSERT INTO counter (id, value) VALUES ?', [
		[1, 0],
		[2, 0]
	]);
});
afterAll(() => database.close());

describe('migration', () => {
	it('runs each file once though two processes start at once, and nothing the next time', async () => {
		const fresh = await emptyDatabase('migration');
		const [first, second] = await Promise.all([migrate(fresh, migrations), migrate(fresh, migrations)]);
		const ran = [...first, ...second];
		expect(ran).toEqual([...ran].sort());
		expect(new Set(ran).size).toBe(ran.length);
		expect(ran[0]).toBe('001_people.sql');
		expect(await migrate(fresh, migrations)).toEqual([]);
		await fresh.close();
	});

	it('that was cut short says where, and goes on there once its cause is mended', async () => {
		const fresh = await emptyDatabase('half_migration');
		const folder = await mkdtemp(join(tmpdir(), 'orderly-migrations-'));
		const write = (name: string, ...sql: string[]) => writeFile(join(folder, name), sql.join(';\n') + ';\n');
		await write('001_one.sql', 'CREATE TABLE one (id INT)');
		await write(
			'002_two.sql',
			'CREATE TABLE two (id INT)',
			'INSERT INTO two VALUES (1)',
			'INSERT INTO three VALUES (1)'
		);
		await expect(migrate(fresh, folder)).rejects.toThrow(
			/^002_two\.sql: statement 3 of 3 could not be run: .*three.*Those before it are done.*SET statements_run = 3 WHERE name = '002_two\.sql'$/
		);
		await fresh.run('CREATE TABLE three (id INT)');
		expect(await migrate(fresh, folder)).toEqual(['002_two.sql']);
		expect(await fresh.rows('SELECT id FROM two')).toEqual([{ id: 1 }]);
		expect(await fresh.rows('SELECT id FROM three')).toEqual([{ id: 1 }]);
		expect(await migrate(fresh, folder)).toEqual([]);
		await fresh.close();
	});

	it('waits for another process only so long, and then changes nothing', async () => {
		const [fresh, other] = [await emptyDatabase('locked_migration'), openDatabase(inject('ownerUrl'), 1)];
		await other.row('SELECT GET_LOCK(?, 0)', ['orderly compass migration']);
		await expect(migrate(fresh, migrations, 0)).rejects.toThrow('Another process is changing the tables');
		expect(await fresh.rows('SHOW TABLES')).toEqual([]);
		await other.close();
		expect((await migrate(fresh, migrations)).length).toBeGreaterThan(10);
		await fresh.close();
	});
});

describe('the app’s user', () => {
	it('reads and writes rows, and can make, change, empty and drop nothing', async () => {
		const app = await migratedDatabase('app_user');
		await app.run('INSERT INTO school (name, time_zone) VALUES (?, ?)', ['A', 'UTC']);
		await app.run('UPDATE school SET name = ?', ['B']);
		expect(await app.rows('SELECT name FROM school')).toEqual([{ name: 'B' }]);
		for (const forbidden of [
			'CREATE TABLE extra (id INT)',
			'ALTER TABLE school ADD COLUMN extra INT',
			'TRUNCATE TABLE school',
			'DROP TABLE audit_entry',
			'CREATE DATABASE orderly_compass_extra',
			"CREATE USER 'someone'@'%'",
			"SELECT 1 INTO OUTFILE '/tmp/orderly-compass-out'",
			'SELECT user FROM mysql.user',
			'FLUSH PRIVILEGES'
		])
			await expect(app.run(forbidden), forbidden).rejects.toThrow(/denied/);
		await app.run('DELETE FROM school');
		await app.close();
	});
});

describe('the pool', () => {
	it('rolls a transaction back when anything in it fails', async () => {
		await expect(
			database.transaction(async (transaction) => {
				await transaction.run('UPDATE counter SET value = 99 WHERE id = 1');
				throw new Error('stop');
			})
		).rejects.toThrow('stop');
		expect(await database.row('SELECT value FROM counter WHERE id = 1')).toEqual({ value: 0 });
	});

	it('tries a transaction again that lost a deadlock, so that both sides end', async () => {
		let tries = 0;
		const cross = (first: number, second: number) =>
			database.transaction(async (transaction) => {
				tries++;
				await transaction.run('UPDATE counter SET value = value + 1 WHERE id = ?', [first]);
				await new Promise((resolve) => setTimeout(resolve, 100));
				await transaction.run('UPDATE counter SET value = value + 1 WHERE id = ?', [second]);
			});
		await Promise.all([cross(1, 2), cross(2, 1)]);
		expect(tries).toBeGreaterThan(2);
		expect(await database.rows('SELECT value FROM counter ORDER BY id')).toEqual([{ value: 2 }, { value: 2 }]);
	});

	it('tries a statement of its own again that lost a deadlock', async () => {
		await database.run('INSERT INTO counter (id, value) VALUES (11, 0), (12, 0), (13, 0)');
		let alone: Promise<unknown> | null = null;
		await database.transaction(async (transaction) => {
			// What changed more rows is what the database lets go on.
			await transaction.run('UPDATE counter SET value = value + 1 WHERE id IN (12, 13)');
			alone ??= database.run('UPDATE counter SET value = value + 10 WHERE id IN (11, 12) ORDER BY id');
			await new Promise((resolve) => setTimeout(resolve, 100));
			await transaction.run('UPDATE counter SET value = value + 1 WHERE id = 11');
		});
		expect(await alone).toMatchObject({ affected: 2 });
		expect(await database.rows('SELECT value FROM counter WHERE id IN (11, 12, 13) ORDER BY id')).toEqual([
			{ value: 11 },
			{ value: 11 },
			{ value: 1 }
		]);
		await database.run('DELETE FROM counter WHERE id > 10');
	});

	it('gives up on errors that no second try mends', async () => {
		let tries = 0;
		await expect(
			database.transaction(async (transaction) => {
				tries++;
				await transaction.run('INSERT INTO counter (id, value) VALUES (1, 1)');
			})
		).rejects.toThrow(/Duplicate/);
		expect(tries).toBe(1);
	});

	it('reads booleans, dates and instants as what they are', async () => {
		await database.run('UPDATE counter SET done = ? WHERE id = 1', [true]);
		expect(await database.row('SELECT done, label FROM counter WHERE id = 1')).toEqual({ done: true, label: null });
		await database.run('UPDATE counter SET done = ? WHERE id IN (?)', [false, [2]]);
		const inOrder = 'SELECT done FROM counter WHERE id IN (?) ORDER BY id';
		expect(await database.rows(inOrder, [[1, 2]])).toEqual([{ done: true }, { done: false }]);
		await database.run('UPDATE counter SET done = NULL WHERE id = 2');
		expect(await database.rows(inOrder, [[1, 2]])).toEqual([{ done: true }, { done: null }]);
		expect(await database.row('SELECT id, value FROM counter WHERE id = 1')).toEqual({
			id: 1,
			value: expect.any(Number)
		});
		const row = await database.row(
			`SELECT CAST('2026-11-23' AS DATE) AS day, CAST('2026-11-23 15:00:00.250' AS DATETIME(3)) AS at`
		);
		expect(row).toEqual({ day: '2026-11-23', at: new Date('2026-11-23T15:00:00.250Z') });
	});

	it('counts rows that changed, not rows that were met', async () => {
		const insert = 'INSERT INTO counter (id, value) VALUES (7, 1) ON DUPLICATE KEY UPDATE id = LAST_INSERT_ID(id)';
		expect((await database.run(insert)).affected).toBe(1);
		expect(await database.run(insert)).toEqual({ insertId: 7, affected: 0 });
	});

	it('keeps values out of the statement, in lists, too', async () => {
		const nasty = "x'); DROP TABLE counter; --";
		await database.run('UPDATE counter SET label = ? WHERE id IN (?)', [nasty.slice(0, 20), [1, 2]]);
		expect(
			await database.rows('SELECT id FROM counter WHERE label IN (?)', [[nasty.slice(0, 20), "' OR '1'='1"]])
		).toEqual([{ id: 1 }, { id: 2 }]);
		await database.insertMany('INSERT INTO counter (id, value) VALUES ?', []);
		expect(await database.rows('SELECT id FROM counter')).toHaveLength(3);
	});

	it('says what is wrong when the server is not there', async () => {
		const url = new URL(inject('databaseUrl'));
		url.port = '1';
		const nowhere = openDatabase(url.href);
		await expect(nowhere.rows('SELECT 1')).rejects.toMatchObject({ code: 'ECONNREFUSED' });
		await nowhere.close();
	});
});
