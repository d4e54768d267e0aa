import {
	chooseItem,
	DOMAIN_CORRELATION,
	estimateProfile,
	isAdaptiveDone,
	probabilityCorrect,
	type AdaptiveRules,
	type GradeTerm,
	type PoolItem,
	type Profile,
	type ScoredResponse
} from '../measurement';
import type { Random } from '../random';
import { gradePrior } from './sitting';

/** Draws true abilities as the prior has them: a common part, and one of each domain's own. */
export function drawAbilities<Domain>(domains: Domain[], level: GradeTerm, random: Random): Map<Domain, number> {
	const { mean, sd } = gradePrior(level);
	const common = mean + Math.sqrt(DOMAIN_CORRELATION) * sd * random.normal();
	return new Map(domains.map((domain) => [domain, common + Math.sqrt(1 - DOMAIN_CORRELATION) * sd * random.normal()]));
}

export interface SimulatedSitting<Domain> {
	asked: PoolItem<Domain>[];
	responses: (ScoredResponse & { domainId: Domain })[];
	profile: Profile<Domain>;
}

/** Median (ms) and spread (log) of the time an honest student takes for a question. */
const USUAL_MS = 18_000;
const TIME_SPREAD = 0.45;

/**
 * An adaptive sitting of a student with known abilities. Answers follow the item response model.
 *
 * @param rushesFrom from which question on answers are given unread, in under two seconds and right by luck only
 */
export function simulateSitting<Domain>(
	truth: Map<Domain, number>,
	level: GradeTerm,
	pool: PoolItem<Domain>[],
	rules: AdaptiveRules,
	random: Random,
	rushesFrom = Infinity
): SimulatedSitting<Domain> {
	const prior = gradePrior(level);
	const byDomain = new Map<Domain, ScoredResponse[]>([...truth.keys()].map((domain) => [domain, []]));
	const asked: PoolItem<Domain>[] = [];
	const responses: SimulatedSitting<Domain>['responses'] = [];
	let profile = estimateProfile(byDomain, prior);
	while (!isAdaptiveDone(asked.length, profile, rules)) {
		const item = chooseItem(pool, asked, profile, random, rules);
		if (!item) break;
		const rushes = asked.length >= rushesFrom;
		const chance = rushes
			? (item.parameters.guessing ?? 0)
			: probabilityCorrect(truth.get(item.domainId)!, item.parameters);
		const response = {
			item: item.parameters,
			correct: random.chance(chance),
			milliseconds: rushes
				? random.integer(400, 1_900)
				: Math.round(USUAL_MS * Math.exp(TIME_SPREAD * random.normal())),
			domainId: item.domainId
		};
		asked.push(item);
		responses.push(response);
		byDomain.get(item.domainId)!.push(response);
		profile = estimateProfile(byDomain, prior);
	}
	return { asked, responses, profile };
}
