import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { post } from '../../../../tests/formPost';
import { failingAt, seen, smallSchool, staffAs, type SmallSchool } from '../../../../tests/smallSchool';
import { scoreImportAction } from './scoreImportForm';
import { scoreSources, windowScores } from './store/scores';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('score_import_form');
});
afterAll(() => small.database.close());

const csv = 'No,Taken,Total\nS1,2026-11-16,500\nS2,2026-11-16,480\nS99999,2026-11-16,480';
const fields = {
	step: 'take',
	source: 'Harbor test',
	csv,
	roles: ['number', 'date', 'overall']
};

describe('scores from a file', () => {
	it('are taken with how the columns were matched, or not at all', async () => {
		const state = async () => ({
			sources: [...(await scoreSources(small.database, 1)).keys()],
			scored: [...(await windowScores(small.database, 2, seen(1, 2, 3))).keys()]
		});
		expect(await state()).toEqual({ sources: [], scored: [] });
		const failing = { ...small, database: failingAt(small.database, 'INSERT INTO score_source') };
		await expect(post(failing, staffAs('specialist'), scoreImportAction, fields)).rejects.toThrow('fails at');
		expect(await state()).toEqual({ sources: [], scored: [] });
		const taken = await post(small, staffAs('specialist'), scoreImportAction, fields);
		expect(taken).toMatchObject({ step: 'taken', taken: 2, bad: 1 });
		expect(await state()).toEqual({ sources: ['Harbor test'], scored: [1, 2] });
	});
});
