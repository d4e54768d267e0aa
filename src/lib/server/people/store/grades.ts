import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';

/** SQL: the grade of `student` on a day, which is told in SQL as well. */
export const gradeOnSql = (day: string) => `COALESCE((
	SELECT former.grade FROM former_grade AS former
	WHERE former.student_id = student.id AND former.until_on > ${day}
	ORDER BY former.until_on LIMIT 1), student.grade)`;

/** Tells the grade of one of some students on a day. */
export async function gradesByDay(
	database: Database,
	students: { id: number; grade: number }[]
): Promise<(studentId: number, day: SchoolDate) => number> {
	const now = new Map(students.map(({ id, grade }) => [id, grade]));
	const former = students.length
		? await database.rows<{ studentId: number; untilOn: SchoolDate; grade: number }>(
				`SELECT student_id AS studentId, until_on AS untilOn, grade FROM former_grade
				WHERE student_id IN (?) ORDER BY student_id, until_on`,
				[[...now.keys()]]
			)
		: [];
	const earlier = new Map<number, typeof former>();
	for (const row of former) earlier.set(row.studentId, [...(earlier.get(row.studentId) ?? []), row]);
	return (id, day) => earlier.get(id)?.find(({ untilOn }) => day < untilOn)?.grade ?? now.get(id)!;
}

/** Students with the grades that they were of on a day. */
export async function asOfGrade<Student extends { id: number; grade: number }>(
	database: Database,
	students: Student[],
	day: SchoolDate
): Promise<Student[]> {
	const gradeOn = await gradesByDay(database, students);
	return students.map((student) => ({ ...student, grade: gradeOn(student.id, day) }));
}

/** Keeps the grades that students were of up to a day, as they are of others from then on. */
export async function noteFormerGrades(
	transaction: Database,
	students: { id: number; before: number }[],
	untilOn: SchoolDate
): Promise<void> {
	// Changed twice on one day: what was before the first stays.
	await transaction.insertMany(
		'INSERT IGNORE INTO former_grade (student_id, until_on, grade) VALUES ?',
		students.map(({ id, before }) => [id, untilOn, before])
	);
}

/** Forgets that students were of other grades up to a day. */
export async function dropFormerGrades(
	transaction: Database,
	studentIds: number[],
	untilOn: SchoolDate
): Promise<void> {
	if (studentIds.length === 0) return;
	await transaction.run('DELETE FROM former_grade WHERE until_on = ? AND student_id IN (?)', [untilOn, studentIds]);
}

/** Students' grades from a day on, which before were others. */
export async function setGradesFrom(
	transaction: Database,
	students: { id: number; before: number; grade: number }[],
	from: SchoolDate
): Promise<void> {
	const changed = students.filter(({ before, grade }) => before !== grade);
	await noteFormerGrades(transaction, changed, from);
	for (const grade of new Set(changed.map((one) => one.grade)))
		await transaction.run('UPDATE student SET grade = ? WHERE id IN (?)', [
			grade,
			changed.filter((one) => one.grade === grade).map(({ id }) => id)
		]);
}

/** Puts back the grades that students had up to a day. */
export async function putGradesBack(transaction: Database, studentIds: number[], from: SchoolDate): Promise<void> {
	if (studentIds.length === 0) return;
	await transaction.run(
		`UPDATE student JOIN former_grade AS former ON former.student_id = student.id AND former.until_on = ?
		SET student.grade = former.grade WHERE student.id IN (?)`,
		[from, studentIds]
	);
	await dropFormerGrades(transaction, studentIds, from);
}
