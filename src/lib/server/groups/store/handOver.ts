import type { SchoolDate } from '../../../core/calendar';
import { type Database, NotDone, requireOwn } from '../../database';
import type { Staff } from '../../request';
import { changeWithin, undoWithin } from './groupChanges';

/** Meeting times that went to another adult, and the changes of the groups that meet at them. */
export interface HandedTimes {
	/** Each with the one that took its place. */
	slots: { ended: number; begun: number }[];
	changes: number[];
}

/**
 * Lets another adult hold meeting times from a day on, with the groups that meet at them on that day or later. Groups that
 * ended before keep the time that was.
 *
 * @throws NotDone when one of them is not in use any more
 */
export async function handOverTimes(
	transaction: Database,
	staff: Staff,
	{ slotIds, toId }: { slotIds: number[]; toId: number },
	{ on, at }: { on: SchoolDate; at: Date }
): Promise<HandedTimes> {
	await requireOwn(transaction, staff, { staff: [toId] });
	const handed: HandedTimes = { slots: [], changes: [] };
	for (const slotId of slotIds) {
		const slot = await transaction.row<{ heldBy: string }>(
			`SELECT account.display_name AS heldBy FROM slot JOIN account ON account.id = slot.staff_id
			WHERE slot.id = ? AND account.school_id = ? AND slot.ended_on IS NULL FOR UPDATE`,
			[slotId, staff.schoolId]
		);
		if (!slot) throw new NotDone();
		const { insertId: begun } = await transaction.run(
			`INSERT INTO slot (staff_id, days, starts_at, minutes, room, tier)
			SELECT ?, days, starts_at, minutes, room, tier FROM slot WHERE id = ?`,
			[toId, slotId]
		);
		const groups = await transaction.rows<{ id: number }>(
			'SELECT id FROM small_group WHERE slot_id = ? AND ends_on >= ? ORDER BY id',
			[slotId, on]
		);
		for (const { id } of groups) {
			const deed = { kind: 'hand over', slotId: begun, heldBy: slot.heldBy, on } as const;
			handed.changes.push((await changeWithin(transaction, staff, id, deed, '', at))!);
		}
		await transaction.run('UPDATE slot SET ended_on = ? WHERE id = ?', [on, slotId]);
		handed.slots.push({ ended: slotId, begun });
	}
	return handed;
}

/**
 * Gives meeting times back to who held them.
 *
 * @throws NotDone when a group has changed since, or another was formed at one of these times
 */
export async function takeTimesBack(
	transaction: Database,
	staff: Staff,
	{ slots, changes }: HandedTimes,
	at: Date
): Promise<void> {
	for (const change of changes) if (!(await undoWithin(transaction, staff, change, at))) throw new NotDone();
	for (const { ended, begun } of slots) {
		const taken = await transaction.row('SELECT 1 FROM small_group WHERE slot_id = ? LIMIT 1', [begun]);
		const back = await transaction.run(
			`UPDATE slot JOIN account ON account.id = slot.staff_id SET slot.ended_on = NULL
			WHERE slot.id = ? AND account.school_id = ? AND slot.ended_on IS NOT NULL`,
			[ended, staff.schoolId]
		);
		if (taken || !back.affected) throw new NotDone();
		await transaction.run(
			'DELETE slot FROM slot JOIN account ON account.id = slot.staff_id WHERE slot.id = ? AND account.school_id = ?',
			[begun, staff.schoolId]
		);
	}
}
