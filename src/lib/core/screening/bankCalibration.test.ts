import { describe, expect, it } from 'vitest';
import { DIFFICULTY_A_DIGIT, expectedTheta, probabilityCorrect, type ItemParameters } from '../measurement';
import { seededRandom } from '../random';
import { calibrateBank, ENOUGH_ANSWERS, type BankCalibration, type BankSitting } from '.';

interface Family {
	starting: ItemParameters;
	truth: ItemParameters;
	/** In the second window, logits harder. */
	drifts?: number;
	/** Asked for a chance of a right answer instead of the logistic one. */
	chance?: (theta: number) => number;
}

/** Families from −2.2 to 1.2 logits that were thought wrong by about half a logit. */
function families(seed: number): Map<string, Family> {
	const random = seededRandom(seed);
	return new Map(
		Array.from({ length: 50 }, (_, i) => {
			const difficulty = -2.2 + (3.4 * i) / 49;
			const guessing = i % 3 === 0 ? 0.25 : 0;
			return [
				`family-${String(i).padStart(2, '0')}`,
				{
					starting: { discrimination: 1.2, difficulty, guessing },
					truth: { discrimination: 0.9 + 0.6 * random.unit(), difficulty: difficulty + 0.5 * random.normal(), guessing }
				}
			];
		})
	);
}

/** Two windows of three grades; each student answers 30 questions of families near the grade. */
function sit(bank: Map<string, Family>, seed: number, students = 600): BankSitting[] {
	const random = seededRandom(seed);
	return Array.from({ length: students }, (_, n) => ({ grade: 2 + (n % 3), ability: random.normal() })).flatMap(
		({ grade, ability }) =>
			[1, 2].map((windowId): BankSitting => {
				const level = { grade, term: windowId };
				const theta = expectedTheta(level) + 1.1 * ability;
				const near = [...bank].filter(([, { starting }]) => Math.abs(starting.difficulty - expectedTheta(level)) < 1.8);
				const answers = random
					.shuffle(near)
					.slice(0, 30)
					.map(([familyId, { truth, drifts = 0, chance }]) => {
						const extraDigits = random.integer(-1, 2);
						const shift = DIFFICULTY_A_DIGIT * extraDigits + (windowId === 2 ? drifts : 0);
						const right =
							chance?.(theta) ?? probabilityCorrect(theta, { ...truth, difficulty: truth.difficulty + shift });
						return { familyId, extraDigits, correct: random.chance(right), milliseconds: 5_000 + 100 * extraDigits };
					});
				// Windows need not be planned in the order in which they open.
				return { level, windowId: 9 - windowId, opensOn: `2026-1${windowId}-02`, answers };
			})
	);
}

function run(bank: Map<string, Family>, sittings: BankSitting[]): BankCalibration {
	const starting = new Map([...bank].map(([id, family]) => [id, family.starting]));
	const steps = calibrateBank(sittings, { starting, used: starting });
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
	}
}

const rootMeanSquare = (values: number[]) => Math.sqrt(values.reduce((sum, x) => sum + x * x, 0) / values.length);

describe('calibration of the bank', () => {
	const bank = families(3);
	const found = run(bank, sit(bank, 4));

	it('comes much closer to the true difficulties than what was believed before, as close as it claims', () => {
		expect(found.converged).toBe(true);
		const judged = found.families.filter(({ isEnough }) => isEnough);
		expect(judged.length).toBeGreaterThan(45);
		const before = judged.map(({ familyId, before }) => before.difficulty - bank.get(familyId)!.truth.difficulty);
		const after = judged.map(({ familyId, difficulty }) => difficulty - bank.get(familyId)!.truth.difficulty);
		expect(rootMeanSquare(after)).toBeLessThan(0.45 * rootMeanSquare(before));
		const claimed = judged.map(({ standardErrors }) => standardErrors.difficulty);
		expect(rootMeanSquare(after)).toBeLessThan(1.35 * rootMeanSquare(claimed));
	});

	it('finds how abilities of grades and windows lie', () => {
		expect(found.groups).toHaveLength(6);
		for (const { grade, windowId, mean, sd, students } of found.groups) {
			expect(Math.abs(mean - expectedTheta({ grade, term: 9 - windowId }))).toBeLessThan(0.2);
			expect(Math.abs(sd - 1.1)).toBeLessThan(0.2);
			expect(students).toBe(200);
		}
	});

	it('names nearly none of honest families, with many answers or few', () => {
		const judged = [600, 60, 45].flatMap((students, k) =>
			[3, 13, 23].flatMap((seed) => {
				const honest = families(seed);
				return run(honest, sit(honest, seed + k, students)).families.filter(({ isEnough }) => isEnough);
			})
		);
		expect(judged.length).toBeGreaterThan(350);
		expect(judged.filter(({ flags }) => flags.length).length / judged.length).toBeLessThanOrEqual(0.02);
	}, 60_000);

	it('names families that tell little, do not fit, or have drifted, and says how far', () => {
		const bad = families(5);
		const change = (id: string, changed: Partial<Family>) => bad.set(id, { ...bad.get(id)!, ...changed });
		change('family-20', { truth: { discrimination: 0.25, difficulty: 0, guessing: 0 } });
		// Those who know most go wrong again: right only in the middle.
		change('family-25', { chance: (theta) => 0.15 + 0.75 * Math.exp(-2 * (theta + 1) ** 2) });
		change('family-14', { drifts: 0.9 });
		const { families: fits } = run(bad, sit(bad, 6));
		const of = (id: string) => fits.find(({ familyId }) => familyId === id)!;
		expect(of('family-20').flags).toContain('tells little');
		expect(of('family-25').flags.length).toBeGreaterThan(0);
		expect(of('family-25').misfit).toBeGreaterThan(0.12);
		expect(of('family-14').flags).toEqual(['has drifted']);
		expect(of('family-14').drift!.shift).toBeGreaterThan(0.45);
		expect(of('family-14').drift!.z).toBeGreaterThan(3);
		expect(fits.filter(({ flags }) => flags.length).length).toBeLessThanOrEqual(5);
	}, 60_000);

	it('judges no family by few answers, and none by drift in a single window', () => {
		const few = run(bank, sit(bank, 7, 40));
		for (const { answers, isEnough, flags } of few.families) {
			expect(isEnough).toBe(answers >= ENOUGH_ANSWERS);
			if (!isEnough) expect(flags).toEqual([]);
		}
		expect(few.families.some(({ isEnough }) => !isEnough)).toBe(true);
		const one = run(
			bank,
			sit(bank, 8, 90).filter(({ windowId }) => windowId === 8)
		);
		expect(one.families.every(({ drift }) => drift === null)).toBe(true);
	});

	it('leaves out answers to families that are not in the bank any more', () => {
		const sittings = sit(bank, 9, 30);
		sittings[0].answers.push({ familyId: 'gone', extraDigits: 0, correct: true, milliseconds: 1 });
		expect(run(bank, sittings).families.map(({ familyId }) => familyId)).not.toContain('gone');
	});
});
