import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { post, undo, type Answer } from '../../../../../tests/formPost';
import {
	adopt,
	clearGroups,
	failingAt,
	newGroup,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool
} from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { calendarActions } from './calendarForm';
import { classBlocks, slotList, staffAbsences } from './store/timetable';
import { timetableActions } from './timetableForm';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('timetable_form');
});
afterAll(() => small.database.close());
beforeEach(async () => {
	await small.database.run('DELETE FROM staff_absence');
	await small.database.run('DELETE FROM class_block WHERE kind <> ?', ['lunch']);
	await small.database.run('DELETE FROM slot WHERE id > 2');
});

const actions = { ...timetableActions, ...calendarActions };
const specialist = staffAs('specialist');
const send = (name: keyof typeof actions, fields: Parameters<typeof post>[3]) =>
	post(small, specialist, actions[name], fields);
const back = (answer: Answer) => undo(small, specialist, actions, answer);

/** All that the timetable holds. */
const state = async () => {
	const [slots, blocks, absences] = await Promise.all([
		slotList(small.database, 1, TODAY),
		classBlocks(small.database, 1),
		staffAbsences(small.database, staffAs('specialist'))
	]);
	const bare = <T extends { id: number }>(rows: T[]) => rows.map(({ id: _, ...row }) => row);
	return {
		slots: slots.map(({ id, staffId, days, startsAt }) => ({ id, staffId, days, startsAt })),
		blocks: bare(blocks),
		absences: bare(absences)
	};
};
const slot = { staff: '3', days: ['5', '1'], startsAt: '13:15', minutes: '25', room: ' Plover ', tier: '3' };

describe('a meeting time', () => {
	it('is added with its days in order, and taken back', async () => {
		const before = await state();
		const answer = await send('addSlot', slot);
		expect(answer.done).toBe('Staff 3 can hold a group at Mon Fri 13:15.');
		expect((await slotList(small.database, 1, TODAY)).find(({ startsAt }) => startsAt === '13:15')).toMatchObject({
			staffId: 3,
			days: [1, 5],
			minutes: 25,
			room: 'Plover',
			tier: 3
		});
		expect((await back(answer)).done).toBe('1 meeting time taken back.');
		expect(await state()).toEqual(before);
		expect((await back(answer)).problem).toMatch(/^A group meets at them by now/);
	});

	it('is refused where the person has one already, or runs no groups', async () => {
		const before = await state();
		const overlapping = await send('addSlot', { ...slot, staff: '2', startsAt: '09:20', days: '3' });
		expect(overlapping.problem).toBe('Staff 2 has Mon Wed Fri 09:00 already. Nothing was changed.');
		for (const staff of ['10', '20', '999'])
			expect((await send('addSlot', { ...slot, staff })).problem).toMatch(/^There is nobody like that/);
		for (const wrong of [{ startsAt: '25:00' }, { days: '6' }, { minutes: '0' }, { minutes: 'many' }])
			expect((await send('addSlot', { ...slot, ...wrong })).status).toBe(400);
		expect(await state()).toEqual(before);
	});

	it('ends and is there again; one at which a group meets does not end', async () => {
		await send('addSlot', slot);
		const before = await state();
		const { id } = before.slots.find(({ startsAt }) => startsAt === '13:15')!;
		const ended = await send('endSlot', { slot: String(id) });
		expect((await state()).slots.map((one) => one.id)).not.toContain(id);
		expect((await back(ended)).done).toBe('The time is there again.');
		expect(await state()).toEqual(before);
		await adopt(small, newGroup(small, { slotId: 1 }));
		expect((await send('endSlot', { slot: '1' })).problem).toMatch(/end the group first/);
		expect(await state()).toEqual(before);
		await clearGroups(small);
	});
});

describe('what classes keep', () => {
	it('is told with the groups that meet then, taken back and put back', async () => {
		const before = await state();
		const fields = { classes: ['1', '2'], kind: 'recess', days: ['2', '4'], startsAt: '10:10', minutes: '15' };
		const answer = await send('addBlock', fields);
		expect(answer.done).toBe('2 classes release nobody at Tue Thu 10:10.');
		const blocked = await state();
		expect(blocked.blocks).toHaveLength(before.blocks.length + 2);
		const removed = await back(answer);
		expect(removed.done).toBe('Students can be released at Tue Thu 10:10.');
		expect(await state()).toEqual(before);
		// Undoing the undo puts back just what was there.
		expect((await back(removed)).done).toBe(answer.done);
		expect(await state()).toEqual(blocked);
		expect((await send('addBlock', { ...fields, classes: '3' })).problem).toMatch(/^There is no such class/);
		expect((await send('removeBlocks', { ids: '99999' })).problem).toMatch(/^It is gone already/);
	});
});

describe('an absence', () => {
	it('is noted, removed and noted again with the same days', async () => {
		const fields = { staff: '3', fromOn: TODAY, lastOn: addDays(TODAY, 2), note: ' course ' };
		const answer = await send('addAbsence', fields);
		expect(answer.done).toMatch(/^Staff 3 is away from .*: sessions then need cover\.$/);
		const noted = await state();
		expect(noted.absences).toEqual([
			{ staffId: 3, staffName: 'Staff 3', fromOn: TODAY, untilOn: addDays(TODAY, 3), note: 'course' }
		]);
		const removed = await back(answer);
		expect((await state()).absences).toEqual([]);
		await back(removed);
		expect(await state()).toEqual(noted);
		expect((await send('addAbsence', { ...fields, lastOn: addDays(TODAY, -1) })).problem).toMatch(/^The last day lies/);
		expect((await send('addAbsence', { ...fields, lastOn: addDays(TODAY, 500) })).status).toBe(400);
	});
});

describe('a calendar file', () => {
	const calendar = (...events: string[]) =>
		new File(
			[['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:test', ...events, 'END:VCALENDAR', ''].join('\r\n')],
			'week.ics'
		);
	const weekly = (hour: string, title: string) =>
		[
			'BEGIN:VEVENT',
			`UID:${title}`,
			'DTSTAMP:20261101T000000Z',
			`DTSTART;TZID=America/New_York:20261123T${hour}00`,
			'DURATION:PT30M',
			'RRULE:FREQ=WEEKLY;BYDAY=MO,WE',
			`SUMMARY:${title}`,
			'LOCATION:Knot',
			'END:VEVENT'
		].join('\r\n');
	const away = [
		'BEGIN:VEVENT',
		'UID:away',
		'DTSTAMP:20261101T000000Z',
		'DTSTART;VALUE=DATE:20261130',
		'DTEND;VALUE=DATE:20261202',
		'SUMMARY:Course',
		'END:VEVENT'
	].join('\r\n');

	it('is taken whole or not at all', async () => {
		const before = await state();
		const failing = { ...small, database: failingAt(small.database, 'INSERT INTO staff_absence') };
		const fields = { staff: '3', take: 'yes', file: calendar(weekly('1330', 'Late group'), away) };
		await expect(post(failing, specialist, actions.import, fields)).rejects.toThrow('fails at');
		expect(await state()).toEqual(before);
	});

	it('is shown first, then taken, and taken back whole', async () => {
		const before = await state();
		const file = () => calendar(weekly('1330', 'Late group'), weekly('1345', 'Overlapping'), away);
		const shown = await send('import', { staff: '3', file: file() });
		expect(shown.plan).toMatchObject({
			staffName: 'Staff 3',
			times: ['Mon Wed 13:30, 30 min, Knot (Late group)'],
			problems: [expect.stringMatching(/^“Overlapping” overlaps/)]
		});
		expect((shown.plan as { away: string[] }).away).toHaveLength(1);
		expect(await state()).toEqual(before);
		const taken = await send('import', { staff: '3', take: 'yes', file: file() });
		expect(taken.done).toBe('Taken for Staff 3: 1 meeting time, 1 absence.');
		expect((await state()).slots).toHaveLength(before.slots.length + 1);
		expect((await state()).absences).toMatchObject([{ fromOn: '2026-11-30', untilOn: '2026-12-02', note: 'Course' }]);
		// The same file once more brings nothing double.
		expect((await send('import', { staff: '3', file: calendar(weekly('1330', 'Late group')) })).plan).toMatchObject({
			times: [],
			problems: [expect.stringMatching(/overlaps/)]
		});
		expect((await back(taken)).done).toBe('Taken back: 1 meeting time, 1 absence.');
		expect(await state()).toEqual(before);
	});

	it('is refused when there is none, or it is none', async () => {
		expect((await send('import', { staff: '3' })).problem).toMatch(/^Choose a file first/);
		const text = new File(['no calendar'], 'week.ics');
		expect((await send('import', { staff: '3', file: text })).status).toBe(400);
		const large = new File(['x'.repeat(1_000_001)], 'week.ics');
		expect((await send('import', { staff: '3', file: large })).problem).toMatch(/larger than 1 MB/);
		expect((await send('import', { staff: '3', take: 'yes', file: calendar() })).status).toBe(400);
	});
});
