import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { addClasses } from '../people/store/classes';
import { addStudents } from '../people/store/enrollment';
import { classList } from '../people/store/people';
import { rosterStudents } from '../people/store/roster';
import { mergeClasses, takeBackMerger } from './mergeClasses';

let small: SmallSchool;
/** Class 1 goes into class 2. */
const merged = { classId: 1, intoId: 2 };
const when = { today: TODAY, at: NOW };
const coordinator = staffAs('coordinator');

beforeAll(async () => {
	small = await smallSchool('mergers');
});
afterAll(() => small.database.close());

/** Who is in which class on a day. */
const placesOn = async (today: string) =>
	(await rosterStudents(small.database, { staff: coordinator, today })).map(({ id, classId }) => [id, classId]).sort();
const classes = async () => (await classList(small.database, 1)).map(({ id }) => id);

describe('merging a class into another', () => {
	let before: unknown[][];
	beforeEach(async () => {
		before = await placesOn(TODAY);
		expect(before.some(([, classId]) => classId === 1)).toBe(true);
	});

	it('moves everybody from today on and ends it, and is taken back as a whole', async () => {
		const ways = await mergeClasses(small.database, coordinator, merged, when);
		expect(ways).toHaveLength(before.filter(([, classId]) => classId === 1).length);
		expect(await placesOn(TODAY)).toEqual(before.map(([id]) => [id, 2]));
		expect(await placesOn(addDays(TODAY, -1))).toEqual(before);
		expect(await classes()).not.toContain(1);
		expect(await takeBackMerger(small.database, coordinator, { classId: 1, ways: ways! }, when)).toBe(ways!.length);
		expect(await placesOn(TODAY)).toEqual(before);
		expect(await classes()).toContain(1);
	});

	it('is not taken back, and moves nobody, once another class has its name', async () => {
		const [{ name }] = await classList(small.database, 1);
		const ways = await mergeClasses(small.database, coordinator, merged, when);
		const after = await placesOn(TODAY);
		const made = await addClasses(small.database, coordinator, [{ name, grade: 4 }], NOW);
		expect(await takeBackMerger(small.database, coordinator, { classId: 1, ways: ways! }, when)).toBeNull();
		expect(await placesOn(TODAY)).toEqual(after);
		await small.database.run('DELETE FROM class WHERE id = ?', ['ids' in made ? made.ids[0] : 0]);
		expect(await takeBackMerger(small.database, coordinator, { classId: 1, ways: ways! }, when)).toBe(ways!.length);
	});

	it('changes nothing where the other class has ended', async () => {
		await small.database.run('UPDATE class SET ended_on = ? WHERE id = 2', [TODAY]);
		expect(await mergeClasses(small.database, coordinator, merged, when)).toBeNull();
		expect(await placesOn(TODAY)).toEqual(before);
		expect(await classes()).toContain(1);
		await small.database.run('UPDATE class SET ended_on = NULL WHERE id = 2');
	});

	it('changes nothing where somebody is planned to join later, or the class is of another school', async () => {
		await addStudents(
			small.database,
			coordinator,
			[
				{
					...{ givenName: 'Ines', familyName: 'Later', preferredName: null, number: null, birthDate: null },
					...{ grade: 4, classId: 1 }
				}
			],
			{ from: addDays(TODAY, 3), at: NOW }
		);
		expect(await mergeClasses(small.database, coordinator, merged, when)).toBeNull();
		expect(await placesOn(TODAY)).toEqual(before);
		expect(await classes()).toContain(1);
		const elsewhere = { ...coordinator, schoolId: 2 };
		await expect(mergeClasses(small.database, elsewhere, merged, when)).resolves.toBeNull();
	});
});
