import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** What a colleague saw of a session. */
export interface SessionWatch {
	id: number;
	groupId: number;
	on: SchoolDate;
	/** Which of the five points were so, in their order. */
	points: boolean[];
	note: string;
	by: string;
}

const POINTS = 5;
const bitsOf = (points: boolean[]) => points.reduce((bits, is, i) => bits | (is ? 1 << i : 0), 0);
const pointsOf = (bits: number) => Array.from({ length: POINTS }, (_, i) => Boolean(bits & (1 << i)));

/** Sessions of groups that were watched since a day, the newest first. */
export async function sessionWatches(
	database: Database,
	staff: Staff,
	groupIds: number[],
	since: SchoolDate
): Promise<SessionWatch[]> {
	if (groupIds.length === 0) return [];
	const rows = await database.rows<Omit<SessionWatch, 'points'> & { points: number }>(
		`SELECT watch.id, watch.group_id AS groupId, watch.on_date AS \`on\`, watch.points, watch.note,
			account.display_name AS \`by\`
		FROM session_watch AS watch
		JOIN small_group ON small_group.id = watch.group_id
		JOIN account ON account.id = watch.watched_by
		WHERE watch.group_id IN (?) AND small_group.school_id = ? AND watch.on_date >= ?
		ORDER BY watch.on_date DESC, watch.id DESC`,
		[groupIds, staff.schoolId, since]
	);
	return rows.map((row) => ({ ...row, points: pointsOf(row.points) }));
}

/** Keeps what a staff member saw of a session; what they had kept of it before is replaced. @returns its id */
export async function watchSession(
	database: RootDatabase,
	staff: Staff,
	{ groupId, on, points, note }: Pick<SessionWatch, 'groupId' | 'on' | 'points' | 'note'>,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { group: [groupId] });
		const { insertId } = await transaction.run(
			`INSERT INTO session_watch (group_id, on_date, points, note, watched_by, watched_at) VALUES (?, ?, ?, ?, ?, ?)
			ON DUPLICATE KEY UPDATE id = LAST_INSERT_ID(id), points = VALUES(points), note = VALUES(note),
				watched_at = VALUES(watched_at)`,
			[groupId, on, bitsOf(points), note, staff.id, at]
		);
		await audit(transaction, staff, at, 'watch a session', { group: groupId, on });
		return insertId;
	});
}

/** Takes back what a staff member kept of a session. @returns whether it was theirs */
export async function takeBackWatch(database: RootDatabase, staff: Staff, id: number, at: Date): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run('DELETE FROM session_watch WHERE id = ? AND watched_by = ?', [
			id,
			staff.id
		]);
		if (affected) await audit(transaction, staff, at, 'take back watching a session', { watch: id });
		return affected > 0;
	});
}
