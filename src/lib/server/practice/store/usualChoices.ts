import type { SetHow } from '../../../core/practice';
import type { Database } from '../../database';
import type { Staff } from '../../request';
import { HOW_SQL } from './setContent';

/** How a person has a set worked on, unless they say otherwise. */
export interface UsualChoices {
	how: SetHow;
	practice: number;
	hasChecks: boolean;
	hasExample: boolean;
}

/** As in the newest set that a person assigned themselves; null where there is none. */
export async function usualChoices(database: Database, staff: Staff): Promise<UsualChoices | null> {
	const row = await database.row<SetHow & { practice: number; checks: number; hasExample: boolean }>(
		`SELECT ${HOW_SQL}, SUM(part.practice_count) AS practice, MAX(part.check_count) AS checks,
			MAX(part.has_example) AS hasExample
		FROM (SELECT id FROM practice_set WHERE created_by = ? AND NOT is_own_step AND follows_id IS NULL ORDER BY id DESC LIMIT 1) AS newest
		JOIN practice_set ON practice_set.id = newest.id
		JOIN practice_set_skill AS part ON part.set_id = practice_set.id
		GROUP BY practice_set.id`,
		[staff.id]
	);
	if (!row) return null;
	const { practice, checks, hasExample, ...how } = row;
	return { how, practice: Number(practice), hasChecks: checks > 0, hasExample: Boolean(hasExample) };
}
