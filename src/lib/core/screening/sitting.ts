import {
	ADAPTIVE_RULES,
	chooseItem,
	estimateProfile,
	expectedTheta,
	isAdaptiveDone,
	type AbilityEstimate,
	type AbilityPrior,
	type GradeTerm,
	type PoolItem,
	type ScoredResponse
} from '../measurement';
import { seededRandom, seedFrom } from '../random';

/** Spread (logits) of ability in a domain around the grade's median. */
const PRIOR_SD = 1.1;

/** What is believed of a student of a grade and term before any answer. */
export const gradePrior = (level: GradeTerm): AbilityPrior => ({ mean: expectedTheta(level), sd: PRIOR_SD });

/** How far (logits) a student may have moved since the last sitting. */
const MOVED_SINCE = 0.5;

/**
 * Where a sitting begins to look for a student: at the last sitting's ability, else at the grade's median. Scores never
 * use the last sitting, or two scores would not be independent and their change could not be judged.
 */
function startingPrior(level: GradeTerm, previous?: AbilityEstimate): AbilityPrior {
	if (!previous) return gradePrior(level);
	return { mean: previous.theta, sd: Math.min(PRIOR_SD, Math.hypot(previous.standardError, MOVED_SINCE)) };
}

/** Questions in a resit of one domain. */
export const RESIT_ITEMS = 8;
/** Questions in a level check of one domain. */
export const LEVEL_CHECK_ITEMS = 20;
/** How an adaptive sitting goes: of all domains, or of one, in a resit or a level check. */
const RULES = {
	diagnostic: ADAPTIVE_RULES,
	resit: { ...ADAPTIVE_RULES, minimum: RESIT_ITEMS, maximum: RESIT_ITEMS },
	'level check': { ...ADAPTIVE_RULES, minimum: LEVEL_CHECK_ITEMS, maximum: LEVEL_CHECK_ITEMS, itemsASkill: 3 }
};

/** An adaptive sitting under way. */
export interface AdaptiveSitting {
	id: number;
	level: GradeTerm;
	previous?: AbilityEstimate;
	/** All families it could draw from: of one domain for a resit or a level check. */
	pool: PoolItem<number>[];
	as: keyof typeof RULES;
	/** What was asked and answered, in order. */
	answers: { familyId: string; skillCode: string; domainId: number; response: ScoredResponse }[];
}

/**
 * The next question of a sitting, or null when it is done. The same sitting always goes on in the same way, whichever
 * process is asked.
 */
export function nextQuestion({ id, level, previous, pool, as, answers }: AdaptiveSitting): PoolItem<number> | null {
	const rules = RULES[as];
	const domains = [...new Set(pool.map(({ domainId }) => domainId))];
	if (domains.length === 0) return null;
	const byDomain = new Map(
		domains.map((domain) => [
			domain,
			answers.filter(({ domainId }) => domainId === domain).map(({ response }) => response)
		])
	);
	const mayEnd = answers.length >= rules.minimum;
	if (mayEnd && isAdaptiveDone(answers.length, estimateProfile(byDomain, gradePrior(level)), rules)) return null;
	const profile = estimateProfile(byDomain, startingPrior(level, previous));
	return chooseItem(pool, answers, profile, seededRandom(seedFrom('sitting', id, answers.length)), rules);
}
