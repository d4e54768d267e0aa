import { FLUENCY_MEASURES, type FluencyMeasure, readMeasureSeries, scoreSheet } from '../../core/fluency';
import { termSaid, yearOf } from '../../core/measurement';
import type { Database } from '../database';
import { cycleDates } from '../groups';
import type { RosterStudent } from '../people';
import { dayIn, idIn, oneIn } from '../request';
import { currentCycle, type School, schoolYears } from '../school';
import { cutScores, sheetGradeFor } from '../screen';
import type { Scope } from '../shell';
import { askMeasure, type MeasuredStudent } from './askMeasures';
import { isToGive } from './giveMeasurePage';
import { measureSeriesOf, type MeasureSeries, newestGivings } from './store/measureSeries';

/** Students at once that series are begun for: the largest class, and more. */
export const MOST_BEGUN = 40;
/** More students than these are not read at once. */
const MOST_READ = 1_500;

/** A series of a measure in the list. */
interface MeasureLine {
	id: number;
	student: MeasuredStudent;
	measure: FluencyMeasure;
	sheetGrade: number;
	/** The newest values in correct a minute, the last with its error; up to six. */
	newest: number[];
	standardError: number | null;
	goal: number;
	goalOn: string;
	/** Of the newest, how many lie on the aimline or above. */
	aboveAim: { count: number; of: number } | null;
	rise: number | null;
	/** Whether it is still to be given this week. */
	isToGive: boolean;
}

const NEWEST = 6;

function lineOf(series: MeasureSeries, student: MeasuredStudent, today: string): MeasureLine {
	const { points, aboveAim, line } = readMeasureSeries(series.givings, series);
	return {
		...{ id: series.id, student, measure: series.measure, sheetGrade: series.sheetGrade },
		newest: points.slice(-NEWEST).map(({ correctPerMinute }) => correctPerMinute),
		standardError: points[points.length - 1]?.standardError ?? null,
		...{ goal: series.goal, goalOn: series.goalOn, aboveAim, rise: line?.rise ?? null },
		isToGive: isToGive(series, today)
	};
}

/** Whose series of a measure could begin, each with the sheets they may have and the line of each at the goal's day. */
async function beginnings(
	database: Database,
	school: School,
	measure: FluencyMeasure,
	students: RosterStudent[],
	running: MeasureSeries[],
	goalOn: string
) {
	const years = await schoolYears(database, school.id);
	const term = termSaid(goalOn, yearOf(goalOn, years));
	const lines = await cutScores(database, school.id, { measure, term });
	const has = new Set<number>(running.filter((one) => one.measure === measure).map(({ studentId }) => studentId));
	const free = students.filter(({ id }) => !has.has(id));
	const isTooMany = free.length > MOST_BEGUN;
	const shown = isTooMany ? [] : free;
	const newest = await newestGivings(
		database,
		shown.map(({ id }) => id),
		measure,
		school
	);
	return {
		...{ measure, goalOn, isTooMany },
		/** By grade of the sheet, in correct a minute. */
		lines,
		students: shown.map(({ id, givenName, familyName, className, grade }) => {
			const last = newest.get(id);
			return {
				...{ id, givenName, familyName, className, sheetGrade: sheetGradeFor(measure, grade) },
				last: last ? { on: last.on, sheetGrade: last.sheetGrade, ...scoreSheet(last) } : null
			};
		})
	};
}

/** The measures that adults give week by week in a scope, the one that is asked about, and whose could begin. */
export async function measuresPage(database: Database, school: School, scope: Scope, url: URL) {
	const students = await scope.students();
	if (students.length > MOST_READ)
		return { tooMany: students.length, lines: [], toGive: 0, chosen: null, beginning: null };
	const studentOf = new Map<number, RosterStudent>(students.map((student) => [student.id, student]));
	const [series, cycle] = await Promise.all([
		measureSeriesOf(
			database,
			students.map(({ id }) => id),
			school
		),
		currentCycle(database, school.id, school.today)
	]);
	const order = new Map<number, number>(students.map(({ id }, i) => [id, i]));
	const lines = series
		.map((one) => lineOf(one, studentOf.get(one.studentId)!, school.today))
		.sort((a, b) => Number(b.isToGive) - Number(a.isToGive) || order.get(a.student.id)! - order.get(b.student.id)!);
	const chosen = series.find(({ id }) => id === idIn(url, 'series'));
	const measure = oneIn(url, 'begin', FLUENCY_MEASURES);
	return {
		tooMany: 0,
		lines,
		toGive: lines.filter(({ isToGive }) => isToGive).length,
		chosen: chosen ? askMeasure(chosen, studentOf.get(chosen.studentId)!) : null,
		beginning:
			measure &&
			(await beginnings(
				database,
				school,
				measure,
				students,
				series,
				dayIn(url, 'goalOn') ?? cycleDates(cycle, school).endsOn
			))
	};
}
