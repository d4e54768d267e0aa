/** Lower factor of a covariance (Cholesky): a draw from it is the factor times draws that are independent. */
export function lowerFactor(covariance: ArrayLike<number>[]): Float64Array[] {
	const factor = covariance.map((row) => Float64Array.from(row));
	for (let k = 0; k < factor.length; k++)
		for (let j = 0; j <= k; j++) {
			let rest = covariance[k][j];
			for (let i = 0; i < j; i++) rest -= factor[k][i] * factor[j][i];
			factor[k][j] = k === j ? Math.sqrt(rest) : rest / factor[j][j];
		}
	return factor.map((row, k) => row.fill(0, k + 1));
}
