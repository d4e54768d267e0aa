import type { Random } from '../random';
import { itemInformation, type ItemParameters } from './itemResponse';
import type { Profile } from './profile';

/** A kind of question that an adaptive sitting can ask, with the parameters of its usual numbers. */
export interface PoolItem<Domain> {
	familyId: string;
	skillCode: string;
	domainId: Domain;
	parameters: ItemParameters;
}

export interface AdaptiveRules {
	/** Questions before a sitting may end, and at which it ends in any case. */
	minimum: number;
	maximum: number;
	/** Standard error of the overall ability (logits) at which it ends. */
	targetError: number;
	/**
	 * The next question is by chance one of those that tell at least this share of what the best one would, so that none
	 * is seen by everybody where there are others as good.
	 */
	nearlyAsGood: number;
	/** By how many questions a domain may be ahead of the one asked least. */
	lead: number;
	/** Questions a skill: one says nothing of a skill, more would take the place of other skills. */
	itemsASkill: number;
	/** A second question on a skill is preferred while it tells at least this share of what the best one would. */
	worthPairing: number;
}

/**
 * The rules of our diagnostics. 0.33 logits, about 8 points, is what some 30 questions of discrimination 1.2 reach.
 */
export const ADAPTIVE_RULES: AdaptiveRules = {
	minimum: 25,
	maximum: 40,
	targetError: 0.33,
	nearlyAsGood: 0.75,
	lead: 2,
	itemsASkill: 2,
	worthPairing: 0.6
};

/** Whether a sitting has told enough, or has become long enough. */
export function isAdaptiveDone(asked: number, profile: Profile<unknown>, rules = ADAPTIVE_RULES): boolean {
	if (asked >= rules.maximum) return true;
	return asked >= rules.minimum && profile.overall.standardError <= rules.targetError;
}

/**
 * The next question of an adaptive sitting: by maximum information (Lord 1980) at the ability estimated for its domain,
 * among those that content balance allows, by chance one of those that tell nearly as much (after Kingsbury & Zara 1989). No family twice, no
 * skill more often than `itemsASkill` nor twice in a row; a skill asked once is asked again where that costs little.
 *
 * @param asked in the order asked
 * @param profile of the abilities so far, with every domain of the pool
 * @returns null when nothing in the pool is left
 */
export function chooseItem<Domain>(
	pool: PoolItem<Domain>[],
	asked: Pick<PoolItem<Domain>, 'familyId' | 'skillCode' | 'domainId'>[],
	profile: Profile<Domain>,
	random: Random,
	rules = ADAPTIVE_RULES
): PoolItem<Domain> | null {
	const families = new Set(asked.map(({ familyId }) => familyId));
	const timesAsked = new Map<string, number>();
	for (const { skillCode } of asked) timesAsked.set(skillCode, (timesAsked.get(skillCode) ?? 0) + 1);
	const last = asked.at(-1)?.skillCode;
	const left = pool.filter(
		({ familyId, skillCode }) => !families.has(familyId) && (timesAsked.get(skillCode) ?? 0) < rules.itemsASkill
	);
	const inOrder = left.filter(({ skillCode }) => skillCode !== last);
	const open = inOrder.length ? inOrder : left;
	if (open.length === 0) return null;

	const counts = new Map<Domain, number>(open.map(({ domainId }) => [domainId, 0]));
	for (const { domainId } of asked) if (counts.has(domainId)) counts.set(domainId, counts.get(domainId)! + 1);
	const fewest = Math.min(...counts.values());
	const ranked = open
		.filter(({ domainId }) => counts.get(domainId)! - fewest < rules.lead)
		.map((item) => ({ item, tells: itemInformation(profile.domains.get(item.domainId)!.theta, item.parameters) }))
		.sort((a, b) => b.tells - a.tells);
	const second = ranked.filter(
		({ item, tells }) => timesAsked.has(item.skillCode) && tells >= rules.worthPairing * ranked[0].tells
	);
	return random.pick(
		second.length ? second : ranked.filter(({ tells }) => tells >= rules.nearlyAsGood * ranked[0].tells)
	).item;
}
