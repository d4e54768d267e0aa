import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrations } from '../../tests/databaseShape';
import { fillSmallSchool, NOW } from '../../tests/smallSchool';
import { seededRandom } from '../../src/lib/core/random';
import { migrate } from '../../src/lib/server/database/migrate';
import { openDatabase, type RootDatabase } from '../../src/lib/server/database/pool';
import { freePort, startMariadb } from '../mariadb.mjs';
import { ensureBuild } from '../prepare.mjs';
import { serveApp } from '../serve.mjs';
import { Sitter } from './sitter';

const folder = mkdtempSync(join(tmpdir(), 'compass-crash-'));
const STUDENTS = [1, 2, 3, 4, 5, 6, 7, 8];
let port: number;
let mariadb: Awaited<ReturnType<typeof startMariadb>>;
let app: Awaited<ReturnType<typeof serveApp>>;
let database: RootDatabase;

async function start() {
	mariadb = await startMariadb(folder);
	database = openDatabase(mariadb.url);
	const environment = { ORDERLY_CLOCK: NOW.toISOString(), LOG_LEVEL: 'silent' };
	const serve = () => serveApp({ databaseUrl: mariadb.url, port, environment, quiet: true });
	return serve;
}

/** Both processes end as when the power goes. */
async function crash() {
	process.kill(app.pid!, 'SIGKILL');
	process.kill(Number(readFileSync(join(folder, 'mariadbd.pid'), 'utf8')), 'SIGKILL');
	await database.close().catch(() => {});
	await pause(300);
}

beforeAll(async () => {
	ensureBuild();
	port = await freePort();
	const serve = await start();
	const owned = openDatabase(mariadb.ownerUrl, 1);
	await migrate(owned, migrations);
	await owned.close();
	await fillSmallSchool(database);
	await database.run(`UPDATE screening_window SET mode = 'adaptive' WHERE id = 2`);
	app = await serve();
});
afterAll(async () => {
	await app.stop();
	await database.close();
	await mariadb.stop();
	rmSync(folder, { recursive: true, force: true });
});

describe('app and database killed in the middle of a window', () => {
	it('come back; every student goes on, nothing is lost and nothing doubled', async () => {
		let answers = 0;
		const sitters = STUDENTS.map((studentId) => {
			const random = seededRandom(studentId);
			return new Sitter({
				address: () => `http://127.0.0.1:${port}`,
				database: () => database,
				studentId,
				windowId: 2,
				now: NOW,
				random,
				think: () => random.integer(20, 80),
				resend: 0.1,
				onAnswer: () => answers++,
				patienceMs: 60_000
			});
		});
		for (const sitter of sitters) {
			await sitter.signIn();
			await sitter.start();
		}
		const sitting = Promise.all(sitters.map((sitter) => sitter.sit()));
		for (const after of [40, 120]) {
			while (answers < after) await pause(10);
			await crash();
			app = await (await start())();
		}
		await sitting;

		const rows = await database.rows<{ id: string; sittingId: number; position: number; attempt: number }>(
			'SELECT id, sitting_id AS sittingId, position, attempt FROM answer'
		);
		const stored = new Set(rows.map(({ id }) => id.toLowerCase()));
		for (const sitter of sitters)
			for (const id of sitter.acknowledged) expect(stored.has(id), `answer ${id} was lost`).toBe(true);
		// An answer whose reply was lost was sent again under its own id, so there are exactly as many.
		expect(rows.length).toBe(sitters.reduce((sum, { acknowledged }) => sum + acknowledged.size, 0));
		expect(new Set(rows.map(({ sittingId, position }) => `${sittingId} ${position}`)).size).toBe(rows.length);

		const sittings = await database.rows<{ itemCount: number; answered: number; stored: number; trust: string }>(
			`SELECT item_count AS itemCount, answered, trust,
				(SELECT COUNT(*) FROM answer WHERE answer.sitting_id = sitting.id) AS stored
			FROM sitting`
		);
		expect(sittings).toHaveLength(STUDENTS.length);
		for (const { itemCount, answered, stored: count, trust } of sittings) {
			expect(answered).toBe(itemCount);
			expect(Number(count)).toBe(answered);
			expect(trust).not.toBe('open');
		}
	}, 180_000);
});
