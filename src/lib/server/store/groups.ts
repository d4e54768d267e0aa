import { addDays, type SchoolDate } from '../../core/calendar';
import type { Database, RootDatabase } from '../database/pool';
import type { Staff } from '../viewer';
import { audit } from './audit';

/** A staff member at a weekly meeting time. */
export interface Slot {
	id: number;
	staffId: number;
	staffName: string;
	/** ISO weekdays, 1 Monday … 5 Friday. */
	days: number[];
	startsAt: string;
	minutes: number;
	room: string;
	tier: 2 | 3 | null;
	classIds: number[];
}

const daysOf = (bits: number) => [1, 2, 3, 4, 5].filter((day) => bits & (1 << (day - 1)));

export async function slotList(database: Database, schoolId: number): Promise<Slot[]> {
	const slots = await database.rows<Omit<Slot, 'days' | 'classIds'> & { days: number }>(
		`SELECT slot.id, slot.staff_id AS staffId, account.display_name AS staffName, slot.days,
			TIME_FORMAT(slot.starts_at, '%H:%i') AS startsAt, slot.minutes, slot.room, slot.tier
		FROM slot JOIN account ON account.id = slot.staff_id
		WHERE account.school_id = ?
		ORDER BY slot.staff_id, slot.days, slot.starts_at`,
		[schoolId]
	);
	const classes = slots.length
		? await database.rows<{ slotId: number; classId: number }>(
				'SELECT slot_id AS slotId, class_id AS classId FROM slot_class WHERE slot_id IN (?)',
				[slots.map(({ id }) => id)]
			)
		: [];
	return slots.map((slot) => ({
		...slot,
		days: daysOf(slot.days),
		classIds: classes.filter(({ slotId }) => slotId === slot.id).map(({ classId }) => classId)
	}));
}

export interface SmallGroup {
	id: number;
	name: string;
	tier: 2 | 3;
	focusSkillId: number;
	slotId: number;
	startsOn: SchoolDate;
	endsOn: SchoolDate;
	studentIds: number[];
}

/** Groups that meet on or after a day, with their members on that day (or on their first day, if they start later). */
export async function currentGroups(database: Database, schoolId: number, today: SchoolDate): Promise<SmallGroup[]> {
	const groups = await database.rows<Omit<SmallGroup, 'studentIds'>>(
		`SELECT id, name, tier, focus_skill_id AS focusSkillId, slot_id AS slotId, starts_on AS startsOn, ends_on AS endsOn
		FROM small_group
		WHERE school_id = ? AND ends_on >= ?
		ORDER BY starts_on, name, id`,
		[schoolId, today]
	);
	if (groups.length === 0) return [];
	const members = await database.rows<{ groupId: number; studentId: number }>(
		`SELECT membership.group_id AS groupId, membership.student_id AS studentId
		FROM group_membership AS membership
		JOIN small_group ON small_group.id = membership.group_id
		WHERE membership.group_id IN (?)
			AND membership.from_on <= GREATEST(?, small_group.starts_on)
			AND (membership.until_on IS NULL OR membership.until_on > GREATEST(?, small_group.starts_on))
		ORDER BY membership.id`,
		[groups.map(({ id }) => id), today, today]
	);
	return groups.map((group) => ({
		...group,
		studentIds: members.filter(({ groupId }) => groupId === group.id).map(({ studentId }) => studentId)
	}));
}

export async function studentPairs(database: Database, schoolId: number) {
	return database.rows<{ studentId: number; otherId: number; kind: 'apart' | 'together' }>(
		`SELECT pair.student_id AS studentId, pair.other_id AS otherId, pair.kind
		FROM student_pair AS pair JOIN student ON student.id = pair.student_id
		WHERE student.school_id = ?`,
		[schoolId]
	);
}

export interface NewGroup extends Omit<SmallGroup, 'id'> {
	/** First review of each member. */
	reviewOn: SchoolDate;
}

/** A slot in which another group meets while one of these would run, or null. */
async function slotTaken(transaction: Database, groups: NewGroup[]): Promise<number | null> {
	const slotIds = groups.map(({ slotId }) => slotId);
	// Whoever else would give one of these slots away waits until this is decided.
	await transaction.rows('SELECT id FROM slot WHERE id IN (?) ORDER BY id FOR UPDATE', [slotIds]);
	const running = await transaction.rows<{ slotId: number; startsOn: SchoolDate; endsOn: SchoolDate }>(
		'SELECT slot_id AS slotId, starts_on AS startsOn, ends_on AS endsOn FROM small_group WHERE slot_id IN (?)',
		[slotIds]
	);
	const taken = groups.find((group) =>
		running.some((one) => one.slotId === group.slotId && one.startsOn <= group.endsOn && group.startsOn <= one.endsOn)
	);
	return taken?.slotId ?? null;
}

/**
 * Makes a draft's groups real: members join on the start date, and a review is set for each.
 *
 * @returns ids of the new groups; or, with nothing changed, a slot in which another group meets by now
 */
export async function adoptGroups(
	database: RootDatabase,
	staff: Staff,
	groups: NewGroup[],
	at: Date
): Promise<{ ids: number[] } | { takenSlotId: number }> {
	return database.transaction(async (transaction) => {
		const takenSlotId = await slotTaken(transaction, groups);
		if (takenSlotId !== null) return { takenSlotId };
		const ids: number[] = [];
		for (const group of groups) {
			const { insertId } = await transaction.run(
				`INSERT INTO small_group (school_id, name, tier, focus_skill_id, slot_id, starts_on, ends_on, adopted_by, adopted_at)
				VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
				[
					staff.schoolId,
					group.name,
					group.tier,
					group.focusSkillId,
					group.slotId,
					group.startsOn,
					group.endsOn,
					staff.id,
					at
				]
			);
			await transaction.insertMany(
				'INSERT INTO group_membership (group_id, student_id, from_on, until_on) VALUES ?',
				group.studentIds.map((studentId) => [insertId, studentId, group.startsOn, addDays(group.endsOn, 1)])
			);
			await transaction.insertMany(
				'INSERT INTO review (student_id, group_id, due_on) VALUES ?',
				group.studentIds.map((studentId) => [studentId, insertId, group.reviewOn])
			);
			ids.push(insertId);
		}
		await audit(transaction, staff, at, 'adopt groups', {
			groups: ids,
			students: groups.reduce((sum, group) => sum + group.studentIds.length, 0)
		});
		return { ids };
	});
}

/** Takes an adoption back, as long as nothing has been built on its groups. @returns whether it was taken back */
export async function undoAdoption(
	database: RootDatabase,
	staff: Staff,
	groupIds: number[],
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const own = await transaction.rows<{ id: number }>(
			`SELECT id FROM small_group WHERE id IN (?) AND school_id = ? AND adopted_at > ? - INTERVAL 1 DAY FOR UPDATE`,
			[groupIds, staff.schoolId, at]
		);
		const used = await transaction.row<{ uses: number }>(
			`SELECT (SELECT COUNT(*) FROM practice_set WHERE group_id IN (?)) + (SELECT COUNT(*) FROM probe_plan WHERE group_id IN (?))
				+ (SELECT COUNT(*) FROM review WHERE group_id IN (?) AND verdict IS NOT NULL)
				+ (SELECT COUNT(*) FROM attendance WHERE group_id IN (?)) AS uses`,
			[groupIds, groupIds, groupIds, groupIds]
		);
		if (own.length !== groupIds.length || Number(used?.uses) > 0) return false;
		for (const { id } of own) {
			await transaction.run('DELETE FROM review WHERE group_id = ?', [id]);
			await transaction.run('DELETE FROM group_membership WHERE group_id = ?', [id]);
			await transaction.run('DELETE FROM small_group WHERE id = ?', [id]);
		}
		await audit(transaction, staff, at, 'undo adopt groups', { groups: groupIds });
		return true;
	});
}

/** Sessions each student attended in a group. */
export async function attendanceCounts(
	database: Database,
	studentIds: number[]
): Promise<Map<string, { held: number; attended: number }>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<{ studentId: number; groupId: number; held: number; attended: number }>(
		`SELECT student_id AS studentId, group_id AS groupId, COUNT(*) AS held, SUM(present) AS attended
		FROM attendance WHERE student_id IN (?) GROUP BY student_id, group_id`,
		[studentIds]
	);
	return new Map(
		rows.map((row) => [`${row.studentId} ${row.groupId}`, { held: Number(row.held), attended: Number(row.attended) }])
	);
}
