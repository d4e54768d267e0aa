import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { gradeOnSql, type Roster, rosterSql } from '../../people';
import type { Staff, VisibleId } from '../../request';
import { markStale } from '../../standing';
import { refreshPlaces } from './places';

export interface Score {
	studentId: number;
	source: string;
	/** 0 is overall. */
	domainId: number;
	theta: number;
	standardError: number;
	takenOn: SchoolDate;
	sittingId: number | null;
}

/** Scores of a window, the diagnostic's own before imported ones where a student has both. */
export async function windowScores(
	database: Database,
	windowId: number,
	studentIds: VisibleId[]
): Promise<Map<number, Score[]>> {
	const scores = new Map<number, Score[]>();
	if (studentIds.length === 0) return scores;
	const rows = await database.rows<Score>(
		`SELECT student_id AS studentId, source, domain_id AS domainId, theta, standard_error AS standardError,
			taken_on AS takenOn, sitting_id AS sittingId
		FROM score WHERE window_id = ? AND student_id IN (?)
		ORDER BY source = 'diagnostic' DESC, taken_on DESC, id`,
		[windowId, studentIds]
	);
	for (const row of rows) {
		const list = scores.get(row.studentId) ?? [];
		if (list.some((score) => score.domainId === row.domainId)) continue;
		scores.set(row.studentId, [...list, row]);
	}
	return scores;
}

/** Each student's newest overall ability, logits; students without a score are absent. */
export async function overallAbilities(database: Database, studentIds: VisibleId[]): Promise<Map<number, number>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<{ studentId: number; theta: number }>(
		`SELECT student_id AS studentId, theta FROM score
		WHERE student_id IN (?) AND domain_id = 0
		ORDER BY taken_on, source = 'diagnostic', id`,
		[studentIds]
	);
	return new Map(rows.map(({ studentId, theta }) => [studentId, theta]));
}

/** An overall score, as a rule looks at it. */
export interface OverallScore {
	theta: number;
	standardError: number;
	takenOn: SchoolDate;
	/** Of its window. */
	term: number;
	window: string;
}

/** The newest overall score of each student of a roster, our own diagnostic's or one from elsewhere. */
export async function newestOverall(database: Database, roster: Roster): Promise<Map<number, OverallScore>> {
	const among = rosterSql(roster);
	const rows = await database.rows<OverallScore & { studentId: number }>(
		`SELECT score.student_id AS studentId, score.theta, score.standard_error AS standardError, score.taken_on AS takenOn,
			screening_window.term, screening_window.name AS \`window\`
		FROM ${among.sql} AS roster
		STRAIGHT_JOIN score ON score.student_id = roster.id AND score.domain_id = 0
		STRAIGHT_JOIN screening_window ON screening_window.id = score.window_id
		WHERE screening_window.measure IS NULL
		ORDER BY score.taken_on, score.source = 'diagnostic', score.id`,
		among.values
	);
	return new Map(rows.map(({ studentId, ...score }) => [studentId, score]));
}

/** All scores of a student through time, the earliest first; of a window's two, our own diagnostic's. */
export async function scoreHistory(database: Database, studentId: VisibleId) {
	const rows = await database.rows<{
		windowId: number;
		domainId: number;
		theta: number;
		standardError: number;
		takenOn: SchoolDate;
		window: string;
		term: number;
	}>(
		`SELECT score.window_id AS windowId, score.domain_id AS domainId, score.theta, score.standard_error AS standardError,
			score.taken_on AS takenOn, screening_window.name AS \`window\`, screening_window.term
		FROM score JOIN screening_window ON screening_window.id = score.window_id
		WHERE score.student_id = ? AND screening_window.measure IS NULL
		ORDER BY score.source = 'diagnostic', score.taken_on, score.id`,
		[studentId]
	);
	const one = new Map(rows.map((row) => [`${row.windowId} ${row.domainId}`, row]));
	return [...one.values()].sort((a, b) => (a.takenOn < b.takenOn ? -1 : a.takenOn > b.takenOn ? 1 : 0));
}

/** Overall abilities of all students who were of a grade in a window, one a student, our own diagnostic before others. */
export async function gradeAbilities(
	database: Database,
	schoolId: number,
	windowId: number,
	grade: number
): Promise<number[]> {
	const rows = await database.rows<{ studentId: number; theta: number }>(
		`SELECT score.student_id AS studentId, score.theta FROM score
		JOIN student ON student.id = score.student_id
		JOIN screening_window ON screening_window.id = score.window_id
		WHERE score.window_id = ? AND score.domain_id = 0 AND student.school_id = ?
			AND ${gradeOnSql('screening_window.opens_on')} = ?
		ORDER BY score.source = 'diagnostic'`,
		[windowId, schoolId, grade]
	);
	return [...new Map(rows.map(({ studentId, theta }) => [studentId, theta])).values()];
}

interface ImportedScore {
	studentId: number;
	domainId: number;
	theta: number;
	standardError: number;
	takenOn: SchoolDate;
}

/** Which of the scores to import are already there unchanged, and which would change one. */
export async function existingImports(
	database: Database,
	windowId: number,
	source: string,
	studentIds: number[]
): Promise<Map<string, ImportedScore>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<ImportedScore>(
		`SELECT student_id AS studentId, domain_id AS domainId, theta, standard_error AS standardError, taken_on AS takenOn
		FROM score WHERE window_id = ? AND source = ? AND student_id IN (?)`,
		[windowId, source, studentIds]
	);
	return new Map(rows.map((row) => [`${row.studentId} ${row.domainId}`, row]));
}

/** Stores scores brought in from outside; the same scores again change nothing. */
export async function importScores(
	database: RootDatabase,
	staff: Staff,
	windowId: number,
	source: string,
	scores: ImportedScore[],
	at: Date
): Promise<void> {
	if (scores.length === 0) return;
	await database.transaction(async (transaction) => {
		const studentIds = [...new Set(scores.map((score) => score.studentId))];
		await requireOwn(transaction, staff, { student: studentIds, window: [windowId] });
		await transaction.insertMany(
			`INSERT INTO score (student_id, window_id, source, domain_id, theta, standard_error, taken_on)
			VALUES ? ON DUPLICATE KEY UPDATE theta = VALUES(theta), standard_error = VALUES(standard_error), taken_on = VALUES(taken_on)`,
			scores.map((score) => [
				score.studentId,
				windowId,
				source,
				score.domainId,
				score.theta,
				score.standardError,
				score.takenOn
			])
		);
		await refreshPlaces(transaction, windowId, studentIds);
		await markStale(transaction, studentIds, { reachesBack: true });
		await audit(transaction, staff, at, 'import scores', {
			window: windowId,
			source,
			scores: scores.length,
			students: studentIds.length
		});
	});
}

/** What each column of a source's files holds, by heading: a role, with domains by their code. */
export type Matching = Record<string, string>;

/** Sources that scores have come from, by name, with how their columns were matched last. */
export async function scoreSources(database: Database, schoolId: number): Promise<Map<string, Matching>> {
	const rows = await database.rows<{ name: string; matching: string }>(
		'SELECT name, matching FROM score_source WHERE school_id = ? ORDER BY name',
		[schoolId]
	);
	return new Map(rows.map(({ name, matching }) => [name, JSON.parse(matching)]));
}

export async function saveMatching(
	database: Database,
	staff: Staff,
	source: string,
	matching: Matching,
	at: Date
): Promise<void> {
	await database.run(
		`INSERT INTO score_source (school_id, name, matching, saved_by, saved_at) VALUES (?, ?, ?, ?, ?)
		ON DUPLICATE KEY UPDATE matching = VALUES(matching), saved_by = VALUES(saved_by), saved_at = VALUES(saved_at)`,
		[staff.schoolId, source, JSON.stringify(matching), staff.id, at]
	);
}
