import { invertSymmetric } from '../measurement';
import { FIELD_CONSTANTS, skillField, type FieldConstants, type FieldSkill } from './field';
import { logEvidence } from './fieldEvidence';
import type { FieldPrior } from './fieldSites';
import { keepField, type SittingAnswer } from './keptField';
import { standingOf, type Standing } from './standing';

/** What is known of a student; the mean is the expected median of the norms. */
export interface KnownStudent {
	answers: SittingAnswer[];
	prior: FieldPrior;
}

/** The constants that a school's own answers can tell. */
export const LEARNED_CONSTANTS = ['above', 'general', 'domain', 'skill', 'coupling'] as const;
type Learned = (typeof LEARNED_CONSTANTS)[number];
export type LearnedConstants = Pick<FieldConstants, Learned>;

/** Constants that make what is known of students most likely. */
export interface FoundConstants {
	constants: LearnedConstants;
	/** Of `above` in logits; of the others, of their natural logarithm. */
	standardErrors: Record<Learned, number>;
	iterations: number;
	converged: boolean;
}

/** What a school's answers say of the constants, and whether that can be trusted. */
export interface ConstantsReport {
	students: number;
	answers: number;
	found: FoundConstants;
	/** Found from every second student, how much likelier that makes the others (logarithm), and its standard error. */
	heldOut: { students: number; gain: number; standardError: number };
	/** Standings by own answers, and how many would be others, most first. */
	standings: { all: number; others: { from: Standing; to: Standing; count: number }[] };
}

/** How far it has come. */
export interface ConstantsProgress {
	step: 'one half' | 'everybody' | 'standings';
	/** From 1. */
	iteration: number;
}

/** A student of whom fewer first tries are known says little of how skills go together. */
export const ENOUGH_ANSWERS = 20;
/** Fewer students tell too little of how students differ. */
export const ENOUGH_STUDENTS = 100;
/** The gain on students who were held out is sure when it is so many standard errors (one-sided 95%). */
const SURE_ERRORS = 1.645;

/** Whether the constants found foretell other students better than those in use, beyond chance. */
export const isBetter = ({ gain, standardError }: ConstantsReport['heldOut']): boolean =>
	gain > SURE_ERRORS * standardError;

/** How far students are above the norms belongs to what they are taken to be like before any answer. */
export function raisePrior({ mean, scores }: FieldPrior, above: number): FieldPrior {
	return { mean: mean + above, scores: scores?.map((score) => ({ ...score, above: score.above - above })) };
}

/**
 * Learns the constants of a field from what is known of a school's students, in steps.
 *
 * @param inUse the constants that standings follow from now
 */
export function* learnConstants(
	skills: FieldSkill[],
	students: KnownStudent[],
	inUse: FieldConstants
): Generator<ConstantsProgress, ConstantsReport> {
	const [seen, heldOut] = [0, 1].map((half) => students.filter((_, i) => i % 2 === half));
	const half = yield* withStep('one half', estimateConstants(skills, seen, inUse));
	const gains = [{ ...inUse, ...half.constants }, inUse]
		.map((constants) => evidenceOf(skills, heldOut, constants))
		.reduce((better, worse) => better.map((value, i) => value - worse[i]));
	const gain = sumOf(gains);
	const spread = gains.reduce((sum, value) => sum + (value - gain / gains.length) ** 2, 0);
	const found = yield* withStep('everybody', estimateConstants(skills, students, { ...inUse, ...half.constants }));
	yield { step: 'standings', iteration: 1 };
	return {
		students: students.length,
		answers: sumOf(students.map(({ answers }) => answers.length)),
		found,
		heldOut: {
			students: heldOut.length,
			gain,
			standardError: Math.sqrt((spread * gains.length) / (gains.length - 1))
		},
		standings: changedStandings(skills, students, inUse, { ...inUse, ...found.constants })
	};
}

function* withStep(
	step: ConstantsProgress['step'],
	steps: Generator<number, FoundConstants>
): Generator<ConstantsProgress, FoundConstants> {
	for (;;) {
		const next = steps.next();
		if (next.done) return next.value;
		yield { step, iteration: next.value };
	}
}

/** Passes at most; what a pass gains, or is expected to, when it is enough; how far one may go, in logarithms. */
const ITERATIONS = 20;
const ENOUGH_GAIN = 0.02;
const FARTHEST = 1;
/** By how much a constant is moved to see what that does to the evidence. */
const NUDGE = 0.05;
/** How firmly constants are held where they are shipped (standard deviation): they can be half or twice, and go far with many answers. */
const HELD: Record<Learned, number> = { above: 1, general: 1, domain: 1, skill: 1, coupling: 1 };

/**
 * The mode of the marginal likelihood, weakly held where constants are shipped, by the method of Berndt, Hall, Hall and
 * Hausman (1974): the spread of students' gradients stands for the curvature, and says how sure it is. Variances and the
 * coupling are sought as logarithms.
 *
 * @returns the number of the pass, again and again, then what was found
 * @throws RangeError where there are no students
 */
export function* estimateConstants(
	skills: FieldSkill[],
	students: KnownStudent[],
	from: FieldConstants
): Generator<number, FoundConstants> {
	if (students.length === 0) throw new RangeError('nobody to learn from');
	const center = placeOf(FIELD_CONSTANTS);
	const held = LEARNED_CONSTANTS.map((name) => 1 / HELD[name] ** 2);
	const constantsAt = (place: number[]) => ({ ...from, ...constantsFrom(place) });
	const valueAt = (place: number[]) =>
		sumOf(evidenceOf(skills, students, constantsAt(place))) -
		0.5 * sumOf(place.map((value, k) => held[k] * (value - center[k]) ** 2));
	let place = placeOf(from);
	let value = valueAt(place);
	for (let iteration = 1; ; iteration++) {
		const gradients: number[][] = [];
		for (const k of place.keys()) {
			yield iteration;
			const [up, down] = [NUDGE, -NUDGE].map((nudge) =>
				evidenceOf(skills, students, constantsAt(place.map((one, j) => (j === k ? one + nudge : one))))
			);
			gradients.push(up.map((more, i) => (more - down[i]) / (2 * NUDGE)));
		}
		const gradient = gradients.map((own, k) => sumOf(own) - held[k] * (place[k] - center[k]));
		const covariance = invertSymmetric(curvature(gradients, held))!;
		const step = covariance.map((row) => row.reduce((sum, one, k) => sum + one * gradient[k], 0));
		let isEnough = sumOf(step.map((one, k) => one * gradient[k])) < ENOUGH_GAIN;
		const most = Math.max(...step.map(Math.abs));
		let scale = Math.min(1, FARTHEST / most);
		let isFound = isEnough;
		while (!isFound && scale * most > 0.001) {
			yield iteration;
			const next = place.map((one, k) => one + scale * step[k]);
			const nextValue = valueAt(next);
			if (nextValue > value) {
				isEnough = nextValue - value < ENOUGH_GAIN;
				[place, value, isFound] = [next, nextValue, true];
			} else scale /= 2;
		}
		if (isEnough || !isFound || iteration === ITERATIONS)
			return {
				constants: constantsFrom(place),
				standardErrors: Object.fromEntries(
					LEARNED_CONSTANTS.map((name, k) => [name, Math.sqrt(covariance[k][k])])
				) as Record<Learned, number>,
				iterations: iteration,
				converged: isEnough || !isFound
			};
	}
}

/** Where constants lie: `above` as it is, the others by their logarithm. */
const placeOf = (constants: FieldConstants) =>
	LEARNED_CONSTANTS.map((name) => (name === 'above' ? constants.above : Math.log(constants[name])));

function constantsFrom(place: number[]): LearnedConstants {
	const [above, ...logs] = place;
	const [general, domain, skill, coupling] = logs.map(Math.exp);
	return { above, general, domain, skill, coupling };
}

function evidenceOf(skills: FieldSkill[], students: KnownStudent[], constants: FieldConstants): number[] {
	const field = skillField(skills, constants);
	return students.map(({ answers, prior }) => logEvidence(field, answers, raisePrior(prior, constants.above)));
}

/** The spread of gradients over students, and how firmly constants are held. */
function curvature(gradients: number[][], held: number[]): number[][] {
	const middles = gradients.map((own) => sumOf(own) / own.length);
	return gradients.map((one, k) =>
		gradients.map(
			(other, j) =>
				one.reduce((sum, value, i) => sum + (value - middles[k]) * (other[i] - middles[j]), 0) + (j === k ? held[k] : 0)
		)
	);
}

const sumOf = (values: number[]) => values.reduce((sum, value) => sum + value, 0);

function changedStandings(
	skills: FieldSkill[],
	students: KnownStudent[],
	before: FieldConstants,
	after: FieldConstants
): ConstantsReport['standings'] {
	const [old, now] = [before, after].map((constants) => {
		const field = skillField(skills, constants);
		return students.flatMap(({ answers, prior }) =>
			keepField(field, answers, raisePrior(prior, constants.above)).map(
				(kept, k) => standingOf(kept, skills[k].difficulty).standing
			)
		);
	});
	const counts = new Map<string, { from: Standing; to: Standing; count: number }>();
	let all = 0;
	for (const [i, from] of old.entries()) {
		if (from === 'unseen') continue;
		all++;
		const to = now[i];
		if (to === from) continue;
		const key = `${from} ${to}`;
		counts.set(key, { from, to, count: (counts.get(key)?.count ?? 0) + 1 });
	}
	return { all, others: [...counts.values()].sort((a, b) => b.count - a.count) };
}
