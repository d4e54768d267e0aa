import { oneSkillSet } from '../oneSkillSet';
import { pbkdf2Sync, randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { eventFor, modules } from './routes';
import { newProbes, NOW, seen, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../smallSchool';
import { addDays } from '../../src/lib/core/calendar';
import { canonicalAnswer, isReadable } from '../../src/lib/core/items';
import { itemFamilies, itemFrom } from '../../src/lib/core/items/bank';
import { isRight } from '../../src/lib/ui/sitting/isRight';
import { beginDiagnostic } from '../../src/lib/server/sitting/store/adaptiveSittings';
import { assignSet } from '../../src/lib/server/practice/store/assigning';
import { queuedSets } from '../../src/lib/server/practice/store/practice';
import { probeSeries, startProbes } from '../../src/lib/server/track/store/probes';
import { beginPractice } from '../../src/lib/server/sitting/store/practiceSittings';
import { beginProbe } from '../../src/lib/server/sitting/store/probeSittings';
import { sittingItems } from '../../src/lib/server/sitting/store/sittings';
import { assignChecks, beginCheck, openChecks } from '../../src/lib/server/gaps/store/skillChecks';
import type { SignedInStudent } from '../../src/lib/server/request/viewer';
import { practiceItem } from '../../src/lib/server/sitting/practiceItem';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('practice_item');
});
afterAll(() => small.database.close());

const student: SignedInStudent = { kind: 'student', id: seenOne(1), schoolId: 1, givenName: 'Given1', grade: 4 };
const WORK = '/(student)/work/[sitting]/+page.server.ts';
const ANSWERS = '/api/sittings/[sitting]/answers/+server.ts';

/** What the page of a sitting holds, as text. */
async function pageOf(sittingId: number): Promise<string> {
	const asking = { database: small.database, viewer: student, path: WORK, params: { sitting: String(sittingId) } };
	return JSON.stringify(await modules[WORK].load!(eventFor(asking) as never));
}

async function send(sittingId: number, position: number, attempt: number, response: unknown, query = '') {
	const answer = { id: randomUUID(), position, attempt, response, milliseconds: 1, answeredAt: NOW.toISOString() };
	const asking = {
		database: small.database,
		viewer: student,
		path: ANSWERS,
		params: { sitting: String(sittingId) },
		query,
		body: JSON.stringify({ answers: [answer] }),
		type: 'application/json'
	};
	return (await modules[ANSWERS].POST!(eventFor(asking) as never)).json();
}

/** A wrong answer that can be read. */
const wrongFor = (familyId: string, seed: number) => {
	const item = itemFrom(familyId, seed);
	return item.expectedErrors[0]?.answer ?? (item.response.kind === 'choice' ? (Number(item.key) + 1) % 2 : '99999');
};

describe('a question of practice', () => {
	it('tells right from wrong by its proof, in every family, as the server judges', async () => {
		for (const { id } of itemFamilies.filter((_, i) => i % 5 === 0)) {
			const item = itemFrom(id, 11);
			const shown = await practiceItem(small.database, itemFrom(id, 11));
			expect(await isRight(shown, item.key), id).toBe(true);
			for (const { answer } of item.expectedErrors.slice(0, 1))
				expect(!isReadable(item, answer) || (await isRight(shown, answer)), id).toBe(false);
		}
	});

	it('has a proof that is slow and its own', async () => {
		const [one, other] = [itemFamilies[0].id, itemFamilies[1].id];
		const { proof } = await practiceItem(small.database, itemFrom(one, 3));
		expect(proof.iterations).toBeGreaterThanOrEqual(20_000);
		expect(proof.salt).not.toBe((await practiceItem(small.database, itemFrom(one, 4))).proof.salt);
		expect(proof.salt).not.toBe((await practiceItem(small.database, itemFrom(other, 3))).proof.salt);
		const item = itemFrom(one, 3);
		const key = canonicalAnswer(item, item.key);
		const byHand = pbkdf2Sync(key, Buffer.from(proof.salt, 'hex'), proof.iterations, 32, 'sha256').toString('hex');
		expect(proof.hashes).toContain(byHand);
	});

	it('is on the page without its key, solution or wrong ideas; the server tells how after two tries or a right one', async () => {
		const { database, skills } = small;
		const set = { skillId: skills[3].id, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: TODAY, studentIds: [1] };
		await assignSet(database, staffAs('specialist'), oneSkillSet(set), NOW);
		const [queued] = await queuedSets(database, seen(1), TODAY);
		const sittingId = await beginPractice(database, seenOne(1), queued, skills, NOW);
		const page = await pageOf(sittingId);
		expect(page).toContain('"proof"');
		expect(page).not.toMatch(/"(key|alsoRight|expectedErrors|misconceptions?|solution(Html|Figure)?)"/);

		const items = await sittingItems(database, sittingId);
		const [first, second] = items;
		const wrong = wrongFor(first.familyId, first.seed);
		expect(await send(sittingId, 0, 2, wrong)).toMatchObject({ solutions: [] });
		expect(await send(sittingId, 0, 1, wrong)).toMatchObject({
			solutions: [{ position: 0, solutionHtml: [expect.any(String)] }]
		});
		const { key } = itemFrom(second.familyId, second.seed);
		expect(await send(sittingId, 1, 1, key)).toMatchObject({ solutions: [{ position: 1 }] });
		const third = wrongFor(items[2].familyId, items[2].seed);
		expect(await send(sittingId, 2, 1, third)).toMatchObject({ solutions: [] });
	});
});

describe('diagnostics, checks and probes', () => {
	it('send nothing that tells a key: neither with the page nor after an answer', async () => {
		const { database, skills } = small;
		const window = { id: 2, subject: 'Mathematics', term: 2 };
		const begin = (mode: 'adaptive' | 'fixed form', attempt: number) =>
			beginDiagnostic(database, { id: 1, grade: 4 }, { window: { ...window, mode }, attempt }, skills, NOW);
		const plan = { skillId: skills[0].id, groupId: null, startsOn: TODAY, goalOn: addDays(TODAY, 40) };
		await startProbes(database, staffAs('specialist'), newProbes({ ...plan, studentIds: [1] }), NOW);
		const [series] = await probeSeries(database, seen(1), small.school);
		const wanted = [{ studentId: 1, skillIds: [skills[1].id] }];
		await assignChecks(database, staffAs('specialist'), wanted, addDays(TODAY, 3), NOW);
		const [check] = await openChecks(database, seen(1));
		const sittings = [
			await begin('adaptive', 1),
			await begin('fixed form', 2),
			await beginProbe(database, series, 1, skills, NOW),
			await beginCheck(database, check, skills, NOW)
		];
		for (const sittingId of sittings) {
			const page = JSON.parse(await pageOf(sittingId));
			expect(page.items.length).toBeGreaterThan(0);
			// The warm-up counts for nothing; of it, too, only the proof travels.
			const TELLING = /"(key|alsoRight|expectedErrors|misconceptions?|solution(Html|Figure)?|hint\w*|seed|familyId)"/;
			expect(JSON.stringify(page.items)).not.toMatch(TELLING);
			expect(JSON.stringify(page.items)).not.toContain('"proof"');
			expect(JSON.stringify(page.warmUp)).not.toMatch(
				/"(key|alsoRight|expectedErrors|misconceptions?|solution(Html|Figure)?)"/
			);
			const [place] = await sittingItems(database, sittingId);
			for (const query of ['', '?next']) {
				const reply = await send(sittingId, 0, 1, itemFrom(place.familyId, place.seed).key, query);
				expect(JSON.stringify(reply)).not.toMatch(TELLING);
				expect(JSON.stringify(reply)).not.toMatch(/"(correct|proof)"/);
				expect(reply.solutions ?? []).toEqual([]);
			}
		}
	});
});
