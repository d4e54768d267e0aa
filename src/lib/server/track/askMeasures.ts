import { sayDay } from '../../core/calendar';
import { readMeasureSeries, sayEquivalence, sayMeasureReading, scoreSheet } from '../../core/fluency';
import type { Database } from '../database';
import type { RosterStudent } from '../people';
import type { School } from '../school';
import { type MeasureSeries, measureSeriesOf } from './store/measureSeries';

/** Whom a measure is given to, as lists name them. */
export type MeasuredStudent = Pick<RosterStudent, 'id' | 'givenName' | 'familyName' | 'className'>;

/** One series in full: its reading, what that says, and everything given. */
export function askMeasure(series: MeasureSeries, student: MeasuredStudent) {
	const reading = readMeasureSeries(series.givings, series);
	return {
		...{ id: series.id, student, measure: series.measure, sheetGrade: series.sheetGrade },
		...{ goal: series.goal, goalOn: series.goalOn, reading },
		says: sayMeasureReading(reading, sayDay(series.goalOn)),
		equivalence: sayEquivalence(series.measure),
		givings: series.givings.map(({ id, on, by, inScreening, ...marked }) => ({
			...{ id, on, by, inScreening },
			...scoreSheet(marked)
		}))
	};
}

/** The series of one student in full. */
export const askMeasures = async (database: Database, school: School, student: RosterStudent) =>
	(await measureSeriesOf(database, [student.id], school)).map((series) => askMeasure(series, student));
