import { addDays, type SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import { refreshStudents } from '../../standing';
import { forgetReadingsOf } from '../../track';
import { type CarriedPlans, carryToEnd, carryToFocus, carryToJoining } from './carriedPlans';
import { endGroupWork, type EndedWork } from './leaving';

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
	| { kind: 'rename'; name: string; on: SchoolDate }
	/** To a meeting time of another adult. */
	| { kind: 'hand over'; slotId: number; heldBy: string; on: SchoolDate };

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
	/** The meeting time before, and whose it was. */
	slotId?: number;
	heldBy?: string;
	/** What leaving ended of probes, practice and reviews. */
	ended?: EndedWork;
	/** What became of weekly probes with it. */
	carried?: CarriedPlans;
	/** Of a move: the change by which they joined the other group. */
	joined?: number;
	/** For the history: who joined or left, the skill that followed. */
	studentIds?: number[];
	skillId?: number;
	untilOn?: SchoolDate | null;
}

export interface LockedGroup {
	id: number;
	name: string;
	slotId: number;
	startsOn: SchoolDate;
	endsOn: SchoolDate;
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

/** What it takes to undo a deed; null where there was nothing to do. */
type Done = Promise<ChangeDetail | null>;
type Deed<Kind extends GroupDeed['kind']> = Extract<GroupDeed, { kind: Kind }>;

/** The focus from a day on. Two changes on one day are one: the later. */
async function changeFocus(transaction: Database, { id }: LockedGroup, deed: Deed<'focus'>): Done {
	const sameDay = await transaction.row<{ id: number; skillId: number }>(
		'SELECT id, skill_id AS skillId FROM group_focus WHERE group_id = ? AND from_on = ? FOR UPDATE',
		[id, deed.on]
	);
	if (sameDay?.skillId === deed.skillId) return null;
	const carried = await carryToFocus(transaction, id, deed.skillId, deed.on);
	if (sameDay) {
		await transaction.run('UPDATE group_focus SET skill_id = ? WHERE id = ?', [deed.skillId, sameDay.id]);
		return { focus: sameDay, skillId: deed.skillId, carried };
	}
	const { insertId } = await transaction.run('INSERT INTO group_focus (group_id, skill_id, from_on) VALUES (?, ?, ?)', [
		id,
		deed.skillId,
		deed.on
	]);
	return { added: { focus: insertId }, skillId: deed.skillId, carried };
}

/** Lets students in who are not members yet, with a first review for those who do not help. */
async function letIn(transaction: Database, group: LockedGroup, deed: Deed<'join'>): Done {
	const already = await membershipsPast(transaction, group.id, deed.on, deed.studentIds);
	const fresh = deed.studentIds.filter((one) => !already.some(({ studentId }) => studentId === one));
	if (fresh.length === 0) return null;
	const memberships: number[] = [];
	const reviews: number[] = [];
	for (const studentId of fresh) {
		const member = await transaction.run(
			'INSERT INTO group_membership (group_id, student_id, from_on, until_on, helps) VALUES (?, ?, ?, ?, ?)',
			[group.id, studentId, deed.on, addDays(group.endsOn, 1), deed.helps ?? false]
		);
		memberships.push(member.insertId);
		if (deed.helps) continue;
		const review = await transaction.run('INSERT INTO review (student_id, group_id, due_on) VALUES (?, ?, ?)', [
			studentId,
			group.id,
			deed.reviewOn
		]);
		reviews.push(review.insertId);
	}
	await forgetReadingsOf(transaction, fresh);
	const carried = deed.helps ? undefined : await carryToJoining(transaction, group.id, fresh, deed.on);
	await refreshStudents(transaction, fresh);
	return { added: { memberships, reviews }, studentIds: fresh, carried };
}

/** Ends memberships, and what the group had waiting for those students. */
async function letOut(transaction: Database, { id }: LockedGroup, deed: Deed<'leave'>): Done {
	const own = await membershipsPast(transaction, id, deed.on, deed.studentIds);
	if (own.length === 0) return null;
	await transaction.run('UPDATE group_membership SET until_on = GREATEST(?, from_on) WHERE id IN (?)', [
		deed.on,
		own.map((one) => one.id)
	]);
	const studentIds = own.map(({ studentId }) => studentId);
	await forgetReadingsOf(transaction, studentIds);
	return {
		memberships: own.map(({ id: membership, untilOn }) => ({ id: membership, untilOn })),
		ended: await endGroupWork(transaction, id, studentIds, deed.on, deed.to ?? null),
		studentIds
	};
}

/** Stops the meetings for a while. */
async function pause(transaction: Database, { id }: LockedGroup, deed: Deed<'pause'>): Done {
	const { insertId } = await transaction.run('INSERT INTO group_pause (group_id, from_on, until_on) VALUES (?, ?, ?)', [
		id,
		deed.on,
		deed.untilOn
	]);
	return { added: { pause: insertId }, untilOn: deed.untilOn };
}

/** Ends the pause of a day. */
async function resume(transaction: Database, { id }: LockedGroup, deed: Deed<'resume'>): Done {
	const pause = await transaction.row<{ id: number; untilOn: SchoolDate | null }>(
		`SELECT id, until_on AS untilOn FROM group_pause
		WHERE group_id = ? AND from_on <= ? AND (until_on IS NULL OR until_on > ?) ORDER BY from_on DESC LIMIT 1 FOR UPDATE`,
		[id, deed.on, deed.on]
	);
	if (!pause) return null;
	await transaction.run('UPDATE group_pause SET until_on = ? WHERE id = ?', [deed.on, pause.id]);
	return { pause };
}

/** Ends the group on another day. Who was in it to the end stays to the new end; who left before does not come back. */
async function setEnd(transaction: Database, group: LockedGroup, deed: Deed<'end'>): Done {
	const after = addDays(deed.on, 1);
	if (deed.on > group.endsOn && (await isTaken(transaction, group, deed.on))) return null;
	const own = await membershipsPast(transaction, group.id, deed.on < group.endsOn ? after : group.endsOn);
	if (own.length)
		await transaction.run('UPDATE group_membership SET until_on = GREATEST(?, from_on) WHERE id IN (?)', [
			after,
			own.map((one) => one.id)
		]);
	await transaction.run('UPDATE small_group SET ends_on = ? WHERE id = ?', [deed.on, group.id]);
	return {
		endsOn: group.endsOn,
		carried: await carryToEnd(transaction, group.id, group.endsOn, deed.on),
		memberships: own.map(({ id: membership, untilOn }) => ({ id: membership, untilOn }))
	};
}

/** Gives the group another name. */
async function rename(transaction: Database, group: LockedGroup, deed: Deed<'rename'>): Done {
	await transaction.run('UPDATE small_group SET name = ? WHERE id = ?', [deed.name, group.id]);
	return { name: group.name };
}

/** Lets the group meet with another adult. */
async function handOver(transaction: Database, group: LockedGroup, { slotId, heldBy }: Deed<'hand over'>): Done {
	await transaction.run('UPDATE small_group SET slot_id = ? WHERE id = ?', [slotId, group.id]);
	return { slotId: group.slotId, heldBy };
}

/** Does a deed to a group that is locked. */
export function carryOut(transaction: Database, group: LockedGroup, deed: GroupDeed): Done {
	switch (deed.kind) {
		case 'focus':
			return changeFocus(transaction, group, deed);
		case 'join':
			return letIn(transaction, group, deed);
		case 'leave':
			return letOut(transaction, group, deed);
		case 'pause':
			return pause(transaction, group, deed);
		case 'resume':
			return resume(transaction, group, deed);
		case 'end':
			return setEnd(transaction, group, deed);
		case 'rename':
			return rename(transaction, group, deed);
		case 'hand over':
			return handOver(transaction, group, deed);
	}
}
