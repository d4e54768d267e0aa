import { setCutScores } from './cutScores';
import { cutScores } from './cutScores';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { defaultCutScore } from '../../../core/screening';
import { outcomeNames, outcomes, saveOutcomes } from './outcomes';
import { saveMatching, scoreSources } from './scores';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('outcomes');
});
afterAll(() => small.database.close());
const coordinator = staffAs('coordinator');

describe('outcomes', () => {
	it('are kept by name, and brought in again replace what was there', async () => {
		const save = (found: { studentId: number; met: boolean }[], takenOn = TODAY) =>
			saveOutcomes(small.database, coordinator, 'District check', found, takenOn, NOW);
		await save([
			{ studentId: 1, met: true },
			{ studentId: 2, met: false }
		]);
		await save([{ studentId: 2, met: true }]);
		expect(await outcomes(small.database, 1, 'District check')).toEqual(
			new Map([
				[1, true],
				[2, true]
			])
		);
		expect(await outcomeNames(small.database, 1)).toEqual([{ name: 'District check', takenOn: TODAY, students: 2 }]);
		expect(await outcomeNames(small.database, 2)).toEqual([]);
		expect(await outcomes(small.database, 2, 'District check')).toEqual(new Map());
	});
});

describe('cut scores', () => {
	it('are set by grade for one term, and given back to the usual one', async () => {
		await setCutScores(
			small.database,
			coordinator,
			{ measure: null, term: 2 },
			new Map([
				[4, 470],
				[5, 495]
			]),
			NOW
		);
		expect(await cutScores(small.database, 1, { measure: null, term: 2 })).toMatchObject({
			4: 470,
			5: 495,
			6: defaultCutScore(6, 2)
		});
		expect((await cutScores(small.database, 1, { measure: null, term: 1 }))[4]).toBe(defaultCutScore(4, 1));
		expect((await cutScores(small.database, 2, { measure: null, term: 2 }))[4]).toBe(defaultCutScore(4, 2));
		await setCutScores(small.database, coordinator, { measure: null, term: 2 }, new Map([[4, null]]), NOW);
		expect(await cutScores(small.database, 1, { measure: null, term: 2 })).toMatchObject({
			4: defaultCutScore(4, 2),
			5: 495
		});
	});
});

describe('the matching of a source', () => {
	it('is kept for the school that made it', async () => {
		await saveMatching(small.database, coordinator, 'Harbor test', { no: 'number' }, NOW);
		await saveMatching(small.database, coordinator, 'Harbor test', { no: 'number', total: 'overall' }, NOW);
		expect(await scoreSources(small.database, 1)).toEqual(
			new Map([['Harbor test', { no: 'number', total: 'overall' }]])
		);
		expect(await scoreSources(small.database, 2)).toEqual(new Map());
	});
});
