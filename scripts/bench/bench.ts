/**
 * npm run bench: ratios measured side by side in one run. Figures depend on the machine; ratios much less so.
 * `npm run bench -- pages` runs one part.
 */
import { oneSkillSet } from '../../tests/oneSkillSet';
import { execFileSync, fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { SCHOOL_ID, STUDENT_IDS } from '../../demo/people';
import { DEMO_CLOCK } from '../demoServer.mjs';
import { freePort } from '../mariadb.mjs';
import { serveApp } from '../serve.mjs';
import { check } from '../../src/lib/core/items';
import { itemFrom, itemFamilies } from '../../src/lib/core/items/bank';
import { seededRandom } from '../../src/lib/core/random';
import { findInLibrary } from '../../src/lib/server/library/finder';
import { importStandards } from '../../src/lib/server/library/store/library';
import { newToken, SIGN_IN_COOKIE, tokenHash } from '../../src/lib/server/auth/signIn';
import { beginSignIn } from '../../src/lib/server/auth/store/signIns';
import { openDatabase } from '../../src/lib/server/database/pool';
import { assignSet } from '../../src/lib/server/practice/store/assigning';
import { queuedSets } from '../../src/lib/server/practice/store/practice';
import { beginPractice } from '../../src/lib/server/sitting/store/practiceSittings';
import { sittingItems } from '../../src/lib/server/sitting/store/sittings';
import { skillList } from '../../src/lib/server/library/store/skills';
import { benchCharts } from './charts';
import { benchGrouping } from './grouping';
import { benchMeasurement } from './measurement';
import { benchNeedleMap } from './needleMap';
import { benchPages } from './pages';
import { benchPractice } from './practice';
import { benchRebuild } from './rebuild';
import { benchResults } from './results';

const TODAY = '2026-11-23';
const at = new Date('2026-11-23T15:00:00Z');
const STUDENTS = 48;
const ROUNDS = 3;
const SET_ITEMS = 40;

const database = openDatabase(process.env.DEMO_DATABASE!);
/** May make tables. */
const owner = openDatabase(process.env.DEMO_OWNER!);
const skills = await skillList(database, SCHOOL_ID);
const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];

interface Shot {
	path: string;
	cookie: string;
	body: string;
}

const agent = new Agent({ keepAlive: true, maxSockets: STUDENTS });

function post(base: string, shot: Shot): Promise<number> {
	return new Promise((resolve, reject) => {
		const sent = request(
			base + shot.path,
			{
				method: 'POST',
				agent,
				headers: {
					'Content-Type': 'application/json',
					Cookie: shot.cookie,
					Origin: base,
					'Content-Length': Buffer.byteLength(shot.body)
				}
			},
			(reply) => reply.resume().on('end', () => resolve(reply.statusCode!))
		);
		sent.on('error', reject);
		sent.end(shot.body);
	});
}

/** Sends every shot once, one client a student. @returns answers a second */
async function fire(base: string, shots: Shot[]): Promise<number> {
	let next = 0;
	const began = performance.now();
	await Promise.all(
		Array.from({ length: STUDENTS }, async () => {
			while (next < shots.length) {
				const status = await post(base, shots[next++]);
				if (status !== 200) throw new Error(`status ${status}`);
			}
		})
	);
	return shots.length / ((performance.now() - began) / 1_000);
}

/** One round's answers: each student begins a new set of 40 and answers it through. */
async function prepareShots(cookies: Map<number, string>): Promise<Shot[]> {
	const studentIds = STUDENT_IDS.slice(0, STUDENTS);
	const staff = { kind: 'staff' as const, id: 2, schoolId: 1, role: 'specialist' as const, displayName: '' };
	const setId = await assignSet(
		database,
		staff,
		oneSkillSet({
			skillId: skills[4].id,
			groupId: null,
			itemCount: SET_ITEMS,
			opensOn: TODAY,
			dueOn: TODAY,
			studentIds
		}),
		at
	);
	const perStudent: Shot[][] = [];
	for (const studentId of studentIds) {
		const set = (await queuedSets(database, [studentId], TODAY)).find(({ id }) => id === setId)!;
		const sittingId = await beginPractice(database, studentId, set, skills, at);
		perStudent.push(
			(await sittingItems(database, sittingId)).map(({ position, familyId, seed }) => ({
				path: `/api/sittings/${sittingId}/answers`,
				cookie: cookies.get(studentId)!,
				body: JSON.stringify({
					answers: [
						{
							id: randomUUID(),
							position,
							attempt: 1,
							response: itemFrom(familyId, seed).key,
							milliseconds: 5_000,
							answeredAt: new Date(at.getTime() + setId * 1_000 + position * 10).toISOString()
						}
					]
				})
			}))
		);
	}
	return Array.from({ length: SET_ITEMS }, (_, i) => perStudent.map((shots) => shots[i])).flat();
}

/** The same requests answered by one INSERT each: by Node alone, and by an app on our framework. */
async function startBare() {
	// They make a table of their own.
	const databaseUrl = process.env.DEMO_OWNER!;
	const node = fork(fileURLToPath(new URL('bareEndpoint.ts', import.meta.url)), {
		execArgv: ['--import', 'tsx'],
		env: { ...process.env, DATABASE_URL: databaseUrl }
	});
	const port = await new Promise<number>((resolve) => node.once('message', (message) => resolve(Number(message))));
	const folder = fileURLToPath(new URL('bareApp', import.meta.url));
	execFileSync('npx', ['vite', 'build', '--logLevel', 'error'], { cwd: folder, stdio: 'ignore' });
	const app = await serveApp({ databaseUrl, port: await freePort(), build: join(folder, 'build'), quiet: true });
	return {
		node: `http://127.0.0.1:${port}`,
		framework: app.address,
		async stop() {
			node.kill();
			await app.stop();
		}
	};
}

async function benchAnswers(): Promise<void> {
	const bare = await startBare();
	const cookies = new Map<number, string>();
	for (let id = 1; id <= STUDENTS; id++) {
		const token = newToken();
		const hashes = { tokenHash: tokenHash(token), heldHash: null };
		// The app's clock stands on the demo's day.
		const at = new Date(DEMO_CLOCK);
		await beginSignIn(database, { studentId: id }, hashes, { address: '127.0.0.1', browser: 'simulated' }, at);
		cookies.set(id, `${SIGN_IN_COOKIE}=${token}`);
	}
	const bases = { real: process.env.DEMO_ADDRESS!, framework: bare.framework, node: bare.node };
	const rates: Record<keyof typeof bases, number[]> = { real: [], framework: [], node: [] };
	for (let round = 0; round <= ROUNDS; round++) {
		for (const [name, base] of Object.entries(bases) as [keyof typeof bases, string][]) {
			const rate = await fire(base, await prepareShots(cookies));
			// The first round warms all up.
			if (round > 0) rates[name].push(rate);
		}
	}
	await bare.stop();
	const { real, framework, node } = rates;
	const share = (whole: number[]) => `${((100 * median(real)) / median(whole)).toFixed(0)}%`;
	console.log(
		`answers   real endpoint ${median(real).toFixed(0)}/s (aim 60% or more of a bare INSERT)
          one INSERT on the same framework ${median(framework).toFixed(0)}/s: ${share(framework)}
          one INSERT by Node alone ${median(node).toFixed(0)}/s: ${share(node)}`
	);
}

/** Words found among the skills and 20,000 standards that a school has brought in. */
async function benchLibrary(): Promise<void> {
	const random = seededRandom(20_000);
	const words = skills.flatMap(({ statement, also }) => `${statement} ${also}`.split(/\s+/));
	const standards = Array.from({ length: 20_000 }, (_, i) => ({
		code: `B.${i}`,
		statement: Array.from({ length: 14 }, () => random.pick(words)).join(' '),
		grade: random.integer(1, 8),
		skillIds: [random.pick(skills).id]
	}));
	const staff = { kind: 'staff' as const, id: 1, schoolId: 1, role: 'coordinator' as const, displayName: '' };
	await importStandards(database, staff, 'Made up for the benchmark', standards, at);
	const built = performance.now();
	await findInLibrary(database, 1, 'times tables', 24);
	const first = performance.now() - built;
	const phrases = [
		'times tables',
		'telling time',
		'fractions with different bottoms',
		'probabilty',
		'percent off',
		'B.19'
	];
	const times: number[] = [];
	for (let round = 0; round < 10; round++) {
		for (const phrase of phrases) {
			const began = performance.now();
			await findInLibrary(database, 1, phrase, 24);
			times.push(performance.now() - began);
		}
	}
	times.sort((a, b) => a - b);
	console.log(
		`library   among ${skills.length} skills and 20,000 standards: median ${median(times).toFixed(0)} ms, slowest ${times[times.length - 1].toFixed(0)} ms (a few tens); the first after an import ${first.toFixed(0)} ms`
	);
}

function benchItems(): void {
	const seeds = 100;
	const aSecond = (count: number, began: number) => (count / ((performance.now() - began) / 1_000)).toFixed(0);
	const making = performance.now();
	const items = itemFamilies.flatMap(({ id }) => Array.from({ length: seeds }, (_, seed) => itemFrom(id, seed)));
	const made = aSecond(items.length, making);
	const checking = performance.now();
	let right = 0;
	for (const item of items)
		for (const answer of [item.key, ...item.expectedErrors.map((error) => error.answer)])
			if (check(item, answer).correct) right++;
	const checked = aSecond(
		items.reduce((sum, item) => sum + 1 + item.expectedErrors.length, 0),
		checking
	);
	if (right !== items.length) throw new Error(`${right} of ${items.length} keys were found right`);
	console.log(
		`items     of ${itemFamilies.length} families: ${made} made and ${checked} answers checked a second on one core`
	);
}

const { DEMO_ADDRESS, DEMO_DATABASE } = process.env;
const parts: Record<string, () => void | Promise<void>> = {
	answers: benchAnswers,
	library: benchLibrary,
	grouping: benchGrouping,
	items: benchItems,
	measurement: () => benchMeasurement(skills),
	practice: () => benchPractice(DEMO_ADDRESS!, owner, skills),
	rebuild: () => benchRebuild(database),
	pages: () => benchPages(DEMO_ADDRESS!, DEMO_DATABASE!),
	charts: () => benchCharts(DEMO_ADDRESS!),
	results: () => benchResults(DEMO_ADDRESS!, database, skills),
	// Last, since it adds skills.
	browser: () => benchNeedleMap(DEMO_ADDRESS!, DEMO_DATABASE!)
};
const wanted = process.argv.slice(2);
for (const [name, part] of Object.entries(parts)) if (!wanted.length || wanted.includes(name)) await part();
await database.close();
await owner.close();
