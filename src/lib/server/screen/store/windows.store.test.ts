import { findScope } from '../../shell/store/scope';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool, seen, seenOne } from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { windowPlaces } from '../windowPlaces';
import { accommodations, setAccommodations, type Accommodation } from '../../people/store/accommodations';
import { beginDiagnostic } from '../../sitting/store/adaptiveSittings';
import {
	addWindow,
	moveWindow,
	noteStudents,
	screeningWindows,
	windowClasses,
	windowCounts,
	windowsToSit,
	withdrawWindow,
	type NewWindow,
	type WindowNote
} from './windows';
import type { Staff } from '../../request/viewer';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('windows');
});
afterAll(() => small.database.close());

const specialist = staffAs('specialist');
const elsewhere = { ...staffAs('specialist', 20), schoolId: 2 };
const spring: NewWindow = {
	name: 'Spring',
	subject: 'Mathematics',
	mode: 'adaptive',
	measure: null,
	term: 3,
	opensOn: '2027-03-01',
	closesOn: '2027-03-12',
	classIds: [1]
};
const names = async () => (await screeningWindows(small.database, 1)).map(({ name }) => name);
const note = (change: Partial<WindowNote> = {}): WindowNote => ({
	kind: null,
	reason: '',
	makeUpUntil: null,
	...change
});
const sitsIn = async (studentId: number, day: string) =>
	(await windowsToSit(small.database, seenOne(studentId), day)).map(({ name }) => name);
async function statusOf(studentId: number, windowId = 2) {
	const students = await (await findScope(small.database, specialist, 'school', TODAY))!.students();
	const window = (await screeningWindows(small.database, 1)).find(({ id }) => id === windowId)!;
	return (await windowPlaces(small.database, window, students)).get(studentId)!.status;
}

describe('windows', () => {
	it('are listed newest first, each school its own, and ask the classes they were planned for', async () => {
		const id = (await addWindow(small.database, specialist, spring, NOW))!;
		expect(await names()).toEqual(['Spring', 'Winter', 'Autumn']);
		expect(await screeningWindows(small.database, 2)).toEqual([]);
		expect(await windowClasses(small.database, id)).toEqual(new Set([1]));
		expect(await statusOf(1, id)).toBe('not started');
		expect(await statusOf(5, id)).toBe('not in this window');
	});

	it('are not planned for classes of another school, nor with days the wrong way round', async () => {
		expect(await addWindow(small.database, specialist, { ...spring, classIds: [3] }, NOW)).toBeNull();
		await expect(addWindow(small.database, specialist, { ...spring, closesOn: '2027-02-01' }, NOW)).rejects.toThrow();
		expect(await names()).toEqual(['Spring', 'Winter', 'Autumn']);
		const written = await small.database.rows(`SELECT id FROM audit_entry WHERE action = 'add window'`);
		expect(written.length).toBe(1);
	});

	it('can be sat from the opening through the closing day, by the classes they ask', async () => {
		expect(await sitsIn(1, '2026-11-15')).toEqual([]);
		expect(await sitsIn(1, '2026-11-16')).toEqual(['Winter']);
		expect(await sitsIn(1, '2026-12-04')).toEqual(['Winter']);
		expect(await sitsIn(1, '2026-12-05')).toEqual([]);
		expect(await sitsIn(1, '2027-03-05')).toEqual(['Spring']);
		expect(await sitsIn(5, '2027-03-05')).toEqual([]);
	});

	it('can be closed and opened early, which gives back the days before', async () => {
		const days = { opensOn: '2026-11-16', closesOn: TODAY };
		expect(await moveWindow(small.database, specialist, 2, days, NOW)).toEqual({
			opensOn: '2026-11-16',
			closesOn: '2026-12-04'
		});
		expect(await sitsIn(1, addDays(TODAY, 1))).toEqual([]);
		expect(await moveWindow(small.database, elsewhere, 2, days, NOW)).toBeNull();
		await moveWindow(small.database, specialist, 2, { ...days, closesOn: '2026-12-04' }, NOW);
		expect(await sitsIn(1, addDays(TODAY, 1))).toEqual(['Winter']);
	});

	it('are taken away only while nobody has sat', async () => {
		const id = (await addWindow(small.database, specialist, { ...spring, name: 'Mistake' }, NOW))!;
		expect(await withdrawWindow(small.database, elsewhere, id, NOW)).toBe(false);
		expect(await withdrawWindow(small.database, specialist, id, NOW)).toBe(true);
		expect(await names()).not.toContain('Mistake');
		const [winter] = (await screeningWindows(small.database, 1)).filter((one) => one.id === 2);
		await beginDiagnostic(small.database, { id: 8, grade: 4 }, { window: winter, attempt: 1 }, small.skills, NOW);
		expect(await withdrawWindow(small.database, specialist, 2, NOW)).toBe(false);
		expect(await names()).toContain('Winter');
	});

	it('count whom they ask and who has begun', async () => {
		const counts = await windowCounts(small.database, 1, TODAY);
		expect(counts.get(2)).toEqual({ classes: 2, students: 8, begun: 1, scored: 0 });
		expect(counts.get(1)).toEqual({ classes: 2, students: 8, begun: 0, scored: 0 });
	});
});

describe('notes on students in a window', () => {
	it('say who is absent or excused, and are given back to be restored', async () => {
		const noted = (notes: [number, WindowNote][]) =>
			noteStudents(small.database, specialist, 2, new Map(notes.map(([id, one]) => [seenOne(id), one])), NOW);
		expect(await noted([[1, note({ kind: 'absent' })]])).toEqual(new Map());
		expect(await statusOf(1)).toBe('absent');
		const excused = note({ kind: 'excused', reason: 'sat at the last school' });
		const before = (await noted([
			[1, excused],
			[2, excused]
		])) as Map<number, WindowNote>;
		expect(before).toEqual(new Map([[1, note({ kind: 'absent' })]]));
		expect(await statusOf(2)).toBe('excused');
		expect(await sitsIn(2, TODAY)).toEqual([]);
		await noted([...before, [2, note()]]);
		expect([await statusOf(1), await statusOf(2)]).toEqual(['absent', 'not started']);
	});

	it('that let a window pass a student by are given and taken away only by those who run screening', async () => {
		const teacher = staffAs('teacher');
		const noted = (staff: Staff, one: WindowNote) =>
			noteStudents(small.database, staff, 2, new Map([[seenOne(4), one]]), NOW);
		const excused = note({ kind: 'excused', reason: 'moves away' });
		expect(await noted(teacher, excused)).toBe('not yours');
		expect(await noted(teacher, note({ kind: 'absent' }))).toEqual(new Map());
		await noted(specialist, excused);
		for (const one of [note(), note({ kind: 'absent' }), note({ makeUpUntil: '2026-12-11' })])
			expect(await noted(teacher, one)).toBe('not yours');
		expect(await statusOf(4)).toBe('excused');
		await noted(specialist, note({ kind: 'absent', makeUpUntil: '2026-12-11' }));
		expect(await noted(teacher, note({ kind: 'absent' }))).toBe('not yours');
		expect(await noted(teacher, note({ kind: null, makeUpUntil: '2026-12-11' }))).toBeInstanceOf(Map);
		await noted(specialist, note());
	});

	it('let a student make up after the window has closed', async () => {
		const later = note({ makeUpUntil: '2026-12-11' });
		await noteStudents(small.database, specialist, 2, new Map([[seenOne(3), later]]), NOW);
		expect(await sitsIn(3, '2026-12-10')).toEqual(['Winter']);
		expect(await sitsIn(4, '2026-12-10')).toEqual([]);
		expect(await sitsIn(3, '2026-12-12')).toEqual([]);
	});

	it('cannot be made in another school’s window', async () => {
		expect(await noteStudents(small.database, elsewhere, 2, new Map([[seenOne(1), note()]]), NOW)).toBeNull();
		expect(await statusOf(1)).toBe('absent');
	});
});

describe('accommodations', () => {
	it('are set for several at once and replace what was there', async () => {
		const readAloud = { readAloud: true, largerType: false, timeFactor: 1.5, itemsADay: 10 };
		await setAccommodations(small.database, specialist, [1, 2], readAloud, NOW);
		const larger = { readAloud: false, largerType: true, timeFactor: 1, itemsADay: null };
		await setAccommodations(small.database, specialist, [2], larger, NOW);
		expect(await accommodations(small.database, seen(1, 2, 3))).toEqual(
			new Map<number, Accommodation>([
				[1, readAloud],
				[2, larger]
			])
		);
		expect(await accommodations(small.database, [])).toEqual(new Map());
	});
});
