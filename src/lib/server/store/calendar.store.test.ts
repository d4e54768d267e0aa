import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool, seen } from '../../../../tests/smallSchool';
import { defaultCutScore } from '../../core/screening';
import { audit } from '../database/audit';
import { currentCycle, cutScores, findSchool } from './calendar';
import { belowCut, existingImports, importScores, overallAbilities, windowScores } from './scores';
import { domainList, skillGraph } from './skills';
import { readTraces } from './standings';

const DIAGNOSTIC = { measure: null, term: 2 };

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('calendar');
});
afterAll(() => small.database.close());

describe('the calendar', () => {
	it('takes today from the school’s time zone', async () => {
		expect((await findSchool(small.database, 1, new Date('2026-11-24T03:00:00Z'))).today).toBe('2026-11-23');
		await expect(findSchool(small.database, 99, NOW)).rejects.toThrow('99');
	});

	it('finds the cycle of a day, the last one after its end, none before the first', async () => {
		expect(await currentCycle(small.database, 1, TODAY)).toMatchObject({ number: 2, endsOn: '2026-12-20' });
		expect(await currentCycle(small.database, 1, '2027-03-01')).toMatchObject({ number: 2 });
		expect(await currentCycle(small.database, 1, '2026-10-25')).toBeNull();
	});

	it('uses the school’s own cut scores where set', async () => {
		await small.database.run('INSERT INTO cut_score (school_id, grade, term, points) VALUES (1, 4, 2, 470)');
		expect(await cutScores(small.database, 1, DIAGNOSTIC)).toMatchObject({ 4: 470, 5: defaultCutScore(5, 2) });
		expect((await cutScores(small.database, 2, DIAGNOSTIC))[4]).toBe(defaultCutScore(4, 2));
	});
});

describe('imported scores', () => {
	const score = (change: object = {}) => ({
		studentId: 1,
		domainId: 0,
		theta: 0.4,
		standardError: 0.5,
		takenOn: TODAY,
		...change
	});
	const bring = (...scores: ReturnType<typeof score>[]) =>
		importScores(
			small.database,
			staffAs('coordinator'),
			2,
			'elsewhere',
			scores,
			small.skills,
			small.school.timeZone,
			NOW
		);

	it('stay one a student, source and domain however often they are brought in', async () => {
		for (const theta of [0.4, 0.4, 0.6]) await bring(score({ theta }));
		const rows = await small.database.rows<{ theta: number }>(
			`SELECT theta FROM score WHERE student_id = 1 AND source = 'elsewhere'`
		);
		expect(rows).toEqual([{ theta: 0.6 }]);
		expect((await existingImports(small.database, 2, 'elsewhere', [1])).get('1 0')).toMatchObject({ theta: 0.6 });
		expect(await existingImports(small.database, 2, 'another', [1])).toEqual(new Map());
	});

	it('move what is inferred of skills without answers, and are no evidence', async () => {
		const [first] = await domainList(small.database, small.school.id);
		const inDomain = (await readTraces(small.database, [2])).filter(
			({ skillId }) => small.skills.find(({ id }) => id === skillId)!.domainId === first.id
		);
		expect(new Set(inDomain.map(({ probability }) => probability))).toEqual(new Set([0.5]));
		await bring(score({ studentId: 2, domainId: first.id, theta: 3 }));
		const after = (await readTraces(small.database, [2])).find(({ skillId }) => skillId === small.skills[0].id)!;
		expect(after.probability).toBeGreaterThan(0.8);
		expect(after.answers).toBe(0);
	});

	it('give each student’s newest ability, our own diagnostic before another of the same day', async () => {
		await bring(score({ studentId: 8, theta: 0.2, takenOn: '2026-11-20' }));
		await small.database.run(
			`INSERT INTO score (student_id, window_id, source, domain_id, theta, standard_error, taken_on) VALUES
				(8, 1, 'diagnostic', 0, -0.7, 0.3, '2026-09-25'), (8, 2, 'diagnostic', 0, 0.5, 0.3, '2026-11-20')`
		);
		expect(await overallAbilities(small.database, seen(7, 8))).toEqual(new Map([[8, 0.5]]));
		expect(await overallAbilities(small.database, [])).toEqual(new Map());
	});

	it('put students under or over the line', async () => {
		await bring(score({ studentId: 5, theta: -1 }), score({ studentId: 6, theta: 1 }));
		expect(await belowCut(small.database, 2, seen(5, 6, 7), () => 0)).toEqual([5]);
		expect(seen(...(await windowScores(small.database, 2, seen(5, 6, 7))).keys())).toEqual([5, 6]);
	});
});

describe('skills', () => {
	it('come in teaching order with a graph of their prerequisites', async () => {
		const graph = await skillGraph(small.database, small.school.id, small.skills);
		const code = new Map(small.skills.map((skill) => [skill.id, skill.code]));
		const multiply = small.skills.find((skill) => skill.code === 'W42')!;
		expect(
			graph.prerequisites
				.get(multiply.id)!
				.map((id) => code.get(id))
				.sort()
		).toEqual(['W35', 'W36']);
		expect((await domainList(small.database, small.school.id)).map((domain) => domain.code)).toEqual([
			'W',
			'F',
			'P',
			'M',
			'S',
			'D'
		]);
		expect(small.skills.map((skill) => skill.code.slice(0, 1)).join('')).toMatch(/^W+F+P+M+S+D+$/);
	});
});

describe('the audit log', () => {
	it('keeps who did what, cut to its column', async () => {
		await audit(small.database, staffAs('specialist'), NOW, 'try', { long: 'x'.repeat(100_000) });
		const row = await small.database.row<{ detail: string; accountId: number }>(
			`SELECT detail, account_id AS accountId FROM audit_entry WHERE action = 'try'`
		);
		expect(row!.accountId).toBe(2);
		expect(row!.detail.length).toBe(60_000);
	});
});
