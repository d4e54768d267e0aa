import { calibrate, estimateEap, probabilityCorrect, type CalibrationItem } from '../../src/lib/core/measurement';
import { seededRandom } from '../../src/lib/core/random';
import { itemPool, nextQuestion, type SkillLevel } from '../../src/lib/core/screening';

const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1];
const timed = (work: () => unknown) => {
	const began = performance.now();
	work();
	return performance.now() - began;
};

/** The next question of a sitting: how long it takes at the start and near the end, against one plain estimate. */
function benchChoice(skills: SkillLevel[]): void {
	const pool = itemPool(skills);
	const random = seededRandom(7);
	const answersOf = (count: number) =>
		random
			.shuffle(pool)
			.slice(0, count)
			.map(({ familyId, skillCode, domainId, parameters }) => ({
				familyId,
				skillCode,
				domainId,
				response: { item: parameters, correct: random.chance(probabilityCorrect(0, parameters)) }
			}));
	const choosing = (count: number) =>
		median(
			Array.from({ length: 200 }, (_, id) => {
				const answers = answersOf(count);
				return timed(() => nextQuestion({ id, level: { grade: 4, term: 2 }, pool, as: 'diagnostic', answers }));
			})
		);
	choosing(30);
	const [first, late] = [choosing(0), choosing(30)];
	const thirty = answersOf(30).map(({ response }) => response);
	const estimate = median(Array.from({ length: 200 }, () => timed(() => estimateEap(thirty))));
	console.log(
		`adaptive  next of ${pool.length} families: median ${first.toFixed(2)} ms at the start, ${late.toFixed(2)} ms after 30 answers (${(late / first).toFixed(1)} times), ${(late / estimate).toFixed(0)} times one plain estimate from 30`
	);
}

/** Calibration of a bank: time an answer and pass at two sizes, the larger eight times the smaller. */
function benchCalibration(): void {
	const random = seededRandom(8);
	const ITEMS = 200;
	const ASKED = 30;
	const items: CalibrationItem[] = Array.from({ length: ITEMS }, (_, i) => ({
		guessing: i % 4 === 0 ? 0.25 : 0,
		discrimination: 1.2,
		around: -2 + (4 * i) / ITEMS,
		prior: { discrimination: 0.35, difficulty: 0.7 }
	}));
	const nanoseconds = (students: number) => {
		const persons = Array.from({ length: students }, () => {
			const theta = random.normal();
			const asked = random.shuffle(items.map((_, i) => i)).slice(0, ASKED);
			const chance = (i: number) =>
				probabilityCorrect(theta, { discrimination: 1.2, difficulty: items[i].around, guessing: items[i].guessing });
			return { group: 0, items: asked, correct: asked.map((i) => random.chance(chance(i))) };
		});
		const groups = [{ mean: 0, sd: 1 }];
		let passes = 0;
		const took = timed(() => {
			passes = calibrate({ items, persons, groups, estimateGroups: true }, { tolerance: 1e-3 }).iterations;
		});
		return { took, passes, each: (1e6 * took) / (students * ASKED * (passes + 2)) };
	};
	nanoseconds(200);
	const [small, large] = [nanoseconds(500), nanoseconds(4_000)];
	console.log(
		`calibrate ${4_000 * ASKED} answers to ${ITEMS} items in ${(large.took / 1_000).toFixed(1)} s, ${large.passes} passes; an answer and pass costs ${(large.each / small.each).toFixed(2)} times what it does at an eighth of the size`
	);
}

/** Measurement at work: both in this one run, on one core. */
export function benchMeasurement(skills: SkillLevel[]): void {
	benchChoice(skills);
	benchCalibration();
}
