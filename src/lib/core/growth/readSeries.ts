import { estimateEap, type ItemParameters, probabilityCorrect } from '../measurement';
import { lookAtSeries, type SeriesLook } from './advise';
import { growthPosterior, type GrowthMoves, usualPrior } from './growthPosterior';
import type { Goal } from './growthSoFar';
import { type ProbeAnswers, usualQuestion } from './series';
import type { Band } from './weights';

/** Which edition of the rule it is that readings follow from answers by; raised with it. */
export const READING_RULE = 1;

/** From one value to another. */
interface Range {
	lower: number;
	upper: number;
}

/** What a series says, in questions right of a probe where nothing else is said. */
export interface SeriesReading {
	/** Each probe: the week it was of, what was right, and the 80% band of what it says by itself. */
	probes: { week: number; right: number; of: number; alone: Range }[];
	/** Where the level stood after each probe, by the probes up to it. */
	levels: Band[];
	/** The share of the focus's usual questions that is right now (0 to 1), luck aside. */
	share: Band;
	/** 80% of what a probe may be in the weeks from the last one to the goal. */
	ahead: ({ week: number } & Range)[];
	/** That a probe in the goal's week reaches the goal (0 to 1). */
	chanceOfGoal: number;
	/** What the rules look at. */
	look: SeriesLook;
}

/** How many of a probe's questions are right at a level, on average. */
const rightAt = (level: number, items: ItemParameters[]): number =>
	items.reduce((sum, item) => sum + probabilityCorrect(level, item), 0);

/** Each value of a band of levels as something else that rises with it. */
const bandThrough = ({ value, lower, upper }: Band, of: (level: number) => number): Band => ({
	value: of(value),
	lower: of(lower),
	upper: of(upper)
});

/** Between which counts 80% of a distribution lies. */
function middleOf(chances: number[]): Range {
	let sum = 0;
	const upTo = chances.map((chance) => (sum += chance));
	return { lower: upTo.findIndex((at) => at >= 0.1), upper: upTo.findIndex((at) => at >= 0.9 - 1e-9) };
}

/** One probe by itself: a wide prior around its questions. */
function alone({ answers }: ProbeAnswers, items: ItemParameters[]): Range {
	const { theta, standardError } = estimateEap(answers, {
		mean: usualQuestion([{ week: 0, answers }]).difficulty,
		sd: 2
	});
	const away = 1.2815515655446004 * standardError;
	return { lower: rightAt(theta - away, items), upper: rightAt(theta + away, items) };
}

/**
 * All that a page shows of a series of probes: the probes with their own error, the level with its band, what may come, the
 * chance of the goal, and what the rules of a review look at. A level is told as the questions right of the last probe.
 *
 * @param series in the order of its weeks; at least one probe
 * @param focusDifficulty of the focus's usual question (logits)
 * @param phases weeks before whose probe a phase begins
 * @param moves of the school's own series; as shipped where nobody says
 * @throws RangeError without probes
 */
export function readSeries(
	series: ProbeAnswers[],
	goal: Goal,
	focusDifficulty: number,
	phases: number[] = [],
	moves?: GrowthMoves
): SeriesReading {
	const last = series[series.length - 1];
	const items = last.answers.map(({ item }) => item);
	const { discrimination } = usualQuestion(series);
	const focus = { discrimination, difficulty: focusDifficulty };
	const posterior = growthPosterior(series, usualPrior(series, moves), phases);
	const weeks = Array.from({ length: Math.max(1, goal.week - last.week) }, (_, i) => last.week + 1 + i);
	const atGoal = posterior.predict(goal.week, items);
	// A goal of so many of another length is the same share of this one.
	const wanted = Math.ceil((goal.right / goal.of) * items.length - 1e-9);
	return {
		probes: series.map((probe) => ({
			week: probe.week,
			right: probe.answers.filter(({ correct }) => correct).length,
			of: probe.answers.length,
			alone: alone(
				probe,
				probe.answers.map(({ item }) => item)
			)
		})),
		levels: posterior.levels.map((level) => bandThrough(level, (at) => rightAt(at, items))),
		share: bandThrough(posterior.level, (at) => probabilityCorrect(at, focus)),
		ahead: weeks.map((week) => ({ week, ...middleOf(posterior.predict(week, items)) })),
		chanceOfGoal: atGoal.slice(wanted).reduce((sum, chance) => sum + chance, 0),
		look: lookAtSeries(series, goal, focusDifficulty)
	};
}
