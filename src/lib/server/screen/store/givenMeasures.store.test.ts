import { findScope } from '../../shell/store/scope';
import { setCutScores } from './cutScores';
import { cutScores } from './cutScores';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool, seen } from '../../../../../tests/smallSchool';
import { screenResults } from '../screenResults';
import { windowPlaces } from '../windowPlaces';
import { measuredStudent, saveMeasure, setMeasureAside, windowMeasures, type NewMeasure } from './givenMeasures';
import { addWindow, screeningWindows, windowCounts, withdrawWindow } from './windows';

let small: SmallSchool;
let autumn: number;
let winter: number;
const specialist = staffAs('specialist');
const later = (minutes: number) => new Date(NOW.getTime() + minutes * 60_000);
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const given = (n: number, studentId: number, change: Partial<NewMeasure> = {}): NewMeasure => ({
	id: uuid(n),
	givenFor: { windowId: winter },
	studentId,
	sheetGrade: 4,
	sheetLength: 212,
	seconds: 60,
	reached: 90,
	missed: [3, 40],
	...change
});
const plan = async (name: string, opensOn: string) =>
	(await addWindow(
		small.database,
		specialist,
		{
			name,
			subject: 'Mathematics',
			mode: 'teacher-given',
			measure: 'reading aloud',
			term: 2,
			opensOn,
			closesOn: '2026-12-04',
			classIds: [1]
		},
		NOW
	))!;

beforeAll(async () => {
	small = await smallSchool('given');
	autumn = await plan('Autumn reading', '2026-09-07');
	winter = await plan('Winter reading', '2026-11-16');
});
afterAll(() => small.database.close());

const windows = () => screeningWindows(small.database, 1);
const winterWindow = async () => (await windows()).find(({ id }) => id === winter)!;
const students = async () => (await findScope(small.database, specialist, 'school', TODAY))!.students();
const results = async () => {
	const { rows, earlier, unit, domains } = await screenResults(
		small.database,
		small.school,
		await windows(),
		await winterWindow(),
		await students()
	);
	return { earlier, unit, domains, of: (id: number) => rows.find((row) => row.id === id)!, count: rows.length };
};

describe('measures that are given', () => {
	it('belong to a window whose subject follows from the measure', async () => {
		expect(await winterWindow()).toMatchObject({ mode: 'teacher-given', measure: 'reading aloud', subject: 'Reading' });
	});

	it('are stored once, whatever is sent again, and the newest that is not set aside counts', async () => {
		expect(await saveMeasure(small.database, specialist, given(1, 1), NOW)).toBe(true);
		expect(await saveMeasure(small.database, specialist, given(1, 1, { reached: 5 }), later(1))).toBe(false);
		await saveMeasure(small.database, specialist, given(2, 1, { reached: 100, missed: [] }), later(2));
		expect((await windowMeasures(small.database, winter, seen(1, 2))).get(1)).toMatchObject({
			id: uuid(2),
			reached: 100
		});
		expect(await setMeasureAside(small.database, specialist, uuid(2), true, later(3))).toBe(true);
		expect(await setMeasureAside(small.database, specialist, uuid(2), true, later(3))).toBe(false);
		expect((await windowMeasures(small.database, winter, seen(1))).get(1)).toMatchObject({
			id: uuid(1),
			reached: 90,
			missed: [3, 40],
			seconds: 60
		});
		await setMeasureAside(small.database, specialist, uuid(2), false, later(4));
		expect((await windowMeasures(small.database, winter, seen(1))).get(1)!.id).toBe(uuid(2));
		await setMeasureAside(small.database, specialist, uuid(2), true, later(5));
	});

	it('are nobody else’s: another school neither finds nor changes them', async () => {
		const elsewhere = { ...staffAs('specialist', 20), schoolId: 2 };
		expect(await measuredStudent(small.database, elsewhere, uuid(1))).toBeNull();
		expect(await setMeasureAside(small.database, elsewhere, uuid(1), true, NOW)).toBe(false);
		expect(await measuredStudent(small.database, specialist, uuid(1))).toBe(1);
	});

	it('give results in correct a minute for every student, with change since the window before', async () => {
		await saveMeasure(
			small.database,
			specialist,
			given(3, 1, { givenFor: { windowId: autumn }, reached: 60, missed: [] }),
			NOW
		);
		const { earlier, unit, domains, of, count } = await results();
		expect(count).toBe(8);
		expect(earlier?.name).toBe('Autumn reading');
		expect(unit).toBe('correct words a minute');
		expect(domains).toEqual([]);
		expect(of(1)).toMatchObject({
			status: 'finished',
			scores: { 0: { points: 88, error: Math.sqrt(88) } },
			before: { 0: { points: 60 } },
			given: { attempted: 90, accuracy: 88 / 90, sheetGrade: 4 }
		});
		expect(of(2)).toMatchObject({ status: 'not started', scores: { 0: null }, given: null });
		expect(of(5).status).toBe('not in this window');
	});

	it('on another grade’s sheet are held against no line and no score on a different sheet', async () => {
		await saveMeasure(small.database, specialist, given(4, 2, { givenFor: { windowId: autumn } }), NOW);
		await saveMeasure(small.database, specialist, given(5, 2, { sheetGrade: 2, sheetLength: 157 }), NOW);
		const { of } = await results();
		expect(of(2)).toMatchObject({ cut: null, before: { 0: null }, scores: { 0: { points: 88 } } });
		expect(of(3).cut).toBe(97);
	});

	it('have cut scores of their own, which leave those of diagnostics alone', async () => {
		const reading = { measure: 'reading aloud' as const, term: 2 };
		const diagnostic = { measure: null, term: 2 };
		const before = await cutScores(small.database, 1, diagnostic);
		await setCutScores(small.database, staffAs('coordinator'), reading, new Map([[4, 105]]), NOW);
		expect((await cutScores(small.database, 1, reading))[4]).toBe(105);
		expect(await cutScores(small.database, 1, diagnostic)).toEqual(before);
		await setCutScores(small.database, staffAs('coordinator'), reading, new Map([[4, null]]), NOW);
		expect((await cutScores(small.database, 1, reading))[4]).toBe(97);
	});

	it('are on the board and in the counts of the window, which cannot be taken away any more', async () => {
		const places = await windowPlaces(small.database, await winterWindow(), await students());
		expect([...places].map(([id, { status }]) => [id, status])).toContainEqual([1, 'finished']);
		expect((await windowCounts(small.database, 1, TODAY)).get(winter)).toMatchObject({ begun: 2, scored: 2 });
		expect(await withdrawWindow(small.database, specialist, winter, NOW)).toBe(false);
	});
});
