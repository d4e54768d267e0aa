import { afterAll, beforeAll, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, type SmallSchool } from '../../../../../tests/smallSchool';
import { keepLayout, keptLayout } from './listLayouts';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('list_layouts');
});
afterAll(() => small.database.close());

it('a list is known again by its headings, in the own school only, and the newest correction holds', async () => {
	const { database } = small;
	const coordinator = staffAs('coordinator');
	const layout = { hasHeader: true, columns: ['name' as const, 'number' as const], isFamilyFirst: true };
	expect(await keptLayout(database, coordinator, ['Pupil', 'Locker'])).toBeNull();
	await keepLayout(database, coordinator, ['Pupil', 'Locker'], layout, NOW);
	expect(await keptLayout(database, coordinator, ['pupil ', 'LOCKER'])).toEqual(layout);
	expect(await keptLayout(database, coordinator, ['Locker', 'Pupil'])).toBeNull();
	expect(await keptLayout(database, { ...coordinator, schoolId: 2 }, ['Pupil', 'Locker'])).toBeNull();
	await keepLayout(database, coordinator, ['Pupil', 'Locker'], { ...layout, isFamilyFirst: false }, NOW);
	expect((await keptLayout(database, coordinator, ['Pupil', 'Locker']))!.isFamilyFirst).toBe(false);
});
