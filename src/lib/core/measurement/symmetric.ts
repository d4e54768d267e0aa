/** Inverse of a symmetric positive definite matrix by Cholesky's factors; null when it is not one. */
export function invertSymmetric(matrix: ArrayLike<number>[]): Float64Array[] | null {
	const size = matrix.length;
	const lower = matrix.map((row) => Float64Array.from(row));
	for (let j = 0; j < size; j++) {
		for (let k = 0; k < j; k++) lower[j][j] -= lower[j][k] ** 2;
		if (!(lower[j][j] > 0)) return null;
		lower[j][j] = Math.sqrt(lower[j][j]);
		for (let i = j + 1; i < size; i++) {
			for (let k = 0; k < j; k++) lower[i][j] -= lower[i][k] * lower[j][k];
			lower[i][j] /= lower[j][j];
		}
	}
	// Columns of the inverse of the lower factor, then the product of its transpose with itself.
	const half = lower.map(() => new Float64Array(size));
	for (let column = 0; column < size; column++) {
		half[column][column] = 1 / lower[column][column];
		for (let i = column + 1; i < size; i++) {
			let sum = 0;
			for (let k = column; k < i; k++) sum -= lower[i][k] * half[k][column];
			half[i][column] = sum / lower[i][i];
		}
	}
	const inverse = lower.map(() => new Float64Array(size));
	for (let i = 0; i < size; i++)
		for (let j = 0; j <= i; j++) {
			let sum = 0;
			for (let k = i; k < size; k++) sum += half[k][i] * half[k][j];
			inverse[i][j] = inverse[j][i] = sum;
		}
	return inverse;
}
