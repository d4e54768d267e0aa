import { SCHOOL_ID } from '../../demo/people';
import { newToken, SIGN_IN_COOKIE, tokenHash } from '../../src/lib/server/auth/signIn';
import { beginSignIn } from '../../src/lib/server/auth/store/signIns';
import { NEEDLE_FILTERS, packedTest } from '../../src/lib/core/mastery';
import { allStudentIds } from '../../src/lib/server/people/store/people';
import type { VisibleId } from '../../src/lib/server/request/viewer';
import { readCells, readStandings } from '../../src/lib/server/standing/standings';
import { openDatabase, type RootDatabase } from '../../src/lib/server/database/pool';
import { DEMO_CLOCK, startDemoServer } from '../demoServer.mjs';
import { countRows, growDistrict, growSchool } from './moreSchools';

const ROUNDS = 15;
/** What a page may weigh, uncompressed with what is embedded, and how much it may grow from 264 to 1,056 students. */
const MOST_KB = 250;
const MOST_GROWTH = 1.5;
const SCHOOLS = 50;
/** Students whom groups are suggested for. */
const GROUPED = 36;

const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];

interface Cost {
	milliseconds: number;
	kilobytes: number;
}

/** Every page of staff, each with the addresses it is usually opened by. */
async function addresses(database: RootDatabase): Promise<string[]> {
	const first = async (sql: string) => (await database.row<{ id: number }>(sql, [SCHOOL_ID]))!.id;
	const skill = (await database.row<{ code: string }>("SELECT code FROM skill WHERE code LIKE 'F4%' LIMIT 1"))!.code;
	const group = await first('SELECT id FROM small_group WHERE school_id = ? ORDER BY id LIMIT 1');
	const set = await first('SELECT id FROM practice_set WHERE school_id = ? ORDER BY id DESC LIMIT 1');
	const student = await first('SELECT id FROM student WHERE school_id = ? ORDER BY id LIMIT 1 OFFSET 99');
	const some = Array.from({ length: GROUPED }, (_, i) => student + i);
	return [
		'/screen',
		`/screen?student=${student}`,
		'/screen?view=classes',
		'/screen/sittings',
		'/screen/windows',
		'/screen/cuts',
		'/screen/calibration',
		'/screen/import',
		`/screen/score?of=${student}`,
		`/screen/report?of=${student}`,
		'/screen/reminders',
		'/gaps',
		'/gaps?scope=grade:4',
		'/gaps/progression',
		'/gaps/then',
		'/gaps/class?scope=class:1',
		'/gaps/assumptions',
		`/gaps/check?scope=list:${student}`,
		'/groups',
		'/groups/today',
		'/groups/timetable',
		'/groups/suggest',
		`/groups/suggest?students=${some.join(',')}`,
		'/groups/drafts',
		`/groups/${group}`,
		'/practice',
		'/practice/queues',
		'/practice/facts?student=95',
		'/practice/own',
		'/practice/calendar',
		'/practice/results',
		'/practice/results?by=date',
		'/practice/log',
		'/practice/given?for=group:2',
		'/practice/try?skill=20,30&questions=5',
		`/practice/${set}/results`,
		`/practice/new?skill=${skill}`,
		`/practice/${set}`,
		`/practice/${set}/print`,
		'/track',
		'/track/charts',
		'/track/probes',
		'/track/paper?group=1',
		'/track/measures',
		'/track/commendations',
		'/track/sessions',
		'/decide',
		'/decide/meetings',
		'/decide/meetings/3?step=1',
		'/decide/decisions',
		'/decide/tiers',
		'/decide/rules',
		'/decide/meetings/3/sheet',
		`/students/${student}/sheet`,
		`/students/${student}/sheet?for=family`,
		`/students/${student}`,
		`/students/${student}/answers`,
		'/library',
		`/library/${skill}`,
		'/account',
		'/setup',
		'/setup/school',
		'/setup/classes',
		'/setup/classes/1',
		'/setup/add',
		'/setup/roster',
		'/setup/people',
		'/setup/caseload',
		'/setup/people/hand-over?staff=3',
		'/setup/interventions',
		'/setup/year',
		'/setup/data',
		'/notices',
		'/setup/log'
	];
}

/** Signs one in who may open a page: setting up is for coordinators, all else for specialists. */
async function signIn(database: RootDatabase, userName: string): Promise<string> {
	const token = newToken();
	const account = await database.row<{ id: number }>('SELECT id FROM account WHERE user_name = ?', [userName]);
	const hashes = { tokenHash: tokenHash(token), heldHash: null };
	await beginSignIn(
		database,
		{ accountId: account!.id },
		hashes,
		{ address: '127.0.0.1', browser: 'simulated' },
		new Date(DEMO_CLOCK)
	);
	return `${SIGN_IN_COOKIE}=${token}`;
}

/** A page for the whole school, where its address names nobody. */
const forTheSchool = (path: string) =>
	path.includes('scope=') ? path : `${path}${path.includes('?') ? '&' : '?'}scope=school`;

/** A school that pages are asked of, with the cookies of who asks. */
interface Served {
	address: string;
	specialist: string;
	coordinator: string;
}

/** Asks for a page once. @returns the time to its first byte in milliseconds, and its uncompressed size in bytes */
async function ask({ address, specialist, coordinator }: Served, page: string) {
	const url = address + forTheSchool(page);
	const began = performance.now();
	const response = await fetch(url, {
		headers: { cookie: /^\/(setup|notices)/.test(page) ? coordinator : specialist, 'accept-encoding': 'identity' },
		redirect: 'manual'
	});
	const milliseconds = performance.now() - began;
	if (response.status !== 200) throw new Error(`${url}: ${response.status}`);
	return { milliseconds, bytes: (await response.arrayBuffer()).byteLength };
}

/** What a page costs in each of some schools, asked in turn, so that all meet the same machine. */
async function costsOf(schools: Served[], page: string): Promise<Cost[]> {
	const times: number[][] = schools.map(() => []);
	const sizes: number[] = [];
	for (let round = 0; round <= ROUNDS; round++)
		for (const [i, school] of schools.entries()) {
			const { milliseconds, bytes } = await ask(school, page);
			// The first round warms up.
			if (round) times[i].push(milliseconds);
			sizes[i] = bytes;
		}
	return times.map((own, i) => ({ milliseconds: median(own), kilobytes: sizes[i] / 1_000 }));
}

/** The needle map of a whole school on the server, beside the SQL that it cannot do without, and beside standings in full. */
async function mapCost(database: RootDatabase) {
	const ids = await allStudentIds(database, SCHOOL_ID);
	const { placeOf } = await readCells(database, SCHOOL_ID, []);
	const times = { map: [] as number[], sql: [] as number[], standings: [] as number[] };
	const time = async (into: number[], work: () => Promise<unknown>) => {
		const began = performance.now();
		await work();
		into.push(performance.now() - began);
	};
	for (let round = 0; round <= ROUNDS; round++) {
		await time(times.map, async () => {
			const cells = await readCells(database, SCHOOL_ID, ids as VisibleId[]);
			const isGap = packedTest(NEEDLE_FILTERS.gaps);
			let gaps = 0;
			for (const id of ids) {
				const own = cells.packed(id);
				for (let place = 0; place < placeOf.size; place++) if (isGap(own, place)) gaps++;
			}
			return gaps;
		});
		await time(times.sql, () =>
			database.rows('SELECT student_id, cells FROM student_field WHERE student_id IN (?)', [ids])
		);
	}
	// By themselves: what they leave to be collected is not the map's.
	for (let round = 0; round <= ROUNDS; round++)
		await time(times.standings, () => readStandings(database, ids as VisibleId[]));
	return {
		students: ids.length,
		skills: placeOf.size,
		map: median(times.map.slice(1)),
		sql: median(times.sql.slice(1)),
		standings: median(times.standings.slice(1))
	};
}

/** What each page of staff costs in the demo school, in one four times as large, and as one school of a district. */
export async function benchPages(address: string, databaseUrl: string): Promise<void> {
	const more = [await startDemoServer(), await startDemoServer()];
	try {
		await comparePages([{ address, databaseUrl }, ...more]);
	} finally {
		for (const server of more) await server.stop();
	}
}

async function comparePages(servers: { address: string; databaseUrl: string }[]): Promise<void> {
	const databases = servers.map(({ databaseUrl }) => openDatabase(databaseUrl, 1));
	await growSchool(databases[1], 4);
	await growDistrict(databases[2], SCHOOLS);
	const schools: Served[] = [];
	for (const [i, database] of databases.entries()) {
		await countRows(database);
		schools.push({
			address: servers[i].address,
			specialist: await signIn(database, 'specialist'),
			coordinator: await signIn(database, 'coordinator')
		});
	}
	const pages = await addresses(databases[0]);
	console.log(
		`pages     time to the first byte and size of the first response; with 1,056 students, and with 264 in a district of ${SCHOOLS} schools, as multiples (at most ${MOST_KB} kB and ${MOST_GROWTH} times)`
	);
	console.log(row('page', ['ms', 'kB', '1,056: ms', 'kB', 'district: ms']));
	let beyond = 0;
	for (const page of pages) {
		const [small, large, district] = await costsOf(schools, page);
		const slower = large.milliseconds / small.milliseconds;
		const heavier = large.kilobytes / small.kilobytes;
		const isBeyond = large.kilobytes > MOST_KB || slower > MOST_GROWTH || heavier > MOST_GROWTH;
		if (isBeyond) beyond++;
		const cells = [
			small.milliseconds.toFixed(0),
			small.kilobytes.toFixed(0),
			`× ${slower.toFixed(2)}`,
			`× ${heavier.toFixed(2)}`,
			`× ${(district.milliseconds / small.milliseconds).toFixed(2)}`
		];
		console.log(`${row(page.slice(0, 28), cells)}${isBeyond ? '  beyond' : ''}`);
	}
	console.log(`          ${beyond} of ${pages.length} beyond`);
	for (const database of databases.slice(0, 2)) {
		const { students, skills, map, sql, standings } = await mapCost(database);
		console.log(
			`map       ${students} × ${skills} on the server in ${map.toFixed(0)} ms, its SQL alone ${sql.toFixed(0)} ms: ${(map / sql).toFixed(1)} times (at most 3); all standings in full take ${(standings / map).toFixed(1)} times as long`
		);
	}
	for (const database of databases) await database.close();
}

const row = (page: string, cells: string[]) =>
	`          ${page.padEnd(28)}${cells.map((cell) => cell.padStart(11)).join('')}`;
