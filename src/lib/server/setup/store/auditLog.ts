import type { Database } from '../../database';
import type { Staff } from '../../request';

/** Something that was done, as the log has it. */
export interface LoggedDeed {
	id: number;
	at: Date;
	/** Who did it. */
	by: string | null;
	action: string;
	/** JSON, cut where it is very long. */
	detail: string;
	/** Students whom it is about: how many, and the first by name. */
	students: number;
	names: string | null;
}

/** What of the log is asked for; null for all. */
export interface LogFilter {
	accountId: number | null;
	studentId: number | null;
	action: string | null;
	/** Instants: from the first, before the second. */
	from: Date | null;
	until: Date | null;
}

function where({ schoolId }: Staff, { accountId, studentId, action, from, until }: LogFilter) {
	const parts: [string, unknown][] = [['entry.school_id = ?', schoolId]];
	if (accountId !== null) parts.push(['entry.account_id = ?', accountId]);
	if (action !== null) parts.push(['entry.action = ?', action]);
	if (from !== null) parts.push(['entry.at >= ?', from]);
	if (until !== null) parts.push(['entry.at < ?', until]);
	if (studentId !== null)
		parts.push(['entry.id IN (SELECT entry_id FROM audit_subject WHERE student_id = ?)', studentId]);
	return { sql: parts.map(([sql]) => sql).join(' AND '), values: parts.map(([, value]) => value) };
}

/** Names that an entry gives of those it is about. */
const NAMED = 3;

/** What was done at a school, the newest first: a part of it, and how much there is. */
export async function auditLog(
	database: Database,
	staff: Staff,
	filter: LogFilter,
	part: { from: number; most: number }
): Promise<{ deeds: LoggedDeed[]; total: number }> {
	const { sql, values } = where(staff, filter);
	const [deeds, count] = await Promise.all([
		database.rows<LoggedDeed>(
			`SELECT entry.id, entry.at, account.display_name AS \`by\`, entry.action, entry.detail,
				(SELECT COUNT(*) FROM audit_subject WHERE entry_id = entry.id) AS students,
				(SELECT GROUP_CONCAT(CONCAT(shown_name, ' ', family_name) ORDER BY family_name, id SEPARATOR ', ' LIMIT ${NAMED})
				FROM audit_subject JOIN student ON student.id = audit_subject.student_id
				WHERE audit_subject.entry_id = entry.id) AS names
			FROM audit_entry AS entry
			LEFT JOIN account ON account.id = entry.account_id
			WHERE ${sql}
			ORDER BY entry.at DESC, entry.id DESC
			LIMIT ${Number(part.from)}, ${Number(part.most)}`,
			values
		),
		database.row<{ total: number }>(`SELECT COUNT(*) AS total FROM audit_entry AS entry WHERE ${sql}`, values)
	]);
	return {
		deeds: deeds.map((deed) => ({ ...deed, students: Number(deed.students) })),
		total: Number(count!.total)
	};
}

/** The kinds of things that were done at a school. */
export async function loggedActions(database: Database, { schoolId }: Staff): Promise<string[]> {
	const rows = await database.rows<{ action: string }>(
		'SELECT DISTINCT action FROM audit_entry WHERE school_id = ? ORDER BY action',
		[schoolId]
	);
	return rows.map(({ action }) => action);
}
