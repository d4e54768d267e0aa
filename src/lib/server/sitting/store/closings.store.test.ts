import { oneSkillSet } from '../../../../../tests/oneSkillSet';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	newProbes,
	NOW,
	seen,
	seenOne,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool
} from '../../../../../tests/smallSchool';
import { remakeFields } from '../../standing/store/studentFields';
import { keptOf } from '../../../../../tests/keptOf';
import { addDays } from '../../../core/calendar';
import { itemFrom } from '../../../core/items/bank';
import { storeAnswers, type Stored } from './answers';
import { beginDiagnostic } from './adaptiveSittings';
import { closings } from './closings';
import { endSitting } from '../../screen/store/diagnostics';
import { countLateAnswers, lateAnswers } from './lateAnswers';
import { assignSet } from '../../practice/store/assigning';
import { queuedSets, withdrawSets } from '../../practice/store/practice';
import { probeSeries, startProbes } from '../../track/store/probes';
import { beginPractice } from './practiceSittings';
import { beginProbe } from './probeSittings';
import { findSitting, openItem } from './sittings';
import { assignChecks, beginCheck, openChecks, withdrawChecks } from '../../gaps/store/skillChecks';
import { moveWindow, noteStudents } from '../../screen/store/windows';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('closings');
});
afterAll(() => small.database.close());

const specialist = staffAs('specialist');
const HOUR = 3_600_000;
const later = (hours: number) => new Date(NOW.getTime() + hours * HOUR);

/** Answers the next question rightly: given and received at these instants. */
async function answerNext(studentId: number, sittingId: number, given: Date, received: Date, id = randomUUID()) {
	const { position, familyId, seed } = (await openItem(small.database, sittingId))!;
	const answer = {
		id,
		position,
		attempt: 1,
		response: itemFrom(familyId, seed).key,
		milliseconds: 9_000,
		answeredAt: given.toISOString(),
		studentId,
		sittingId,
		timeZone: small.school.timeZone,
		receivedAt: received
	};
	return { answer, became: (await storeAnswers(small.database, [answer]))[0] };
}

const stored = async (sittingId: number) =>
	Number(
		(await small.database.row<{ n: number }>('SELECT COUNT(*) AS n FROM answer WHERE sitting_id = ?', [sittingId]))!.n
	);

async function practice(studentId: number) {
	const { database, skills } = small;
	const set = { skillId: skills[3].id, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: TODAY };
	const setId = await assignSet(database, specialist, oneSkillSet({ ...set, studentIds: [studentId] }), NOW);
	const queued = (await queuedSets(database, seen(studentId), TODAY)).find(({ id }) => id === setId)!;
	return { setId, sittingId: await beginPractice(database, seenOne(studentId), queued, skills, NOW) };
}
const diagnostic = (studentId: number) =>
	beginDiagnostic(
		small.database,
		{ id: studentId, grade: 4 },
		{ window: { id: 2, subject: 'Mathematics', term: 2, mode: 'fixed form' }, attempt: 1 },
		small.skills,
		NOW
	);

/** After `close` nothing is taken; what the device gave before is kept aside, once. */
async function expectClosed(studentId: number, sittingId: number, why: string, closed: Date) {
	const before = await stored(sittingId);
	const [early, late] = [new Date(closed.getTime() - HOUR), new Date(closed.getTime() + 2 * HOUR)];
	const became: Stored[] = [];
	became.push((await answerNext(studentId, sittingId, new Date(closed.getTime() + HOUR), late)).became);
	const kept = await answerNext(studentId, sittingId, early, late);
	became.push(kept.became);
	// Sent again after a lost reply.
	became.push((await storeAnswers(small.database, [kept.answer]))[0]);
	expect(became).toEqual(['closed', 'kept aside', 'already stored']);
	expect(await stored(sittingId)).toBe(before);
	expect((await closings(small.database, [sittingId], late)).get(sittingId)?.why).toBe(why);
	const [shown] = await lateAnswers(small.database, seenOne(studentId));
	expect(shown).toMatchObject({ correct: true, closedBy: why, answeredAt: early, receivedAt: late });
	expect((await findSitting(small.database, seenOne(studentId), sittingId))!.answered).toBe(before);
}

describe('work outside its time', () => {
	it('is taken while it is open, also after the day on which it was due', async () => {
		const { sittingId } = await practice(1);
		expect((await answerNext(1, sittingId, NOW, NOW)).became).toBe('stored');
		expect((await answerNext(1, sittingId, later(72), later(72))).became).toBe('stored');
		expect(await closings(small.database, [sittingId], later(72))).toEqual(new Map());
	});

	it('is refused once the window has closed at the school, a make-up counted', async () => {
		const sittingId = await diagnostic(1);
		await answerNext(1, sittingId, NOW, NOW);
		// Closes on December 4: at the school, in New York, that day ends at 05:00 in Greenwich.
		const end = new Date('2026-12-05T05:00:00Z');
		expect((await answerNext(1, sittingId, NOW, new Date(end.getTime() - 60_000))).became).toBe('stored');
		await noteStudents(
			small.database,
			specialist,
			2,
			new Map([[seenOne(1), { kind: null, reason: '', makeUpUntil: '2026-12-08' }]]),
			NOW
		);
		expect((await answerNext(1, sittingId, end, end)).became).toBe('stored');
		await expectClosed(1, sittingId, 'window closed', new Date('2026-12-09T05:00:00Z'));
	});

	it('is refused once a window is closed early', async () => {
		const sittingId = await diagnostic(2);
		await answerNext(2, sittingId, NOW, NOW);
		await moveWindow(small.database, specialist, 2, { opensOn: '2026-11-16', closesOn: TODAY }, NOW);
		await expectClosed(2, sittingId, 'window closed', new Date('2026-11-24T05:00:00Z'));
		await moveWindow(small.database, specialist, 2, { opensOn: '2026-11-16', closesOn: '2026-12-04' }, NOW);
	});

	it('is refused once staff have ended the sitting; its evidence and its count agree', async () => {
		const sittingId = await diagnostic(3);
		for (let i = 0; i < 6; i++) await answerNext(3, sittingId, NOW, NOW);
		await endSitting(small.database, specialist, sittingId, small.skills, small.school, later(1));
		await expectClosed(3, sittingId, 'ended by staff', later(1));
		const before = await keptOf(small.database, [3]);
		expect(await remakeFields(small.database, [3])).toBe(0);
		expect(await keptOf(small.database, [3])).toEqual(before);
	});

	it('is refused once a set or a check is taken back', async () => {
		const { setId, sittingId } = await practice(4);
		await answerNext(4, sittingId, NOW, NOW);
		await withdrawSets(small.database, specialist, [setId], later(2));
		await expectClosed(4, sittingId, 'taken back', later(2));

		const wanted = [{ studentId: 4, skillIds: [small.skills[1].id] }];
		const { batch } = (await assignChecks(small.database, specialist, wanted, addDays(TODAY, 3), NOW))!;
		const [check] = await openChecks(small.database, seen(4));
		const checking = await beginCheck(small.database, check, small.skills, NOW);
		await withdrawChecks(small.database, specialist, batch, later(3));
		await expectClosed(4, checking, 'taken back', later(3));
	});

	it('is refused once a student has left the school, or the plan of probes has ended', async () => {
		const { sittingId } = await practice(5);
		await small.database.run(`UPDATE class_membership SET until_on = '2026-11-25' WHERE student_id = 5`);
		await expectClosed(5, sittingId, 'left the school', new Date('2026-11-25T05:00:00Z'));

		const plan = { skillId: small.skills[0].id, groupId: null, startsOn: TODAY, goalOn: addDays(TODAY, 40) };
		await startProbes(small.database, specialist, newProbes({ ...plan, studentIds: [6] }), NOW);
		const [series] = await probeSeries(small.database, seen(6), small.school);
		const probe = await beginProbe(small.database, series, 1, small.skills, NOW);
		await small.database.run(`UPDATE probe_plan SET ended_on = '2026-11-24' WHERE id = ?`, [series.id]);
		await expectClosed(6, probe, 'taken back', new Date('2026-11-24T05:00:00Z'));
	});

	it('that was stored in time is still known when it is sent again', async () => {
		const { setId, sittingId } = await practice(7);
		const { answer } = await answerNext(7, sittingId, NOW, NOW);
		await withdrawSets(small.database, specialist, [setId], later(1));
		expect(await storeAnswers(small.database, [{ ...answer, receivedAt: later(2) }])).toEqual(['already stored']);
		expect(await countLateAnswers(small.database, seenOne(7))).toBe(0);
	});
});
