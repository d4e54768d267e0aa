import type { SchoolDate } from '../../../core/calendar';
import type { FoundNotice, NoticeAudience } from '../../../core/notices';
import type { Database, RootDatabase } from '../../database';
import { may, type Role, type Staff } from '../../request';

/** A notice as a person is shown it. */
export interface OpenNotice {
	id: number;
	rule: string;
	place: string;
	says: string;
	because: string;
	action: { says: string; path: string };
	since: Date;
	/** Whether the person has seen it. */
	isSeen: boolean;
	/** Until when the person does not want to be told; null for now. */
	laterUntil: SchoolDate | null;
	/** Who said that it is done; null for nobody. */
	doneBy: string | null;
}

const AUDIENCES: NoticeAudience[] = ['set up the school', 'form groups', 'run screening', 'decide'];

/** What is told to people of a role. */
export const audiencesOf = (role: Role): NoticeAudience[] => AUDIENCES.filter((audience) => may(role, audience));

/** What is not so any more is kept for so many days, for who wonders where it went. */
const KEPT_DAYS = 90;

/**
 * Keeps what was found of a school now: what is new is added, what is not so any more ends, what grew is told again even
 * to who was done with it.
 */
export async function keepNotices(
	database: RootDatabase,
	schoolId: number,
	found: FoundNotice[],
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		await transaction.row('SELECT id FROM school WHERE id = ? FOR UPDATE', [schoolId]);
		const open = await transaction.rows<{ id: number; rule: string; about: string; told: string; degree: number }>(
			'SELECT id, rule, about, told, degree FROM notice WHERE school_id = ? AND is_open = 1',
			[schoolId]
		);
		const keyOf = ({ rule, about }: { rule: string; about: string }) => `${rule} ${about}`;
		const now = new Map(found.map((notice) => [keyOf(notice), notice]));
		const there = new Map(open.map((row) => [keyOf(row), row]));
		const over = open.filter((row) => !now.has(keyOf(row))).map(({ id }) => id);
		if (over.length) await transaction.run('UPDATE notice SET ended_at = ? WHERE id IN (?)', [at, over]);
		for (const [key, { rule, about, audience, place, degree, says, because, action }] of now) {
			const told = JSON.stringify({ says, because, action });
			const row = there.get(key);
			if (!row)
				await transaction.run(
					`INSERT INTO notice (school_id, rule, about, audience, place, told, degree, since)
					VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
					[schoolId, rule, about, audience, place, told, degree, at]
				);
			else if (row.told !== told || row.degree !== degree)
				await transaction.run('UPDATE notice SET told = ?, degree = ? WHERE id = ?', [told, degree, row.id]);
			if (row && degree > row.degree) {
				await transaction.run('UPDATE notice SET done_by = NULL, done_at = NULL WHERE id = ?', [row.id]);
				await transaction.run('DELETE FROM notice_mark WHERE notice_id = ?', [row.id]);
			}
		}
		await transaction.run('DELETE FROM notice WHERE school_id = ? AND ended_at < ?', [
			schoolId,
			new Date(at.getTime() - KEPT_DAYS * 86_400_000)
		]);
	});
}

/** Notices that are open for a person, newest first. */
export async function openNotices(database: Database, { id, schoolId, role }: Staff): Promise<OpenNotice[]> {
	const audiences = audiencesOf(role);
	if (audiences.length === 0) return [];
	const rows = await database.rows<
		Omit<OpenNotice, 'says' | 'because' | 'action' | 'isSeen'> & { told: string; seenAt: Date | null }
	>(
		`SELECT notice.id, notice.rule, notice.place, notice.told, notice.since, mark.seen_at AS seenAt,
			mark.later_until AS laterUntil, account.display_name AS doneBy
		FROM notice
		LEFT JOIN notice_mark AS mark ON mark.notice_id = notice.id AND mark.account_id = ?
		LEFT JOIN account ON account.id = notice.done_by
		WHERE notice.school_id = ? AND notice.is_open = 1 AND notice.audience IN (?)
		ORDER BY notice.since DESC, notice.id DESC`,
		[id, schoolId, audiences]
	);
	return rows.map(({ told, seenAt, ...row }) => ({ ...row, ...JSON.parse(told), isSeen: seenAt !== null }));
}

/** Says that a person has seen notices of the school. */
export async function markSeen(
	database: Database,
	{ id, schoolId }: Staff,
	noticeIds: number[],
	at: Date
): Promise<void> {
	if (noticeIds.length === 0) return;
	await database.run(
		`INSERT IGNORE INTO notice_mark (notice_id, account_id, seen_at)
		SELECT id, ?, ? FROM notice WHERE school_id = ? AND id IN (?)`,
		[id, at, schoolId, noticeIds]
	);
}

/** Puts a notice off for a person, up to a day, or back; null for now. @returns whether there is such a notice */
export async function putOff(
	database: RootDatabase,
	staff: Staff,
	noticeId: number,
	until: SchoolDate | null,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		if (!(await isOpen(transaction, staff, noticeId))) return false;
		await transaction.run(
			`INSERT INTO notice_mark (notice_id, account_id, seen_at, later_until) VALUES (?, ?, ?, ?)
			ON DUPLICATE KEY UPDATE later_until = VALUES(later_until)`,
			[noticeId, staff.id, at, until]
		);
		return true;
	});
}

/** Says that a notice is done with, for everybody who is told it, or that it is not. @returns whether there is such a notice */
export async function setDone(
	database: RootDatabase,
	staff: Staff,
	noticeId: number,
	isDone: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		if (!(await isOpen(transaction, staff, noticeId))) return false;
		await transaction.run('UPDATE notice SET done_by = ?, done_at = ? WHERE id = ?', [
			isDone ? staff.id : null,
			isDone ? at : null,
			noticeId
		]);
		return true;
	});
}

/** Whether a person is told a notice, which is held until the transaction ends. */
async function isOpen(transaction: Database, { schoolId, role }: Staff, noticeId: number): Promise<boolean> {
	const row = await transaction.row(
		'SELECT 1 FROM notice WHERE id = ? AND school_id = ? AND is_open = 1 AND audience IN (?) FOR UPDATE',
		[noticeId, schoolId, ['', ...audiencesOf(role)]]
	);
	return row !== null;
}
