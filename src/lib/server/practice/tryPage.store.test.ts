import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { smallSchool, type SmallSchool } from '../../../../tests/smallSchool';
import { SEED_RANGES } from '../../core/items';
import { tryPage } from './tryPage';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('try_page');
});
afterAll(() => small.database.close());
const at = (query: string) =>
	tryPage(small.database, small.school, new URL(`http://school.test/practice/try?${query}`));
const idOf = (code: string) => small.skills.find((skill) => skill.code === code)!.id;

describe('a set that is tried as a student', () => {
	it('has as many questions as the set, its check without help, and solutions of the others only', async () => {
		const found = (await at(`skill=${idOf('F43')},${idOf('F41')}&questions=5&checks=2`))!;
		expect(found.items.map(({ item }) => item.practice)).toEqual([
			true,
			true,
			true,
			true,
			true,
			false,
			false,
			false,
			false
		]);
		expect(found.solutions.map(({ position }) => position)).toEqual([0, 1, 2, 3, 4]);
		expect(new Set(found.items.map(({ item }) => item.stemHtml)).size).toBeGreaterThan(5);
	});

	it('has the help that is chosen', async () => {
		const skill = `skill=${idOf('F43')}`;
		const without = (await at(`${skill}&second=no&hints=no&solutions=no`))!;
		expect(without.items.every(({ item }) => item.practice && item.isOneTry && item.hintHtml === '')).toBe(true);
		expect([without.hasSolutions, without.solutions]).toEqual([false, []]);
		const atEnd = (await at(`${skill}&feedback=at+the+end`))!;
		expect(atEnd.items.every(({ item }) => !item.practice)).toBe(true);
	});

	it('is made of sample questions, never those of a set, and is nothing without a skill', async () => {
		const { from, until } = SEED_RANGES.sample;
		expect(from + 3 * 30 < until).toBe(true);
		expect(await at('')).toBeNull();
		expect(await at('skill=999999')).toBeNull();
		expect((await at(`skill=${idOf('F43')}&questions=999`))!.items).toHaveLength(30);
		const before = await small.database.row<{ n: number }>('SELECT COUNT(*) AS n FROM sitting');
		await at(`skill=${idOf('F43')}`);
		expect(await small.database.row('SELECT COUNT(*) AS n FROM sitting')).toEqual(before);
	});
});
