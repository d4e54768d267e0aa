import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { post, undo } from '../../../../tests/formPost';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { USUAL_HOW } from '../../core/practice';
import type { SignedInStudent } from '../request';
import { resultFile } from '../results';
import { setTakenOut } from '../results/setFilesPage';
import { skillRuns } from '../results/store/skillRuns';
import { ownPage } from '../sitting/ownPage';
import { beginPractice } from '../sitting/store/practiceSittings';
import { evidenceFor } from '../standing';
import { rulesFields } from './rulesForm';
import { setActions } from './setForm';
import { setPage } from './setPage';
import { assignSet } from './store/assigning';
import { waitingRuns } from './store/followOns';
import { recentResults } from './store/practice';

let small: SmallSchool;
const specialist = staffAs('specialist');
beforeAll(async () => {
	small = await smallSchool('done_only');
});
afterAll(() => small.database.close());

/** A set that student 1 finishes, with two of five right. */
async function finishedSet(doneOnly: boolean): Promise<number> {
	const usual = oneSkillSet({
		...{ skillId: small.skills[0].id, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: addDays(TODAY, 4) },
		studentIds: [1]
	});
	const set = await assignSet(small.database, specialist, { ...usual, how: { ...USUAL_HOW, doneOnly } }, NOW);
	const sitting = await beginPractice(small.database, seenOne(1), { id: set }, small.skills, NOW);
	await small.answerAll(1, sitting, (i) => i < 2);
	return set;
}

/** What is told of how the student did in a set: to the student, in files, over time; and what waits to follow from it. */
async function told(set: number) {
	const since = new Date(NOW.getTime() - 60_000);
	const student = { id: seenOne(1), schoolId: 1, kind: 'student', grade: 4 } as SignedInStudent;
	const locals = { database: small.database, at: NOW } as App.Locals;
	const url = new URL('http://school.test/results');
	const taken = (await setTakenOut(small.database, specialist, small.school, set, url, NOW))!;
	const origin = { origin: url.origin, at: NOW };
	const file = await resultFile(small.database, specialist, small.school, 'results.csv', taken, origin);
	const runs = await skillRuns(small.database, [seenOne(1)], since);
	return {
		own: (await ownPage(locals, student)).done.map(({ right }) => right).at(0),
		columns: (await file!.text()).split('\r\n')[0].includes('right at first'),
		runs: runs.filter(({ setId }) => setId === set).length,
		follows: (await waitingRuns(small.database, 50)).filter(({ setId }) => setId === set).length,
		doneOnly: (await recentResults(small.database, seenOne(1), 9)).find(({ setId }) => setId === set)!.doneOnly
	};
}

describe('a set of which only counts whether it is done', () => {
	it('tells no score and lets nothing follow, while its answers are evidence as any', async () => {
		const before = (await evidenceFor(small.database, seenOne(1), small.skills[0].id)).length;
		const scored = await finishedSet(false);
		expect(await told(scored)).toEqual({
			...{ own: { right: 2, of: 5 }, columns: true, runs: 1, follows: 1, doneOnly: false }
		});
		const set = await finishedSet(true);
		expect(await told(set)).toEqual({ own: null, columns: false, runs: 0, follows: 0, doneOnly: true });
		const [row] = (await setPage(small.database, specialist, small.school, set, NOW))!.students;
		expect(row).toMatchObject({ state: 'finished', answered: 5 });
		expect((await evidenceFor(small.database, seenOne(1), small.skills[0].id)).length).toBe(before + 10);
	});

	it('can be made so later, and back', async () => {
		const set = await finishedSet(false);
		const place = { params: { set: String(set) } };
		const rules = { name: null, task: null, ...USUAL_HOW };
		const changed = await post(small, specialist, setActions.how, rulesFields({ ...rules, doneOnly: true }), place);
		expect(await told(set)).toMatchObject({ own: null, doneOnly: true, runs: 0 });
		const { history } = (await setPage(small.database, specialist, small.school, set, NOW))!;
		expect(history[0].says).toBe('Otherwise for all: whether only counts that it is done.');
		await undo(small, specialist, setActions, changed, place);
		expect(await told(set)).toMatchObject({ own: { right: 2, of: 5 }, doneOnly: false, runs: 1 });
	});
});
