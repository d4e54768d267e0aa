import { normalCdf } from '../measurement';
import type { Tier } from './tiers';

/** A school's rule of who enters tiers 2 and 3, and when they are looked at. */
export interface TierRule {
	/** Points under the cut score from which on tier 3 is meant. */
	farBelow: number;
	/** How sure it must be that a score is so far under (0.5 to 0.95). */
	sure: number;
	/** Gaps on skills up to the own grade that make tier 2 of a score that may be under the cut; null: they do not count. */
	gaps: number | null;
	/** Whether an adult's word makes tier 2 of such a score. */
	word: boolean;
	/** Weeks in a tier before the first review, and by which it must be. */
	leastWeeks: number;
	mostWeeks: number;
}

/**
 * As shipped, ours: a score that is 80% sure to be under the cut makes tier 2, one 20 points under it (most of a school year)
 * tier 3. Where the score may be under and may not, four gaps or an adult's word decide: no single number does.
 */
export const USUAL_TIER_RULE: TierRule = {
	farBelow: 20,
	sure: 0.8,
	gaps: 4,
	word: true,
	leastWeeks: 4,
	mostWeeks: 8
};

/** From this chance on a score may be under the cut. */
const MAYBE = 0.5;

/** A score with its error, in points, and the cut score of the student's grade in its term. */
export interface ScoreAtCut {
	points: number;
	error: number;
	cut: number;
}

/** What the rule looks at. */
export interface TierLook {
	/** The newest overall one, wherever it comes from; null without one. */
	score: ScoreAtCut | null;
	/** Skills up to the own grade on which the student's own answers show a gap. */
	gaps: number;
	/** What an adult has said of the student; null for nothing. */
	word: { by: string; reason: string } | null;
}

/** Why a tier follows. Chances are 0 to 1. */
export type TierReason =
	| { is: 'far below'; by: number; chance: number }
	| { is: 'below'; chance: number }
	| { is: 'maybe below'; chance: number }
	| { is: 'gaps'; count: number }
	| { is: 'word'; by: string; reason: string }
	| { is: 'not below'; chance: number }
	| { is: 'no score' };

/** How likely the true score is under a line. */
export const chanceBelow = ({ points, error }: Pick<ScoreAtCut, 'points' | 'error'>, line: number): number =>
	normalCdf((line - points) / error);

/** Whether a score may be under its cut, so that it takes more than the score to say. */
export const mayBeBelow = (score: ScoreAtCut | null): boolean =>
	score !== null && chanceBelow(score, score.cut) >= MAYBE;

/** The tier that a rule means for a student, with why; null where nothing can be said. */
export function tierByRule(
	{ score, gaps, word }: TierLook,
	rule: TierRule
): { tier: Tier | null; reasons: TierReason[] } {
	const said: TierReason[] = rule.word && word ? [{ is: 'word', ...word }] : [];
	if (!score) return { tier: null, reasons: [{ is: 'no score' }, ...said] };
	const far = chanceBelow(score, score.cut - rule.farBelow);
	if (far >= rule.sure) return { tier: 3, reasons: [{ is: 'far below', by: rule.farBelow, chance: far }, ...said] };
	const chance = chanceBelow(score, score.cut);
	if (chance >= rule.sure) return { tier: 2, reasons: [{ is: 'below', chance }, ...said] };
	const many: TierReason[] = rule.gaps !== null && gaps >= rule.gaps ? [{ is: 'gaps', count: gaps }] : [];
	if (chance < MAYBE) return { tier: 1, reasons: [{ is: 'not below', chance }] };
	return { tier: many.length || said.length ? 2 : 1, reasons: [{ is: 'maybe below', chance }, ...many, ...said] };
}

/** A rule in a sentence a part. */
export function sayTierRule({ farBelow, sure, gaps, word, leastWeeks, mostWeeks }: TierRule): string[] {
	const percent = Math.round(100 * sure);
	const others = [
		gaps !== null && `${gaps} gaps or more on skills up to the own grade`,
		word && 'an adult’s word'
	].filter(Boolean);
	return [
		`Tier 3: the newest overall score is ${percent}% sure to be more than ${farBelow} points under the cut score.`,
		`Tier 2: it is ${percent}% sure to be under the cut score${others.length ? `; or it may be (50% or more), and there is also ${others.join(' or ')}` : ''}.`,
		`A first review after ${leastWeeks} weeks at the soonest and ${mostWeeks} at the latest. Leaving a tier is decided at reviews, not by this rule.`
	];
}

/** Why, in a sentence. */
export function sayTierReason(reason: TierReason): string {
	const percent = (chance: number) =>
		chance > 0.95 ? 'over 95%' : chance < 0.05 ? 'under 5%' : `${Math.round(100 * chance)}%`;
	switch (reason.is) {
		case 'far below':
			return `${percent(reason.chance)} sure to be more than ${reason.by} points under the cut.`;
		case 'below':
			return `${percent(reason.chance)} sure to be under the cut.`;
		case 'maybe below':
			return `May be under the cut (${percent(reason.chance)}).`;
		case 'gaps':
			return `${reason.count} gaps on skills up to the own grade.`;
		case 'word':
			return `${reason.by}: ${reason.reason}`;
		case 'not below':
			return `Rather not under the cut (${percent(reason.chance)} that it is).`;
		case 'no score':
			return 'No score yet.';
	}
}
