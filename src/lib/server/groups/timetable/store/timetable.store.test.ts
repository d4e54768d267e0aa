import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	adopt,
	newGroup,
	NOW,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool
} from '../../../../../../tests/smallSchool';
import { addDays } from '../../../../core/calendar';
import {
	addAbsences,
	addBlocks,
	addSlots,
	classBlocks,
	endSlot,
	removeAbsences,
	removeBlocks,
	removeSlots,
	releasingSlots,
	restoreSlots,
	slotList,
	staffAbsences,
	type NewSlot
} from './timetable';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('timetable');
});
afterAll(() => small.database.close());

const specialist = staffAs('specialist');
const elsewhere = { ...staffAs('specialist', 20), schoolId: 2 };
const slot: NewSlot = { staffId: 3, days: [2, 4], startsAt: '13:00', minutes: 30, room: 'Tern', tier: null };
const ids = async (day = TODAY) => (await slotList(small.database, 1, day)).map(({ id }) => id);

describe('meeting times', () => {
	it('have days, a tier where one is set, and the classes that release students then', async () => {
		expect(await releasingSlots(small.database, 1, TODAY)).toMatchObject([
			{ id: 1, days: [1, 3, 5], startsAt: '09:00', tier: null, classIds: [1, 2] },
			{ id: 2, days: [2, 4], startsAt: '10:05', tier: 3, classIds: [1] }
		]);
		expect(await slotList(small.database, 2, TODAY)).toEqual([]);
	});

	it('are added, and taken back while nobody has met at them', async () => {
		const [id] = await addSlots(small.database, specialist, [slot], NOW);
		expect((await slotList(small.database, 1, TODAY)).find((one) => one.id === id)).toMatchObject({
			days: [2, 4],
			startsAt: '13:00',
			staffName: 'Staff 3'
		});
		expect(await removeSlots(small.database, elsewhere, [id], NOW)).toBe(0);
		expect(await removeSlots(small.database, specialist, [id], NOW)).toBe(1);
		expect(await ids()).toEqual([1, 2]);
	});

	it('end from a day on unless a group meets at them, and are there again', async () => {
		const [id] = await addSlots(small.database, specialist, [slot], NOW);
		expect(await endSlot(small.database, elsewhere, id, TODAY, NOW)).toBe(false);
		expect(await endSlot(small.database, specialist, id, TODAY, NOW)).toBe(true);
		expect(await ids()).not.toContain(id);
		expect(await ids(addDays(TODAY, -1))).toContain(id);
		await expect(adopt(small, newGroup(small, { slotId: id, studentIds: [1] }))).rejects.toThrow(`${id} is taken`);
		expect(await restoreSlots(small.database, specialist, [id], NOW)).toBe(1);
		await adopt(
			small,
			newGroup(small, { slotId: id, endsOn: addDays(TODAY, 10), studentIds: [1], reviewOn: addDays(TODAY, 8) })
		);
		expect(await endSlot(small.database, specialist, id, TODAY, NOW)).toBe(false);
		expect(await removeSlots(small.database, specialist, [id], NOW)).toBe(0);
		expect(await endSlot(small.database, specialist, id, addDays(TODAY, 11), NOW)).toBe(true);
	});
});

describe('what classes keep', () => {
	it('changes who can be released, and can be taken back and put back', async () => {
		const released = async () => (await releasingSlots(small.database, 1, TODAY)).find(({ id }) => id === 1)!.classIds;
		const added = await addBlocks(
			small.database,
			specialist,
			[{ classId: 1, kind: 'recess', days: [5], startsAt: '09:20', minutes: 15 }],
			NOW
		);
		expect(await released()).toEqual([2]);
		expect(await removeBlocks(small.database, elsewhere, added, NOW)).toEqual([]);
		expect(await removeBlocks(small.database, specialist, added, NOW)).toMatchObject([
			{ classId: 1, kind: 'recess', days: [5], startsAt: '09:20', minutes: 15 }
		]);
		expect(await released()).toEqual([1, 2]);
		expect(await classBlocks(small.database, 1)).toMatchObject([{ classId: 2, kind: 'lunch' }]);
	});
});

describe('staff away', () => {
	it('are listed until the day they are back, for their own school', async () => {
		const [id] = await addAbsences(
			small.database,
			specialist,
			[{ staffId: 3, fromOn: TODAY, untilOn: addDays(TODAY, 2), note: 'training' }],
			NOW
		);
		expect(await staffAbsences(small.database, staffAs('specialist'), addDays(TODAY, 1))).toMatchObject([
			{ id, staffName: 'Staff 3' }
		]);
		expect(await staffAbsences(small.database, staffAs('specialist'), addDays(TODAY, 2))).toEqual([]);
		expect(await staffAbsences(small.database, { ...staffAs('specialist', 20), schoolId: 2 }, TODAY)).toEqual([]);
		expect(await removeAbsences(small.database, elsewhere, [id], NOW)).toEqual([]);
		expect(await removeAbsences(small.database, specialist, [id], NOW)).toMatchObject([{ note: 'training' }]);
		expect(await staffAbsences(small.database, staffAs('specialist'), TODAY)).toEqual([]);
	});
});
