import { type AbilityPrior } from '../measurement';
import { type ProbeAnswers, usualQuestion } from './series';
import { type Band, bandOf, bell, dayLikelihoods, LEVEL_STEP, levelGrid, normalShift } from './weights';

/** What a goal asks of a series: so many right of so many questions, in a week of it. */
export interface Goal {
	week: number;
	right: number;
	of: number;
}

/** How far a student has come since a series began, as shares of its usual question that are right (0 to 1). */
export interface GrowthSoFar {
	/** At the first probe, and now, on a steady course. */
	start: Band;
	now: Band;
	/** How much the share has risen since the first probe, and how much the goal asks for by now. */
	risen: Band;
	asked: number;
	/** The chance that it has risen by less than half of what the goal asks for. */
	underHalf: number;
}

/** Courses that are looked at: where they begin, around the usual question, and how they go on. All in logits; made up. */
const START: AbilityPrior = { mean: -0.5, sd: 1.3 };
const PACE: AbilityPrior = { mean: 0.15, sd: 0.3 };
const STARTS = Array.from({ length: 49 }, (_, i) => -4.5 + i * 0.1875);
const PACES = Array.from({ length: 33 }, (_, i) => -0.6 + i * 0.045);
const FORM = 0.25;
/** Levels are looked at from so far under the usual question to so far over it (logits). */
const [UNDER, OVER] = [7, 9];

/**
 * Growth so far against what a goal asks for: a steady course on the logit scale, its beginning and its pace weighed on a grid by
 * all answers. What it says is the mean rise; how a series goes on is left to `growthPosterior`.
 *
 * @param series in the order of its weeks; at least one probe
 * @throws RangeError without probes
 */
export function growthSoFar(series: ProbeAnswers[], goal: Goal): GrowthSoFar {
	const { difficulty, discrimination } = usualQuestion(series);
	const share = (level: number) => 1 / (1 + Math.exp(-discrimination * level));
	const grid = levelGrid(difficulty - UNDER, difficulty + OVER);
	const form = normalShift({ mean: 0, sd: FORM });
	const first = series[0].week;
	const likelihoods = series.map(({ week, answers }) => ({
		week: week - first,
		at: dayLikelihoods(grid, answers, form)
	}));
	const weeks = series[series.length - 1].week - first;
	const part = goal.week > first ? Math.min(1, weeks / (goal.week - first)) : 1;
	const startWeights = STARTS.map((from) => bell(from, START));
	const paceWeights = PACES.map((pace) => bell(pace, PACE));
	const courses: { weight: number; start: number; now: number }[] = [];
	STARTS.forEach((from, i) =>
		PACES.forEach((pace, j) => {
			let weight = startWeights[i] * paceWeights[j];
			for (const { week, at } of likelihoods) weight *= between(at, (from + pace * week + UNDER) / LEVEL_STEP);
			courses.push({ weight, start: share(from), now: share(from + pace * weeks) });
		})
	);
	const sum = courses.reduce((total, { weight }) => total + weight, 0);
	const wanted = goal.right / goal.of;
	const isUnderHalf = ({ start, now }: { start: number; now: number }) => now - start < 0.5 * (wanted - start) * part;
	const start = bandBy(courses, ({ start: at }) => at);
	return {
		start,
		now: bandBy(courses, ({ now: at }) => at),
		risen: bandBy(courses, (course) => course.now - course.start),
		asked: (wanted - start.value) * part,
		underHalf: courses.reduce((total, course) => total + (isUnderHalf(course) ? course.weight : 0), 0) / sum
	};
}

/** A value between two places of a list; beyond its ends, as at its ends. */
function between(list: number[], place: number): number {
	const low = Math.max(0, Math.min(list.length - 2, Math.floor(place)));
	const part = Math.max(0, Math.min(1, place - low));
	return list[low] * (1 - part) + list[low + 1] * part;
}

/** Steps that shares and rises are sorted into, from −1 to 1. */
const STEPS = 400;

/** Mean and 80% interval of a share, or of a rise of one, over weighted courses. */
function bandBy<Course extends { weight: number }>(courses: Course[], of: (course: Course) => number): Band {
	const middles = Array.from({ length: STEPS + 1 }, (_, i) => (2 * i) / STEPS - 1);
	const weights = new Float64Array(STEPS + 1);
	let [sum, first] = [0, 0];
	for (const course of courses) {
		const value = of(course);
		weights[Math.round(((value + 1) * STEPS) / 2)] += course.weight;
		sum += course.weight;
		first += course.weight * value;
	}
	const { lower, upper } = bandOf(
		middles,
		weights.map((weight) => weight / sum)
	);
	return { value: first / sum, lower, upper };
}
