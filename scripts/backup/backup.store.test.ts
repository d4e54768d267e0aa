import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bringFieldsUpToDate } from '../../src/lib/server/standing/keepFresh';
import { migrate } from '../../src/lib/server/database/migrate';
import { openDatabase, type RootDatabase } from '../../src/lib/server/database/pool';
import { beginDiagnostic } from '../../src/lib/server/sitting/store/adaptiveSittings';
import { migrations } from '../../tests/databaseShape';
import { fillSmallSchool, NOW } from '../../tests/smallSchool';
import { startMariadb } from '../mariadb.mjs';
import { root } from '../prepare.mjs';

const folder = mkdtempSync(join(tmpdir(), 'compass-backup-test-'));
const file = join(folder, 'a backup.sql.gz');
let before: Record<string, string>;

const run = (script: string, ...args: string[]) =>
	spawnSync(process.execPath, ['--import', 'tsx', join(root, 'scripts', 'backup', script), ...args], {
		cwd: root,
		encoding: 'utf8',
		env: { ...process.env, ORDERLY_DATA: folder, DATABASE_URL: '', DATABASE_OWNER_URL: '' }
	});

/** Runs work on the database of the folder, as its owner. */
async function within<Result>(work: (database: RootDatabase) => Promise<Result>): Promise<Result> {
	const server = await startMariadb(join(folder, 'mariadb'));
	const database = openDatabase(server.ownerUrl, 2);
	try {
		return await work(database);
	} finally {
		await database.close();
		await server.stop();
	}
}

/** For each table its rows, as a hash. */
async function contents(database: RootDatabase): Promise<Record<string, string>> {
	const tables = await database.rows<{ name: string }>(
		`SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY table_name`
	);
	const hashes: Record<string, string> = {};
	for (const { name } of tables) {
		const rows = (await database.rows(`SELECT * FROM \`${name}\``)).map((row) => JSON.stringify(row)).sort();
		hashes[name] = `${rows.length} rows, ${createHash('sha256').update(rows.join('\n')).digest('hex')}`;
	}
	return hashes;
}

beforeAll(async () => {
	before = await within(async (database) => {
		await migrate(database, migrations);
		const small = await fillSmallSchool(database);
		await database.run('UPDATE student SET given_name = ? WHERE id = 1', ["Zoë \u{1f6a4} “x” \\ '"]);
		const window = { id: 2, subject: 'Mathematics', term: 2, mode: 'fixed form' as const };
		const sitting = await beginDiagnostic(database, { id: 1, grade: 4 }, { window, attempt: 1 }, small.skills, NOW);
		await small.answerAll(1, sitting, (position) => position % 3 > 0);
		await bringFieldsUpToDate(database, () => {});
		return contents(database);
	});
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe('a backup', () => {
	it('is one packed file that only its owner can read, and never takes the place of another', () => {
		const made = run('backup.ts', file);
		expect([made.stderr, made.status]).toEqual(['', 0]);
		expect(made.stdout).toContain('a backup.sql.gz');
		expect(statSync(file).mode & 0o077).toBe(0);
		const again = run('backup.ts', file);
		expect([again.status, again.stderr]).toEqual([1, expect.stringContaining('is there already')]);
	});

	it('brings back every row after the database has changed, and keeps what it replaced', async () => {
		await within(async (database) => {
			await database.run('DELETE FROM answer');
			await database.run(`UPDATE student SET given_name = 'Lost'`);
		});
		const restored = run('restore.ts', file);
		expect([restored.stderr, restored.status]).toEqual(['', 0]);
		expect(restored.stdout).toMatch(
			/The backup of School 1, School 2 is sound: standings of \d+ students follow from their answers/
		);
		expect(await within(contents)).toEqual(before);
		expect(readdirSync(join(folder, 'backups'))).toHaveLength(1);
	});

	it('whose standings do not follow from its answers is refused, and changes nothing', async () => {
		await within((database) =>
			database.run(
				'UPDATE student_field SET packed = INSERT(packed, 5, 4, 0x40000000), made_of = revision WHERE student_id = 1'
			)
		);
		const bent = join(folder, 'bent.sql.gz');
		expect(run('backup.ts', bent).status).toBe(0);
		expect(run('restore.ts', file).status).toBe(0);
		const refused = run('restore.ts', bent);
		expect([refused.status, refused.stderr]).toEqual([
			1,
			expect.stringMatching(/Standings of 1 of its \d+ students do not follow/)
		]);
		expect(await within(contents)).toEqual(before);
	});

	it('that is damaged or not there is refused, and changes nothing', async () => {
		const damaged = join(folder, 'damaged.sql.gz');
		writeFileSync(damaged, 'no backup');
		for (const name of [damaged, join(folder, 'none.sql.gz')]) expect(run('restore.ts', name).status).toBe(1);
		expect(await within(contents)).toEqual(before);
		expect(existsSync(join(folder, 'start.json'))).toBe(false);
	});
});
