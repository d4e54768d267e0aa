import { addDays, schoolDateOf, type SchoolDate } from '../src/lib/core/calendar';
import { FACTS_A_SHEET, type FluencyMeasure, passageFor, passageWords, usualLine } from '../src/lib/core/fluency';
import { seededRandom, seedFrom } from '../src/lib/core/random';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { fill } from '../src/lib/server/database/seeding';
import { atHour } from './answerLog';
import { type DemoStudent, GROUP_STAFF, SEED } from './people';
import { paceOf } from './readingAloud';
import type { DemoYear } from './timetable';

/** Week by week for the slowest of a class. */
const GIVEN: { measure: FluencyMeasure; classId: number; students: number }[] = [
	{ measure: 'number fluency', classId: 5, students: 7 },
	{ measure: 'reading aloud', classId: 3, students: 6 }
];
/** Weeks of a term in which paces grow from one to the next. */
const WEEKS_A_TERM = 12;
/** The goal lies in the year's second term. */
const [WEEKS, GOAL_TERM] = [20, 2];

/** What those who run groups have given week by week since four weeks before the cycle; this week some are still to come. */
export async function writeMeasureSeries(
	database: RootDatabase,
	students: DemoStudent[],
	{ cycleStart }: Pick<DemoYear, 'cycleStart'>,
	now: Date
): Promise<void> {
	const startsOn = addDays(cycleStart, -28);
	const chosen = GIVEN.flatMap(({ measure, classId, students: most }) =>
		students
			.filter((student) => student.classId === classId)
			.sort((a, b) => paceOf(measure, a, 1) - paceOf(measure, b, 1))
			.slice(0, most)
			.map((student) => ({ measure, student }))
	);
	await fill(
		database,
		'measure_series',
		chosen.map(({ measure, student }, i) => ({
			id: i + 1,
			student_id: student.id,
			measure,
			sheet_grade: student.grade,
			starts_on: startsOn,
			goal_on: addDays(startsOn, 7 * WEEKS),
			goal: usualLine(measure, student.grade, GOAL_TERM),
			begun_by: GROUP_STAFF[0]
		}))
	);
	await fill(
		database,
		'given_measure',
		chosen.flatMap(({ measure, student }, i) => givings(i + 1, measure, student, startsOn, now))
	);
}

/** One student's minutes, a week each, on a day of their own from Monday to Thursday; now and then one is missed. */
function givings(series: number, measure: FluencyMeasure, student: DemoStudent, startsOn: SchoolDate, now: Date) {
	const { id, grade } = student;
	const own = seededRandom(seedFrom(SEED, 'minutes of a series', series));
	const rows = [];
	for (let week = 0, sheet = 1; ; week++) {
		const day = addDays(startsOn, 7 * week + (id % 4));
		if (day > schoolDateOf(now, 'UTC')) return rows;
		if (own.chance(0.08)) continue;
		const pace = paceOf(measure, student, 1 + week / WEEKS_A_TERM) * Math.exp(0.07 * own.normal());
		const length = measure === 'reading aloud' ? passageWords(passageFor(grade, sheet)).length : FACTS_A_SHEET;
		const reached = Math.min(length, Math.max(1, Math.round(pace + Math.sqrt(pace) * own.normal())));
		rows.push({
			id: `${String(series).padStart(8, '0')}-0000-4000-b000-${String(week).padStart(12, '0')}`,
			series_id: series,
			student_id: id,
			sheet_grade: grade,
			sheet_number: sheet++,
			sheet_length: length,
			seconds: 60,
			reached,
			missed: JSON.stringify(Array.from({ length: reached }, (_, place) => place).filter(() => own.chance(0.04))),
			given_by: GROUP_STAFF[series % GROUP_STAFF.length],
			given_at: new Date(atHour(day, 10).getTime() + series * 180_000)
		});
	}
}
