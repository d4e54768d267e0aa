import { randomUUID } from 'node:crypto';
import { oneSkillSet } from '../../tests/oneSkillSet';
import { DEMO_CLOCK } from '../demoServer.mjs';
import { SCHOOL_ID } from '../../demo/people';
import { addDays } from '../../src/lib/core/calendar';
import { itemFrom } from '../../src/lib/core/items/bank';
import { seededRandom } from '../../src/lib/core/random';
import { newToken, SIGN_IN_COOKIE, tokenHash } from '../../src/lib/server/auth/signIn';
import { beginSignIn } from '../../src/lib/server/auth/store/signIns';
import type { RootDatabase } from '../../src/lib/server/database/pool';
import type { Skill } from '../../src/lib/server/library/store/skills';
import { assignSet } from '../../src/lib/server/practice/store/assigning';
import type { Staff, VisibleId } from '../../src/lib/server/request/viewer';
import { storeAnswers } from '../../src/lib/server/sitting/store/answers';
import { beginPractice } from '../../src/lib/server/sitting/store/practiceSittings';
import { sittingItems } from '../../src/lib/server/sitting/store/sittings';

const TODAY = '2026-11-23';
const CLASS = 1;
const STUDENTS = 30;
/** Three sets a week for a term. */
const SETS = 36;
const QUESTIONS = 10;
const ROUNDS = 15;
const MOST_KB = 250;

const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];

/** A class of thirty in which everybody has done three sets a week for a term. @returns the last set, and one of the students */
async function fillTerm(database: RootDatabase, skills: Skill[], staff: Staff): Promise<[number, number]> {
	const ids = (
		await database.rows<{ id: VisibleId }>(
			'SELECT student_id AS id FROM class_membership WHERE until_on IS NULL ORDER BY class_id = ? DESC, student_id LIMIT ?',
			[CLASS, STUDENTS]
		)
	).map(({ id }) => id);
	await database.run('UPDATE class_membership SET class_id = ? WHERE student_id IN (?) AND until_on IS NULL', [
		CLASS,
		ids
	]);
	const random = seededRandom(5);
	let set = 0;
	for (let n = 0; n < SETS; n++) {
		const opensOn = addDays(TODAY, -84 + Math.floor((84 * n) / SETS));
		const at = new Date(`${opensOn}T15:00:00Z`);
		const usual = { skillId: skills[20 + (n % 12)].id, groupId: null, itemCount: QUESTIONS, opensOn };
		set = await assignSet(database, staff, oneSkillSet({ ...usual, dueOn: addDays(opensOn, 4), studentIds: ids }), at);
		for (const studentId of ids) {
			const sittingId = await beginPractice(database, studentId, { id: set }, skills, at);
			const answers = (await sittingItems(database, sittingId)).map(({ position, familyId, seed }) => {
				const item = itemFrom(familyId, seed);
				const response = random.chance(0.65) ? item.key : (item.expectedErrors[0]?.answer ?? item.key);
				const common = { attempt: 1, milliseconds: 9_000, answeredAt: at.toISOString(), receivedAt: at };
				return { ...common, id: randomUUID(), position, response, studentId, sittingId, timeZone: 'America/New_York' };
			});
			await storeAnswers(database, answers);
		}
	}
	return [set, ids[0]];
}

/** What pages of results cost for a class of thirty with a term of sets, beside an empty page of the app in the same run. */
export async function benchResults(address: string, database: RootDatabase, skills: Skill[]): Promise<void> {
	const account = (await database.row<{ id: number }>("SELECT id FROM account WHERE user_name = 'specialist'"))!;
	const staff = { kind: 'staff', id: account.id, schoolId: SCHOOL_ID, role: 'specialist', displayName: '' } as const;
	const [set, student] = await fillTerm(database, skills, staff);
	const token = newToken();
	const hashes = { tokenHash: tokenHash(token), heldHash: null };
	const from = { address: '127.0.0.1', browser: 'simulated' };
	await beginSignIn(
		database,
		{ accountId: account.id },
		hashes,
		from,
		new Date(Date.parse(DEMO_CLOCK) + performance.now())
	);
	const pages = [
		'/account?scope=school',
		`/practice/${set}/results?scope=class:${CLASS}`,
		`/practice/${set}/results?scope=class:${CLASS}&question=0`,
		`/practice/results?scope=class:${CLASS}&period=120`,
		`/practice/results?scope=class:${CLASS}&period=120&by=date`,
		`/students/${student}/answers?scope=class:${CLASS}`
	];
	const times: number[][] = pages.map(() => []);
	const bytes: number[] = [];
	for (let round = 0; round <= ROUNDS; round++)
		for (const [i, page] of pages.entries()) {
			const began = performance.now();
			const headers = { cookie: `${SIGN_IN_COOKIE}=${token}`, 'accept-encoding': 'identity' };
			const reply = await fetch(address + page, { headers, redirect: 'manual' });
			// The first round warms up.
			if (round) times[i].push(performance.now() - began);
			if (reply.status !== 200) throw new Error(`${page}: ${reply.status}`);
			bytes[i] = (await reply.arrayBuffer()).byteLength;
		}
	console.log(
		`results   time to the first byte and size of the first response, with ${STUDENTS} students who have done ${SETS} sets of ${QUESTIONS} (at most ${MOST_KB} kB); as multiples of an empty page of this app`
	);
	const empty = median(times[0]);
	for (const [i, page] of pages.entries()) {
		const [took, size] = [median(times[i]), bytes[i] / 1_000];
		console.log(
			`          ${page.slice(0, 60).padEnd(62)}${took.toFixed(0).padStart(4)} ms, × ${(took / empty).toFixed(2)}${size.toFixed(0).padStart(6)} kB${size > MOST_KB ? '  beyond' : ''}`
		);
	}
}
