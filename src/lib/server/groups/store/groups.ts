import type { SchoolDate } from '../../../core/calendar';
import type { GroupKind } from '../../../core/grouping';
import type { Database } from '../../database';
import type { Staff, VisibleId } from '../../request';
import { rosterSql, type Roster, seenBy } from '../../people';

export interface SmallGroup {
	id: number;
	name: string;
	kind: GroupKind;
	tier: 2 | 3;
	/** The skill that it works on, on the day that is looked at. */
	focusSkillId: number;
	slotId: number;
	startsOn: SchoolDate;
	endsOn: SchoolDate;
	/** The first day on which it meets again, `open` while nobody has said; null when it is not paused. */
	pausedUntil: SchoolDate | 'open' | null;
	/** Of those whom one may see. */
	studentIds: VisibleId[];
	/** Those of them who are secure on the focus and help. */
	helperIds: VisibleId[];
}

type GroupRow = Omit<SmallGroup, 'studentIds' | 'helperIds'>;

/** Of a group on a day, given twice: before the first change, the focus that it began with. */
const GROUP = `small_group.id, small_group.name, small_group.kind, small_group.tier,
	COALESCE((SELECT skill_id FROM group_focus AS focus
		WHERE focus.group_id = small_group.id AND focus.from_on <= ? ORDER BY focus.from_on DESC LIMIT 1),
		small_group.focus_skill_id) AS focusSkillId,
	small_group.slot_id AS slotId, small_group.starts_on AS startsOn, small_group.ends_on AS endsOn,
	(SELECT COALESCE(CAST(MAX(until_on) AS CHAR), 'open') FROM group_pause AS pause
		WHERE pause.group_id = small_group.id AND pause.from_on <= ? AND (pause.until_on IS NULL OR pause.until_on > ?)
		HAVING COUNT(*) > 0) AS pausedUntil`;

/**
 * Groups with those of their members on a day (or on their first day, if they start later) whom a staff member may see
 * today. Class teachers see no groups without any.
 */
async function withMembers(
	database: Database,
	staff: Staff,
	groups: GroupRow[],
	{ day, today }: { day: SchoolDate; today: SchoolDate }
): Promise<SmallGroup[]> {
	if (groups.length === 0) return [];
	const seen = seenBy(staff, today, 'membership.student_id');
	const members = await database.rows<{ groupId: number; studentId: VisibleId; helps: boolean }>(
		`SELECT membership.group_id AS groupId, membership.student_id AS studentId, membership.helps
		FROM group_membership AS membership
		JOIN small_group ON small_group.id = membership.group_id
		WHERE membership.group_id IN (?)
			AND membership.from_on <= GREATEST(?, small_group.starts_on)
			AND (membership.until_on IS NULL OR membership.until_on > GREATEST(?, small_group.starts_on))
			AND ${seen.sql}
		ORDER BY membership.id`,
		[groups.map(({ id }) => id), day, day, ...seen.values]
	);
	const byGroup = new Map<number, typeof members>(groups.map(({ id }) => [id, []]));
	for (const member of members) byGroup.get(member.groupId)!.push(member);
	return groups
		.map((group) => {
			const own = byGroup.get(group.id)!;
			return {
				...group,
				studentIds: own.map(({ studentId }) => studentId),
				helperIds: own.filter(({ helps }) => helps).map(({ studentId }) => studentId)
			};
		})
		.filter(({ studentIds }) => staff.role !== 'teacher' || studentIds.length > 0);
}

/** Groups that meet on or after a day. */
async function groupsFrom(
	database: Database,
	staff: Staff,
	{ day, today }: { day: SchoolDate; today: SchoolDate }
): Promise<SmallGroup[]> {
	const groups = await database.rows<GroupRow>(
		`SELECT ${GROUP} FROM small_group WHERE school_id = ? AND ends_on >= ? ORDER BY starts_on, name, id`,
		[day, day, day, staff.schoolId, day]
	);
	return withMembers(database, staff, groups, { day, today });
}

/** Groups that meet today or later, with their members today (or on their first day, if they start later). */
export async function currentGroups(database: Database, staff: Staff, today: SchoolDate): Promise<SmallGroup[]> {
	return groupsFrom(database, staff, { day: today, today });
}

/**
 * How many groups meet today or later.
 *
 * @param roster that one of the members belongs to; null for any, with nobody in them or not
 */
export async function countGroups(
	database: Database,
	staff: Staff,
	roster: Roster | null,
	today: SchoolDate
): Promise<number> {
	// Class teachers see no groups without any of their students.
	const among = roster || staff.role === 'teacher' ? rosterSql(roster ?? { staff, today }) : null;
	const row = await database.row<{ size: number }>(
		`SELECT COUNT(*) AS size FROM small_group
		WHERE school_id = ? AND ends_on >= ? ${
			among
				? `AND EXISTS (
					SELECT 1 FROM group_membership AS membership
					JOIN ${among.sql} AS roster ON roster.id = membership.student_id
					WHERE membership.group_id = small_group.id
						AND membership.from_on <= GREATEST(?, small_group.starts_on)
						AND (membership.until_on IS NULL OR membership.until_on > GREATEST(?, small_group.starts_on)))`
				: ''
		}`,
		[staff.schoolId, today, ...(among ? [...among.values, today, today] : [])]
	);
	return Number(row!.size);
}

/** Groups as they were on a day: those that had begun and not ended. */
export async function groupsOn(
	database: Database,
	staff: Staff,
	day: SchoolDate,
	today: SchoolDate
): Promise<SmallGroup[]> {
	const groups = await groupsFrom(database, staff, { day, today });
	return groups.filter(({ startsOn }) => startsOn <= day);
}

/** A group as it is on a day, ended or not; null where there is none for the staff member. */
export async function findGroup(
	database: Database,
	staff: Staff,
	id: number,
	day: SchoolDate,
	today: SchoolDate = day
): Promise<SmallGroup | null> {
	const row = await database.row<GroupRow>(
		`SELECT ${GROUP} FROM small_group WHERE small_group.id = ? AND school_id = ?`,
		[day, day, day, id, staff.schoolId]
	);
	if (!row) return null;
	// Of a group that has ended: as it was on its last day.
	const seenOn = row.endsOn < day ? row.endsOn : day;
	return (await withMembers(database, staff, [row], { day: seenOn, today }))[0] ?? null;
}

/** Meeting times at which a group meets on a day or later, whoever is in it. */
export async function heldSlots(database: Database, schoolId: number, today: SchoolDate): Promise<Set<number>> {
	const rows = await database.rows<{ slotId: number }>(
		'SELECT slot_id AS slotId FROM small_group WHERE school_id = ? AND ends_on >= ?',
		[schoolId, today]
	);
	return new Set(rows.map(({ slotId }) => slotId));
}

/** Students who must be kept apart or together; for those who form groups. */
export async function studentPairs(database: Database, schoolId: number) {
	return database.rows<{ studentId: number; otherId: number; kind: 'apart' | 'together' }>(
		`SELECT pair.student_id AS studentId, pair.other_id AS otherId, pair.kind
		FROM student_pair AS pair JOIN student ON student.id = pair.student_id
		WHERE student.school_id = ?`,
		[schoolId]
	);
}

/** A group that a student was or is in, from and until which day. */
interface StudentMembership {
	id: number;
	name: string;
	focusSkillId: number;
	fromOn: SchoolDate;
	/** The day after the last. */
	untilOn: SchoolDate | null;
	helps: boolean;
}

/** Groups of a student that meet today or later. */
export async function currentGroupsOf(
	database: Database,
	staff: Pick<Staff, 'schoolId'>,
	studentId: VisibleId,
	today: SchoolDate
): Promise<GroupRow[]> {
	return database.rows<GroupRow>(
		`SELECT ${GROUP} FROM group_membership AS membership
		JOIN small_group ON small_group.id = membership.group_id
		WHERE membership.student_id = ? AND small_group.school_id = ? AND small_group.ends_on >= ?
			AND membership.from_on <= GREATEST(?, small_group.starts_on)
			AND (membership.until_on IS NULL OR membership.until_on > GREATEST(?, small_group.starts_on))
		ORDER BY small_group.starts_on, small_group.name, small_group.id`,
		[today, today, today, studentId, staff.schoolId, today, today, today]
	);
}

/** All groups of a student through time, newest first, each with the focus that it began with. */
export async function groupsOfStudent(
	database: Database,
	schoolId: number,
	studentId: VisibleId
): Promise<StudentMembership[]> {
	return database.rows<StudentMembership>(
		`SELECT small_group.id, small_group.name, small_group.focus_skill_id AS focusSkillId,
			membership.from_on AS fromOn, membership.until_on AS untilOn, membership.helps
		FROM group_membership AS membership
		JOIN small_group ON small_group.id = membership.group_id
		WHERE membership.student_id = ? AND small_group.school_id = ?
			AND (membership.until_on IS NULL OR membership.until_on > membership.from_on)
		ORDER BY membership.from_on DESC, membership.id DESC`,
		[studentId, schoolId]
	);
}
