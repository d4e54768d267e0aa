import { type ItemParameters, probabilityCorrect } from '../measurement';
import { growthOutlook, type GrowthMoves } from './growthPosterior';

/** What a goal of weekly probes can be set by: by hand, by the cut score at its day, or by the growth of the norm. */
export const GOAL_SOURCES = ['hand', 'cut', 'norm'] as const;
export type GoalSource = (typeof GOAL_SOURCES)[number];

/** What the norm's median gains in a week of school: a logit in a year of 36 (made up, as the norms are). */
const NORM_A_WEEK = 1 / 36;

/** What a goal is set from. Levels in logits. */
export interface GoalBasis {
	/** What is known of the student's level on the focus. */
	level: { mean: number; standardError: number };
	/** Questions of one probe. */
	items: ItemParameters[];
	/** From now to the goal's day. */
	weeks: number;
	/** Of the school's own series; as shipped where nobody says. */
	moves?: GrowthMoves;
}

const rightAt = (level: number, items: ItemParameters[]): number =>
	items.reduce((sum, item) => sum + probabilityCorrect(level, item), 0);

/** A whole number of questions that asks for growth: more than is right now, at most all. */
function asGoal(right: number, { level, items }: GoalBasis): number {
	const now = Math.round(rightAt(level.mean, items));
	return Math.min(items.length, Math.max(now + 1, Math.round(right)));
}

/** Questions right at a level that a cut score stands for. @param cut in logits */
export const goalByCut = (basis: GoalBasis, cut: number): number => asGoal(rightAt(cut, basis.items), basis);

/** Questions right after growing as the norm does, times an ambition. */
export const goalByNorm = (basis: GoalBasis, ambition: number): number =>
	asGoal(rightAt(basis.level.mean + ambition * NORM_A_WEEK * basis.weeks, basis.items), basis);

/** What a goal asks for, and how likely it is. */
export interface GoalAsks {
	/** Questions right now, on average. */
	now: number;
	/** Questions that have to be gained a week. */
	aWeek: number;
	/** That a probe on the goal's day reaches it, by what is believed of growth before the first probe (0 to 1). */
	chance: number;
}

/** What each of some goals asks of a student. @param goals in questions right */
export function goalAsks({ level, items, weeks, moves }: GoalBasis, goals: number[]): GoalAsks[] {
	const chances = growthOutlook({ mean: level.mean, sd: level.standardError }, weeks, items, moves);
	const now = rightAt(level.mean, items);
	return goals.map((right) => ({
		now,
		aWeek: (right - now) / Math.max(1, weeks),
		chance: chances.slice(right).reduce((sum, chance) => sum + chance, 0)
	}));
}
