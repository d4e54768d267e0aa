/** One cut on the curve: students scoring under `cut` are called at risk. */
interface RocPoint {
	cut: number;
	/** Share of those with the outcome who are called at risk. */
	sensitivity: number;
	/** Share of those without it who are not. */
	specificity: number;
}

/** Splits scores by outcome. @throws RangeError when the lists differ in length or one side is empty */
function split(scores: number[], outcomes: boolean[]): { withOutcome: number[]; without: number[] } {
	if (scores.length !== outcomes.length)
		throw new RangeError(`${scores.length} scores but ${outcomes.length} outcomes`);
	const withOutcome = scores.filter((_, i) => outcomes[i]);
	const without = scores.filter((_, i) => !outcomes[i]);
	if (withOutcome.length === 0 || without.length === 0)
		throw new RangeError('outcomes must be of both kinds: some students with and some without');
	return { withOutcome, without };
}

/**
 * Receiver operating characteristic of a screening score for a later outcome, such as failing the spring test. Low
 * scores mean risk. One point a possible cut, from calling nobody at risk to calling everybody.
 *
 * @param outcomes whether the student did badly later, in the order of the scores
 * @throws RangeError when the lists differ in length or all outcomes are alike
 * @example
 * rocCurve([480, 490, 510], [true, false, false])[1] // { cut: 490, sensitivity: 1, specificity: 1 }
 */
export function rocCurve(scores: number[], outcomes: boolean[]): RocPoint[] {
	const { withOutcome, without } = split(scores, outcomes);
	const order = scores.map((score, i) => ({ score, bad: outcomes[i] })).sort((a, b) => a.score - b.score);
	const points: RocPoint[] = [{ cut: order[0].score, sensitivity: 0, specificity: 1 }];
	let caught = 0;
	let alarmed = 0;
	order.forEach(({ score, bad }, i) => {
		if (bad) caught++;
		else alarmed++;
		const next = order[i + 1]?.score;
		if (next === score) return;
		points.push({
			cut: next ?? score + 1,
			sensitivity: caught / withOutcome.length,
			specificity: 1 - alarmed / without.length
		});
	});
	return points;
}

/** Two-sided 95% point of the standard normal distribution. */
const NORMAL_95 = 1.959963984540054;

/**
 * Area under the ROC curve with its 95% interval: the chance that a student with the outcome scored under one without
 * it, ties counting half; its variance from the structural components (DeLong, DeLong & Clarke-Pearson 1988), the interval
 * on the logit scale (Qin & Hotilovac 2008), so that few students never give an end beyond 1. Where the scores tell all
 * apart, or none, that variance is 0 and says nothing: then the score interval of Newcombe (2006, method 5).
 *
 * @throws RangeError when the lists differ in length or all outcomes are alike
 */
export function areaUnderCurve(scores: number[], outcomes: boolean[]): { area: number; lower: number; upper: number } {
	const { withOutcome, without } = split(scores, outcomes);
	const ofOutcome = placements(withOutcome, without, (own, other) => own < other);
	const ofOthers = placements(without, withOutcome, (own, other) => own > other);
	const area = mean(ofOutcome);
	const error = Math.sqrt(varianceOfMean(ofOutcome, area) + varianceOfMean(ofOthers, area));
	if (error === 0) return { area, ...scoreInterval(area, withOutcome.length, without.length) };
	const half = (NORMAL_95 * error) / (area * (1 - area));
	const logit = Math.log(area / (1 - area));
	return { area, lower: 1 / (1 + Math.exp(half - logit)), upper: 1 / (1 + Math.exp(-half - logit)) };
}

/** Areas that are no further from the one found than chance would have it, by the variance at each (Hanley & McNeil 1982). */
function scoreInterval(area: number, withOutcome: number, without: number): { lower: number; upper: number } {
	const others = (withOutcome + without) / 2 - 1;
	const isNear = (candidate: number) => {
		const spread = 1 + (others * (1 - candidate)) / (2 - candidate) + (others * candidate) / (1 + candidate);
		const variance = (candidate * (1 - candidate) * spread) / (withOutcome * without);
		return (area - candidate) ** 2 <= NORMAL_95 ** 2 * variance;
	};
	const end = (from: number) => {
		let [near, far] = [area, from];
		for (let step = 0; step < 50; step++) {
			const middle = (near + far) / 2;
			if (isNear(middle)) near = middle;
			else far = middle;
		}
		return near;
	};
	return { lower: end(0), upper: end(1) };
}

/** For each of one side: the share of the other side that it is told apart from rightly, ties counting half. */
function placements(own: number[], others: number[], right: (own: number, other: number) => boolean): number[] {
	return own.map((score) => {
		let sum = 0;
		for (const other of others) sum += right(score, other) ? 1 : score === other ? 0.5 : 0;
		return sum / others.length;
	});
}

const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

function varianceOfMean(values: number[], around: number): number {
	if (values.length < 2) return 0;
	return values.reduce((sum, value) => sum + (value - around) ** 2, 0) / (values.length - 1) / values.length;
}

/**
 * The lowest cut score that reaches a wanted sensitivity, so that no more students than needed are called at risk.
 *
 * @param wanted.sensitivity in (0, 1]
 * @throws RangeError when the lists differ in length or all outcomes are alike
 */
export function cutScoreFor(scores: number[], outcomes: boolean[], wanted: { sensitivity: number }): RocPoint {
	const curve = rocCurve(scores, outcomes);
	return curve.find(({ sensitivity }) => sensitivity >= wanted.sensitivity - 1e-12) ?? curve[curve.length - 1];
}

/**
 * What a cut would have done: how many of those with the outcome it catches, and of those without it spares.
 *
 * @throws RangeError when the lists differ in length or all outcomes are alike
 */
export function accuracyAt(scores: number[], outcomes: boolean[], cut: number): RocPoint {
	const { withOutcome, without } = split(scores, outcomes);
	return {
		cut,
		sensitivity: withOutcome.filter((score) => score < cut).length / withOutcome.length,
		specificity: without.filter((score) => score >= cut).length / without.length
	};
}
