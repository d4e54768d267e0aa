import { describe, expect, it } from 'vitest';
import { invertSymmetric } from '.';

describe('the inverse of a symmetric matrix', () => {
	it('undoes it, and is null when there is none', () => {
		const matrix = [
			[4, 2, 0.6],
			[2, 3, 0.4],
			[0.6, 0.4, 1]
		];
		const inverse = invertSymmetric(matrix)!;
		matrix.forEach((row, i) =>
			matrix.forEach((_, j) => {
				const sum = row.reduce((total, value, k) => total + value * inverse[k][j], 0);
				expect(sum).toBeCloseTo(i === j ? 1 : 0, 12);
			})
		);
		expect(
			invertSymmetric([
				[1, 2],
				[2, 1]
			])
		).toBeNull();
	});
});
