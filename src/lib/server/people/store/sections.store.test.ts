import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '../../../core/calendar';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { joiningBreaks } from '../../groups/joining';
import { releases } from '../../../core/timetable';
import { addBlocks, releasingSlots } from '../../groups/timetable';
import { findScope } from '../../shell/store/scope';
import { addClasses, classesInSetup, endClass, setClassAdults } from './classes';
import { enrolledInSection } from './enrollment';
import { moveToClass } from './moves';
import { classByCode, classList } from './people';
import { promoteClasses } from './promotion';
import { rosterStudents, seenAmong } from './roster';
import { joinSection, leaveSection, sectionsOf, takeBackSection } from './sections';

let small: SmallSchool;
let section: number;
const coordinator = staffAs('coordinator');
/** Class teacher of students 1 to 4. */
const teacher = staffAs('teacher');
const when = { from: TODAY, at: NOW };
const [YESTERDAY, TOMORROW] = [addDays(TODAY, -1), addDays(TODAY, 1)];

beforeAll(async () => {
	small = await smallSchool('sections');
	const made = await addClasses(small.database, coordinator, [{ name: 'Lab', grade: 4 }], NOW, 'section');
	[section] = (made as { ids: number[] }).ids;
});
afterAll(() => small.database.close());

const seenByTeacher = async (day = TODAY) => [
	...(await seenAmong(small.database, teacher, [1, 2, 3, 4, 5, 6, 7, 8], day))
];
const inScope = async (day = TODAY, staff = coordinator) => {
	const scope = await findScope(small.database, staff, `class:${section}`, day);
	return scope && { label: scope.label, students: (await scope.students()).map(({ id }) => id as number) };
};

describe('a section', () => {
	it('has students beside their class from a day on, in its scope and its lists', async () => {
		const { database } = small;
		expect(await inScope()).toBeNull();
		const { begun } = await joinSection(database, coordinator, section, [4, 5, 6], when);
		expect(begun).toHaveLength(3);
		expect((await joinSection(database, coordinator, section, [5], when)).begun).toEqual([]);
		expect(await inScope(YESTERDAY)).toBeNull();
		expect(await inScope()).toEqual({ label: 'Lab', students: [4, 5, 6] });
		// Nobody stands twice in the school, and everybody in the class they had.
		const all = await rosterStudents(database, { staff: coordinator, today: TODAY });
		expect(all.map(({ id, classId }) => [id, classId])).toEqual(
			[1, 2, 3, 4, 5, 6, 7, 8].map((id) => [id, id < 5 ? 1 : 2])
		);
		expect((await sectionsOf(database, [{ id: 5 }, { id: 7 }], TODAY)).get(5)).toEqual([{ id: section, name: 'Lab' }]);
		expect(
			(await enrolledInSection(database, coordinator, section, TODAY)).map(({ id, classId }) => [id, classId])
		).toEqual([
			[4, 1],
			[5, 2],
			[6, 2]
		]);
		const [lab] = await classesInSetup(database, coordinator, TODAY, 'section');
		expect(lab).toMatchObject({ id: section, name: 'Lab', students: 3 });
		expect((await classesInSetup(database, coordinator, TODAY)).map(({ id }) => id)).not.toContain(section);
		expect((await classList(database, 1)).map(({ id }) => id)).not.toContain(section);
		const door = await classByCode(database, lab.code, NOW);
		expect(door!.students.map(({ id }) => id).sort()).toEqual([4, 5, 6]);
	});

	it('is nobody’s own class', async () => {
		expect(await moveToClass(small.database, coordinator, [1], section, when)).toEqual([]);
	});

	it('lets its adults see its students, and nobody else', async () => {
		const { database } = small;
		expect(await seenByTeacher()).toEqual([1, 2, 3, 4]);
		expect(await inScope(TODAY, teacher)).toBeNull();
		await setClassAdults(database, coordinator, section, [teacher.id], when);
		expect(await seenByTeacher()).toEqual([1, 2, 3, 4, 5, 6]);
		expect(await seenByTeacher(YESTERDAY)).toEqual([1, 2, 3, 4]);
		expect((await rosterStudents(database, { staff: teacher, today: TODAY })).map(({ id }) => id)).toEqual([
			1, 2, 3, 4, 5, 6
		]);
		expect((await inScope(TODAY, teacher))!.students).toEqual([4, 5, 6]);
	});

	it('keeps its students from meeting times at which it releases nobody', async () => {
		const { database } = small;
		const before = await releasingSlots(database, 1, TODAY);
		const slot = before.find(({ classIds }) => classIds.includes(1) && classIds.includes(2))!;
		const students = await rosterStudents(database, { staff: coordinator, today: TODAY });
		expect(students.every((student) => releases(slot, student))).toBe(true);
		const { days, startsAt, minutes } = slot;
		await addBlocks(database, coordinator, [{ classId: section, kind: 'core lesson', days, startsAt, minutes }], NOW);
		const slots = await releasingSlots(database, 1, TODAY);
		const then = slots.find(({ id }) => id === slot.id)!;
		expect(students.filter((student) => !releases(then, student)).map(({ id }) => id)).toEqual([4, 5, 6]);
		const now = { groups: [], slots, plans: { 2: { size: { maximum: 6 } }, 3: { size: { maximum: 3 } } } };
		const group = { id: 9, name: 'Thirds', tier: 2, slotId: slot.id, studentIds: [] };
		const breaks = (id: number) =>
			joiningBreaks(
				now as never,
				group as never,
				students.filter((student) => student.id === id)
			);
		expect(breaks(3)).toEqual([]);
		expect(breaks(5)).toEqual([expect.stringMatching(/^a section cannot release /)]);
	});

	it('is left from a day on, and that is taken back', async () => {
		const { database } = small;
		const change = await leaveSection(database, coordinator, section, [5, 7], { from: TOMORROW, at: NOW });
		expect(change.ended).toHaveLength(1);
		expect((await inScope())!.students).toEqual([4, 5, 6]);
		expect((await inScope(TOMORROW))!.students).toEqual([4, 6]);
		expect(await takeBackSection(database, coordinator, section, change, NOW)).toBe(1);
		expect((await inScope(TOMORROW))!.students).toEqual([4, 5, 6]);
		const more = await joinSection(database, coordinator, section, [7], when);
		expect((await inScope())!.students).toEqual([4, 5, 6, 7]);
		expect(await takeBackSection(database, coordinator, section, more, NOW)).toBe(1);
		expect((await inScope())!.students).toEqual([4, 5, 6]);
	});

	it('has nobody who has left the school, and them again when they are back', async () => {
		const { database } = small;
		await moveToClass(database, coordinator, [6], null, { from: TODAY, at: NOW });
		expect((await inScope())!.students).toEqual([4, 5]);
		expect((await enrolledInSection(database, coordinator, section, TODAY)).map(({ id }) => id)).toEqual([4, 5]);
		await moveToClass(database, coordinator, [6], 2, { from: TODAY, at: NOW });
		expect((await inScope())!.students).toEqual([4, 5, 6]);
	});

	it('that has ended has nobody, keeps nobody, and goes on with all who were in it', async () => {
		const { database } = small;
		expect(await endClass(database, coordinator, section, TODAY, { today: TODAY, at: NOW })).toBe(true);
		expect(await inScope()).toBeNull();
		expect(await inScope(YESTERDAY)).toBeNull();
		expect(await seenByTeacher()).toEqual([1, 2, 3, 4]);
		expect((await releasingSlots(database, 1, TODAY)).every(({ keptIds }) => keptIds.length === 0)).toBe(true);
		expect((await joinSection(database, coordinator, section, [8], when)).begun).toEqual([]);
		expect(await endClass(database, coordinator, section, null, { today: TODAY, at: NOW })).toBe(true);
		expect((await inScope())!.students).toEqual([4, 5, 6]);
	});

	it('ends with the year, whatever its classes become', async () => {
		const { database } = small;
		const plan = [1, 2].map((classId) => ({ classId, becomes: { name: `Next ${classId}`, grade: 5 } }));
		const promoted = await promoteClasses(database, coordinator, plan, { from: TOMORROW, at: NOW });
		expect(promoted).toMatchObject({ ended: expect.arrayContaining([1, 2, section]) });
		expect(await inScope(TOMORROW)).toBeNull();
		expect((await inScope())!.students).toEqual([4, 5, 6]);
	});
});
