import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../random';
import { probabilityCorrect, type ItemParameters } from '../itemResponse';
import { calibrate, calibrateTwoParameter, calibrationSteps, type CalibrationPerson, type CalibrationState } from '.';

const truth: ItemParameters[] = Array.from({ length: 12 }, (_, i) => ({
	discrimination: 0.7 + 0.15 * (i % 6),
	difficulty: -1.65 + 0.3 * i
}));

/** Answers of so many persons of N(0, 1), a share of them missing. */
function answersOf(persons: number, missing: number, seed: number): (0 | 1 | null)[][] {
	const random = seededRandom(seed);
	return Array.from({ length: persons }, () => {
		const theta = random.normal();
		return truth.map((item) => {
			const correct = random.chance(probabilityCorrect(theta, item));
			return random.chance(missing) ? null : correct ? 1 : 0;
		});
	});
}

/** The marginal log-likelihood by Simpson's rule on a finer and wider grid than the product's. */
function marginal(matrix: (0 | 1 | null)[][], items: { discrimination: number; difficulty: number }[]): number {
	const STEPS = 400;
	const EDGE = 8;
	let sum = 0;
	for (const row of matrix) {
		let integral = 0;
		for (let s = 0; s <= STEPS; s++) {
			const theta = -EDGE + (2 * EDGE * s) / STEPS;
			let density = Math.exp(-(theta ** 2) / 2) / Math.sqrt(2 * Math.PI);
			row.forEach((value, i) => {
				if (value === null) return;
				const p = 1 / (1 + Math.exp(-items[i].discrimination * (theta - items[i].difficulty)));
				density *= value ? p : 1 - p;
			});
			integral += density * (s === 0 || s === STEPS ? 1 : s % 2 ? 4 : 2);
		}
		sum += Math.log((integral * 2 * EDGE) / STEPS / 3);
	}
	return sum;
}

describe('calibration of a table of answers', () => {
	const matrix = answersOf(600, 0.15, 4);
	const fit = calibrateTwoParameter(matrix);

	it('reports the marginal log-likelihood that another integration finds at its estimates', () => {
		expect(fit.converged).toBe(true);
		expect(fit.logLikelihood).toBeCloseTo(marginal(matrix, fit.items), 3);
	});

	it('stands on the highest place: no parameter moved either way is more likely', () => {
		const best = marginal(matrix, fit.items);
		for (const i of [0, 4, 11]) {
			const item = fit.items[i];
			for (const change of [
				{ discrimination: 0.02 },
				{ discrimination: -0.02 },
				{ difficulty: 0.02 },
				{ difficulty: -0.02 }
			]) {
				const moved = fit.items.map((other, j) =>
					i === j
						? {
								discrimination: item.discrimination + (change.discrimination ?? 0),
								difficulty: item.difficulty + (change.difficulty ?? 0)
							}
						: other
				);
				expect(marginal(matrix, moved)).toBeLessThan(best);
			}
		}
	}, 30_000);

	it('has standard errors as wide as the estimates scatter over fresh samples', () => {
		const fits = Array.from({ length: 60 }, (_, n) => calibrateTwoParameter(answersOf(400, 0.1, 100 + n)));
		for (const i of [1, 5, 8]) {
			for (const what of ['discrimination', 'difficulty'] as const) {
				const values = fits.map(({ items }) => items[i][what]);
				const mean = values.reduce((a, b) => a + b) / values.length;
				const scatter = Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (values.length - 1));
				const claimed = fits.reduce((sum, { items }) => sum + items[i].standardErrors[what], 0) / fits.length;
				expect(scatter / claimed).toBeGreaterThan(0.75);
				expect(scatter / claimed).toBeLessThan(1.3);
				const aim = truth[i][what];
				expect(Math.abs(mean - aim)).toBeLessThan(4 * (scatter / Math.sqrt(fits.length)) + 0.03);
			}
		}
	}, 60_000);

	it('leaves an item without estimate when all answered it alike or nobody did', () => {
		const odd = answersOf(200, 0, 8).map((row) => [...row, 1 as const, null]);
		const { items, logLikelihood } = calibrateTwoParameter(odd);
		expect(items[12]).toMatchObject({ answers: 200, right: 200, discrimination: NaN, difficulty: NaN });
		expect(items[13]).toMatchObject({ answers: 0, right: 0, difficulty: NaN });
		expect(logLikelihood).toBeCloseTo(calibrateTwoParameter(odd.map((row) => row.slice(0, 12))).logLikelihood, 9);
	});

	it('finds an item that goes against all others', () => {
		const turned = answersOf(800, 0, 12).map((row) =>
			row.map((value, i) => (i === 3 ? ((1 - value!) as 0 | 1) : value))
		);
		expect(calibrateTwoParameter(turned).items[3].discrimination).toBeLessThan(-0.3);
	});

	it('says where a table is not one of answers', () => {
		expect(() => calibrateTwoParameter([])).toThrow('no answers');
		expect(() => calibrateTwoParameter([[1, 0], [1]])).toThrow('row 2 has 1 answers');
		expect(() => calibrateTwoParameter([[1, 2 as 1]])).toThrow('row 1, item 2: 2');
	});

	it('can be stopped after any iteration and gone on with from what it told last', () => {
		const persons = matrix.map((row) => {
			const items = row.flatMap((value, i) => (value === null ? [] : [i]));
			return { group: 0, items, correct: items.map((i) => row[i] === 1) };
		});
		const items = matrix[0].map(() => ({ guessing: 0, discrimination: 1, around: 0 }));
		const problem = () => ({ items, persons, groups: [{ mean: 0, sd: 1 }] });
		const steps = calibrationSteps(problem());
		const told: CalibrationState[] = [];
		for (let i = 0; i < 5; i++) told.push(steps.next().value as CalibrationState);
		expect(told.map(({ iteration }) => iteration)).toEqual([1, 2, 3, 4, 5]);
		const rising = told.map(({ logLikelihood }) => logLikelihood);
		expect(rising).toEqual([...rising].sort((a, b) => a - b));
		const kept = JSON.parse(JSON.stringify(told[4]));
		expect(calibrate(problem(), { from: kept })).toEqual(calibrate(problem()));
	});
});

describe('calibration of an item bank', () => {
	/** Three grades a logit apart, each answering the items near it; difficulties were thought wrong by `off`. */
	function bank(off: number[], seed: number) {
		const random = seededRandom(seed);
		const difficulties = Array.from({ length: 30 }, (_, i) => -2 + i / 7.25);
		const persons: CalibrationPerson[] = Array.from({ length: 1_500 }, (_, n) => {
			const group = n % 3;
			const theta = group - 1 + random.normal();
			const items = random.shuffle(
				difficulties.map((_, i) => i).filter((i) => Math.abs(difficulties[i] - (group - 1)) < 1.3)
			);
			const asked = items.slice(0, 12);
			return {
				group,
				items: asked,
				correct: asked.map((i) =>
					random.chance(probabilityCorrect(theta, { discrimination: 1.2, difficulty: difficulties[i], guessing: 0.2 }))
				)
			};
		});
		const items = difficulties.map((difficulty, i) => ({
			guessing: 0.2,
			discrimination: 1.2,
			around: difficulty - (off[i] ?? 0),
			prior: { discrimination: 0.3, difficulty: 0.6 }
		}));
		const groups = [-1, 0, 1].map((mean) => ({ mean, sd: 1 }));
		return { difficulties, fit: calibrate({ items, persons, groups, estimateGroups: true }, { tolerance: 1e-3 }) };
	}

	it('corrects a difficulty that was thought wrong, and leaves the others', () => {
		const { difficulties, fit } = bank([0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 1.2], 5);
		expect(fit.items[15].difficulty - (difficulties[15] - 1.2)).toBeGreaterThan(0.7);
		const errors = difficulties
			.filter((_, i) => i !== 15)
			.map((b, i) => Math.abs(fit.items[i < 15 ? i : i + 1].difficulty - b));
		expect(errors.reduce((a, b) => a + b) / errors.length).toBeLessThan(0.2);
		expect(fit.items.every(({ misfit }) => misfit < 0.1)).toBe(true);
	});

	it('finds how the groups differ', () => {
		const { fit } = bank([], 6);
		expect(fit.groups[2].mean - fit.groups[0].mean).toBeGreaterThan(1.7);
		expect(fit.groups[2].mean - fit.groups[0].mean).toBeLessThan(2.3);
		for (const { sd } of fit.groups) expect(Math.abs(sd - 1)).toBeLessThan(0.15);
	});
});
