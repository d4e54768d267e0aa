import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { twoSchools } from './twoSchools';
import { followWays } from './ways';

let schools: Awaited<ReturnType<typeof twoSchools>>;
let follow: Awaited<ReturnType<typeof followWays>>;

/** Tables that also have rows of no school. */
const OF_NO_SCHOOL_TOO = new Set([
	'job',
	'sign_in_try',
	'framework',
	'domain',
	'skill',
	'framework_domain',
	'framework_skill',
	'framework_edge'
]);

beforeAll(async () => {
	schools = await twoSchools('ways');
	follow = await followWays(schools.database);
});
afterAll(() => schools.database.close());

describe("every table's way to its school", () => {
	it('is written, of each table there is and of no other', () => {
		expect([...follow.ways.keys()].sort()).toEqual(follow.tables);
	});

	it('leads every row to one of the two schools', async () => {
		for (const [table, way] of follow.ways) {
			if (!way.length) continue;
			const counts = await schools.database.rows<{ school: number | null; n: number }>(
				`SELECT ${follow.schoolOf(table, 't')} AS school, COUNT(*) AS n FROM ${table} t GROUP BY 1`
			);
			const known = new Map(counts.map(({ school, n }) => [school, n]));
			const here = [schools.one.base, schools.other.base].map((school) => known.get(school) ?? 0);
			expect(here[0], `rows of ${table}, alike in both schools`).toBe(here[1]);
			expect(here[0], `rows of ${table}`).toBeGreaterThan(0);
			for (const school of [schools.one.base, schools.other.base]) known.delete(school);
			if (OF_NO_SCHOOL_TOO.has(table)) known.delete(null);
			expect([...known], `rows of ${table} of no school`).toEqual([]);
		}
	});

	it('is the same by whatever reference it is followed', async () => {
		expect(await follow.crossing()).toEqual([]);
	});

	it('is missed by a row that refers to both schools, and that is found', async () => {
		const { database, one, other } = schools;
		await database.run('UPDATE small_group SET slot_id = ? WHERE id = ?', [other.slots[0], one.groups.a]);
		expect(await follow.crossing()).toContain('1 of small_group.slot_id');
		await database.run('UPDATE small_group SET slot_id = ? WHERE id = ?', [one.slots[0], one.groups.a]);
		expect(await follow.crossing()).toEqual([]);
	});
});
