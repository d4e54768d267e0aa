import type { SchoolDate } from '../../../core/calendar';
import type { RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { changeWithin, lockGroup } from './groupChanges';
import { membershipsPast } from './groupDeeds';

/** Students who move from one group to another, on a day. */
export interface Move {
	from: number;
	to: { groupId: number; skillId: number };
	studentIds: number[];
	on: SchoolDate;
	/** Their first review in the other group. */
	reviewOn: SchoolDate;
}

/**
 * Moves students to another group, as one change: undoing it brings them back.
 *
 * @returns id of the change; null when they are not in the one, or are in the other already
 */
export async function moveStudents(
	database: RootDatabase,
	staff: Staff,
	{ from, to, studentIds, on, reviewOn }: Move,
	reason: string,
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		// Both are held in order of their numbers, so that two moves that cross do not wait for each other.
		for (const id of [from, to.groupId].sort((a, b) => a - b)) await lockGroup(transaction, staff, id);
		const already = await membershipsPast(transaction, to.groupId, on, studentIds);
		if (already.length > 0) return null;
		const left = await changeWithin(transaction, staff, from, { kind: 'leave', studentIds, to, on }, reason, at);
		if (left === null) return null;
		const join = { kind: 'join', studentIds, reviewOn, on } as const;
		const joined = await changeWithin(transaction, staff, to.groupId, join, reason, at);
		await transaction.run(`UPDATE group_change SET detail = JSON_SET(detail, '$.joined', ?) WHERE id = ?`, [
			joined,
			left
		]);
		return left;
	});
}
