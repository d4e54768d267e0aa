import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sitAutumn } from '../../../../tests/autumnSittings';
import { NOW, smallSchool, staffAs, type SmallSchool, seen } from '../../../../tests/smallSchool';
import { FIELD_CONSTANTS } from '../../core/mastery';
import { expectedTheta } from '../../core/measurement';
import { cancelJob } from '../jobs';
import { askForJob, newestJob } from '../jobs/store/jobs';
import { workJob } from '../jobs/workJob';
import { readStandings } from '.';
import type { ConstantsSearchResult } from './findConstants';
import { schoolField } from './schoolField';
import { applyConstants, fieldVersionInUse, withdrawConstants } from './store/fieldVersions';
import { fieldInputs, remakeFields, staleStudents } from './store/studentFields';

const coordinator = staffAs('coordinator');
const elsewhere = { ...staffAs('coordinator', 20), schoolId: 2 };
const STUDENTS = 104;
let small: SmallSchool;
let clock = NOW.getTime();
const now = () => new Date((clock += 1_000));

async function search(): Promise<{ id: number; state: string; result: ConstantsSearchResult }> {
	await askForJob(small.database, coordinator, 'field constants', NOW);
	await workJob(small.database, now);
	const job = await newestJob<unknown, ConstantsSearchResult>(small.database, 1, 'field constants');
	return { id: job!.id, state: job!.state, result: job!.result! };
}

beforeAll(async () => {
	small = await smallSchool('constants');
});
afterAll(() => small.database.close());

describe('the constants of a school', () => {
	it('are not sought in the answers of a few', async () => {
		expect(await search()).toMatchObject({
			state: 'done',
			result: { problem: expect.stringMatching(/^0 of \d+ students have 20 first tries or more; 100 are needed\.$/) }
		});
	});

	it('are found from what its students answered, used once approved, and taken back', async () => {
		await sitAutumn(small, { students: STUDENTS, above: 0.8 });
		const { id, state, result } = await search();
		expect(state).toBe('done');
		if (!('found' in result)) throw new Error('nothing was found');
		// The first one’s sitting is flagged, and counts for nothing.
		expect(result.students).toBe(STUDENTS - 1);
		const { constants, standardErrors } = result.found;
		// Above what is expected in the term of their answers.
		const { prior } = await fieldInputs(small.database, 101);
		const truth = expectedTheta({ grade: 4, term: 1 }) + 0.8 - prior.mean;
		expect(Math.abs(constants.above - truth)).toBeLessThan(3 * standardErrors.above);
		expect(standardErrors.above).toBeLessThan(0.25);

		const ids = seen(101, 102, 103);
		await remakeFields(small.database, ids);
		const before = await readStandings(small.database, ids);
		const beforeMadeBy = (await schoolField(small.database, 1)).madeBy;
		expect(await applyConstants(small.database, elsewhere, id, constants, NOW)).toBeNull();
		const version = (await applyConstants(small.database, coordinator, id, constants, NOW))!;
		expect(version.number).toBe(1);
		expect(await applyConstants(small.database, coordinator, id, constants, NOW)).toBeNull();
		expect(await fieldVersionInUse(small.database, 1)).toMatchObject({ id: version.id, jobId: id, constants });
		expect(await fieldVersionInUse(small.database, 2)).toBeNull();

		const { field, madeBy } = await schoolField(small.database, 1);
		expect(field.constants).toEqual({ ...FIELD_CONSTANTS, ...constants });
		expect(await staleStudents(small.database, 1, madeBy, 1_000)).toEqual(expect.arrayContaining([...ids]));
		const after = await readStandings(small.database, ids);
		// What nobody has seen a student do is taken to be as far above as the school is.
		const meanOf = (standings: typeof before) => {
			const unseen = [...standings.get(101)!.values()].filter(({ answers }) => answers === 0);
			return unseen.reduce((sum, { level }) => sum + level.mean, 0) / unseen.length;
		};
		expect(meanOf(after)).not.toBeCloseTo(meanOf(before), 2);

		expect(await withdrawConstants(small.database, elsewhere, version.id, true, NOW)).toBe(false);
		expect(await withdrawConstants(small.database, coordinator, version.id, true, NOW)).toBe(true);
		expect(await fieldVersionInUse(small.database, 1)).toBeNull();
		expect((await schoolField(small.database, 1)).madeBy.equals(beforeMadeBy)).toBe(true);
		expect(await readStandings(small.database, ids)).toEqual(before);
		expect(await withdrawConstants(small.database, coordinator, version.id, false, NOW)).toBe(true);
		expect((await schoolField(small.database, 1)).madeBy.equals(madeBy)).toBe(true);
		const actions = await small.database.rows<{ action: string }>(
			`SELECT action FROM audit_entry WHERE action LIKE '%field constants' ORDER BY id`
		);
		expect(actions.map(({ action }) => action)).toEqual([
			'apply field constants',
			'withdraw field constants',
			'undo withdraw field constants'
		]);
	}, 240_000);

	it('are left as they are where the search is canceled', async () => {
		const id = (await askForJob(small.database, coordinator, 'field constants', NOW))!;
		let steps = 0;
		const cancelAtThird = () => {
			if (++steps === 3) void cancelJob(small.database, coordinator, id, NOW);
			return false;
		};
		expect(await workJob(small.database, now, cancelAtThird)).toBe(true);
		expect(await newestJob(small.database, 1, 'field constants')).toMatchObject({
			id,
			state: 'canceled',
			result: null
		});
	});
});
