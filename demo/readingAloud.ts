import { addDays } from '../src/lib/core/calendar';
import { expectedPerMinute, type FluencyMeasure, passageFor, passageWords } from '../src/lib/core/fluency';
import { seededRandom, seedFrom } from '../src/lib/core/random';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { fill } from '../src/lib/server/database/seeding';
import { atHour } from './answerLog';
import { SEED, teacherOf, type DemoStudent } from './people';
import type { DemoWindow } from './timetable';

/** Classes whose teachers have not come to it this time, and the one that is half way through. */
const NOT_YET = new Set([11, 12]);
const HALF_WAY = 10;

/** Class teachers have listened to their students read aloud in both windows; of the second some are still to come. */
export async function writeReadingAloud(
	database: RootDatabase,
	students: DemoStudent[],
	windows: { autumn: DemoWindow; winter: DemoWindow },
	now: Date
): Promise<void> {
	const rows = [windows.autumn, windows.winter].flatMap((window) =>
		students
			.filter(({ id, classId }) => {
				if (window === windows.autumn) return true;
				return !NOT_YET.has(classId) && (classId !== HALF_WAY || id % 2 === 0) && id % 41 !== 8;
			})
			.map((student) => listen(student, window))
	);
	await fill(
		database,
		'given_measure',
		rows.filter(({ given_at: givenAt }) => givenAt < now)
	);
}

/** How much a student gets right in a minute, of reading or of facts; it grows over the year. @param term can lie between two */
export function paceOf(
	measure: FluencyMeasure,
	{ id, grade }: Pick<DemoStudent, 'id' | 'grade'>,
	term: number
): number {
	const own = seededRandom(seedFrom(SEED, `pace of ${measure}`, id));
	return expectedPerMinute(measure, grade, term) * Math.exp(0.28 * own.normal());
}

/** One minute of a student's reading, drawn from a pace of their own that grows over the year. */
function listen({ id, grade, classId }: DemoStudent, window: DemoWindow) {
	const own = seededRandom(seedFrom(SEED, 'care in reading', id));
	const minute = seededRandom(seedFrom(SEED, 'minute of reading', window.id, id));
	const passage = passageFor(grade, 0);
	const length = passageWords(passage).length;
	const pace = paceOf('reading aloud', { id, grade }, window.term);
	const misses = 0.01 + 0.08 * own.unit() ** 2;
	const reached = Math.max(1, Math.round(pace + Math.sqrt(pace) * minute.normal()));
	const read = Math.min(length, reached);
	const missed = Array.from({ length: read }, (_, place) => place).filter(() => minute.chance(misses));
	const day = addDays(window.opensOn, 3 + (id % 4));
	return {
		id: minuteId(window.id, id),
		window_id: window.id,
		student_id: id,
		sheet_grade: passage.grade,
		sheet_length: length,
		seconds: reached > length ? Math.round((600 * length) / reached) / 10 : 60,
		reached: read,
		missed: JSON.stringify(missed),
		given_by: teacherOf(classId),
		given_at: new Date(atHour(day, 11).getTime() + (id % 22) * 150_000)
	};
}

const minuteId = (window: number, student: number) =>
	`${String(window).padStart(8, '0')}-0000-4000-a000-${String(student).padStart(12, '0')}`;
