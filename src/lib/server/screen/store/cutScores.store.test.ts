import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { smallSchool, type SmallSchool } from '../../../../../tests/smallSchool';
import { defaultCutScore } from '../../../core/screening';
import { cutScores } from './cutScores';

const DIAGNOSTIC = { measure: null, term: 2 };

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('cut_scores');
});
afterAll(() => small.database.close());

describe('cut scores', () => {
	it('are the school’s own where set', async () => {
		await small.database.run('INSERT INTO cut_score (school_id, grade, term, points) VALUES (1, 4, 2, 470)');
		expect(await cutScores(small.database, 1, DIAGNOSTIC)).toMatchObject({ 4: 470, 5: defaultCutScore(5, 2) });
		expect((await cutScores(small.database, 2, DIAGNOSTIC))[4]).toBe(defaultCutScore(4, 2));
	});
});
