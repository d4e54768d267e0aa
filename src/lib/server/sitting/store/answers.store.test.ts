import { oneSkillSet } from '../../../../../tests/oneSkillSet';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool, seen, seenOne } from '../../../../../tests/smallSchool';
import { fieldCode, schoolField } from '../../standing/schoolField';
import { answersOf } from '../../standing/store/evidence';
import { remakeFields } from '../../standing/store/studentFields';
import { keptOf } from '../../../../../tests/keptOf';
import { saidToStudent } from '../../../core/items';
import { itemFrom, oneLike } from '../../../core/items/bank';
import { storeAnswers } from './answers';
import { assignSet } from '../../practice/store/assigning';
import { queuedSets } from '../../practice/store/practice';
import { beginDiagnostic } from './adaptiveSittings';
import { notYetCounts } from '../../screen/store/diagnosticScores';
import { beginPractice } from './practiceSittings';
import { helpsOf } from '../practiceItem';
import { mathHtml } from '../presentItem';
import { findSitting, sittingItems } from './sittings';
import { firstMisses } from './tried';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('answers');
});
afterAll(() => small.database.close());

async function openSet(studentId = 1, skill = small.skills[3]) {
	const { database, skills } = small;
	const set = { skillId: skill.id, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: TODAY, studentIds: [studentId] };
	const setId = await assignSet(database, staffAs('specialist'), oneSkillSet(set), NOW);
	const queued = (await queuedSets(database, seen(studentId), TODAY)).find(({ id }) => id === setId)!;
	return { skill, set: queued, sittingId: await beginPractice(database, seenOne(studentId), queued, skills, NOW) };
}

const keptSkill = async (skillId: number, studentId = 1) =>
	(await keptOf(small.database, [studentId])).find((row) => row.skillId === skillId)!;

async function itemAt(sittingId: number, position = 0) {
	const place = (await sittingItems(small.database, sittingId))[position];
	return itemFrom(place.familyId, place.seed);
}

const answersIn = async (sittingId: number) =>
	Number(
		(await small.database.row<{ n: number }>('SELECT COUNT(*) AS n FROM answer WHERE sitting_id = ?', [sittingId]))!.n
	);

describe('answers', () => {
	it('are stored once however often they are sent, and starting twice gives one sitting', async () => {
		const { set, sittingId } = await openSet();
		expect(await beginPractice(small.database, seenOne(1), set, small.skills, NOW)).toBe(sittingId);
		const given = { id: randomUUID(), response: (await itemAt(sittingId)).key };
		const together = await Promise.all([1, 2, 3].map(() => small.answer(1, sittingId, given)));
		expect(together.sort()).toEqual(['already stored', 'already stored', 'stored']);
		expect((await findSitting(small.database, seenOne(1), sittingId))!.answered).toBe(1);
		expect(await answersIn(sittingId)).toBe(1);
	});

	it('to a place that has one already are left out, whatever their id', async () => {
		const { sittingId } = await openSet();
		const { key } = await itemAt(sittingId);
		expect(await small.answer(1, sittingId, { response: key })).toBe('stored');
		expect(await small.answer(1, sittingId, { response: key })).toBe('answered before');
		expect(await answersIn(sittingId)).toBe(1);
	});

	it('that are wrong at first say by which idea, while the second try is to come', async () => {
		for (const skill of small.skills) {
			const { sittingId } = await openSet(1, skill).catch(() => ({ sittingId: 0 }));
			if (sittingId === 0) continue;
			const item = await itemAt(sittingId);
			if (item.expectedErrors.length === 0) continue;
			const [{ answer, misconception }] = item.expectedErrors;
			expect(await firstMisses(small.database, sittingId, [0, 1])).toEqual([]);
			await small.answer(1, sittingId, { response: answer });
			const missed = await firstMisses(small.database, sittingId, [0, 1]);
			expect(missed).toMatchObject([{ position: 0, misconception, familyId: item.familyId, seed: item.seed }]);
			const [help] = helpsOf([{ ...missed[0], item }]);
			expect(help.says).toBe(saidToStudent(misconception));
			const like = oneLike(item)!;
			expect(help.like).toMatchObject({ stemHtml: mathHtml(like.stem), stepsHtml: like.solution.map(mathHtml) });
			expect(help.says).toMatch(/^[“A-Z−].*[.?]$/);
			await small.answer(1, sittingId, { response: answer, attempt: 2 });
			expect(await firstMisses(small.database, sittingId, [0])).toEqual([]);
			return;
		}
		throw new Error('no question with a wrong idea');
	});

	it('are kept with the hint that stood beside them; where a device does not say, with none', async () => {
		const { sittingId } = await openSet();
		const { key } = await itemAt(sittingId);
		await small.answer(1, sittingId, { response: key });
		await small.answer(1, sittingId, { response: key, attempt: 2, hints: 2 });
		const rows = await small.database.rows<{ attempt: number; hints: number }>(
			'SELECT attempt, hints FROM answer WHERE sitting_id = ? ORDER BY attempt',
			[sittingId]
		);
		expect(rows).toEqual([
			{ attempt: 1, hints: 0 },
			{ attempt: 2, hints: 2 }
		]);
	});

	it('that say “I don’t know yet” are stored where no second try comes, and told apart from wrong ones', async () => {
		const { database, skills } = small;
		const { sittingId } = await openSet();
		expect(await small.answer(1, sittingId, { response: null })).toBe('unreadable');

		const window = { id: 2, subject: 'Mathematics', term: 2, mode: 'fixed form' as const };
		const form = await beginDiagnostic(database, { id: 8, grade: 4 }, { window, attempt: 1 }, skills, NOW);
		expect(await small.answer(8, form, { response: null })).toBe('stored');
		const { response } = await itemAt(form, 1);
		const wrong = response.kind === 'choice' ? 0 : '98765';
		expect(await small.answer(8, form, { position: 1, response: wrong })).toBe('stored');
		expect((await sittingItems(database, form))[0]).toMatchObject({ correct: false, attempts: 1, response: null });
		await database.run(`UPDATE sitting SET trust = 'trusted' WHERE id = ?`, [form]);
		expect(await notYetCounts(database, 2, seen(8))).toEqual(new Map([[8, { said: 1, of: 2 }]]));
	});

	it('with the id of another answer are refused, whoever gave that one', async () => {
		const [first, second, other] = [await openSet(), await openSet(), await openSet(2)];
		const id = randomUUID();
		expect(await small.answer(1, first.sittingId, { id, response: (await itemAt(first.sittingId)).key })).toBe(
			'stored'
		);
		expect(await small.answer(1, second.sittingId, { id, response: (await itemAt(second.sittingId)).key })).toBe(
			'unknown'
		);
		expect(await small.answer(2, other.sittingId, { id, response: (await itemAt(other.sittingId)).key })).toBe(
			'unknown'
		);
		const next = { id: id.toUpperCase(), position: 1, response: (await itemAt(first.sittingId, 1)).key };
		expect(await small.answer(1, first.sittingId, next)).toBe('unknown');
		expect(await answersIn(second.sittingId)).toBe(0);
	});

	it('sent twice in one request are stored once', async () => {
		const { sittingId } = await openSet();
		const one = {
			id: randomUUID(),
			position: 0,
			attempt: 1,
			response: (await itemAt(sittingId)).key,
			milliseconds: 5_000,
			answeredAt: NOW.toISOString(),
			studentId: 1,
			sittingId,
			timeZone: small.school.timeZone,
			receivedAt: NOW
		};
		expect(await storeAnswers(small.database, [one, one])).toEqual(['stored', 'already stored']);
		expect((await findSitting(small.database, seenOne(1), sittingId))!.answered).toBe(1);
	});

	it('count the first try only, and bring the standing up to date in the same step', async () => {
		const { skill, sittingId } = await openSet();
		const before = await keptSkill(skill.id);
		const item = await itemAt(sittingId);
		await small.answer(1, sittingId, { response: item.expectedErrors[0].answer });
		const failed = await keptSkill(skill.id);
		expect(failed.answers).toBe(before.answers + 1);
		expect(failed.level.mean).toBeLessThan(before.level.mean);
		await small.answer(1, sittingId, { response: item.key, attempt: 2 });
		expect(await keptSkill(skill.id)).toEqual(failed);
	});

	it('name the wrong idea in the log', async () => {
		const { sittingId } = await openSet();
		const [{ answer, misconception }] = (await itemAt(sittingId)).expectedErrors;
		await small.answer(1, sittingId, { response: answer });
		const row = await small.database.row('SELECT correct, misconception FROM answer WHERE sitting_id = ?', [sittingId]);
		expect(row).toEqual({ correct: false, misconception });
	});

	it('of someone else, to no question, or of another kind change nothing', async () => {
		const { sittingId } = await openSet();
		expect(await small.answer(2, sittingId, { response: '1' })).toBe('unknown');
		expect(await small.answer(1, sittingId, { position: 77, response: '1' })).toBe('unknown');
		expect(await small.answer(1, 999_999, { response: '1' })).toBe('unknown');
		expect(await small.answer(1, sittingId, { response: [1, 2] })).toBe('unreadable');
		expect((await findSitting(small.database, seenOne(1), sittingId))!.answered).toBe(0);
		expect(await answersIn(sittingId)).toBe(0);
	});

	it('of many students go into one transaction, and each is told its own', async () => {
		const open = await Promise.all([1, 2, 3].map((id) => openSet(id)));
		const submitted = await Promise.all(
			open.map(async ({ sittingId }, i) => ({
				id: randomUUID(),
				position: 0,
				attempt: 1,
				response: i === 1 ? [5, 5] : (await itemAt(sittingId)).key,
				milliseconds: 5_000,
				answeredAt: NOW.toISOString(),
				studentId: i === 2 ? 8 : i + 1,
				sittingId,
				timeZone: small.school.timeZone,
				receivedAt: NOW
			}))
		);
		expect(await storeAnswers(small.database, submitted)).toEqual(['stored', 'unreadable', 'unknown']);
	});

	it('end a sitting with its last first try, and only then', async () => {
		const { sittingId } = await openSet();
		for (let position = 0; position < 5; position++) {
			expect((await findSitting(small.database, seenOne(1), sittingId))!.finishedAt).toBeNull();
			await small.answer(1, sittingId, { position, response: (await itemAt(sittingId, position)).key });
		}
		expect(await findSitting(small.database, seenOne(1), sittingId)).toMatchObject({ answered: 5, finishedAt: NOW });
		expect((await queuedSets(small.database, seen(1), TODAY)).some((set) => set.sittingId === sittingId)).toBe(false);
	});

	it('cannot be dated before their sitting began or after now', async () => {
		const { sittingId } = await openSet();
		const { key } = await itemAt(sittingId);
		await small.answer(1, sittingId, { response: key, answeredAt: '1999-01-01T00:00:00Z' });
		await small.answer(1, sittingId, {
			position: 1,
			response: (await itemAt(sittingId, 1)).key,
			answeredAt: '2099-01-01T00:00:00Z'
		});
		const times = await small.database.rows<{ at: Date }>('SELECT answered_at AS at FROM answer WHERE sitting_id = ?', [
			sittingId
		]);
		expect(times.map(({ at }) => at)).toEqual([NOW, NOW]);
	});

	it('that come late, out of order, give the same standing as in order', async () => {
		const later = new Date(NOW.getTime() + 3_600_000);
		const { skill, sittingId } = await openSet(4, small.skills[6]);
		const send = (position: number, minute: number, right: boolean) =>
			itemAt(sittingId, position).then((item) =>
				storeAnswers(small.database, [
					{
						id: randomUUID(),
						position,
						attempt: 1,
						response: right ? item.key : item.expectedErrors[0].answer,
						milliseconds: 5_000,
						answeredAt: new Date(NOW.getTime() + minute * 60_000).toISOString(),
						studentId: 4,
						sittingId,
						timeZone: small.school.timeZone,
						receivedAt: later
					}
				])
			);
		await send(0, 1, false);
		await send(1, 30, true);
		await send(2, 10, false);
		await send(3, 40, true);
		const found = await keptSkill(skill.id, 4);
		expect(await remakeFields(small.database, [4])).toBe(0);
		expect(found.answers).toBe(4);
		// In the order they were given: two wrong, then two right.
		const school = await schoolField(small.database, small.school.id);
		const given = (await answersOf(small.database, school, [4])).get(4)!;
		expect(given.filter(({ skill: code }) => code === fieldCode(skill.id)).map(({ correct }) => correct)).toEqual([
			false,
			false,
			true,
			true
		]);
	});

	it('to two sittings at once on a skill both count', async () => {
		const skill = small.skills[9];
		const open = await Promise.all([openSet(3, skill), openSet(3, skill)]);
		for (let round = 0; round < 5; round++) {
			await Promise.all([
				...open.map(async ({ sittingId }) =>
					small.answer(3, sittingId, { position: round, response: (await itemAt(sittingId, round)).key })
				),
				// Whoever reads meanwhile makes nothing fresh that is not.
				keptSkill(skill.id, 3)
			]);
			expect((await keptSkill(skill.id, 3)).answers).toBe(2 * (round + 1));
		}
	});

	it('give the same standings when everything is worked out anew from the log', async () => {
		const ids = [1, 2, 3, 4];
		const before = await keptOf(small.database, ids);
		expect(before.reduce((sum, { answers }) => sum + answers, 0)).toBeGreaterThan(10);
		expect(await remakeFields(small.database, ids)).toBe(0);
		expect(await keptOf(small.database, ids)).toEqual(before);
	});
});
