import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, type SmallSchool, seen } from '../../../../../tests/smallSchool';
import { remakeFields } from '../../standing/store/studentFields';
import { keptOf } from '../../../../../tests/keptOf';
import { itemFrom } from '../../../core/items/bank';
import { RESIT_ITEMS } from '../../../core/screening';
import { beginDiagnostic } from './adaptiveSittings';
import { decideTrust, endSitting, type TrustDecision } from '../../screen/store/diagnostics';
import { windowScores } from '../../screen/store/scores';
import { answersSince, openItem, sittingItems, windowSittings } from './sittings';
import { skillList } from '../../library/store/skills';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('adaptive');
});
afterAll(() => small.database.close());

const window = { id: 2, subject: 'Mathematics', term: 2, mode: 'adaptive' as const };
const specialist = staffAs('specialist');
const begin = (studentId: number, attempt = 1, resit?: { sittingId: number; domainId: number }) =>
	beginDiagnostic(small.database, { id: studentId, grade: 4 }, { window, attempt, resit }, small.skills, NOW);
const board = async (studentId: number) => (await windowSittings(small.database, 2, seen(studentId))).get(studentId)!;
const scoresOf = async (studentId: number) => (await windowScores(small.database, 2, seen(studentId))).get(studentId);
const domainScore = async (studentId: number, domainId: number) =>
	(await scoresOf(studentId))!.find((score) => score.domainId === domainId)!.theta;
const evidenceOf = async (studentId: number) =>
	(await keptOf(small.database, [studentId])).reduce((sum, row) => sum + row.answers, 0);
const decide = (sittingId: number, decision: TrustDecision, domainId?: number) =>
	decideTrust(small.database, specialist, { sittingId, decision, domainId }, small.skills, small.school, NOW);
const domainOf = new Map<string, number>();
beforeAll(() => small.skills.forEach(({ code, domainId }) => domainOf.set(code, domainId)));
/** Right where the skill is of grade 4 or below: a pattern that fits one level. */
const knowsUpToGrade4 = (_: number, { skillCode }: { skillCode: string }) =>
	small.skills.find(({ code }) => code === skillCode)!.grade <= 4;
async function domainsAskedIn(sittingId: number) {
	const items = await sittingItems(small.database, sittingId);
	return items.map(({ familyId, seed }) => domainOf.get(itemFrom(familyId, seed).skillCode)!);
}

describe('an adaptive diagnostic', () => {
	it('has one question until it is answered, then the next, and is scored at its end', async () => {
		const sitting = await begin(1);
		expect((await sittingItems(small.database, sitting)).length).toBe(1);
		expect(await begin(1)).toBe(sitting);
		await small.answerAll(1, sitting, (position) => position % 3 > 0);
		const { answered, itemCount, trust } = await board(1);
		expect(trust).toBe('trusted');
		expect(answered).toBe(itemCount);
		expect(answered).toBeGreaterThanOrEqual(25);
		expect(answered).toBeLessThanOrEqual(40);
		expect((await sittingItems(small.database, sitting)).length).toBe(answered);
		expect((await scoresOf(1))!.length).toBe(7);
		expect(await evidenceOf(1)).toBe(answered);
		expect(await answersSince(small.database, sitting, new Date(0))).toEqual({
			answers: answered,
			milliseconds: 9_000 * answered
		});
	});

	it('asks harder of a student who is right, and places them higher', async () => {
		await small.answerAll(2, await begin(2), () => true);
		await small.answerAll(3, await begin(3), () => false);
		const gradeOf = async (studentId: number) => {
			const items = await sittingItems(small.database, (await board(studentId)).id);
			const skills = new Map(small.skills.map((skill) => [skill.code, skill.grade]));
			const last = items.slice(-10).map(({ familyId, seed }) => skills.get(itemFrom(familyId, seed).skillCode)!);
			return last.reduce((sum, grade) => sum + grade, 0) / last.length;
		};
		expect(await gradeOf(2)).toBeGreaterThan((await gradeOf(3)) + 2);
		expect(await domainScore(2, 0)).toBeGreaterThan((await domainScore(3, 0)) + 2);
	});

	it('is not moved on twice by an answer sent twice, nor by one to a question long answered', async () => {
		const sitting = await begin(4);
		const first = (await openItem(small.database, sitting))!;
		const { key } = itemFrom(first.familyId, first.seed);
		const answer = { id: 'a0a0a0a0-0000-4000-8000-000000000001', position: 0, response: key };
		expect(await small.answer(4, sitting, answer)).toBe('stored');
		expect(await small.answer(4, sitting, answer)).toBe('already stored');
		expect(await small.answer(4, sitting, { ...answer, id: 'a0a0a0a0-0000-4000-8000-000000000002' })).toBe(
			'answered before'
		);
		expect((await sittingItems(small.database, sitting)).length).toBe(2);
		expect(await board(4)).toMatchObject({ answered: 1, trust: 'open' });
	});

	it('never asks two students the same question', async () => {
		const faces = async (studentId: number) =>
			(await sittingItems(small.database, (await board(studentId)).id)).map(
				({ familyId, seed }) => `${familyId} ${seed}`
			);
		const first = new Set(await faces(2));
		expect((await faces(3)).some((face) => first.has(face))).toBe(false);
	});

	it('ended early is scored with what was answered, and says what was not asked', async () => {
		const { id } = await board(4);
		expect(
			await endSitting(small.database, { ...specialist, schoolId: 2 }, id, small.skills, small.school, NOW)
		).toBeNull();
		expect(await endSitting(small.database, specialist, id, small.skills, small.school, NOW)).toEqual({ studentId: 4 });
		const { trust, flags } = await board(4);
		expect(trust).toBe('flagged');
		expect(flags.map(({ flag }) => flag)).toContain('domainMissing');
		expect(await endSitting(small.database, specialist, id, small.skills, small.school, NOW)).toBeNull();
	});
});

describe('a sitting that staff have ended', () => {
	it('stays ended: an answer that comes after is not taken, and asks and decides nothing', async () => {
		const sitting = (await board(4)).id;
		const before = await board(4);
		const waiting = (await openItem(small.database, sitting))!;
		const { key } = itemFrom(waiting.familyId, waiting.seed);
		expect(await small.answer(4, sitting, { position: waiting.position, response: key })).toBe('closed');
		expect(await board(4)).toMatchObject({
			trust: before.trust,
			answered: before.answered,
			itemCount: before.itemCount
		});
		expect(await openItem(small.database, sitting)).toEqual(waiting);
	});
});

describe('a diagnostic of one subject', () => {
	it('asks nothing of another', async () => {
		await small.database.run(`UPDATE domain SET subject = 'Elsewhere' WHERE code = 'D'`);
		const skills = await skillList(small.database, small.school.id);
		const elsewhere = new Set(skills.filter(({ subject }) => subject === 'Elsewhere').map(({ code }) => code));
		expect(elsewhere.size).toBeGreaterThan(3);
		for (const mode of ['adaptive', 'fixed form'] as const) {
			const sitting = await beginDiagnostic(
				small.database,
				{ id: 8, grade: 4 },
				{ window: { ...window, mode }, attempt: mode === 'adaptive' ? 1 : 2 },
				skills,
				NOW
			);
			await small.answerAll(8, sitting, (position) => position % 3 > 0);
			const asked = (await sittingItems(small.database, sitting)).map(
				({ familyId, seed }) => itemFrom(familyId, seed).skillCode
			);
			expect(asked.length).toBeGreaterThan(15);
			expect(asked.filter((code) => elsewhere.has(code))).toEqual([]);
			expect((await board(8)).flags.map(({ flag }) => flag)).not.toContain('domainMissing');
		}
		await small.database.run(`UPDATE domain SET subject = 'Mathematics' WHERE code = 'D'`);
	});
});

describe('a domain sat again', () => {
	let resit: number;

	it('takes the place of the domain in its sitting, and everything follows', async () => {
		const sitting = await begin(5);
		await small.answerAll(5, sitting, () => false, 600);
		expect((await board(5)).trust).toBe('flagged');
		const [domainId] = await domainsAskedIn(sitting);
		const inDomain = (await domainsAskedIn(sitting)).filter((one) => one === domainId).length;
		const total = (await board(5)).answered;

		await decide(sitting, 'kept');
		const low = await domainScore(5, domainId);
		expect(await evidenceOf(5)).toBe(total);
		await decide(sitting, 'resit', domainId);
		expect(await scoresOf(5)).toBeUndefined();
		expect(await evidenceOf(5)).toBe(0);
		expect(await board(5)).toMatchObject({ trust: 'resit', resitDomainId: domainId, nextAttempt: 2 });

		const again = await begin(5, 2, { sittingId: sitting, domainId });
		await small.answerAll(5, again, () => true);
		expect(new Set(await domainsAskedIn(again))).toEqual(new Set([domainId]));
		expect((await sittingItems(small.database, again)).length).toBe(RESIT_ITEMS);
		// The other domains were rushed, so the whole still waits for a person.
		expect(await board(5)).toMatchObject({ id: again, trust: 'flagged' });
		await decide(again, 'kept');
		resit = again;
		expect(await board(5)).toMatchObject({ id: sitting, trust: 'kept' });
		expect(await domainScore(5, domainId)).toBeGreaterThan(low + 0.5);
		expect(await evidenceOf(5)).toBe(total - inDomain + RESIT_ITEMS);
		expect(await remakeFields(small.database, [5])).toBe(0);
	});

	it('set aside leaves its sitting to be decided about', async () => {
		await decide(resit, 'set aside');
		expect(await scoresOf(5)).toBeUndefined();
		const base = await board(5);
		expect(base).toMatchObject({ trust: 'flagged', attempt: 1, nextAttempt: 3 });
		await decide(base.id, 'kept');
		expect((await scoresOf(5))!.length).toBe(7);
	});

	it('cannot be taken back once it has begun', async () => {
		const sitting = await begin(6);
		await small.answerAll(6, sitting, () => true, 600);
		const [domainId] = await domainsAskedIn(sitting);
		await decide(sitting, 'resit', domainId);
		expect(await decide(sitting, 'flagged')).not.toBeNull();
		await decide(sitting, 'resit', domainId);
		await begin(6, 2, { sittingId: sitting, domainId });
		expect(await decide(sitting, 'flagged')).toBeNull();
		expect(await decide(sitting, 'resit')).toBeNull();
	});

	it('keeps its answers when another domain is sat again after it', async () => {
		const before = await evidenceOf(8);
		const sitting = await begin(8, 3);
		await small.answerAll(8, sitting, () => true, 600);
		const asked = await domainsAskedIn(sitting);
		const [first, second] = new Set(asked);
		await decide(sitting, 'resit', first);
		const one = await begin(8, 4, { sittingId: sitting, domainId: first });
		await small.answerAll(8, one, (position) => position % 2 === 0);
		expect(await board(8)).toMatchObject({ id: one, trust: 'flagged' });
		await decide(one, 'resit', second);
		expect(await board(8)).toMatchObject({ id: sitting, trust: 'resit', resitDomainId: second, nextAttempt: 5 });
		const other = await begin(8, 5, { sittingId: sitting, domainId: second });
		await small.answerAll(8, other, (position) => position % 2 === 0);
		await decide(other, 'kept');
		const left = asked.filter((domain) => domain !== first && domain !== second).length;
		expect(await evidenceOf(8)).toBe(before + left + 2 * RESIT_ITEMS);
	});

	it('counts at once when nothing about it or the rest is doubtful', async () => {
		const sitting = await begin(7);
		const domainsOf = async () => domainsAskedIn(sitting);
		await small.answerAll(7, sitting, knowsUpToGrade4);
		// As if the first domain had been rushed, and noticed.
		await small.database.run(`UPDATE sitting SET trust = 'flagged' WHERE id = ?`, [sitting]);
		const [domainId] = await domainsOf();
		await decide(sitting, 'resit', domainId);
		const again = await begin(7, 2, { sittingId: sitting, domainId });
		await small.answerAll(7, again, knowsUpToGrade4);
		expect(await board(7)).toMatchObject({ id: sitting, trust: 'kept', nextAttempt: 3 });
		expect((await sittingItems(small.database, again)).length).toBe(RESIT_ITEMS);
		expect((await scoresOf(7))!.length).toBe(7);
	});
});
