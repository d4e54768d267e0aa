import type { ItemKey } from '../../../core/items';
import type { Database } from '../../database';

/** Questions of a practice sitting, among some, that the student is done with and that it tells at once how to do. */
export async function triedItems(
	database: Database,
	sittingId: number,
	positions: number[]
): Promise<(ItemKey & { position: number })[]> {
	return database.rows(
		`SELECT item.position, item.family_id AS familyId, item.seed, item.edition
		FROM sitting_item AS item
		JOIN sitting ON sitting.id = item.sitting_id AND sitting.kind IN ('practice', 'review', 'free')
		LEFT JOIN practice_set ON practice_set.id = sitting.set_id
		JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position AND answer.attempt <= 2
		WHERE item.sitting_id = ? AND item.position IN (?) AND item.help <> 'told later'
			AND COALESCE(practice_set.solutions, TRUE)
		GROUP BY item.position
		HAVING COUNT(*) = 2 OR MAX(answer.correct) OR MAX(item.help = 'one try')`,
		[sittingId, positions]
	);
}

/** Questions of a practice sitting, among some, that were answered wrongly at first and wait for a second try. */
export async function firstMisses(
	database: Database,
	sittingId: number,
	positions: number[]
): Promise<(ItemKey & { position: number; misconception: string | null })[]> {
	return database.rows(
		`SELECT item.position, item.family_id AS familyId, item.seed, item.edition, MAX(answer.misconception) AS misconception
		FROM sitting_item AS item
		JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position
		WHERE item.sitting_id = ? AND item.position IN (?) AND item.help = 'second try'
		GROUP BY item.position, item.family_id, item.seed, item.edition
		HAVING COUNT(*) = 1 AND NOT MAX(answer.correct)`,
		[sittingId, positions]
	);
}
