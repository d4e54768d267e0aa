import type { SchoolDate } from '../../../core/calendar';
import { hasRushed, type SetOutcome, type TimedAnswer } from '../../../core/practice';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';

/** How finished sets of students went on each of their skills: by student, then skill, in the order they were finished. */
export async function setOutcomes(
	database: Database,
	studentIds: VisibleId[],
	since: SchoolDate
): Promise<Map<number, Map<number, SetOutcome[]>>> {
	const found = new Map<number, Map<number, SetOutcome[]>>(studentIds.map((id) => [id, new Map()]));
	if (studentIds.length === 0) return found;
	const rows = await database.rows<{ studentId: number; skillId: number; right: number; of: number }>(
		`SELECT sitting.student_id AS studentId, answer.skill_id AS skillId, SUM(answer.correct) AS \`right\`, COUNT(*) AS of
		FROM sitting FORCE INDEX (by_set) JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		WHERE sitting.student_id IN (?) AND sitting.set_id IS NOT NULL AND sitting.finished_at >= ?
			AND sitting.set_aside_at IS NULL
		GROUP BY sitting.id, answer.skill_id
		ORDER BY sitting.finished_at, sitting.id`,
		[studentIds, since]
	);
	for (const { studentId, skillId, right, of } of rows) {
		const own = found.get(studentId)!;
		own.set(skillId, [...(own.get(skillId) ?? []), { right: Number(right), of: Number(of) }]);
	}
	return found;
}

/** When answers of a set's runs that count were given, all tries, by student. */
export async function setTimes(database: Database, setId: number): Promise<Map<number, TimedAnswer[]>> {
	const rows = await database.rows<{ studentId: number; at: Date; milliseconds: number }>(
		`SELECT answer.student_id AS studentId, answer.answered_at AS at, answer.milliseconds
		FROM sitting JOIN answer ON answer.sitting_id = sitting.id
		WHERE sitting.set_id = ? AND sitting.set_aside_at IS NULL`,
		[setId]
	);
	const found = new Map<number, TimedAnswer[]>();
	for (const { studentId, at, milliseconds } of rows)
		found.set(studentId, [...(found.get(studentId) ?? []), { at: at.getTime(), milliseconds }]);
	return found;
}

/** Students who rushed through a set: three first tries in a row faster than a question can be read. */
export async function rushedIn(database: Database, setId: number): Promise<Set<number>> {
	const rows = await database.rows<{ studentId: number; milliseconds: number; correct: number }>(
		`SELECT answer.student_id AS studentId, answer.milliseconds, answer.correct
		FROM sitting JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		WHERE sitting.set_id = ? AND sitting.set_aside_at IS NULL
		ORDER BY answer.student_id, answer.answered_at, answer.position`,
		[setId]
	);
	const tries = new Map<number, { milliseconds: number; correct: boolean }[]>();
	for (const { studentId, milliseconds, correct } of rows)
		tries.set(studentId, [...(tries.get(studentId) ?? []), { milliseconds, correct: Boolean(correct) }]);
	return new Set([...tries].filter(([, own]) => hasRushed(own)).map(([studentId]) => studentId));
}

/** Students who were absent from a session of a group on a day. */
export async function absentOn(database: Database, studentIds: VisibleId[], day: SchoolDate): Promise<Set<number>> {
	if (studentIds.length === 0) return new Set();
	const rows = await database.rows<{ id: number }>(
		'SELECT DISTINCT student_id AS id FROM attendance WHERE student_id IN (?) AND on_date = ? AND NOT present',
		[studentIds, day]
	);
	return new Set(rows.map(({ id }) => id));
}
