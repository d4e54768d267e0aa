import { chromium, type Browser } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import { chromiumLaunch } from '../chromium.mjs';
import { DEMO_CLOCK } from '../demoServer.mjs';
import { freePort } from '../mariadb.mjs';
import { serveApp } from '../serve.mjs';
import { SCHOOL_ID, STUDENT_IDS } from '../../demo/people';
import { addDays } from '../../src/lib/core/calendar';
import { NO_VARIATION, USUAL_HOW } from '../../src/lib/core/practice';
import { newToken, SIGN_IN_COOKIE, tokenHash } from '../../src/lib/server/auth/signIn';
import { beginSignIn } from '../../src/lib/server/auth/store/signIns';
import type { RootDatabase } from '../../src/lib/server/database/pool';
import type { Skill } from '../../src/lib/server/library/store/skills';
import type { SignedInStudent } from '../../src/lib/server/request/viewer';
import { ownPage } from '../../src/lib/server/sitting/ownPage';

const TODAY = '2026-11-23';
const ROUNDS = 15;
/** Students whose pages are opened, three times each. */
const PAGES = 40;

const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];

async function signIn(database: RootDatabase, who: { accountId: number } | { studentId: number }): Promise<string> {
	const token = newToken();
	const hashes = { tokenHash: tokenHash(token), heldHash: null };
	// The app's clock stands on the demo's day, and goes on since this began.
	const at = new Date(Date.parse(DEMO_CLOCK) + performance.now());
	await beginSignIn(database, who, hashes, { address: '127.0.0.1', browser: 'simulated' }, at);
	return `${SIGN_IN_COOKIE}=${token}`;
}

const timed = async (work: () => Promise<unknown>): Promise<number> => {
	const began = performance.now();
	await work();
	return performance.now() - began;
};

/** A set for every student of the school, assigned as the page does it, beside one INSERT of as many rows. */
async function benchAssigning(address: string, database: RootDatabase, skill: Skill): Promise<void> {
	const account = await database.row<{ id: number }>("SELECT id FROM account WHERE user_name = 'specialist'");
	const cookie = await signIn(database, { accountId: account!.id });
	const plan = {
		...{
			name: '',
			groupId: null,
			isOwnStep: false,
			lessonId: null,
			task: '',
			weeks: 1,
			onMeetings: true,
			how: USUAL_HOW
		},
		students: STUDENT_IDS.map((studentId) => ({ studentId, skillId: null, dueOn: null, variation: NO_VARIATION })),
		skills: [{ skillId: skill.id, practice: 5, checks: 0, hasExample: false }],
		dates: { opensOn: TODAY, opensMinute: null, dueOn: addDays(TODAY, 4), dueMinute: null, closes: false }
	};
	const post = async (path: string, fields: Record<string, string>) => {
		const reply = await fetch(address + path, {
			method: 'POST',
			redirect: 'manual',
			headers: {
				Cookie: cookie,
				Origin: address,
				Accept: 'text/html',
				'Content-Type': 'application/x-www-form-urlencoded'
			},
			body: new URLSearchParams(fields)
		});
		if (![200, 303].includes(reply.status)) throw new Error(`${path}: status ${reply.status}`);
		return reply.headers.get('location') ?? '';
	};
	const times: number[] = [];
	const inserts: number[] = [];
	await database.run('CREATE OR REPLACE TABLE bench_given LIKE practice_set_student');
	for (let round = 0; round <= ROUNDS; round++) {
		let location = '';
		const took = await timed(async () => {
			location = await post('/practice/new?scope=school', { plan: JSON.stringify(plan), sure: 'yes' });
		});
		const insert = await timed(() =>
			database.insertMany(
				'INSERT INTO bench_given (set_id, student_id) VALUES ?',
				STUDENT_IDS.map((studentId) => [round + 1, studentId])
			)
		);
		await post('/practice?/withdraw', { sets: /assigned=(\d+)/.exec(location)![1] });
		// The first round warms all up.
		if (round > 0) {
			times.push(took);
			inserts.push(insert);
		}
	}
	await database.run('DROP TABLE bench_given');
	console.log(
		`practice  assigned to ${STUDENT_IDS.length} students in ${median(times).toFixed(0)} ms at the median (aim under 300); one INSERT of as many rows ${median(inserts).toFixed(1)} ms`
	);
}

/** A student's own page, beside the queries that it asks. */
async function benchOwnPage(address: string, database: RootDatabase): Promise<void> {
	const asked: { sql: string; values: unknown[] }[] = [];
	const note = (sql: string, values: unknown[] = []) => void asked.push({ sql, values });
	const watched: RootDatabase = {
		...database,
		rows: (sql, values) => (note(sql, values), database.rows(sql, values)),
		row: (sql, values) => (note(sql, values), database.row(sql, values))
	};
	const pages: number[] = [];
	const queries: number[] = [];
	for (const id of STUDENT_IDS.slice(0, PAGES)) {
		const cookie = await signIn(database, { studentId: id });
		const student: SignedInStudent = { kind: 'student', id, schoolId: SCHOOL_ID, givenName: '', grade: 4 };
		asked.length = 0;
		await ownPage({ database: watched, at: new Date(DEMO_CLOCK), viewer: student }, student);
		for (let round = 0; round <= 3; round++) {
			const page = await timed(async () => {
				const reply = await fetch(`${address}/today`, { headers: { Cookie: cookie }, redirect: 'manual' });
				await reply.text();
				if (reply.status !== 200) throw new Error(`/today: status ${reply.status}`);
			});
			const alone = await timed(async () => {
				for (const { sql, values } of asked) await database.rows(sql, values);
			});
			if (round > 0) {
				pages.push(page);
				queries.push(alone);
			}
		}
	}
	console.log(
		`          a student’s page ${median(pages).toFixed(1)} ms at the median, its ${asked.length} queries one after another ${median(queries).toFixed(1)} ms: ${(median(pages) / median(queries)).toFixed(2)} times (aim at most 3)`
	);
}

/** Compressed JavaScript (bytes) that a browser gets with a page before anything is done on it. */
async function scriptBytes(browser: Browser, address: string, path: string, cookie?: string): Promise<number> {
	const context = await browser.newContext();
	const [name, value] = cookie?.split('=') ?? [];
	if (name) await context.addCookies([{ name, value, url: address }]);
	const page = await context.newPage();
	const sizes: Promise<number>[] = [];
	page.on('response', (reply) => {
		if (reply.request().resourceType() === 'script') sizes.push(reply.body().then((body) => gzipSync(body).length));
	});
	await page.goto(address + path, { waitUntil: 'networkidle' });
	if (new URL(page.url()).pathname !== path) throw new Error(`${path} led to ${page.url()}`);
	const bytes = (await Promise.all(sizes)).reduce((sum, size) => sum + size, 0);
	await context.close();
	return bytes;
}

/** What the page on which a student works sends, beside an empty page of the framework. */
async function benchScripts(address: string, database: RootDatabase): Promise<void> {
	const sitting = await database.row<{ id: number; studentId: number }>(
		"SELECT id, student_id AS studentId FROM sitting WHERE kind = 'practice' AND finished_at IS NULL ORDER BY id LIMIT 1"
	);
	const cookie = await signIn(database, { studentId: sitting!.studentId });
	const folder = fileURLToPath(new URL('bareApp', import.meta.url));
	execFileSync('npx', ['vite', 'build', '--logLevel', 'error'], { cwd: folder, stdio: 'ignore' });
	const databaseUrl = process.env.DEMO_OWNER!;
	const bare = await serveApp({ databaseUrl, port: await freePort(), build: join(folder, 'build'), quiet: true });
	const browser = await chromium.launch(chromiumLaunch);
	const work = await scriptBytes(browser, address, `/work/${sitting!.id}`, cookie);
	const empty = await scriptBytes(browser, bare.address, '/');
	// A page that says that there is none: what every page of this app begins with.
	const nothing = await scriptBytes(browser, address, '/nothing-here', cookie);
	await browser.close();
	await bare.stop();
	console.log(
		`          JavaScript on the page on which a student works ${(work / 1_000).toFixed(0)} kB compressed, an empty page of this app ${(nothing / 1_000).toFixed(0)} kB: ${(work / nothing).toFixed(2)} times (aim at most 2); the smallest app of the framework ${(empty / 1_000).toFixed(0)} kB: ${(work / empty).toFixed(2)} times`
	);
}

/** Assigning to a whole school, a student’s own page, and the JavaScript that work needs. */
export async function benchPractice(address: string, database: RootDatabase, skills: Skill[]): Promise<void> {
	await benchAssigning(address, database, skills[4]);
	await benchOwnPage(address, database);
	await benchScripts(address, database);
}
