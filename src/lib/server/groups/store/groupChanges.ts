import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { refreshStudents } from '../../standing';
import { forgetReadingsOf } from '../../track';
import { isProbedSince, takeCarriedBack } from './carriedPlans';
import { carryOut, type ChangeDetail, type GroupDeed, type LockedGroup } from './groupDeeds';
import { restoreGroupWork } from './leaving';

/** A group of the school, held until the transaction ends; null where there is none. */
export async function lockGroup(transaction: Database, staff: Staff, groupId: number): Promise<LockedGroup | null> {
	return transaction.row<LockedGroup>(
		`SELECT id, name, slot_id AS slotId, starts_on AS startsOn, ends_on AS endsOn FROM small_group
		WHERE id = ? AND school_id = ? FOR UPDATE`,
		[groupId, staff.schoolId]
	);
}

/**
 * Does a deed within a transaction that is under way, and keeps what it takes to undo it.
 *
 * @returns id of the change; null when there is no such group, nothing to do, or its time is another group's by then
 */
export async function changeWithin(
	transaction: Database,
	staff: Staff,
	groupId: number,
	deed: GroupDeed,
	reason: string,
	at: Date
): Promise<number | null> {
	await requireOwn(transaction, staff, {
		student: deed.kind === 'join' ? deed.studentIds : [],
		skill: deed.kind === 'focus' ? [deed.skillId] : [],
		group: deed.kind === 'leave' && deed.to ? [deed.to.groupId] : []
	});
	const group = await lockGroup(transaction, staff, groupId);
	const detail = group && (await carryOut(transaction, group, deed));
	if (!detail) return null;
	const { insertId } = await transaction.run(
		`INSERT INTO group_change (group_id, kind, effective_on, detail, reason, changed_by, changed_at)
		VALUES (?, ?, ?, ?, ?, ?, ?)`,
		[groupId, deed.kind, deed.on, JSON.stringify(detail), reason, staff.id, at]
	);
	await audit(transaction, staff, at, `group: ${deed.kind}`, { group: groupId, ...deed, reason });
	return insertId;
}

/** Does a deed to a group of this school. @returns id of the change; null when nothing was changed */
export function changeGroup(
	database: RootDatabase,
	staff: Staff,
	groupId: number,
	deed: GroupDeed,
	reason: string,
	at: Date
): Promise<number | null> {
	return database.transaction((transaction) => changeWithin(transaction, staff, groupId, deed, reason, at));
}

/**
 * Undoes a change within a transaction that is under way.
 *
 * @returns false when there is none, a later change of the group builds on it, a review that it set has its verdict, or a probe
 *   of a plan that it began was taken
 */
export async function undoWithin(transaction: Database, staff: Staff, changeId: number, at: Date): Promise<boolean> {
	const change = await transaction.row<{ groupId: number; kind: GroupDeed['kind']; detail: string }>(
		`SELECT change_.group_id AS groupId, change_.kind, change_.detail
		FROM group_change AS change_ JOIN small_group ON small_group.id = change_.group_id
		WHERE change_.id = ? AND small_group.school_id = ? AND change_.undone_at IS NULL FOR UPDATE`,
		[changeId, staff.schoolId]
	);
	if (!change) return false;
	const later = await transaction.row<{ id: number }>(
		'SELECT id FROM group_change WHERE group_id = ? AND id > ? AND undone_at IS NULL LIMIT 1',
		[change.groupId, changeId]
	);
	if (later) return false;
	const detail: ChangeDetail = JSON.parse(change.detail);
	const { added, memberships, pause, focus, endsOn, name, slotId } = detail;
	if (detail.carried && (await isProbedSince(transaction, detail.carried))) return false;
	// Of a move, joining the other group first: where something rests on that, nothing is undone.
	if (detail.joined && !(await undoWithin(transaction, staff, detail.joined, at))) return false;
	if (detail.carried) await takeCarriedBack(transaction, detail.carried);
	await forgetReadingsOf(transaction, detail.studentIds ?? []);
	if (added?.reviews?.length) {
		const decided = await transaction.row<{ id: number }>(
			'SELECT id FROM review WHERE id IN (?) AND verdict IS NOT NULL LIMIT 1',
			[added.reviews]
		);
		if (decided) return false;
		const reviewed = await transaction.rows<{ studentId: number }>(
			'SELECT student_id AS studentId FROM review WHERE id IN (?)',
			[added.reviews]
		);
		await transaction.run('DELETE FROM review WHERE id IN (?)', [added.reviews]);
		await refreshStudents(
			transaction,
			reviewed.map(({ studentId }) => studentId)
		);
	}
	if (added?.memberships?.length)
		await transaction.run('DELETE FROM group_membership WHERE id IN (?)', [added.memberships]);
	if (added?.focus) await transaction.run('DELETE FROM group_focus WHERE id = ?', [added.focus]);
	if (added?.pause) await transaction.run('DELETE FROM group_pause WHERE id = ?', [added.pause]);
	for (const { id, untilOn } of memberships ?? [])
		await transaction.run('UPDATE group_membership SET until_on = ? WHERE id = ?', [untilOn, id]);
	if (detail.ended) await restoreGroupWork(transaction, detail.ended, detail.studentIds ?? []);
	if (pause) await transaction.run('UPDATE group_pause SET until_on = ? WHERE id = ?', [pause.untilOn, pause.id]);
	if (focus) await transaction.run('UPDATE group_focus SET skill_id = ? WHERE id = ?', [focus.skillId, focus.id]);
	if (endsOn) await transaction.run('UPDATE small_group SET ends_on = ? WHERE id = ?', [endsOn, change.groupId]);
	if (name !== undefined) await transaction.run('UPDATE small_group SET name = ? WHERE id = ?', [name, change.groupId]);
	if (slotId) await transaction.run('UPDATE small_group SET slot_id = ? WHERE id = ?', [slotId, change.groupId]);
	await transaction.run('UPDATE group_change SET undone_at = ? WHERE id = ?', [at, changeId]);
	await audit(transaction, staff, at, `undo group: ${change.kind}`, { group: change.groupId, change: changeId });
	return true;
}

export function undoChange(database: RootDatabase, staff: Staff, changeId: number, at: Date): Promise<boolean> {
	return database.transaction((transaction) => undoWithin(transaction, staff, changeId, at));
}
