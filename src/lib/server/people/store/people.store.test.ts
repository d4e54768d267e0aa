import { findScope, scopeChoices } from '../../shell/store/scope';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { fill } from '../../database/seeding';
import { accountByUserName, classByCode, staffList, studentPin, studentsByNumber } from './people';
import { tieredIn, visibleAmong } from './roster';
import { attributeChoices, saidOf, sayOf, studentsWith } from './attributes';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('people');
	await fill(small.database, 'tier_interval', [
		{ student_id: 1, tier: 2, from_on: '2026-09-01', until_on: '2026-11-01' },
		{ student_id: 1, tier: 3, from_on: '2026-11-01' },
		{ student_id: 2, tier: 2, from_on: '2026-12-01' }
	]);
	await fill(small.database, 'small_group', [
		{
			id: 1,
			school_id: 1,
			name: 'Rounding 09:00',
			tier: 2,
			focus_skill_id: 1,
			slot_id: 1,
			starts_on: '2026-10-26',
			ends_on: '2026-12-20',
			adopted_by: 2,
			adopted_at: '2026-10-23 12:00:00'
		}
	]);
	await fill(small.database, 'group_membership', [
		{ group_id: 1, student_id: 1, from_on: '2026-10-26', until_on: '2026-12-21' },
		{ group_id: 1, student_id: 5, from_on: '2026-10-26', until_on: '2026-11-10' },
		{ group_id: 1, student_id: 6, from_on: '2026-11-10', until_on: '2026-12-21' }
	]);
});
afterAll(() => small.database.close());

const scope = (key: string, role: Parameters<typeof staffAs>[0] = 'specialist', today = TODAY) =>
	findScope(small.database, staffAs(role), key, today);
const idsOf = async (found: ReturnType<typeof scope>) => (await (await found)!.students()).map(({ id }) => id);

describe('scope', () => {
	it('holds every student of the school, and none of another', async () => {
		expect(await idsOf(scope('school'))).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
		expect(await idsOf(scope('grade:4'))).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
		expect(await scope('list:9')).toBeNull();
	});

	it('shows a teacher the own class only', async () => {
		expect((await (await scope('school', 'teacher'))!.students()).every(({ classId }) => classId === 1)).toBe(true);
		expect(await scope('class:2', 'teacher')).toBeNull();
		expect(await idsOf(scope('list:1,5', 'teacher'))).toEqual([1]);
		expect(await visibleAmong(small.database, staffAs('teacher'), [1, 5], TODAY)).toHaveLength(1);
	});

	it('follows group membership and tier by their dates', async () => {
		expect(await idsOf(scope('group:1'))).toEqual([1, 6]);
		expect(await idsOf(scope('group:1', 'specialist', '2026-11-05'))).toEqual([1, 5]);
		const tierOn = async (day: string) =>
			(await (await scope('list:1,2', 'specialist', day))!.students()).map(({ tier }) => tier);
		expect(await tierOn('2026-10-31')).toEqual([2, 1]);
		expect(await tierOn('2026-11-01')).toEqual([3, 1]);
		expect(await tierOn('2026-12-01')).toEqual([3, 2]);
		const tieredOn = (today: string) => tieredIn(small.database, { staff: staffAs('specialist'), today });
		expect([await tieredOn('2026-08-31'), await tieredOn('2026-11-01'), await tieredOn('2026-12-01')]).toEqual([
			[],
			[1],
			[1, 2]
		]);
	});

	it('does not hold students before they joined a class', async () => {
		expect(await (await scope('school', 'specialist', '2026-08-19'))!.students()).toEqual([]);
	});

	it.each([
		'',
		'class',
		'class:',
		'class:x',
		'class:1,2',
		'school:1',
		'list:',
		"list:1' OR 1=1",
		'grade:99',
		'group:99999'
	])('knows no scope called “%s”', async (key) => {
		expect(await scope(key)).toBeNull();
	});

	it('offers each person the scopes that hold someone for them', async () => {
		const keys = async (role: 'specialist' | 'teacher') =>
			(await scopeChoices(small.database, staffAs(role), TODAY)).map(({ key }) => key);
		expect(await keys('specialist')).toEqual(['school', 'caseload', 'grade:4', 'class:1', 'class:2', 'group:1']);
		expect(await keys('teacher')).toEqual(['school', 'class:1']);
		for (const key of await keys('specialist')) expect(await scope(key), key).not.toBeNull();
	});
});

describe('finding people', () => {
	it('finds a class and its students by the code on the board', async () => {
		expect((await classByCode(small.database, 'avo1', NOW))!.students.map(({ id }) => id)).toEqual([1, 2, 3, 4]);
		expect(await classByCode(small.database, 'NONE', NOW)).toBeNull();
	});

	it('finds students by number within the school only', async () => {
		expect(await studentsByNumber(small.database, 1, ['S1', 'S9', 'S77'])).toEqual(new Map([['S1', 1]]));
		expect(await studentsByNumber(small.database, 1, [])).toEqual(new Map());
	});

	it('finds accounts, PINs and staff by role', async () => {
		expect(await accountByUserName(small.database, 'user2')).toMatchObject({ id: 2, role: 'specialist' });
		expect(await accountByUserName(small.database, "user2' -- ")).toBeNull();
		expect(await studentPin(small.database, 1, NOW)).toMatchObject({ pinHash: 'none', timeZone: 'America/New_York' });
		expect(await studentPin(small.database, 999, NOW)).toBeNull();
		expect((await staffList(small.database, 1, ['specialist', 'teacher'])).map(({ id }) => id)).toEqual([2, 10, 11]);
	});
});

describe('what the roster says', () => {
	it('is given by student and name, and nothing for those of whom it says nothing', async () => {
		await fill(small.database, 'student_attribute', [
			{ student_id: 1, name: 'Home language', value: 'Wolof' },
			{ student_id: 1, name: 'Education plan', value: 'yes' },
			{ student_id: 2, name: 'Home language', value: 'Catalan' }
		]);
		const roster = { staff: staffAs('specialist'), today: TODAY };
		expect(await attributeChoices(small.database, roster)).toEqual([
			{ name: 'Education plan', choices: [{ value: 'yes', count: 1 }] },
			{
				name: 'Home language',
				choices: [
					{ value: 'Catalan', count: 1 },
					{ value: 'Wolof', count: 1 }
				]
			}
		]);
		const having = (name: string, value: string) => studentsWith(small.database, roster, { name, value });
		expect(await having('Home language', 'Wolof')).toEqual(new Set([1]));
		expect(await having('Home language', 'Basque')).toEqual(new Set());
	});

	it('is said of several at once, taken away and put back as it was', async () => {
		const { database } = small;
		const coordinator = staffAs('coordinator');
		const say = (said: Parameters<typeof sayOf>[3]) => sayOf(database, coordinator, 'Home language', said, NOW);
		const languages = async () =>
			[...(await saidOf(database, coordinator, [1, 3, 4]))].map(([id, said]) => [
				id,
				said.find(({ name }) => name === 'Home language')?.value
			]);
		const asItWas = await languages();
		const before = await say([1, 3, 4].map((student) => ({ student, value: 'Wolof' })));
		// Student 1 speaks Wolof already.
		expect(before).toEqual([
			{ student: 3, value: null },
			{ student: 4, value: null }
		]);
		expect(await languages()).toEqual([1, 3, 4].map((id) => [id, 'Wolof']));
		expect(await say([{ student: 1, value: null }])).toEqual([{ student: 1, value: 'Wolof' }]);
		await say([...before, { student: 1, value: 'Wolof' }]);
		expect(await languages()).toEqual(asItWas);
		expect(await say([{ student: 3, value: null }])).toEqual([]);
		await expect(say([{ student: 9, value: 'Wolof' }])).rejects.toThrow();
		const entry = await database.row<{ detail: string }>(
			`SELECT detail FROM audit_entry WHERE action = 'say of a student' ORDER BY id LIMIT 1`
		);
		expect(JSON.parse(entry!.detail)).toEqual({
			student: 3,
			before: { 'Home language': null },
			after: { 'Home language': 'Wolof' }
		});
	});
});
