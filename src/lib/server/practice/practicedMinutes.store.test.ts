import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { beginPractice } from '../sitting';
import { practicedSince } from './practicedMinutes';
import { assignSet } from './store/assigning';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('practiced_minutes');
});
afterAll(() => small.database.close());

describe('minutes of practice since a day', () => {
	it('are those of answers from its beginning on, by the school’s clock, of nobody else', async () => {
		const set = { skillId: small.skills[0].id, groupId: null, itemCount: 10, opensOn: TODAY, dueOn: TODAY };
		const id = await assignSet(small.database, staffAs('specialist'), oneSkillSet({ ...set, studentIds: [1, 2] }), NOW);
		const sitting = await beginPractice(
			small.database,
			seenOne(1),
			{ id },
			small.skills,
			new Date('2026-11-22T12:00:00Z')
		);
		const answerAt = (clock: string) =>
			small.answerAll(1, sitting, () => true, 45_000, new Date(`2026-11-23T${clock}:00Z`), 1);
		// Before the school's midnight, in New York, then after it, each on a question for 45 s.
		for (const minute of [35, 36, 37, 50, 51, 52, 53, 54]) await answerAt(`04:${minute}`);
		for (const minute of [1, 2]) await answerAt(`05:0${minute}`);
		const since = await practicedSince(small.database, seenOne(1), [TODAY, addDays(TODAY, -1)], small.school);
		// From midnight on 45 + 60 s; in all 45 + 2 × 60, 45 + 4 × 60, 45 + 60 s.
		expect(since).toEqual([Math.round((45 + 60) / 60), Math.round((3 * 45 + 7 * 60) / 60)]);
		expect(await practicedSince(small.database, seenOne(2), [TODAY], small.school)).toEqual([0]);
		expect(await practicedSince(small.database, seenOne(1), [], small.school)).toEqual([]);
	});
});
