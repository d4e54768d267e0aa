import { describe, expect, it } from 'vitest';
import { readOutcomes } from './outcomeImport';

const students = new Map([
	['S1', 1],
	['S2', 2],
	['S3', 3]
]);
const read = (...records: string[][]) => readOutcomes(records, students);

describe('outcomes', () => {
	it('are read in the words people use', () => {
		const rows = read(['S1', 'Met'], ['S2', ' not met '], ['S3', '1']);
		expect(rows.map(({ studentId, met, problem }) => [studentId, met, problem])).toEqual([
			[1, true, ''],
			[2, false, ''],
			[3, true, '']
		]);
	});

	it.each([
		[[['', 'met']], 'No student number.'],
		[[['S9', 'met']], 'No student has the number S9.'],
		[[['S1', 'nearly']], '“nearly” is neither met nor not met.'],
		[[['S1']], '“” is neither met nor not met.'],
		[
			[
				['S1', 'met'],
				['S1', 'not met']
			],
			'Student S1 stands on line 2 already.'
		]
	])('leave out %j with its reason', (records, problem) => {
		expect(read(...records).at(-1)!.problem).toBe(problem);
	});
});
