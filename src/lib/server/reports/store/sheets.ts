import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff, VisibleId } from '../../request';

/** Which words of which sheet. */
export interface WordsOf {
	sheet: 'plan' | 'family';
	language: string;
}

/** Words that adults put in place of those drawn up, by part. */
export async function ownWords(
	database: Database,
	studentId: VisibleId,
	{ sheet, language }: WordsOf
): Promise<Map<string, string>> {
	const rows = await database.rows<{ part: string; words: string }>(
		'SELECT part, words FROM sheet_words WHERE student_id = ? AND sheet = ? AND language = ?',
		[studentId, sheet, language]
	);
	return new Map(rows.map(({ part, words }) => [part, words]));
}

/** Puts own words in place of a part of a sheet; null puts back what is drawn up. @returns the own words before */
export async function writeWords(
	database: RootDatabase,
	staff: Staff,
	studentId: number,
	{ sheet, language, part }: WordsOf & { part: string },
	words: string | null,
	at: Date
): Promise<string | null> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: [studentId] });
		const which = [studentId, sheet, language, part];
		const where = 'student_id = ? AND sheet = ? AND language = ? AND part = ?';
		const before = await transaction.row<{ words: string }>(
			`SELECT words FROM sheet_words WHERE ${where} FOR UPDATE`,
			which
		);
		if (words === null) await transaction.run(`DELETE FROM sheet_words WHERE ${where}`, which);
		else
			await transaction.run(
				`INSERT INTO sheet_words (student_id, sheet, language, part, words, written_by, written_at)
				VALUES (?, ?, ?, ?, ?, ?, ?)
				ON DUPLICATE KEY UPDATE words = VALUES(words), written_by = VALUES(written_by), written_at = VALUES(written_at)`,
				[...which, words, staff.id, at]
			);
		await audit(transaction, staff, at, 'write on a sheet', { student: studentId, sheet, part });
		return before?.words ?? null;
	});
}

export const WAYS = ['paper', 'mail', 'talk'] as const;
export const ANSWERS = ['read', 'agrees', 'declines'] as const;

/** What a family was sent or told. */
export interface FamilyLetter {
	id: number;
	studentId: VisibleId;
	language: string;
	way: (typeof WAYS)[number];
	sentOn: SchoolDate;
	by: string;
	/** Whether it asks the family to agree. */
	asksConsent: boolean;
	answeredOn: SchoolDate | null;
	answer: (typeof ANSWERS)[number] | null;
}

/** What the families of students were sent, the latest first. */
export async function familyLetters(database: Database, studentIds: VisibleId[]): Promise<FamilyLetter[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<Omit<FamilyLetter, 'asksConsent'> & { asksConsent: number }>(
		`SELECT letter.id, letter.student_id AS studentId, letter.language, letter.way, letter.sent_on AS sentOn,
			account.display_name AS \`by\`, letter.asks_consent AS asksConsent, letter.answered_on AS answeredOn, letter.answer
		FROM family_letter AS letter JOIN account ON account.id = letter.sent_by
		WHERE letter.student_id IN (?) AND letter.taken_back_at IS NULL ORDER BY letter.sent_on DESC, letter.id DESC LIMIT 200`,
		[studentIds]
	);
	return rows.map((row) => ({ ...row, asksConsent: Boolean(row.asksConsent) }));
}

/** Notes that a family was sent something. @returns id of the note */
export async function noteLetter(
	database: RootDatabase,
	staff: Staff,
	letter: { studentId: number } & Pick<FamilyLetter, 'language' | 'way' | 'sentOn' | 'asksConsent'>,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: [letter.studentId] });
		const { insertId } = await transaction.run(
			`INSERT INTO family_letter (student_id, language, way, sent_on, sent_by, noted_at, asks_consent)
			VALUES (?, ?, ?, ?, ?, ?, ?)`,
			[letter.studentId, letter.language, letter.way, letter.sentOn, staff.id, at, letter.asksConsent]
		);
		await audit(transaction, staff, at, 'note a family letter', { letter: insertId, student: letter.studentId });
		return insertId;
	});
}

/** Notes how a family answered, or takes that back (null). @returns whether there is such a letter */
export async function answerLetter(
	database: RootDatabase,
	staff: Staff,
	letter: { id: number; studentId: number },
	answered: { on: SchoolDate; answer: (typeof ANSWERS)[number] } | null,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: [letter.studentId] });
		const { affected } = await transaction.run(
			`UPDATE family_letter SET answered_on = ?, answer = ? WHERE id = ? AND student_id = ? AND taken_back_at IS NULL`,
			[answered?.on ?? null, answered?.answer ?? null, letter.id, letter.studentId]
		);
		if (affected)
			await audit(transaction, staff, at, 'note a family’s answer', { letter: letter.id, student: letter.studentId });
		return affected > 0;
	});
}

/** Takes the note of a letter back, or puts it there again. @returns whether anything was changed */
export async function takeBackLetter(
	database: RootDatabase,
	staff: Staff,
	letter: { id: number; studentId: number },
	isGone: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: [letter.studentId] });
		const { affected } = await transaction.run(
			`UPDATE family_letter SET taken_back_at = ?
			WHERE id = ? AND student_id = ? AND taken_back_at IS ${isGone ? 'NULL' : 'NOT NULL'}`,
			[isGone ? at : null, letter.id, letter.studentId]
		);
		if (affected)
			await audit(transaction, staff, at, isGone ? 'take back a family letter' : 'put back a family letter', {
				letter: letter.id,
				student: letter.studentId
			});
		return affected > 0;
	});
}
