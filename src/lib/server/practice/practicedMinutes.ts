import { beginningOf, type SchoolDate } from '../../core/calendar';
import { activeMs, minutesOf, type TimedAnswer } from '../../core/practice';
import type { Database } from '../database';
import type { VisibleId } from '../request';
import type { School } from '../school';
import { practiceTimes } from './store/ownWork';

/** Minutes of work that some answers stand for; 0 for none. */
export const activeMinutes = (answers: TimedAnswer[]): number => (answers.length ? minutesOf(activeMs(answers)) : 0);

/** Minutes that a student worked on practice and facts since each of some days: dosage beside the sessions. */
export async function practicedSince(
	database: Database,
	studentId: VisibleId,
	days: SchoolDate[],
	{ timeZone }: Pick<School, 'timeZone'>
): Promise<number[]> {
	if (days.length === 0) return [];
	const began = days.map((day) => beginningOf(day, timeZone));
	const earliest = new Date(Math.min(...began.map((at) => at.getTime())));
	const answers = (await practiceTimes(database, [studentId], earliest)).get(studentId)!;
	return began.map((from) => activeMinutes(answers.filter(({ at }) => at >= from.getTime())));
}
