import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { post } from '../../../../tests/formPost';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { noticesFor, refreshNotices } from '../notices';
import { assignSet } from '../practice';
import { beginDiagnostic, beginPractice, regradeEverything } from '../sitting';
import { acceptActions } from './acceptForm';
import { unexpectedQuestions } from './unexpectedQuestions';

let small: SmallSchool;
let set: number;
const STUDENTS = [1, 2, 3, 4, 5, 6, 7, 8];
const specialist = staffAs('specialist');
const coordinator = staffAs('coordinator');
const told = async (staff = coordinator) =>
	(await noticesFor(small.database, staff, small.school)).now.filter(({ rule }) => rule === 'unexpectedAnswersGiven');
const refresh = () => refreshNotices(small.database, small.school, NOW);

/** All answer all questions of a set rightly but the first, to which they give one and the same other answer. */
beforeAll(async () => {
	small = await smallSchool('unexpected_questions');
	const skill = small.skills.find(({ code }) => code === 'W25')!;
	const usual = { skillId: skill.id, groupId: null, itemCount: 8, opensOn: TODAY, dueOn: addDays(TODAY, 4) };
	set = await assignSet(small.database, specialist, oneSkillSet({ ...usual, studentIds: STUDENTS }), NOW);
	for (const id of STUDENTS) {
		const sitting = await beginPractice(small.database, seenOne(id), { id: set }, small.skills, NOW);
		await small.answerAll(id, sitting, (position) => position !== 0);
	}
});
afterAll(() => small.database.close());

describe('a question that was answered in an unexpected way', () => {
	it('is found with where its answers are seen, and told to the coordinator', async () => {
		expect(await unexpectedQuestions(small.database, 1, NOW)).toMatchObject([
			{ setId: set, position: 0, found: { why: 'strong students wrong', strong: 8, right: 0 } }
		]);
		await refresh();
		expect(await told()).toMatchObject([
			{
				because: expect.stringMatching(
					/^8 of 8 students who do well on the rest were wrong at the first try; about \d would be\.$/
				),
				action: { path: `/practice/${set}/results?question=0` }
			}
		]);
		expect(await told(specialist)).toEqual([]);
		const later = new Date(NOW.getTime() + 40 * 24 * 3_600_000);
		expect(await unexpectedQuestions(small.database, 1, later)).toEqual([]);
		expect(await unexpectedQuestions(small.database, 2, NOW)).toEqual([]);
	});

	it('is one no more once the answer is accepted', async () => {
		const row = await small.database.row<{ id: string }>(
			`SELECT answer.id FROM answer JOIN sitting ON sitting.id = answer.sitting_id
			WHERE sitting.set_id = ? AND NOT answer.correct LIMIT 1`,
			[set]
		);
		await post(small, specialist, acceptActions.accept, { answer: row!.id, why: 'It is right' });
		await regradeEverything(small.database, NOW);
		await refresh();
		expect(await told()).toEqual([]);
	});

	it('is found in the form of a screening as well, which is led to by the answers of a student', async () => {
		const window = { id: 2, subject: 'Mathematics', term: 2, mode: 'fixed form' as const };
		for (const id of STUDENTS) {
			const student = { id: seenOne(id), grade: 4 };
			const sitting = await beginDiagnostic(small.database, student, { window, attempt: 1 }, small.skills, NOW);
			await small.answerAll(id, sitting, (position) => position !== 3, 20_000);
			await small.database.run(`UPDATE sitting SET trust = 'kept' WHERE id = ?`, [sitting]);
		}
		expect(await unexpectedQuestions(small.database, 1, NOW)).toMatchObject([{ setId: null, position: 3 }]);
		await refresh();
		expect((await told())[0].action.path).toMatch(
			/^\/students\/\d+\/answers\?kind=diagnostic&judged=not\+right&skill=\d+$/
		);
	});
});
