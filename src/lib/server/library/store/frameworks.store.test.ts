import { oneSkillSet } from '../../../../../tests/oneSkillSet';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool, seenOne } from '../../../../../tests/smallSchool';
import { keptOf } from '../../../../../tests/keptOf';
import { shippedFramework } from '../../../../../framework/shipped';
import type { Framework } from '../../../core/interchange/framework';
import { changeFramework, taughtFramework } from './frameworks';
import { libraryRevision } from './library';
import { assignSet } from '../../practice/store/assigning';
import { queuedSets } from '../../practice/store/practice';
import { beginPractice } from '../../sitting/store/practiceSittings';
import { domainList, skillGraph, skillList } from './skills';

let small: SmallSchool;
const specialist = staffAs('specialist');
const elsewhere = { ...staffAs('specialist', 20), schoolId: 2 };
const counted = async (sql: string) => Number((await small.database.row<{ n: number }>(sql))!.n);

/** The first skill in other words, in another grade, and before a new one in a new domain. */
function changeOf(taught: Framework, words: string): Framework {
	const [first] = taught.skills;
	return {
		...taught,
		domains: [...taught.domains, { code: 'X', name: `Knots, ${words}` }],
		skills: [
			{ ...first, statement: words, grade: first.grade + 1 },
			{ ...first, identifier: undefined, code: 'OWN1', domain: 'X', shortName: words }
		],
		edges: [{ prerequisite: first.code, skill: 'OWN1' }]
	};
}

beforeAll(async () => {
	small = await smallSchool('frameworks');
});
afterAll(() => small.database.close());

describe('the shared framework', () => {
	it('is what ships, for every school', async () => {
		const shipped = shippedFramework();
		for (const school of [1, 2]) {
			const taught = await taughtFramework(small.database, school);
			expect(taught).toMatchObject({ isShared: true, domains: shipped.domains });
			expect(taught.skills).toEqual(shipped.skills);
			const told = (edges: Framework['edges']) => edges.map((edge) => `${edge.prerequisite} ${edge.skill}`).sort();
			expect(told(taught.edges)).toEqual(told(shipped.edges));
		}
	});
});

describe('a school that brings in skills', () => {
	let before: Awaited<ReturnType<typeof taughtFramework>>;
	let setId: number;

	beforeAll(async () => {
		const { database, skills } = small;
		before = await taughtFramework(database, 1);
		// Work and answers on the skill that is about to be changed.
		const set = { skillId: skills[0].id, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: TODAY, studentIds: [1] };
		setId = await assignSet(database, specialist, oneSkillSet(set), NOW);
		const sitting = await beginPractice(database, seenOne(1), { id: setId }, skills, NOW);
		await small.answer(1, sitting, {});
		await changeFramework(database, specialist, changeOf(before, 'Said better'), NOW);
	});

	it('teaches from a copy of its own: changed by code, added to, nothing taken out', async () => {
		const after = await taughtFramework(small.database, 1);
		expect(after.isShared).toBe(false);
		const own = after.skills.filter(({ code }) => code === 'OWN1');
		expect(own).toHaveLength(1);
		expect(after.skills.filter(({ code }) => code !== 'OWN1')).toEqual([
			{ ...before.skills[0], statement: 'Said better', grade: before.skills[0].grade + 1 },
			...before.skills.slice(1)
		]);
		expect(after.domains.map(({ name }) => name)).toEqual([
			...before.domains.map(({ name }) => name),
			'Knots, Said better'
		]);
		const graph = await skillGraph(small.database, 1, await skillList(small.database, 1));
		const [first] = small.skills;
		const ownId = (await skillList(small.database, 1)).find(({ code }) => code === 'OWN1')!.id;
		expect(graph.prerequisites.get(ownId)).toEqual([first.id]);
	});

	it('leaves what other schools teach as it was, and their search as it is', async () => {
		expect(await taughtFramework(small.database, 2)).toEqual(before);
		expect((await skillList(small.database, 2)).map(({ code }) => code)).not.toContain('OWN1');
		expect((await domainList(small.database, 2)).map(({ code }) => code)).not.toContain('X');
		expect(await libraryRevision(small.database, 2)).toBe(0);
		expect(await libraryRevision(small.database, 1)).toBe(1);
	});

	it('keeps answers, sets and standings with the skill they were about', async () => {
		const [now] = await skillList(small.database, 1);
		expect(now).toMatchObject({ code: small.skills[0].code, statement: 'Said better' });
		const [set] = await queuedSets(small.database, seen(1), TODAY);
		expect(set).toMatchObject({ id: setId, skillIds: [now.id], answered: 1 });
		expect((await keptOf(small.database, [1])).find(({ skillId }) => skillId === now.id)!.answers).toBe(1);
	});

	it('changes its own copy the next time, and makes no second one', async () => {
		await changeFramework(small.database, specialist, changeOf(before, 'Said best'), NOW);
		expect(await counted('SELECT COUNT(*) AS n FROM framework')).toBe(2);
		const after = await taughtFramework(small.database, 1);
		expect(after.skills.filter(({ statement }) => statement === 'Said best')).toHaveLength(1);
		expect(after.skills.filter(({ shortName }) => shortName === 'Said best')).toHaveLength(1);
		expect(after.skills).toHaveLength(before.skills.length + 1);
	});

	it('gets one copy when two bring in skills at the same moment', async () => {
		await Promise.all(
			['One', 'Another'].map((words) => changeFramework(small.database, elsewhere, changeOf(before, words), NOW))
		);
		expect(await counted('SELECT COUNT(*) AS n FROM framework WHERE school_id = 2')).toBe(1);
		const after = await taughtFramework(small.database, 2);
		expect(['One', 'Another']).toContain(after.skills[0].statement);
		expect(after.skills).toHaveLength(before.skills.length + 1);
	});

	it('may use a code that another school uses for something else', async () => {
		const nameOf = async (school: number) =>
			(await skillList(small.database, school)).find(({ code }) => code === 'OWN1')!.shortName;
		expect(await nameOf(1)).toBe('Said best');
		expect(['One', 'Another']).toContain(await nameOf(2));
		expect(await counted(`SELECT COUNT(*) AS n FROM skill WHERE code = 'OWN1'`)).toBe(2);
	});

	it('is written down', async () => {
		const written = await small.database.rows<{ accountId: number }>(
			`SELECT account_id AS accountId FROM audit_entry WHERE action = 'import skills' ORDER BY id`
		);
		expect(written.map(({ accountId }) => accountId)).toEqual([2, 2, 20, 20]);
	});

	it('takes nothing when something in it cannot be stored', async () => {
		const taught = await taughtFramework(small.database, 1);
		const bad = { ...changeOf(taught, 'Half'), edges: [{ prerequisite: 'NONE', skill: 'OWN1' }] };
		await expect(changeFramework(small.database, specialist, bad, NOW)).rejects.toThrow();
		expect(await taughtFramework(small.database, 1)).toEqual(taught);
	});
});
