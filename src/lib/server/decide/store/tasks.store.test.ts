import { afterAll, beforeAll, expect, it } from 'vitest';
import { NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { askFor, countTasks, finishTask, ownTasks, takeBackAsked, tasksFor } from './tasks';

let small: SmallSchool;
const [specialist, teacher] = [staffAs('specialist'), staffAs('teacher')];
const what = 'hold the missed sessions first';
const task = (studentId: number) => ({ studentId, accountId: teacher.id, what, dueOn: TODAY });

beforeAll(async () => {
	small = await smallSchool('tasks');
});
afterAll(() => small.database.close());

it('what is asked for stands with whoever does it, once, until it is done or taken back', async () => {
	const { database } = small;
	const both = await Promise.all([1, 2].map(() => askFor(database, specialist, [task(1), task(2)], NOW)));
	expect(both.flat()).toHaveLength(2);
	expect((await ownTasks(database, teacher, TODAY)).map(({ studentId, reviewId }) => [studentId, reviewId])).toEqual([
		[1, null],
		[2, null]
	]);
	const [first, second] = (await ownTasks(database, teacher, TODAY)).map(({ id }) => id);
	expect(await finishTask(database, teacher, first, true, NOW)).toBe(true);
	expect(await countTasks(database, teacher, TODAY)).toBe(1);
	// Done, it may be asked for again; what is done is not taken back.
	expect(await takeBackAsked(database, { ...specialist, schoolId: 2 }, [first, second], NOW)).toBe(0);
	expect(await takeBackAsked(database, specialist, [first, second], NOW)).toBe(1);
	expect((await tasksFor(database, seen(1, 2))).map(({ id }) => id)).toEqual([first]);
	expect(await askFor(database, specialist, [task(1)], NOW)).toHaveLength(1);
});

it('nobody is asked for a student, or by a colleague, of another school', async () => {
	await expect(askFor(small.database, specialist, [task(9)], NOW)).rejects.toThrow();
	await expect(askFor(small.database, specialist, [{ ...task(1), accountId: 20 }], NOW)).rejects.toThrow();
});
