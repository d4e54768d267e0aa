import { randomUUID } from 'node:crypto';
import type { CommendationKind, Proposal } from '../../../core/commendations';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Staff, undoesAll, type VisibleId } from '../../request';

/** A commendation that was given. */
export interface Commendation {
	id: number;
	uuid: string;
	studentId: VisibleId;
	kind: CommendationKind;
	reason: Proposal;
	/** What for, in the student's words as they were then. */
	said: string;
	/** Of the adult who gave it. */
	sentence: string;
	givenBy: string;
	givenAt: Date;
}

const COMMENDATION = `SELECT commendation.id, commendation.uuid, commendation.student_id AS studentId, commendation.kind,
		commendation.reason, commendation.said, commendation.sentence, account.display_name AS givenBy,
		commendation.given_at AS givenAt
	FROM commendation JOIN account ON account.id = commendation.given_by
	WHERE commendation.taken_back_at IS NULL`;
type Row = Omit<Commendation, 'reason'> & { reason: string };
const read = ({ reason, ...row }: Row): Commendation => ({ ...row, reason: JSON.parse(reason) as Proposal });

/** What students were commended for, the newest first. */
export async function commendationsOf(
	database: Database,
	studentIds: VisibleId[],
	since = new Date(0)
): Promise<Commendation[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<Row>(
		`${COMMENDATION} AND commendation.student_id IN (?) AND commendation.given_at >= ?
		ORDER BY commendation.given_at DESC, commendation.id DESC`,
		[studentIds, since]
	);
	return rows.map(read);
}

/** The student of a commendation that is not taken back; null for none of the school. */
export async function commendedStudent(database: Database, { schoolId }: Staff, id: number): Promise<number | null> {
	const row = await database.row<{ studentId: number }>(
		`SELECT commendation.student_id AS studentId FROM commendation JOIN student ON student.id = commendation.student_id
		WHERE commendation.id = ? AND student.school_id = ? AND commendation.taken_back_at IS NULL`,
		[id, schoolId]
	);
	return row?.studentId ?? null;
}

/** Gives a commendation. @returns its id */
export async function giveCommendation(
	database: RootDatabase,
	staff: Staff,
	given: Pick<Commendation, 'kind' | 'reason' | 'said' | 'sentence'> & { studentId: number },
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const { studentId, kind, reason, said, sentence } = given;
		await requireOwn(transaction, staff, { student: [studentId] });
		const { insertId } = await transaction.run(
			`INSERT INTO commendation (uuid, student_id, kind, reason, said, sentence, given_by, given_at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
			[randomUUID(), studentId, kind, JSON.stringify(reason), said, sentence, staff.id, at]
		);
		await audit(transaction, staff, at, 'commend', { commendation: insertId, students: [studentId] });
		return insertId;
	});
}

/** Takes a commendation back: an own one, specialists and coordinators anyone's. @returns whether there was one */
export async function takeBackCommendation(
	database: RootDatabase,
	staff: Staff,
	id: number,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND commendation.given_by = ?';
		const { affected } = await transaction.run(
			`UPDATE commendation JOIN student ON student.id = commendation.student_id SET commendation.taken_back_at = ?
			WHERE commendation.id = ? AND student.school_id = ? AND commendation.taken_back_at IS NULL ${ownOnly}`,
			[at, id, staff.schoolId, ...(ownOnly ? [staff.id] : [])]
		);
		if (affected) await audit(transaction, staff, at, 'take back a commendation', { commendation: id });
		return affected > 0;
	});
}
