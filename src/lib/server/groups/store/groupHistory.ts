import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import type { Staff } from '../../request';
import type { ChangeDetail, GroupDeed } from './groupDeeds';
import { seenAmong } from '../../people';

/** A line of a group's history. */
interface GroupChange {
	id: number;
	kind: GroupDeed['kind'] | 'start';
	on: SchoolDate;
	reason: string;
	by: string;
	at: Date;
	studentIds: number[];
	skillId: number | null;
	untilOn: SchoolDate | null;
	/** Before: of the group, or of who held it. */
	name: string | null;
}

/**
 * What was done to a group and stands, newest first, with those students whom a staff member may see today. Class teachers
 * are not told why, since that may be about others, nor of those who joined or left without one of theirs.
 */
export async function groupHistory(
	database: Database,
	staff: Staff,
	groupId: number,
	today: SchoolDate
): Promise<GroupChange[]> {
	const rows = await database.rows<
		Omit<GroupChange, 'studentIds' | 'skillId' | 'untilOn' | 'name'> & { detail: string }
	>(
		`SELECT change_.id, change_.kind, change_.effective_on AS \`on\`, change_.reason, account.display_name AS \`by\`,
			change_.changed_at AS at, change_.detail
		FROM group_change AS change_
		JOIN small_group ON small_group.id = change_.group_id
		JOIN account ON account.id = change_.changed_by
		WHERE change_.group_id = ? AND small_group.school_id = ? AND change_.undone_at IS NULL
		ORDER BY change_.changed_at DESC, change_.id DESC LIMIT 200`,
		[groupId, staff.schoolId]
	);
	const changes = rows.map(({ detail, ...row }) => ({ ...row, ...(JSON.parse(detail) as ChangeDetail) }));
	const named = await seenAmong(
		database,
		staff,
		changes.flatMap(({ studentIds = [] }) => studentIds),
		today
	);
	const hidesOthers = staff.role === 'teacher';
	return changes.flatMap(({ id, kind, on, reason, by, at, studentIds = [], skillId, untilOn, ...before }) => {
		const own = studentIds.filter((studentId) => named.has(studentId));
		if (hidesOthers && studentIds.length && own.length === 0) return [];
		return [
			{
				...{ id, kind, on, by, at, studentIds: own },
				reason: hidesOthers ? '' : reason,
				skillId: skillId ?? null,
				untilOn: untilOn ?? null,
				name: before.name ?? before.heldBy ?? null
			}
		];
	});
}

/** Days on which groups pause. */
export async function groupPauses(
	database: Database,
	groupIds: number[]
): Promise<{ groupId: number; fromOn: SchoolDate; untilOn: SchoolDate | null }[]> {
	if (groupIds.length === 0) return [];
	return database.rows(
		'SELECT group_id AS groupId, from_on AS fromOn, until_on AS untilOn FROM group_pause WHERE group_id IN (?)',
		[groupIds]
	);
}
