/**
 * Internal consistency of a set of measures: Cronbach's alpha (Cronbach 1951), k/(k − 1) · (1 − Σ variances of the
 * parts / variance of their sum), with n − 1 in the variances.
 *
 * @param matrix a row a person, a column an item, no blanks
 * @returns NaN when the sums do not vary
 * @throws RangeError for fewer than two persons or items, or rows of different lengths
 * @example
 * cronbachAlpha([[1, 1], [2, 2], [3, 3]]) // 1
 */
export function cronbachAlpha(matrix: number[][]): number {
	const items = matrix[0]?.length ?? 0;
	if (matrix.length < 2 || items < 2) throw new RangeError('alpha needs two persons and two items at least');
	if (matrix.some((row) => row.length !== items)) throw new RangeError('rows have different lengths');
	const parts = Array.from({ length: items }, (_, i) => variance(matrix.map((row) => row[i])));
	const whole = variance(matrix.map((row) => row.reduce((sum, value) => sum + value, 0)));
	if (whole === 0) return NaN;
	return (items / (items - 1)) * (1 - parts.reduce((sum, part) => sum + part, 0) / whole);
}

function variance(values: number[]): number {
	const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
	return values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1);
}
