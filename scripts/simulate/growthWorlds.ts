import { type ItemParameters, probabilityCorrect } from '../../src/lib/core/measurement';
import type { ProbeAnswers } from '../../src/lib/core/growth';
import type { Random } from '../../src/lib/core/random';

/** How a student's level (logits over the focus's usual question) goes by the week: one student each time it is asked. */
export type GrowthWorld = (random: Random) => (week: number) => number;

/** Ways to grow that are not the model's: a line, an S, one that levels off, and a sudden step. */
export const GROWTH_WORLDS: Record<string, GrowthWorld> = {
	linear(random) {
		const [start, pace] = [-0.8 + 0.7 * random.normal(), 0.15 + 0.1 * random.normal()];
		return (week) => start + pace * week;
	},
	logistic(random) {
		const [low, high] = [-1 + 0.5 * random.normal(), 2 + 0.6 * random.normal()];
		const [middle, width] = [2 + 12 * random.unit(), 1 + random.unit()];
		return (week) => low + (high - low) / (1 + Math.exp(-(week - middle) / width));
	},
	saturating(random) {
		const [start, end] = [-1 + 0.6 * random.normal(), 1 + 0.9 * random.normal()];
		const time = 2 + 5 * random.unit();
		return (week) => end + (start - end) * Math.exp(-week / time);
	},
	sudden(random) {
		const [start, step] = [-0.8 + 0.7 * random.normal(), 1.5 + random.unit()];
		const at = 18 * random.unit();
		return (week) => start + (week >= at ? step : 0);
	}
};

/** How far a day's form is from the level (standard deviation, logits). */
const FORM = 0.25;

/** A probe's questions: as hard as the usual one of the focus, give or take half a logit, the same every week. */
export const probeItems = (random: Random, count: number): ItemParameters[] =>
	Array.from({ length: count }, () => ({ discrimination: 1, difficulty: 0.4 * random.normal() }));

/** A student's answers to a probe in a week. */
export function sitProbe(
	random: Random,
	levelIn: (week: number) => number,
	week: number,
	items: ItemParameters[]
): ProbeAnswers {
	const today = levelIn(week) + FORM * random.normal();
	return { week, answers: items.map((item) => ({ item, correct: random.chance(probabilityCorrect(today, item)) })) };
}

export const countOf = ({ answers }: ProbeAnswers) => answers.filter(({ correct }) => correct).length;

/** How the share of right first tries goes that rules are tried on: from a start towards a goal over some weeks. */
export type ShareCourse = (week: number) => number;

/** Cases that rules are tried on, of a start, a goal's share and its week. */
export const courses = (start: number, goal: number, weeks: number): Record<string, ShareCourse> => {
	const asked = (goal - start) / weeks;
	return {
		flat: () => start,
		half: (week) => start + (asked / 2) * week,
		'on track': (week) => Math.min(goal, start + asked * week),
		fast: (week) => Math.min(0.95, start + 1.6 * asked * week),
		'sudden, in week 4': (week) => (week < 4 ? start : 0.95),
		'lost again, in week 6': (week) => (week < 6 ? Math.min(goal, start + 2 * asked * week) : start)
	};
};

/** The level at which a share of probe questions is right. */
export const levelOf = (course: ShareCourse) => (week: number) => Math.log(course(week) / (1 - course(week)));
