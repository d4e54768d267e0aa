import type { SchoolDate } from '../../../../core/calendar';
import {
	bitsOf,
	daysOf,
	releasing,
	type BlockKind,
	type ClassBlock,
	type WeeklyTime
} from '../../../../core/timetable';
import { audit, type Database, requireOwn, type RootDatabase } from '../../../database';
import { sectionMembers } from '../../../people';
import { may, type Staff } from '../../../request';

/** A staff member at a weekly meeting time. */
export interface Slot extends WeeklyTime {
	id: number;
	staffId: number;
	staffName: string;
	room: string;
	tier: 2 | 3 | null;
}

/** A meeting time with the classes that can release students then, sections among them. */
export interface ReleasingSlot extends Slot {
	classIds: number[];
	/** Students whom a section does not release then. */
	keptIds: number[];
}

/** Before any day of a school here. */
const EVER = '1970-01-01';

/** Meeting times in use on a day or later, or without a day all there ever were. */
export async function slotList(database: Database, schoolId: number, since: SchoolDate = EVER): Promise<Slot[]> {
	const slots = await database.rows<Omit<Slot, 'days'> & { days: number }>(
		`SELECT slot.id, slot.staff_id AS staffId, account.display_name AS staffName, slot.days,
			TIME_FORMAT(slot.starts_at, '%H:%i') AS startsAt, slot.minutes, slot.room, slot.tier
		FROM slot JOIN account ON account.id = slot.staff_id
		WHERE account.school_id = ? AND (slot.ended_on IS NULL OR slot.ended_on > ?)
		ORDER BY slot.staff_id, slot.days, slot.starts_at, slot.id`,
		[schoolId, since]
	);
	return slots.map((slot) => ({ ...slot, days: daysOf(slot.days) }));
}

/** Meeting times in use on a day or later, each with the classes that can release students at it. */
export async function releasingSlots(
	database: Database,
	schoolId: number,
	since: SchoolDate
): Promise<ReleasingSlot[]> {
	const [slots, blocks, members, classes] = await Promise.all([
		slotList(database, schoolId, since),
		classBlocks(database, schoolId),
		sectionMembers(database, schoolId, since),
		database.rows<{ id: number }>('SELECT id FROM class WHERE school_id = ? ORDER BY id', [schoolId])
	]);
	const classIds = classes.map(({ id }) => id);
	return slots.map((slot) => {
		const released = releasing(slot, classIds, blocks);
		const keeping = [...members].filter(([id]) => !released.includes(id));
		return { ...slot, classIds: released, keptIds: keeping.flatMap(([, students]) => students) };
	});
}

interface StoredBlock extends ClassBlock {
	id: number;
}

/** When the classes of a school release nobody, class by class through the week. */
export async function classBlocks(database: Database, schoolId: number): Promise<StoredBlock[]> {
	const rows = await database.rows<Omit<StoredBlock, 'days'> & { days: number }>(
		`SELECT block.id, block.class_id AS classId, block.kind, block.days,
			TIME_FORMAT(block.starts_at, '%H:%i') AS startsAt, block.minutes
		FROM class_block AS block JOIN class ON class.id = block.class_id
		WHERE class.school_id = ?
		ORDER BY block.class_id, block.starts_at, block.days`,
		[schoolId]
	);
	return rows.map((row) => ({ ...row, days: daysOf(row.days) }));
}

export interface NewSlot extends WeeklyTime {
	staffId: number;
	room: string;
	tier: 2 | 3 | null;
}

/** Adds meeting times. @returns their ids */
export async function addSlots(database: RootDatabase, staff: Staff, slots: NewSlot[], at: Date): Promise<number[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { staff: slots.map(({ staffId }) => staffId) });
		const ids: number[] = [];
		for (const { staffId, days, startsAt, minutes, room, tier } of slots) {
			const { insertId } = await transaction.run(
				'INSERT INTO slot (staff_id, days, starts_at, minutes, room, tier) VALUES (?, ?, ?, ?, ?, ?)',
				[staffId, bitsOf(days), startsAt, minutes, room, tier]
			);
			ids.push(insertId);
		}
		await audit(transaction, staff, at, 'add meeting times', { slots: ids });
		return ids;
	});
}

/**
 * Ends a meeting time from a day on.
 *
 * @returns false when there is no such time, or a group meets at it on or after that day
 */
export async function endSlot(
	database: RootDatabase,
	staff: Staff,
	slotId: number,
	from: SchoolDate,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const slot = await transaction.row<{ id: number }>(
			`SELECT slot.id FROM slot JOIN account ON account.id = slot.staff_id
			WHERE slot.id = ? AND account.school_id = ? AND slot.ended_on IS NULL FOR UPDATE`,
			[slotId, staff.schoolId]
		);
		const used = await transaction.row<{ id: number }>(
			'SELECT id FROM small_group WHERE slot_id = ? AND ends_on >= ? LIMIT 1',
			[slotId, from]
		);
		if (!slot || used) return false;
		await transaction.run('UPDATE slot SET ended_on = ? WHERE id = ?', [from, slotId]);
		await audit(transaction, staff, at, 'end a meeting time', { slot: slotId, from });
		return true;
	});
}

/** Takes ending meeting times back. @returns how many were changed */
export async function restoreSlots(database: RootDatabase, staff: Staff, slotIds: number[], at: Date): Promise<number> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE slot JOIN account ON account.id = slot.staff_id SET slot.ended_on = NULL
			WHERE slot.id IN (?) AND account.school_id = ? AND slot.ended_on IS NOT NULL`,
			[slotIds, staff.schoolId]
		);
		if (affected) await audit(transaction, staff, at, 'undo end a meeting time', { slots: slotIds });
		return affected;
	});
}

/** Takes meeting times out that were just added. @returns how many; those at which a group meets stay */
export async function removeSlots(database: RootDatabase, staff: Staff, slotIds: number[], at: Date): Promise<number> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`DELETE slot FROM slot JOIN account ON account.id = slot.staff_id
			WHERE slot.id IN (?) AND account.school_id = ?
				AND NOT EXISTS (SELECT 1 FROM small_group WHERE small_group.slot_id = slot.id)`,
			[slotIds, staff.schoolId]
		);
		if (affected) await audit(transaction, staff, at, 'undo add meeting times', { slots: slotIds });
		return affected;
	});
}

/** Adds times at which classes release nobody. @returns their ids */
export async function addBlocks(
	database: RootDatabase,
	staff: Staff,
	blocks: (WeeklyTime & { classId: number; kind: BlockKind })[],
	at: Date
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { class: blocks.map(({ classId }) => classId) });
		const ids: number[] = [];
		for (const { classId, kind, days, startsAt, minutes } of blocks) {
			const { insertId } = await transaction.run(
				'INSERT INTO class_block (class_id, kind, days, starts_at, minutes) VALUES (?, ?, ?, ?, ?)',
				[classId, kind, bitsOf(days), startsAt, minutes]
			);
			ids.push(insertId);
		}
		await audit(transaction, staff, at, 'block class times', { blocks: ids });
		return ids;
	});
}

/** Takes blocks of this school out. @returns those that were there, so that they can be put back */
export async function removeBlocks(
	database: RootDatabase,
	staff: Staff,
	ids: number[],
	at: Date
): Promise<StoredBlock[]> {
	return database.transaction(async (transaction) => {
		const own = (await classBlocks(transaction, staff.schoolId)).filter(({ id }) => ids.includes(id));
		if (own.length === 0) return [];
		await transaction.run('DELETE FROM class_block WHERE id IN (?)', [own.map(({ id }) => id)]);
		await audit(transaction, staff, at, 'release class times', { blocks: own });
		return own;
	});
}

/** Days on which a staff member is away, up to but not including `untilOn`. */
interface StaffAbsence {
	id: number;
	staffId: number;
	staffName: string;
	fromOn: SchoolDate;
	untilOn: SchoolDate;
	note: string;
}

/** Absences that have not ended by a day, or without one all, the earliest first. Why, those who plan the timetable read. */
export async function staffAbsences(
	database: Database,
	staff: Staff,
	since: SchoolDate = EVER
): Promise<StaffAbsence[]> {
	const rows = await database.rows<StaffAbsence>(
		`SELECT absence.id, absence.staff_id AS staffId, account.display_name AS staffName, absence.from_on AS fromOn,
			absence.until_on AS untilOn, absence.note
		FROM staff_absence AS absence JOIN account ON account.id = absence.staff_id
		WHERE account.school_id = ? AND absence.until_on > ?
		ORDER BY absence.from_on, absence.id`,
		[staff.schoolId, since]
	);
	return may(staff.role, 'plan the timetable') ? rows : rows.map((row) => ({ ...row, note: '' }));
}

export async function addAbsences(
	database: RootDatabase,
	staff: Staff,
	absences: Omit<StaffAbsence, 'id' | 'staffName'>[],
	at: Date
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { staff: absences.map(({ staffId }) => staffId) });
		const ids: number[] = [];
		for (const { staffId, fromOn, untilOn, note } of absences) {
			const { insertId } = await transaction.run(
				'INSERT INTO staff_absence (staff_id, from_on, until_on, note) VALUES (?, ?, ?, ?)',
				[staffId, fromOn, untilOn, note]
			);
			ids.push(insertId);
		}
		await audit(transaction, staff, at, 'note staff absence', { absences: ids });
		return ids;
	});
}

/** @returns the absences that were there and are gone */
export async function removeAbsences(
	database: RootDatabase,
	staff: Staff,
	ids: number[],
	at: Date
): Promise<StaffAbsence[]> {
	return database.transaction(async (transaction) => {
		const own = (await staffAbsences(transaction, staff)).filter(({ id }) => ids.includes(id));
		if (own.length === 0) return [];
		await transaction.run('DELETE FROM staff_absence WHERE id IN (?)', [own.map(({ id }) => id)]);
		await audit(transaction, staff, at, 'remove staff absence', { absences: own });
		return own;
	});
}
