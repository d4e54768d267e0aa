import { BAND_WIDTH, OVERALL, screeningStatus, TO_FINISH, TO_SIT, type ScreeningStatus } from '../../../core/screening';
import { fromPoints } from '../../../core/measurement';
import type { Database } from '../../database';
import { gradeOnSql, lockStudents, rosterSql, type Roster, type RosterCount } from '../../people';
import type { VisibleId } from '../../request';
import { windowSittings } from '../../sitting';
import { windowMeasures } from './givenMeasures';
import { windowScores } from './scores';
import { windowNotes } from './windows';

/** Where a student is in a window, as it is kept to be counted and sorted by. */
export interface PlaceSummary {
	status: ScreeningStatus;
	/** The score that counts on a measure, in logits. */
	score: { theta: number; standardError: number } | null;
}

/** Writes anew where students are in a window. Belongs into the transaction that changed it. */
export async function refreshPlaces(transaction: Database, windowId: number, studentIds: number[]): Promise<void> {
	if (studentIds.length === 0) return;
	await lockStudents(transaction, studentIds);
	const ids = studentIds as VisibleId[];
	const sittings = await windowSittings(transaction, windowId, ids);
	const scores = await windowScores(transaction, windowId, ids);
	const notes = await windowNotes(transaction, windowId, ids);
	const givings = await windowMeasures(transaction, windowId, ids);
	const grades = await gradesOf(transaction, windowId, studentIds);
	const places = ids.map((id) => {
		const own = scores.get(id) ?? [];
		const status = screeningStatus({
			sitting: sittings.get(id),
			sources: givings.has(id) ? ['teacher-given'] : own.map(({ source }) => source),
			note: notes.get(id)?.kind,
			asked: true
		});
		return { id, status, scores: own };
	});
	const isSilent = ({ status }: { status: ScreeningStatus }) => status === 'not started';
	await transaction.run('DELETE FROM window_place WHERE window_id = ? AND student_id IN (?)', [
		windowId,
		[0, ...places.filter(isSilent).map(({ id }) => id)]
	]);
	await transaction.insertMany(
		`INSERT INTO window_place (window_id, student_id, grade, status, theta, standard_error, scores) VALUES ?
		ON DUPLICATE KEY UPDATE grade = VALUES(grade), status = VALUES(status), theta = VALUES(theta), standard_error = VALUES(standard_error),
			scores = VALUES(scores)`,
		places
			.filter((place) => !isSilent(place))
			.map(({ id, status, scores: own }) => {
				const overall = own.find(({ domainId }) => domainId === 0);
				const byDomain = own.map(({ domainId, theta, standardError }) => [domainId, [theta, standardError]]);
				return [
					windowId,
					id,
					grades.get(id)!,
					status,
					overall?.theta ?? null,
					overall?.standardError ?? null,
					JSON.stringify(Object.fromEntries(byDomain))
				];
			})
	);
}

/** Grades at the beginning of a window. */
async function gradesOf(transaction: Database, windowId: number, studentIds: number[]): Promise<Map<number, number>> {
	const rows = await transaction.rows<{ id: number; grade: number }>(
		`SELECT student.id, ${gradeOnSql('screening_window.opens_on')} AS grade
		FROM student JOIN screening_window ON screening_window.id = ?
		WHERE student.id IN (?)`,
		[windowId, studentIds]
	);
	return new Map(rows.map(({ id, grade }) => [id, grade]));
}

/** Windows in which students have a sitting, a score, a note or a measure. */
export async function windowsWith(database: Database, studentIds: number[]): Promise<number[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<{ id: number }>(
		`SELECT window_id AS id FROM sitting WHERE student_id IN (?) AND window_id IS NOT NULL
		UNION SELECT window_id FROM score WHERE student_id IN (?)
		UNION SELECT window_id FROM window_student WHERE student_id IN (?)
		UNION SELECT window_id FROM given_measure WHERE student_id IN (?) AND window_id IS NOT NULL
		UNION SELECT window_id FROM window_place WHERE student_id IN (?)
		ORDER BY id`,
		Array(5).fill(studentIds)
	);
	return rows.map(({ id }) => id);
}

/** Windows in which a student answered a diagnostic that does not count, not yet or not any more; the earliest first. */
export async function uncountedWindows(
	database: Database,
	studentId: VisibleId
): Promise<{ window: string; status: ScreeningStatus }[]> {
	return database.rows(
		`SELECT screening_window.name AS \`window\`, place.status
		FROM window_place AS place JOIN screening_window ON screening_window.id = place.window_id
		WHERE place.student_id = ? AND place.status IN ('needs another look', 'to sit again')
		ORDER BY screening_window.opens_on, screening_window.id`,
		[studentId]
	);
}

/** What is kept of students' places, in all windows, as text to compare by. */
export async function storedPlaces(database: Database, studentIds: number[]): Promise<Map<string, string>> {
	const rows = await database.rows<{ windowId: number; studentId: number; status: string; scores: string }>(
		`SELECT window_id AS windowId, student_id AS studentId, status, scores FROM window_place WHERE student_id IN (?)`,
		[studentIds]
	);
	return new Map(rows.map((row) => [`${row.windowId} ${row.studentId}`, `${row.status} ${row.scores}`]));
}

/** A student's status: what is kept, and for who has done nothing, whether the window asks the class. */
const STATUS = `CASE
	WHEN COALESCE(place.status, 'absent') <> 'absent' THEN place.status
	WHEN asked.class_id IS NULL THEN 'not in this window'
	ELSE COALESCE(place.status, 'not started') END`;

const PLACES = `LEFT JOIN window_place AS place ON place.window_id = ? AND place.student_id = roster.id
	LEFT JOIN window_class AS asked ON asked.window_id = ? AND asked.class_id = roster.class_id`;

/** The score that counts on a measure, from what is kept: the overall one has columns of its own. */
const scoreSql = (measure: number) =>
	measure === OVERALL
		? { sql: 'place.theta, place.standard_error AS standardError', values: [] }
		: {
				sql: 'JSON_VALUE(place.scores, ?) AS theta, JSON_VALUE(place.scores, ?) AS standardError',
				values: [`$."${measure}"[0]`, `$."${measure}"[1]`]
			};

/**
 * Where each student of a roster is in a window, one row a student.
 *
 * @param measure of which scores are wanted: 0 for overall, else a domain's id
 */
export async function placesIn(
	database: Database,
	windowId: number,
	roster: Roster,
	measure = OVERALL
): Promise<Map<number, PlaceSummary>> {
	const among = rosterSql(roster);
	const score = scoreSql(measure);
	const rows = await database.rows<{
		id: number;
		status: ScreeningStatus;
		theta: number | string | null;
		standardError: number | string | null;
	}>(`SELECT roster.id, ${STATUS} AS status, ${score.sql} FROM ${among.sql} AS roster ${PLACES}`, [
		...score.values,
		...among.values,
		windowId,
		windowId
	]);
	return new Map(
		rows.map(({ id, status, theta, standardError }) => [
			id,
			{ status, score: theta === null ? null : { theta: Number(theta), standardError: Number(standardError) } }
		])
	);
}

/** The overall scores of a roster in a window, in logits, each with the student's grade then. */
export async function overallScores(
	database: Database,
	windowId: number,
	roster: Roster
): Promise<{ id: number; grade: number; theta: number; standardError: number }[]> {
	const among = rosterSql(roster);
	return database.rows(
		`SELECT roster.id, place.grade, place.theta, place.standard_error AS standardError
		FROM ${among.sql} AS roster
		JOIN window_place AS place ON place.window_id = ? AND place.student_id = roster.id
		WHERE place.theta IS NOT NULL`,
		[...among.values, windowId]
	);
}

/** How many students of each class still have something to sit in a window; classes without any are absent. */
export async function toSitByClass(database: Database, windowId: number, roster: Roster): Promise<Map<number, number>> {
	const among = rosterSql(roster);
	const rows = await database.rows<{ classId: number; size: number }>(
		`SELECT roster.class_id AS classId, COUNT(*) AS size
		FROM ${among.sql} AS roster ${PLACES}
		WHERE ${STATUS} IN (?)
		GROUP BY roster.class_id`,
		[...among.values, windowId, windowId, [...TO_SIT]]
	);
	return new Map(rows.map(({ classId, size }) => [classId, Number(size)]));
}

const inWindow = (windowId: number) => ({ sql: PLACES, values: [windowId, windowId] });

/** Students whom a window still waits for. */
export const toFinish = (windowId: number): RosterCount => ({
	sql: `${STATUS} IN (?)`,
	values: [[...TO_FINISH]],
	join: inWindow(windowId)
});

/**
 * Students below the line of a window, error and all.
 *
 * @param cuts in points, by grade
 */
export function belowTheLine(windowId: number, cuts: Record<number, number>): RosterCount {
	const grades = Object.entries(cuts);
	return {
		sql: `COALESCE(place.theta + ? * place.standard_error
			< CASE place.grade
				${grades.map(() => 'WHEN ? THEN ?').join(' ')} END, 0)`,
		values: [BAND_WIDTH, ...grades.flatMap(([grade, cut]) => [Number(grade), fromPoints(cut)])],
		join: inWindow(windowId)
	};
}
