import { calibrate, type Calibration } from './calibrate';
import type { CalibrationOptions } from './problem';

/**
 * The two-parameter logistic model fitted to a table of answers by marginal maximum likelihood: EM over 61 nodes from
 * −6 to 6, ability N(0, 1), standard errors from the observed information.
 *
 * An item that nobody answered, or that all answered alike, has no estimate: its parameters are NaN, and its answers
 * add nothing to the log-likelihood.
 *
 * @param matrix a row a person, a column an item: 1 right, 0 wrong, null not answered
 * @throws RangeError for no rows, rows of different lengths or other values
 * @example
 * const { items, logLikelihood } = calibrateTwoParameter([[1, 0, null], [1, 1, 0], [0, 0, 1]]);
 */
export function calibrateTwoParameter(matrix: (0 | 1 | null)[][], options?: CalibrationOptions): Calibration {
	const count = matrix[0]?.length ?? 0;
	if (count === 0) throw new RangeError('there are no answers');
	const persons = matrix.map((row, i) => {
		if (row.length !== count) throw new RangeError(`row ${i + 1} has ${row.length} answers, the first has ${count}`);
		const items: number[] = [];
		const correct: boolean[] = [];
		row.forEach((value, item) => {
			if (value !== 0 && value !== 1 && value !== null)
				throw new RangeError(`row ${i + 1}, item ${item + 1}: ${value} is neither 0, 1 nor blank`);
			if (value === null) return;
			items.push(item);
			correct.push(value === 1);
		});
		return { group: 0, items, correct };
	});
	const items = Array.from({ length: count }, () => ({ guessing: 0, discrimination: 1, around: 0 }));
	return calibrate({ items, persons, groups: [{ mean: 0, sd: 1 }] }, options);
}
