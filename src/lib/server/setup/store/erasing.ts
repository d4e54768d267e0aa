import { createHmac } from 'node:crypto';
import type { SchoolDate } from '../../../core/calendar';
import { signingKey } from '../../auth';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** Why a student is erased. */
export const ERASED_WHY = ['asked for', 'kept long enough'] as const;
export type ErasedWhy = (typeof ERASED_WHY)[number];

/** A student who is in no class any more, and is not planned to be. */
export interface LeftStudent {
	id: number;
	givenName: string;
	familyName: string;
	number: string | null;
	/** The first day without a class; null for who never was in one. */
	leftOn: SchoolDate | null;
}

/** SQL about `student`: in no class on a day or later. */
const LEFT = `NOT EXISTS (
	SELECT 1 FROM class_membership AS membership
	WHERE membership.student_id = student.id AND (membership.until_on IS NULL OR membership.until_on > ?))`;
const LEFT_ON = '(SELECT MAX(until_on) FROM class_membership WHERE class_membership.student_id = student.id)';

/**
 * Students of a school who have left by a day, who left first at the beginning.
 *
 * @param before only those who left before this day
 */
export async function leftStudents(
	database: Database,
	schoolId: number,
	today: SchoolDate,
	before: SchoolDate | null
): Promise<LeftStudent[]> {
	return database.rows<LeftStudent>(
		`SELECT student.id, student.shown_name AS givenName, student.family_name AS familyName, student.number,
			${LEFT_ON} AS leftOn
		FROM student
		WHERE student.school_id = ? AND ${LEFT} ${before ? `AND ${LEFT_ON} < ?` : ''}
		ORDER BY leftOn, student.id`,
		[schoolId, today, ...(before ? [before] : [])]
	);
}

/** What there is of students, by what people call it. */
const TRACES = {
	answers: 'answer',
	sittings: 'sitting',
	scores: 'score',
	'days of groups': 'group_membership',
	'sessions attended': 'attendance',
	reviews: 'review',
	notes: 'student_note'
} as const;
export type TraceCounts = Record<keyof typeof TRACES, number>;

/** How much there is of students. */
export async function countTraces(database: Database, ids: number[]): Promise<TraceCounts> {
	const counts = {} as TraceCounts;
	for (const [name, table] of Object.entries(TRACES) as [keyof TraceCounts, string][]) {
		const row = await database.row<{ size: string | number }>(
			`SELECT COUNT(*) AS size FROM ${table} WHERE student_id IN (?)`,
			[[0, ...ids]]
		);
		counts[name] = Number(row!.size);
	}
	return counts;
}

/** Statements that take a student out, in an order that references allow; each with the student's id as its values. */
const TAKE_OUT = [
	'DELETE FROM corrected_answer WHERE answer_id IN (SELECT id FROM answer WHERE student_id = ?)',
	'DELETE FROM answer WHERE student_id = ?',
	'DELETE FROM late_answer WHERE student_id = ?',
	'DELETE FROM fact_answer WHERE student_id = ?',
	'DELETE FROM fact_run WHERE student_id = ?',
	'DELETE FROM score WHERE student_id = ?',
	'DELETE FROM level_score WHERE student_id = ?',
	'DELETE FROM follow_on WHERE sitting_id IN (SELECT id FROM sitting WHERE student_id = ?)',
	'DELETE FROM sitting_item WHERE sitting_id IN (SELECT id FROM sitting WHERE student_id = ?)',
	'UPDATE sitting SET resits_id = NULL WHERE student_id = ?',
	'DELETE FROM sitting WHERE student_id = ?',
	'DELETE FROM practice_set_student WHERE student_id = ?',
	'DELETE FROM given_material WHERE student_id = ?',
	'DELETE FROM probe_plan WHERE student_id = ?',
	'DELETE FROM skill_check_skill WHERE check_id IN (SELECT id FROM skill_check WHERE student_id = ?)',
	'DELETE FROM skill_check WHERE student_id = ?',
	'DELETE FROM tier_interval WHERE student_id = ?',
	'DELETE FROM review_task WHERE student_id = ?',
	'DELETE FROM commendation WHERE student_id = ?',
	'UPDATE review SET follows_id = NULL WHERE student_id = ?',
	'DELETE FROM review WHERE student_id = ?',
	'DELETE FROM student_pair WHERE student_id = ?',
	'DELETE FROM student_pair WHERE other_id = ?',
	...[
		'given_measure',
		'measure_series',
		'past_intervention',
		'sheet_words',
		'family_letter',
		'tier_word',
		'group_membership',
		'attendance',
		'student_note',
		'window_student',
		'window_place',
		'outcome',
		'accommodation',
		'responsibility',
		'former_grade',
		'student_attribute',
		'student_field',
		'student_field_then',
		'student_summary',
		'sign_in',
		'sign_in_try',
		'section_membership',
		'class_membership'
	].map((table) => `DELETE FROM ${table} WHERE student_id = ?`),
	// What names nobody but the student says only that something was done, by whom and when.
	`UPDATE audit_entry JOIN audit_subject AS subject ON subject.entry_id = audit_entry.id AND subject.student_id = ?
	SET audit_entry.detail = '{}'
	WHERE NOT EXISTS (
		SELECT 1 FROM audit_subject AS other
		WHERE other.entry_id = audit_entry.id AND other.student_id <> subject.student_id)`,
	'DELETE FROM audit_subject WHERE student_id = ?',
	'DELETE FROM student WHERE id = ?'
];

/** By which a student is recognized who was erased and is there again. */
const markOf = (secret: Buffer, { id, names }: { id: number; names: string }) =>
	createHmac('sha256', secret).update(`${id} ${names}`).digest();

/**
 * Erases students for good: every row about them, and what the log says of them alone. Counts stay, without a person.
 *
 * @returns ids of those who are erased; who is in a class, or will be, stays
 */
export async function eraseStudents(
	database: RootDatabase,
	staff: Staff,
	ids: number[],
	why: ErasedWhy,
	{ today, at }: { today: SchoolDate; at: Date }
): Promise<number[]> {
	const secret = await signingKey(database);
	const gone: number[] = [];
	for (const id of ids) {
		// One at a time: whoever waits for one of them waits for no more than that.
		const isGone = await database.transaction(async (transaction) => {
			const student = await transaction.row<{ id: number; names: string }>(
				`SELECT id, CONCAT(given_name, ' ', family_name) AS names FROM student
				WHERE id = ? AND school_id = ? AND ${LEFT} FOR UPDATE`,
				[id, staff.schoolId, today]
			);
			if (!student) return false;
			const counts = await countTraces(transaction, [id]);
			for (const sql of TAKE_OUT) await transaction.run(sql, [id]);
			await transaction.run(
				`INSERT INTO erasure (school_id, student_id, mark, why, counts, erased_by, erased_at)
				VALUES (?, ?, ?, ?, ?, ?, ?)
				ON DUPLICATE KEY UPDATE mark = VALUES(mark), counts = VALUES(counts), erased_at = VALUES(erased_at)`,
				[staff.schoolId, id, markOf(secret, student), why, JSON.stringify(counts), staff.id, at]
			);
			await audit(transaction, staff, at, 'erase student', { why });
			return true;
		});
		if (isGone) gone.push(id);
	}
	return gone;
}

/** A student who was erased. */
export interface Erased {
	schoolId: number;
	studentId: number;
	/** In hexadecimal. */
	mark: string;
	why: ErasedWhy;
	counts: TraceCounts;
	by: string;
	at: Date;
}

/** Whom a school has erased, newest first. */
export async function erasedStudents(database: Database, schoolId: number): Promise<Erased[]> {
	const rows = await database.rows<Omit<Erased, 'counts'> & { counts: string }>(
		`SELECT erasure.school_id AS schoolId, erasure.student_id AS studentId, LOWER(HEX(erasure.mark)) AS mark, erasure.why,
			erasure.counts, account.display_name AS \`by\`, erasure.erased_at AS at
		FROM erasure JOIN account ON account.id = erasure.erased_by
		WHERE erasure.school_id = ?
		ORDER BY erasure.erased_at DESC, erasure.student_id`,
		[schoolId]
	);
	return rows.map((row) => ({ ...row, counts: JSON.parse(row.counts) }));
}

/**
 * Of students who were erased, those who are there again, as after a backup was restored.
 *
 * @returns ids of those who are the same by their mark, and of those whose number somebody else has by now
 */
export async function erasedAgain(
	database: Database,
	schoolId: number,
	erased: Pick<Erased, 'studentId' | 'mark'>[]
): Promise<{ same: number[]; others: number[] }> {
	const secret = await signingKey(database);
	const there = await database.rows<{ id: number; names: string }>(
		`SELECT id, CONCAT(given_name, ' ', family_name) AS names FROM student WHERE school_id = ? AND id IN (?)`,
		[schoolId, [0, ...erased.map(({ studentId }) => studentId)]]
	);
	const marks = new Map(erased.map(({ studentId, mark }) => [studentId, mark]));
	const isSame = (student: (typeof there)[number]) => markOf(secret, student).toString('hex') === marks.get(student.id);
	return {
		same: there.filter(isSame).map(({ id }) => id),
		others: there.filter((student) => !isSame(student)).map(({ id }) => id)
	};
}

/** For how many months after leaving a school keeps students; null for as long as nobody erases them. */
export async function keptMonths(database: Database, schoolId: number): Promise<number | null> {
	const row = await database.row<{ months: number | null }>('SELECT kept_months AS months FROM school WHERE id = ?', [
		schoolId
	]);
	return row!.months;
}

/** Sets for how long students are kept who have left. @returns for how long before */
export async function setKeptMonths(
	database: RootDatabase,
	staff: Staff,
	months: number | null,
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		const before = await keptMonths(transaction, staff.schoolId);
		await transaction.run('UPDATE school SET kept_months = ? WHERE id = ?', [months, staff.schoolId]);
		await audit(transaction, staff, at, 'set how long students are kept', { before, after: months });
		return before;
	});
}
