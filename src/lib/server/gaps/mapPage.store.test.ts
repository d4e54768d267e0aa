import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { assignSet } from '../practice';
import { findScope } from '../shell';
import { beginPractice } from '../sitting';
import { mapPage } from './mapPage';

let small: SmallSchool;
const specialist = staffAs('specialist');

beforeAll(async () => {
	small = await smallSchool('map_page');
});
afterAll(() => small.database.close());

async function cellOf(studentId: number | null, skillId: number | null) {
	const students = await (await findScope(small.database, specialist, 'school', TODAY))!.students();
	return (await mapPage(small.database, specialist, small.school, students, { studentId, skillId })).evidence;
}

describe('the evidence of a cell', () => {
	it('tells each answer with the school’s day, also of an evening', async () => {
		const [{ id: skillId, code }] = small.skills;
		const set = { skillId, groupId: null, itemCount: 2, opensOn: TODAY, dueOn: TODAY, studentIds: [1] };
		const setId = await assignSet(small.database, specialist, set, NOW);
		const evening = new Date('2026-11-24T01:30:00Z');
		const place = { id: setId, skillCode: code, itemCount: 2, firstSeed: 100 };
		const sittingId = await beginPractice(small.database, 1, place, small.skills, evening);
		await small.answerAll(1, sittingId, (position) => position === 0, 4_000, evening);
		const shown = (await cellOf(1, skillId))!;
		expect(shown.answers.map(({ on }) => on)).toEqual([TODAY, TODAY]);
		expect(shown.answers.map(({ correct }) => correct).sort()).toEqual([false, true]);
	});

	it('is nothing where no cell, or one of nobody here, is chosen', async () => {
		const [{ id: skillId }] = small.skills;
		expect(await cellOf(null, skillId)).toBeNull();
		expect(await cellOf(1, null)).toBeNull();
		expect(await cellOf(9, skillId)).toBeNull();
	});
});
