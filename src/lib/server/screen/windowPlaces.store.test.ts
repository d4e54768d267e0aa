import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { smallSchool, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { fill } from '../database/seeding';
import { windowInView } from './windowPlaces';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('window_places');
});
afterAll(() => small.database.close());

describe('the window in view', () => {
	it('is the one asked for, else the last that has begun', async () => {
		expect((await windowInView(small.database, small.school)).window).toMatchObject({ name: 'Winter' });
		expect((await windowInView(small.database, small.school, 1)).window).toMatchObject({ name: 'Autumn' });
		expect((await windowInView(small.database, small.school, 99)).window).toMatchObject({ name: 'Winter' });
		const early = { ...small.school, today: '2026-10-01' };
		expect((await windowInView(small.database, early)).window).toMatchObject({ name: 'Autumn' });
		expect((await windowInView(small.database, { ...small.school, id: 2 })).window).toBeNull();
	});

	it('is a window with a diagnostic before one in which a measure is given, begun or not', async () => {
		const reading = { school_id: 1, subject: 'Reading', mode: 'teacher-given', measure: 'reading aloud', term: 2 };
		await fill(small.database, 'screening_window', [
			{ ...reading, id: 50, name: 'Reading', opens_on: '2026-11-20', closes_on: '2026-12-04' },
			{ ...reading, id: 51, name: 'Early reading', opens_on: '2026-09-01', closes_on: '2026-12-04' }
		]);
		const on = async (today: string, wanted?: number) =>
			(await windowInView(small.database, { ...small.school, today }, wanted)).window!.name;
		expect(await on(TODAY)).toBe('Winter');
		expect(await on(TODAY, 50)).toBe('Reading');
		expect(await on('2026-09-10')).toBe('Early reading');
		expect(await on('2026-08-01')).toBe('Autumn');
	});
});
