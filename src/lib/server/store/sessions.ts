import type { Database } from '../database/pool';
import type { Role, Viewer } from '../viewer';

export async function openSession(
	database: Database,
	tokenHash: Buffer,
	holder: { accountId: number } | { studentId: number },
	expiresAt: Date
): Promise<void> {
	await database.run('INSERT INTO session (token_hash, account_id, student_id, expires_at) VALUES (?, ?, ?, ?)', [
		tokenHash,
		'accountId' in holder ? holder.accountId : null,
		'studentId' in holder ? holder.studentId : null,
		expiresAt
	]);
}

/** Who holds a session that has not expired. */
export async function sessionHolder(database: Database, tokenHash: Buffer, at: Date): Promise<Viewer | null> {
	const row = await database.row<{
		accountId: number | null;
		role: Role;
		displayName: string;
		accountSchool: number;
		studentId: number;
		givenName: string;
		grade: number;
		studentSchool: number;
	}>(
		`SELECT account.id AS accountId, account.role, account.display_name AS displayName, account.school_id AS accountSchool,
			student.id AS studentId, student.given_name AS givenName, student.grade, student.school_id AS studentSchool
		FROM session
		LEFT JOIN account ON account.id = session.account_id
		LEFT JOIN student ON student.id = session.student_id
		WHERE session.token_hash = ? AND session.expires_at > ?`,
		[tokenHash, at]
	);
	if (!row) return null;
	return row.accountId !== null
		? { kind: 'staff', id: row.accountId, schoolId: row.accountSchool, role: row.role, displayName: row.displayName }
		: { kind: 'student', id: row.studentId, schoolId: row.studentSchool, givenName: row.givenName, grade: row.grade };
}

export async function closeSession(database: Database, tokenHash: Buffer): Promise<void> {
	await database.run('DELETE FROM session WHERE token_hash = ?', [tokenHash]);
}

export async function dropExpiredSessions(database: Database, at: Date): Promise<void> {
	await database.run('DELETE FROM session WHERE expires_at <= ?', [at]);
}

/** Failed sign-ins of a subject (an account name, or an address) since an instant. */
export async function failuresSince(database: Database, subject: string, since: Date): Promise<number> {
	const row = await database.row<{ failures: number }>(
		'SELECT COUNT(*) AS failures FROM sign_in_failure WHERE subject = ? AND failed_at > ?',
		[subject, since]
	);
	return Number(row?.failures ?? 0);
}

export async function noteFailure(database: Database, subjects: string[], at: Date): Promise<void> {
	await database.insertMany(
		'INSERT INTO sign_in_failure (subject, failed_at) VALUES ?',
		subjects.map((subject) => [subject.slice(0, 160), at])
	);
}

export async function forgetFailures(database: Database, subject: string): Promise<void> {
	await database.run('DELETE FROM sign_in_failure WHERE subject = ?', [subject.slice(0, 160)]);
}
