import { USUAL_TIER_PLANS, type TierPlan } from '../../../core/grouping';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

export type TierPlans = Record<2 | 3, TierPlan>;

/** What a school plans for groups of tiers 2 and 3: its own, or as shipped. */
export async function tierPlans(database: Database, schoolId: number): Promise<TierPlans> {
	const rows = await database.rows<{ tier: 2 | 3; minimum: number; maximum: number; minutesAWeek: number }>(
		`SELECT tier, smallest AS minimum, largest AS maximum, minutes_a_week AS minutesAWeek
		FROM tier_plan WHERE school_id = ?`,
		[schoolId]
	);
	return {
		...USUAL_TIER_PLANS,
		...Object.fromEntries(
			rows.map(({ tier, minimum, maximum, minutesAWeek }) => [tier, { size: { minimum, maximum }, minutesAWeek }])
		)
	};
}

/** Changes what a school plans for its tiers. @returns what it planned before */
export async function changeTierPlans(
	database: RootDatabase,
	staff: Staff,
	plans: TierPlans,
	at: Date
): Promise<TierPlans> {
	return database.transaction(async (transaction) => {
		const before = await tierPlans(transaction, staff.schoolId);
		for (const tier of [2, 3] as const) {
			const { size, minutesAWeek } = plans[tier];
			await transaction.run(
				`INSERT INTO tier_plan (school_id, tier, smallest, largest, minutes_a_week) VALUES (?, ?, ?, ?, ?)
				ON DUPLICATE KEY UPDATE smallest = VALUES(smallest), largest = VALUES(largest),
					minutes_a_week = VALUES(minutes_a_week)`,
				[staff.schoolId, tier, size.minimum, size.maximum, minutesAWeek]
			);
		}
		await audit(transaction, staff, at, 'change tier plans', { before, after: plans });
		return before;
	});
}
