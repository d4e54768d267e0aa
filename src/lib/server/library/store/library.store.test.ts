import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, type SmallSchool } from '../../../../../tests/smallSchool';
import { findInLibrary } from '../finder';
import {
	addMaterial,
	hideMaterial,
	importStandards,
	libraryRevision,
	materialsFor,
	shelfOf,
	shelve,
	standardList,
	standardsOfSkill
} from './library';

let small: SmallSchool;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const elsewhere = { ...staffAs('specialist', 20), schoolId: 2 };

beforeAll(async () => {
	small = await smallSchool('library');
});
afterAll(() => small.database.close());

const standard = (code: string, statement: string, skillIds: number[] = []) => ({
	code,
	statement,
	grade: 4,
	skillIds
});

describe('standards', () => {
	it('are brought in with their crosswalk, and again without doubling', async () => {
		const [first, second] = small.skills;
		const bring = (statement: string, skillIds: number[]) =>
			importStandards(small.database, specialist, 'County', [standard('C.1', statement, skillIds)], NOW);
		await bring('Count birds', [first.id, first.id, second.id]);
		expect(await standardList(small.database, 1)).toMatchObject([
			{ framework: 'County', code: 'C.1', statement: 'Count birds', skillIds: [first.id, second.id] }
		]);
		await bring('Count boats', [second.id]);
		expect(await standardList(small.database, 1)).toMatchObject([{ statement: 'Count boats', skillIds: [second.id] }]);
		expect(await standardsOfSkill(small.database, 1, first.id)).toEqual([]);
		expect((await standardsOfSkill(small.database, 1, second.id)).length).toBe(1);
		expect(await libraryRevision(small.database, 1)).toBe(2);
	});

	it('under a code that differs in case only are the same standard', async () => {
		const [first] = small.skills;
		const again = [standard('c.1', 'Count buoys', [first.id])];
		await importStandards(small.database, specialist, 'County', again, NOW);
		expect(await standardList(small.database, 1)).toMatchObject([
			{ code: 'C.1', statement: 'Count buoys', skillIds: [first.id] }
		]);
		const before = [standard('C.1', 'Count boats', [small.skills[1].id])];
		await importStandards(small.database, specialist, 'County', before, NOW);
	});

	it('are a school’s own', async () => {
		expect(await standardList(small.database, 2)).toEqual([]);
		expect(await libraryRevision(small.database, 2)).toBe(0);
	});

	it('come in all or none', async () => {
		const bad = [standard('C.8', 'Fine'), standard('C.9', 'Asks for nothing there is', [999_999])];
		await expect(importStandards(small.database, specialist, 'County', bad, NOW)).rejects.toThrow();
		expect((await standardList(small.database, 1)).map(({ code }) => code)).toEqual(['C.1']);
	});
});

describe('finding', () => {
	const typed = (words: string, schoolId = 1) => findInLibrary(small.database, schoolId, words, 10);

	it('tells where a hit sits and which skills it leads to', async () => {
		expect((await typed('times tables'))[0]).toMatchObject({
			kind: 'skill',
			code: 'W32',
			sits: 'Whole numbers and operations · 3·2'
		});
		const [hit] = await typed('count boats');
		expect(hit).toMatchObject({
			kind: 'standard',
			sits: 'County · grade 4',
			skills: [{ name: small.skills[1].shortName }]
		});
		const idea = (await typed('larger denominator larger fraction')).find(({ kind }) => kind === 'misconception')!;
		expect(idea.skills.length).toBeGreaterThan(0);
	});

	it('sees what was brought in since the last search, in this school only', async () => {
		expect((await typed('quaggas')).length).toBe(0);
		await importStandards(small.database, specialist, 'County', [standard('C.2', 'Draw quaggas')], NOW);
		expect((await typed('quaggas')).map(({ code }) => code)).toEqual(['C.2']);
		expect((await typed('quaggas', 2)).length).toBe(0);
	});
});

describe('own material', () => {
	it('stays with the skill for the school, and is hidden rather than lost', async () => {
		const [{ id: skillId }] = small.skills;
		const note = { title: 'Cards', link: null, note: 'In the box' };
		const id = await addMaterial(small.database, teacher, skillId, note, NOW);
		expect(await materialsFor(small.database, 1, skillId)).toMatchObject([{ id, ...note, addedBy: 'Staff 10' }]);
		expect(await materialsFor(small.database, 2, skillId)).toEqual([]);
		expect(await hideMaterial(small.database, elsewhere, id, true, NOW)).toBe(false);
		expect(await hideMaterial(small.database, specialist, id, true, NOW)).toBe(true);
		expect(await hideMaterial(small.database, specialist, id, true, NOW)).toBe(false);
		expect(await materialsFor(small.database, 1, skillId)).toEqual([]);
		expect(await hideMaterial(small.database, specialist, id, false, NOW)).toBe(true);
		expect((await materialsFor(small.database, 1, skillId)).length).toBe(1);
	});

	it('of a colleague is taken away by those who answer for the school only', async () => {
		const [, { id: skillId }] = small.skills;
		const id = await addMaterial(small.database, specialist, skillId, { title: 'x', link: null, note: 'y' }, NOW);
		expect(await hideMaterial(small.database, teacher, id, true, NOW)).toBe(false);
		const own = await addMaterial(small.database, teacher, skillId, { title: 'x', link: null, note: 'y' }, NOW);
		expect(await hideMaterial(small.database, teacher, own, true, NOW)).toBe(true);
	});
});

describe('a shelf', () => {
	it('holds one’s own skills, and what colleagues at the school share', async () => {
		const [a, b] = small.skills;
		await shelve(small.database, specialist, a.id, false, NOW);
		await shelve(small.database, teacher, b.id, true, NOW);
		await shelve(small.database, elsewhere, a.id, true, NOW);
		expect((await shelfOf(small.database, specialist)).map(({ skillId, own }) => [skillId, Boolean(own)])).toEqual([
			[a.id, true],
			[b.id, false]
		]);
		expect((await shelfOf(small.database, teacher)).map(({ skillId }) => skillId)).toEqual([b.id]);
		await shelve(small.database, specialist, a.id, true, NOW);
		expect((await shelfOf(small.database, teacher)).length).toBe(2);
		await shelve(small.database, specialist, a.id, null, NOW);
		expect((await shelfOf(small.database, teacher)).map(({ skillId }) => skillId)).toEqual([b.id]);
	});
});
