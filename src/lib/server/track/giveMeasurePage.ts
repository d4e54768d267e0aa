import { mondayOf, type SchoolDate } from '../../core/calendar';
import { MEASURES, scoreSheet } from '../../core/fluency';
import type { Database } from '../database';
import { visibleAmong } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import { sheetToMark } from '../screen';
import type { Scope } from '../shell';
import { type MeasureSeries, measureSeriesOf } from './store/measureSeries';

/** Whether a series is still to be given this week. */
export const isToGive = ({ givings, goalOn }: MeasureSeries, today: SchoolDate): boolean =>
	today <= goalOn && !givings.some(({ on }) => on >= mondayOf(today));

/** A running series that may be seen; null for none. */
export async function seenSeries(
	database: Database,
	staff: Staff,
	school: School,
	{ studentId, seriesId }: { studentId: number | null; seriesId: number | null }
) {
	if (studentId === null) return null;
	const [student] = await visibleAmong(database, staff, [studentId], school.today);
	if (!student) return null;
	const series = (await measureSeriesOf(database, [student.id], school)).find(({ id }) => id === seriesId);
	return series ? { series, student } : null;
}

/** The sheet of a series that comes next, who it is for, and who of the scope waits for the same measure after them. */
export async function giveMeasurePage(
	database: Database,
	staff: Staff,
	school: School,
	scope: Scope,
	asked: { studentId: number | null; seriesId: number | null }
) {
	const found = await seenSeries(database, staff, school, asked);
	if (!found) return null;
	const { series, student } = found;
	const { measure, sheetGrade, nextSheet, givings } = series;
	const students = await scope.students();
	const waiting = (
		await measureSeriesOf(
			database,
			students.map(({ id }) => id),
			school
		)
	).filter((one) => one.measure === measure && one.id !== series.id && isToGive(one, school.today));
	const places = new Map<number, number>(students.map(({ id }, i) => [id, i]));
	const own = places.get(student.id) ?? -1;
	const inOrder = waiting.sort((a, b) => places.get(a.studentId)! - places.get(b.studentId)!);
	const next = inOrder.find(({ studentId }) => places.get(studentId)! > own) ?? inOrder[0];
	const last = givings[givings.length - 1];
	return {
		...{ series: series.id, student, measure, unit: MEASURES[measure].units, nextSheet },
		sheet: sheetToMark(measure, sheetGrade, { sheetNumber: nextSheet }),
		isGiven: !isToGive(series, school.today) && last !== undefined,
		last: last ? { on: last.on, by: last.by, ...scoreSheet(last) } : null,
		waiting: waiting.length,
		next: next ? { series: next.id, student: students[places.get(next.studentId)!] } : null
	};
}
