import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '../../../core/calendar';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { windowCounts, windowsToSit } from '../../screen/store/windows';
import { classByCode, studentPin } from './people';
import { rosterStudents, seenAmong, studentIn } from './roster';
import { addStudents, changeStudent, enrolledByIds, enrolledIn, enrolledLike, takeBackStudents } from './enrollment';
import { moveToClass, takeBackMoves } from './moves';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('enrollment');
});
afterAll(() => small.database.close());

const coordinator = staffAs('coordinator');
const [YESTERDAY, TOMORROW] = [addDays(TODAY, -1), addDays(TODAY, 1)];
const noon = (day: string) => new Date(`${day}T17:00:00Z`);
const record = (givenName: string, more: object = {}) => ({
	givenName,
	familyName: 'Okafor',
	preferredName: null,
	number: null,
	grade: 4,
	birthDate: null,
	classId: 1,
	...more
});
const inSchool = async (id: number, day: string) =>
	(await rosterStudents(small.database, { staff: coordinator, today: day })).some((student) => student.id === id);

/** Whether a student is in each place that shows or lets in students, on a day. */
async function placesOn(id: number, day: string): Promise<Record<string, boolean>> {
	const { database } = small;
	const staff = { staff: coordinator, today: day };
	const door = await classByCode(database, 'AVO1', noon(day));
	return {
		roster: await inSchool(id, day),
		oneStudent: (await studentIn(database, staff, id)) !== null,
		seenByTeacher: (await seenAmong(database, staffAs('teacher'), [id], day)).has(id),
		classInSetup: (await enrolledIn(database, coordinator, 1, day)).some((student) => student.id === id),
		door: door!.students.some((student) => student.id === id),
		signIn: (await studentPin(database, id, noon(day))) !== null,
		window: (await windowsToSit(database, id as never, day)).length > 0,
		counted: (await windowCounts(database, 1, day)).get(2)!.students > 8
	};
}
const everywhere = (isThere: boolean) =>
	Object.fromEntries(
		['roster', 'oneStudent', 'seenByTeacher', 'classInSetup', 'door', 'signIn', 'window', 'counted'].map((place) => [
			place,
			isThere
		])
	);

describe('who is in the school on a day', () => {
	it('a student who joins is nowhere the day before, and everywhere from that day on', async () => {
		const [id] = await addStudents(small.database, coordinator, [record('Ilse')], { from: TODAY, at: NOW });
		expect(await placesOn(id, YESTERDAY)).toEqual(everywhere(false));
		expect(await placesOn(id, TODAY)).toEqual(everywhere(true));
		expect(await placesOn(id, TOMORROW)).toEqual(everywhere(true));
		expect(await takeBackStudents(small.database, coordinator, [id], NOW)).toEqual([id]);
		expect(await enrolledByIds(small.database, coordinator, [id], TODAY)).toEqual([]);
	});

	it('a student who leaves is everywhere the day before, nowhere from that day on, and comes back with their history', async () => {
		const [id] = await addStudents(small.database, coordinator, [record('Tomo')], { from: '2026-09-01', at: NOW });
		const ways = await moveToClass(small.database, coordinator, [id], null, { from: TODAY, at: NOW });
		expect(await placesOn(id, YESTERDAY)).toEqual(everywhere(true));
		expect(await placesOn(id, TODAY)).toEqual(everywhere(false));
		expect(await placesOn(id, TOMORROW)).toEqual(everywhere(false));
		// Who has left is still found when the name comes again.
		const [found] = await enrolledLike(small.database, coordinator, { numbers: [], familyNames: ['Okafor'] }, TODAY);
		expect(found).toMatchObject({ id, classId: 1, untilOn: TODAY });
		await moveToClass(small.database, coordinator, [id], 1, { from: TOMORROW, at: NOW });
		expect(await inSchool(id, TODAY)).toBe(false);
		expect(await placesOn(id, TOMORROW)).toEqual(everywhere(true));
		expect(await takeBackMoves(small.database, coordinator, ways, NOW)).toBe(1);
	});

	it('a move keeps to what is planned for later, and is taken back only while nothing came after it', async () => {
		const { database } = small;
		const [id] = await addStudents(database, coordinator, [record('Maia')], { from: '2026-09-01', at: NOW });
		const days = [TODAY, TOMORROW, addDays(TODAY, 7)];
		const classes = async () =>
			Promise.all(
				days.map(async (day) =>
					(await rosterStudents(database, { staff: coordinator, today: day }))
						.filter((one) => one.id === id)
						.map(({ classId }) => classId)
				)
			);
		const back = await moveToClass(database, coordinator, [id], 2, { from: days[2], at: NOW });
		expect(await classes()).toEqual([[1], [1], [2]]);
		// Who leaves does not come back on the planned day; what was planned is there again after Undo.
		const away = await moveToClass(database, coordinator, [id], null, { from: TOMORROW, at: NOW });
		expect(await classes()).toEqual([[1], [], []]);
		await takeBackMoves(database, coordinator, away, NOW);
		expect(await classes()).toEqual([[1], [1], [2]]);
		const sooner = await moveToClass(database, coordinator, [id], 2, { from: TOMORROW, at: NOW });
		expect(await classes()).toEqual([[1], [2], [2]]);
		await moveToClass(database, coordinator, [id], 1, { from: addDays(TODAY, 3), at: NOW });
		expect(await takeBackMoves(database, coordinator, sooner, NOW)).toBe(0);
		expect(back[0].begun).toMatchObject({ untilOn: null });
	});

	it('a student moves between classes on a day, sees both never, and is back where they were after Undo', async () => {
		const classOf = async (day: string) =>
			(await studentIn(small.database, { staff: coordinator, today: day }, 1))?.classId;
		const ways = await moveToClass(small.database, coordinator, [1, 5], 2, { from: TOMORROW, at: NOW });
		// The fifth is in that class already.
		expect(ways.map(({ studentId }) => studentId)).toEqual([1]);
		expect([await classOf(TODAY), await classOf(TOMORROW)]).toEqual([1, 2]);
		expect((await seenAmong(small.database, staffAs('teacher'), [1], TOMORROW)).size).toBe(0);
		expect(await takeBackMoves(small.database, coordinator, ways, NOW)).toBe(1);
		expect([await classOf(TODAY), await classOf(TOMORROW)]).toEqual([1, 1]);
	});
});

describe('what is written down of students', () => {
	it('is changed with what it was before, and no number is given twice', async () => {
		const changed = record('Given2', { familyName: 'Diaz', preferredName: 'Gi', number: 'S2', grade: 5 });
		expect(await changeStudent(small.database, coordinator, 2, changed, NOW)).toMatchObject({
			familyName: 'Family2',
			grade: 4
		});
		const [one] = await rosterStudents(small.database, {
			staff: coordinator,
			today: TODAY,
			narrowing: { sql: 'AND membership.student_id = ?', values: [2] }
		});
		expect(one).toMatchObject({ givenName: 'Gi', familyName: 'Diaz', grade: 5, number: 'S2' });
		expect(await changeStudent(small.database, coordinator, 2, { ...changed, number: 'S3' }, NOW)).toEqual({
			takenBy: 'Given3 Family3'
		});
		expect(await changeStudent(small.database, coordinator, 9, { ...changed, number: null }, NOW)).toBeNull();
	});

	it('stays with students of whom something came, when others are taken back', async () => {
		const ids = await addStudents(small.database, coordinator, [record('Ada'), record('Bo')], { from: TODAY, at: NOW });
		await small.database.run(
			"INSERT INTO student_note (student_id, on_date, text, written_by, written_at) VALUES (?, ?, 'came late', 1, ?)",
			[ids[0], TODAY, NOW]
		);
		expect(await takeBackStudents(small.database, coordinator, ids, NOW)).toEqual([ids[1]]);
		expect(await inSchool(ids[0], TODAY)).toBe(true);
	});
});
