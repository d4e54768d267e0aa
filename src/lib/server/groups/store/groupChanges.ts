import { addDays, type SchoolDate } from '../../../core/calendar';
import { refreshStudents } from '../../standing';
import { endGroupWork, restoreGroupWork, type EndedWork } from './leaving';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** What can be done to a group that is there. Days are those from which it holds. */
export type GroupDeed =
	| { kind: 'focus'; skillId: number; on: SchoolDate }
	| { kind: 'join'; studentIds: number[]; helps?: boolean; reviewOn: SchoolDate; on: SchoolDate }
	/** `to` is the group that they move to, with the skill it works on. */
	| { kind: 'leave'; studentIds: number[]; to?: { groupId: number; skillId: number }; on: SchoolDate }
	/** Up to, not including, `untilOn`; open when null. */
	| { kind: 'pause'; untilOn: SchoolDate | null; on: SchoolDate }
	| { kind: 'resume'; on: SchoolDate }
	/** `on` is the new last day. */
	| { kind: 'end'; on: SchoolDate }
	| { kind: 'rename'; name: string; on: SchoolDate };

/** What it takes to undo a deed, as it is stored. */
export interface ChangeDetail {
	/** Rows that were added. */
	added?: { focus?: number; pause?: number; memberships?: number[]; reviews?: number[] };
	/** Ends that were moved, as they were before. */
	memberships?: { id: number; untilOn: SchoolDate | null }[];
	pause?: { id: number; untilOn: SchoolDate | null };
	focus?: { id: number; skillId: number };
	endsOn?: SchoolDate;
	name?: string;
	/** What leaving ended of probes, practice and reviews. */
	ended?: EndedWork;
	/** Of a move: the change by which they joined the other group. */
	joined?: number;
	/** For the history: who joined or left, the skill that followed. */
	studentIds?: number[];
	skillId?: number;
	untilOn?: SchoolDate | null;
}

interface LockedGroup {
	id: number;
	name: string;
	slotId: number;
	startsOn: SchoolDate;
	endsOn: SchoolDate;
}

/** A group of the school, held until the transaction ends; null where there is none. */
export async function lockGroup(transaction: Database, staff: Staff, groupId: number): Promise<LockedGroup | null> {
	return transaction.row<LockedGroup>(
		`SELECT id, name, slot_id AS slotId, starts_on AS startsOn, ends_on AS endsOn FROM small_group
		WHERE id = ? AND school_id = ? FOR UPDATE`,
		[groupId, staff.schoolId]
	);
}

/** Memberships of a group that reach beyond a day, of all or of some students. */
export async function membershipsPast(transaction: Database, groupId: number, day: SchoolDate, studentIds?: number[]) {
	return transaction.rows<{ id: number; studentId: number; untilOn: SchoolDate | null }>(
		`SELECT id, student_id AS studentId, until_on AS untilOn FROM group_membership
		WHERE group_id = ? AND (until_on IS NULL OR until_on > ?) ${studentIds ? 'AND student_id IN (?)' : ''}
		ORDER BY id FOR UPDATE`,
		[groupId, day, ...(studentIds ? [studentIds] : [])]
	);
}

/** Whether another group has the meeting time of a group between its last day and a later one. */
async function isTaken(
	transaction: Database,
	{ id, slotId, endsOn }: LockedGroup,
	until: SchoolDate
): Promise<boolean> {
	// Whoever else would give the time away waits until this is decided.
	await transaction.rows('SELECT id FROM slot WHERE id = ? FOR UPDATE', [slotId]);
	const other = await transaction.row<{ id: number }>(
		'SELECT id FROM small_group WHERE slot_id = ? AND id <> ? AND starts_on <= ? AND ends_on > ? LIMIT 1',
		[slotId, id, until, endsOn]
	);
	return other !== null;
}

/** Does a deed. @returns what it takes to undo it; null when there is nothing to do */
async function carryOut(transaction: Database, group: LockedGroup, deed: GroupDeed): Promise<ChangeDetail | null> {
	const { id } = group;
	switch (deed.kind) {
		case 'focus': {
			// Two changes of the focus on one day are one: the later.
			const sameDay = await transaction.row<{ id: number; skillId: number }>(
				'SELECT id, skill_id AS skillId FROM group_focus WHERE group_id = ? AND from_on = ? FOR UPDATE',
				[id, deed.on]
			);
			if (sameDay?.skillId === deed.skillId) return null;
			if (sameDay) {
				await transaction.run('UPDATE group_focus SET skill_id = ? WHERE id = ?', [deed.skillId, sameDay.id]);
				return { focus: sameDay, skillId: deed.skillId };
			}
			const { insertId } = await transaction.run(
				'INSERT INTO group_focus (group_id, skill_id, from_on) VALUES (?, ?, ?)',
				[id, deed.skillId, deed.on]
			);
			return { added: { focus: insertId }, skillId: deed.skillId };
		}
		case 'join': {
			const already = await membershipsPast(transaction, id, deed.on, deed.studentIds);
			const fresh = deed.studentIds.filter((one) => !already.some(({ studentId }) => studentId === one));
			if (fresh.length === 0) return null;
			const memberships: number[] = [];
			const reviews: number[] = [];
			for (const studentId of fresh) {
				const member = await transaction.run(
					'INSERT INTO group_membership (group_id, student_id, from_on, until_on, helps) VALUES (?, ?, ?, ?, ?)',
					[id, studentId, deed.on, addDays(group.endsOn, 1), deed.helps ?? false]
				);
				memberships.push(member.insertId);
				if (deed.helps) continue;
				const review = await transaction.run('INSERT INTO review (student_id, group_id, due_on) VALUES (?, ?, ?)', [
					studentId,
					id,
					deed.reviewOn
				]);
				reviews.push(review.insertId);
			}
			await refreshStudents(transaction, fresh);
			return { added: { memberships, reviews }, studentIds: fresh };
		}
		case 'leave': {
			const own = await membershipsPast(transaction, id, deed.on, deed.studentIds);
			if (own.length === 0) return null;
			await transaction.run('UPDATE group_membership SET until_on = GREATEST(?, from_on) WHERE id IN (?)', [
				deed.on,
				own.map((one) => one.id)
			]);
			const studentIds = own.map(({ studentId }) => studentId);
			return {
				memberships: own.map(({ id: membership, untilOn }) => ({ id: membership, untilOn })),
				ended: await endGroupWork(transaction, id, studentIds, deed.on, deed.to ?? null),
				studentIds
			};
		}
		case 'pause': {
			const { insertId } = await transaction.run(
				'INSERT INTO group_pause (group_id, from_on, until_on) VALUES (?, ?, ?)',
				[id, deed.on, deed.untilOn]
			);
			return { added: { pause: insertId }, untilOn: deed.untilOn };
		}
		case 'resume': {
			const pause = await transaction.row<{ id: number; untilOn: SchoolDate | null }>(
				`SELECT id, until_on AS untilOn FROM group_pause
				WHERE group_id = ? AND from_on <= ? AND (until_on IS NULL OR until_on > ?) ORDER BY from_on DESC LIMIT 1 FOR UPDATE`,
				[id, deed.on, deed.on]
			);
			if (!pause) return null;
			await transaction.run('UPDATE group_pause SET until_on = ? WHERE id = ?', [deed.on, pause.id]);
			return { pause };
		}
		case 'end': {
			const after = addDays(deed.on, 1);
			if (deed.on > group.endsOn && (await isTaken(transaction, group, deed.on))) return null;
			// Who was in it to the end stays to the new end; who left before does not come back.
			const own = await membershipsPast(transaction, id, deed.on < group.endsOn ? after : group.endsOn);
			if (own.length)
				await transaction.run('UPDATE group_membership SET until_on = GREATEST(?, from_on) WHERE id IN (?)', [
					after,
					own.map((one) => one.id)
				]);
			await transaction.run('UPDATE small_group SET ends_on = ? WHERE id = ?', [deed.on, id]);
			return {
				endsOn: group.endsOn,
				memberships: own.map(({ id: membership, untilOn }) => ({ id: membership, untilOn }))
			};
		}
		case 'rename':
			await transaction.run('UPDATE small_group SET name = ? WHERE id = ?', [deed.name, id]);
			return { name: group.name };
	}
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
 * @returns false when there is none, a later change of the group builds on it, or a review that it set has its verdict
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
	const { added, memberships, pause, focus, endsOn, name } = detail;
	// Of a move, joining the other group first: where something rests on that, nothing is undone.
	if (detail.joined && !(await undoWithin(transaction, staff, detail.joined, at))) return false;
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
	await transaction.run('UPDATE group_change SET undone_at = ? WHERE id = ?', [at, changeId]);
	await audit(transaction, staff, at, `undo group: ${change.kind}`, { group: change.groupId, change: changeId });
	return true;
}

export function undoChange(database: RootDatabase, staff: Staff, changeId: number, at: Date): Promise<boolean> {
	return database.transaction((transaction) => undoWithin(transaction, staff, changeId, at));
}
