import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { post, undo } from '../../../../tests/formPost';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { USUAL_HOW } from '../../core/practice';
import { responsesOf } from '../results/store/responses';
import { skillRuns } from '../results/store/skillRuns';
import { closings } from '../sitting';
import { beginPractice } from '../sitting/store/practiceSittings';
import { sittingItems } from '../sitting/store/sittings';
import { evidenceFor } from '../standing';
import { studentFields } from '../standing/store/studentFields';
import { practicedSince } from './practicedMinutes';
import { setActions } from './setForm';
import { setPage } from './setPage';
import { assignSet } from './store/assigning';
import { lineNotices, waitingRuns } from './store/followOns';
import { setOutcomes } from './store/outcomes';
import { finishedSince } from './store/ownWork';
import { recentResults } from './store/practice';

let small: SmallSchool;
let set: number;
const specialist = staffAs('specialist');
const STUDENT = 1;

beforeAll(async () => {
	small = await smallSchool('further_runs');
});
afterAll(() => small.database.close());
beforeEach(async () => {
	set = await assignSet(
		small.database,
		specialist,
		{
			...oneSkillSet({
				...{ skillId: small.skills[0].id, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: addDays(TODAY, 4) },
				studentIds: [STUDENT, 2]
			}),
			how: { ...USUAL_HOW, above: 'mixed' }
		},
		NOW
	);
});

const at = () => ({ params: { set: String(set) } });
const act = (action: keyof typeof setActions, fields: Parameters<typeof post>[3], staff = specialist) =>
	post(small, staff, setActions[action], fields, at());
const back = (answer: Awaited<ReturnType<typeof act>>) => undo(small, specialist, setActions, answer, at());
const row = async () =>
	(await setPage(small.database, specialist, small.school, set, NOW))!.students.find(({ id }) => id === STUDENT)!;
const begin = () => beginPractice(small.database, seenOne(STUDENT), { id: set }, small.skills, NOW);
const questions = async (sitting: number) =>
	(await sittingItems(small.database, sitting)).map(({ familyId, seed }) => `${familyId} ${seed}`);

/** What every reader of answers says of the student and the set's skill. */
async function read() {
	const skill = small.skills[0].id;
	const [packed] = (await studentFields(small.database, [STUDENT])).values();
	const since = new Date(NOW.getTime() - 60_000);
	return {
		field: packed,
		evidence: (await evidenceFor(small.database, seenOne(STUDENT), skill)).length,
		outcomes: (await setOutcomes(small.database, [seenOne(STUDENT)], TODAY)).get(STUDENT)!.get(skill)?.length ?? 0,
		finished: (await finishedSince(small.database, seenOne(STUDENT), since)).length,
		results: (await recentResults(small.database, seenOne(STUDENT), 20)).length,
		runs: (await skillRuns(small.database, [seenOne(STUDENT)], since)).length,
		minutes: (await practicedSince(small.database, seenOne(STUDENT), [TODAY], small.school))[0],
		notices: (await lineNotices(small.database, specialist, since)).length,
		waiting: (await waitingRuns(small.database, 100)).filter(({ setId }) => setId === set).length
	};
}

describe('a set that is begun anew', () => {
	it('keeps what was answered aside: nothing that reads answers counts it, and all of it is there', async () => {
		const none = await read();
		const sitting = await begin();
		await small.answerAll(STUDENT, sitting, (i) => i < 4, 60_000, NOW);
		const counted = await read();
		expect(counted).toMatchObject({
			evidence: none.evidence + 5,
			outcomes: none.outcomes + 1,
			finished: none.finished + 1,
			results: none.results + 1,
			runs: none.runs + 1,
			waiting: 1
		});
		expect(counted.field).not.toEqual(none.field);

		const told = await act('anew', { students: `${STUDENT},2` });
		expect(told.done).toMatch(/^1 student may begin it anew, with other questions/);
		const aside = await read();
		expect(aside).toEqual(none);
		expect(await row()).toMatchObject({
			...{ state: 'not begun', answered: 0, attempt: 2, activeMinutes: 0 },
			before: { right: 4, answered: 5, isAside: true }
		});
		const history = await responsesOf(
			small.database,
			seenOne(STUDENT),
			{ skillId: null, isRight: null, kind: null, sittingId: null },
			{ from: 0, most: 50 }
		);
		const ofSet = history.responses.filter(({ setId }) => setId === set);
		expect(ofSet.map(({ isAside }) => isAside)).toEqual(Array(5).fill(true));
		const logged = await small.database.row<{ detail: string }>(
			`SELECT detail FROM audit_entry WHERE action = 'practice: begun anew' ORDER BY id DESC LIMIT 1`
		);
		expect(JSON.parse(logged!.detail)).toEqual({ set, students: [STUDENT] });

		await back(told);
		expect(await read()).toEqual(counted);
		expect(await row()).toMatchObject({ state: 'finished', right: 4, attempt: 1, before: null });
	});

	it('has other questions, or the same ones where somebody says so, and cannot be taken back once it is begun', async () => {
		const first = await begin();
		await small.answerAll(STUDENT, first, () => true, 9_000, NOW, 2);
		await act('anew', { students: String(STUDENT) });
		const second = await begin();
		const [before, after] = [await questions(first), await questions(second)];
		expect(after.filter((question) => before.includes(question))).toEqual([]);
		expect((await act('notAnew', { students: String(STUDENT) })).problem).toContain('They have begun it anew already');
		await act('anew', { students: String(STUDENT), questions: 'same' });
		expect(await questions(await begin())).toEqual(after);
		expect((await act('notAgain', { students: String(STUDENT) })).problem).toBeTruthy();
	});

	it('takes no answer any more in the run that is kept aside', async () => {
		const sitting = await begin();
		await small.answerAll(STUDENT, sitting, () => true, 9_000, NOW, 2);
		await act('anew', { students: String(STUDENT) });
		expect((await closings(small.database, [sitting], NOW)).get(sitting)?.why).toBe('ended by staff');
		const more = small.answerAll(STUDENT, sitting, () => true, 9_000, new Date(NOW.getTime() + 60_000));
		await expect(more).rejects.toThrow('closed');
		const stored = await small.database.row<{ answers: number }>(
			'SELECT COUNT(*) AS answers FROM answer WHERE sitting_id = ?',
			[sitting]
		);
		expect(Number(stored!.answers)).toBe(2);
	});

	it('is for those who may see the students, and who have begun', async () => {
		expect((await act('anew', { students: '2' })).problem).toContain('Nobody of these has begun it');
		expect((await act('anew', { students: '5' }, staffAs('teacher'))).problem).toContain('not yours');
		expect((await act('anew', { students: String(STUDENT), dueOn: addDays(TODAY, -1) })).problem).toContain('no time');
	});
});
