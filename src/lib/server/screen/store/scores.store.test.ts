import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { keptOf } from '../../../../../tests/keptOf';
import { countRoster } from '../../people';
import { belowTheLine } from './places';
import { existingImports, importScores, overallAbilities, windowScores } from './scores';
import { domainList } from '../../library/store/skills';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('scores');
});
afterAll(() => small.database.close());

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
		importScores(small.database, staffAs('coordinator'), 2, 'elsewhere', scores, NOW);

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
		const inDomain = (await keptOf(small.database, [2])).filter(
			({ skillId }) => small.skills.find(({ id }) => id === skillId)!.domainId === first.id
		);
		const others = (await keptOf(small.database, [2])).filter(
			({ skillId }) => !inDomain.some((one) => one.skillId === skillId)
		);
		await bring(score({ studentId: 2, domainId: first.id, theta: 3 }));
		const after = new Map((await keptOf(small.database, [2])).map((row) => [row.skillId, row]));
		const rise = (rows: typeof inDomain) =>
			rows.reduce((sum, { skillId, level }) => sum + after.get(skillId)!.level.mean - level.mean, 0) / rows.length;
		expect(rise(inDomain)).toBeGreaterThan(1);
		// What is general goes along.
		expect(rise(others)).toBeGreaterThan(0.5);
		expect(rise(others)).toBeLessThan(rise(inDomain));
		expect([...after.values()].every(({ answers }) => answers === 0)).toBe(true);
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

	it('put students below the line where their error does not reach it', async () => {
		await bring(score({ studentId: 5, theta: -1 }), score({ studentId: 6, theta: 1 }));
		// 475 ± 12.5 points.
		const below = async (cut: number) =>
			(
				await countRoster(
					small.database,
					{ staff: staffAs('specialist'), today: TODAY },
					{ below: belowTheLine(2, { 4: cut, 5: cut }) }
				)
			).below;
		expect(await below(488)).toBe(1);
		expect(await below(487)).toBe(0);
		expect(seen(...(await windowScores(small.database, 2, seen(5, 6, 7))).keys())).toEqual([5, 6]);
	});
});
