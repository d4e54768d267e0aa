import { addDays, schoolDateOf, type SchoolDate } from '../../../core/calendar';
import type { FluencyMeasure, Giving, MeasureGoal } from '../../../core/fluency';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import type { School } from '../../school';

/** A timed measure that an adult gives one student week by week, on sheets of one grade. */
export interface MeasureSeries extends MeasureGoal {
	id: number;
	studentId: VisibleId;
	measure: FluencyMeasure;
	sheetGrade: number;
	/** Those that count, in order of their days; a screening's on a sheet of the same grade is among them. */
	givings: (Giving & { id: string; by: string; inScreening: boolean })[];
	/** The number of the sheet that comes next: no sheet that was given comes again before all others did. */
	nextSheet: number;
}

interface NewMeasureSeries {
	measure: FluencyMeasure;
	startsOn: SchoolDate;
	goalOn: SchoolDate;
	/** The goal in correct a minute. */
	students: { id: number; sheetGrade: number; goal: number }[];
}

/** So long before its start a screening counts as a series' beginning. */
const DAYS_BEFORE = 42;

/** Begins series; whoever has one of the measure that is running keeps it. @returns ids of the new ones */
export async function beginMeasureSeries(
	database: RootDatabase,
	staff: Staff,
	{ measure, startsOn, goalOn, students }: NewMeasureSeries,
	at: Date
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: students.map(({ id }) => id) });
		const ids: number[] = [];
		for (const { id, sheetGrade, goal } of students) {
			const { insertId, affected } = await transaction.run(
				`INSERT INTO measure_series (student_id, measure, sheet_grade, starts_on, goal_on, goal, begun_by)
				VALUES (?, ?, ?, ?, ?, ?, ?) ON DUPLICATE KEY UPDATE id = id`,
				[id, measure, sheetGrade, startsOn, goalOn, goal, staff.id]
			);
			if (affected) ids.push(insertId);
		}
		if (ids.length)
			await audit(transaction, staff, at, 'begin measures', { series: ids, students: students.map(({ id }) => id) });
		return ids;
	});
}

/** Takes back series of which nothing was given: own ones, of specialists and coordinators anyone's. @returns how many */
export async function takeBackMeasureSeries(
	database: RootDatabase,
	staff: Staff,
	seriesIds: number[],
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND series.begun_by = ?';
		const free = await transaction.rows<{ id: number }>(
			`SELECT series.id FROM measure_series AS series JOIN student ON student.id = series.student_id
			WHERE series.id IN (?) AND student.school_id = ? ${ownOnly}
				AND NOT EXISTS (SELECT 1 FROM given_measure WHERE given_measure.series_id = series.id) FOR UPDATE`,
			[seriesIds, staff.schoolId, ...(ownOnly ? [staff.id] : [])]
		);
		if (free.length === 0) return 0;
		const ids = free.map(({ id }) => id);
		await transaction.run('DELETE FROM measure_series WHERE id IN (?)', [ids]);
		await audit(transaction, staff, at, 'take back measures', { series: ids });
		return ids.length;
	});
}

/** Ends a series on a day, or lets it go on (null). @returns whether that changed anything */
export async function endMeasureSeries(
	database: RootDatabase,
	staff: Staff,
	{ id, studentId }: { id: number; studentId: number },
	endedOn: SchoolDate | null,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const series = await transaction.row<{ measure: FluencyMeasure; endedOn: SchoolDate | null }>(
			`SELECT series.measure, series.ended_on AS endedOn
			FROM measure_series AS series JOIN student ON student.id = series.student_id
			WHERE series.id = ? AND series.student_id = ? AND student.school_id = ? FOR UPDATE`,
			[id, studentId, staff.schoolId]
		);
		if (!series || (series.endedOn === null) === (endedOn === null)) return false;
		const another = await transaction.row(
			'SELECT 1 FROM measure_series WHERE student_id = ? AND measure = ? AND ended_on IS NULL AND id <> ? FOR UPDATE',
			[studentId, series.measure, id]
		);
		if (another) return false;
		await transaction.run('UPDATE measure_series SET ended_on = ? WHERE id = ?', [endedOn, id]);
		await audit(transaction, staff, at, endedOn ? 'end measures' : 'go on with measures', {
			series: [id],
			students: [studentId]
		});
		return true;
	});
}

/** Running series of students with what was given, by student. */
export async function measureSeriesOf(
	database: Database,
	studentIds: VisibleId[],
	{ timeZone }: Pick<School, 'timeZone'>
): Promise<MeasureSeries[]> {
	if (studentIds.length === 0) return [];
	const series = await database.rows<Omit<MeasureSeries, 'givings' | 'nextSheet'>>(
		`SELECT id, student_id AS studentId, measure, sheet_grade AS sheetGrade, starts_on AS startsOn, goal_on AS goalOn, goal
		FROM measure_series FORCE INDEX (by_student) WHERE student_id IN (?) AND ended_on IS NULL
		ORDER BY student_id, measure`,
		[studentIds]
	);
	if (series.length === 0) return [];
	const given = await givenOf(database, [...new Set(series.map(({ studentId }) => studentId))], timeZone);
	return series.map((one) => {
		const own = given.filter(
			({ seriesId, studentId, measure, sheetGrade, on }) =>
				seriesId === one.id ||
				(seriesId === null &&
					studentId === one.studentId &&
					measure === one.measure &&
					sheetGrade === one.sheetGrade &&
					on >= addDays(one.startsOn, -DAYS_BEFORE))
		);
		return {
			...one,
			givings: own
				.filter(({ isAside }) => !isAside)
				.map(({ id, on, reached, missed, seconds, by, seriesId }) => ({
					...{ id, on, reached, missed, seconds, by },
					inScreening: seriesId === null
				})),
			// One that was set aside has been met as well.
			nextSheet: 1 + Math.max(0, ...own.map(({ sheetNumber }) => sheetNumber ?? 0))
		};
	});
}

/** The newest giving of a measure to each student, in a screening or a series, with the grade of its sheet. */
export async function newestGivings(
	database: Database,
	studentIds: VisibleId[],
	measure: FluencyMeasure,
	{ timeZone }: Pick<School, 'timeZone'>
): Promise<Map<number, Giving & { sheetGrade: number }>> {
	if (studentIds.length === 0) return new Map();
	const given = await givenOf(database, studentIds, timeZone);
	return new Map(given.filter((one) => one.measure === measure && !one.isAside).map((one) => [one.studentId, one]));
}

/** Everything that students were given, of windows and series, in order. */
async function givenOf(database: Database, studentIds: VisibleId[], timeZone: string) {
	const rows = await database.rows<{
		id: string;
		seriesId: number | null;
		sheetNumber: number | null;
		studentId: number;
		measure: FluencyMeasure;
		sheetGrade: number;
		reached: number;
		missed: string;
		seconds: string;
		by: string;
		givenAt: Date;
		isAside: number;
	}>(
		`SELECT given.id, given.series_id AS seriesId, given.sheet_number AS sheetNumber, given.student_id AS studentId,
			COALESCE(series.measure, screening_window.measure) AS measure, given.sheet_grade AS sheetGrade, given.reached,
			given.missed, given.seconds, account.display_name AS \`by\`, given.given_at AS givenAt,
			given.set_aside_at IS NOT NULL AS isAside
		FROM given_measure AS given FORCE INDEX (by_student)
		LEFT JOIN measure_series AS series ON series.id = given.series_id
		LEFT JOIN screening_window ON screening_window.id = given.window_id
		JOIN account ON account.id = given.given_by
		WHERE given.student_id IN (?)
		ORDER BY given.given_at, given.id`,
		[studentIds]
	);
	return rows.map(({ missed, seconds, givenAt, isAside, ...row }) => ({
		...row,
		missed: JSON.parse(missed) as number[],
		seconds: Number(seconds),
		on: schoolDateOf(givenAt, timeZone),
		isAside: Boolean(isAside)
	}));
}
