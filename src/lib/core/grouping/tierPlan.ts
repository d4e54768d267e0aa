/** What a school plans for the groups of a tier. */
export interface TierPlan {
	/** Students a group. */
	size: { minimum: number; maximum: number };
	/** Minutes that a group meets in a week. */
	minutesAWeek: number;
}

/**
 * As shipped, ours: groups small enough to answer each student, three meetings of half an hour a week in tier 2 and
 * four in tier 3.
 */
export const USUAL_TIER_PLANS: Record<2 | 3, TierPlan> = {
	2: { size: { minimum: 3, maximum: 6 }, minutesAWeek: 90 },
	3: { size: { minimum: 1, maximum: 3 }, minutesAWeek: 120 }
};
