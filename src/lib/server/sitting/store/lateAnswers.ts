import type { Given, ItemKey } from '../../../core/items';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import type { ClosedBy } from './closings';
import type { SittingKind } from '../../../core/measurement';

/** An answer that came after its work was closed, though the device says that it was given before. */
interface LateAnswer extends ItemKey {
	kind: SittingKind;
	skillId: number;
	response: Given;
	correct: boolean;
	/** By the device's clock. */
	answeredAt: Date;
	receivedAt: Date;
	closedBy: ClosedBy;
}

/** Answers of a student that were kept aside, the newest first. */
export async function lateAnswers(database: Database, studentId: VisibleId): Promise<LateAnswer[]> {
	const rows = await database.rows<Omit<LateAnswer, 'response'> & { response: string }>(
		`SELECT sitting.kind, item.skill_id AS skillId, item.family_id AS familyId, item.seed, item.edition,
			late.response, late.correct,
			late.answered_at AS answeredAt, late.received_at AS receivedAt, late.closed_by AS closedBy
		FROM late_answer AS late
		JOIN sitting ON sitting.id = late.sitting_id
		JOIN sitting_item AS item ON item.sitting_id = late.sitting_id AND item.position = late.position
		WHERE late.student_id = ?
		ORDER BY late.received_at DESC, late.answered_at DESC LIMIT 60`,
		[studentId]
	);
	return rows.map((row) => ({ ...row, response: JSON.parse(row.response) }));
}

/** How many answers of a student were kept aside. */
export async function countLateAnswers(database: Database, studentId: VisibleId): Promise<number> {
	const row = await database.row<{ count: number }>('SELECT COUNT(*) AS count FROM late_answer WHERE student_id = ?', [
		studentId
	]);
	return Number(row!.count);
}
