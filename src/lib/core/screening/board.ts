import { SCREENING_STATUSES, TO_FINISH, type ScreeningStatus } from './status';

/** A student of a window, as far as the board of its sittings is arranged and counted. */
interface Placed {
	classId: number;
	className: string;
	grade: number;
	status: ScreeningStatus;
}

/** How a class stands in a window: so many students in each status. */
export interface ClassTally {
	classId: number;
	className: string;
	grade: number;
	students: number;
	counts: Map<ScreeningStatus, number>;
}

/** A tally for each class, in the order of the rows. */
export function tallyByClass(rows: Placed[]): ClassTally[] {
	const tallies = new Map<number, ClassTally>();
	for (const { classId, className, grade, status } of rows) {
		const tally = tallies.get(classId) ?? { classId, className, grade, students: 0, counts: new Map() };
		tally.students++;
		tally.counts.set(status, (tally.counts.get(status) ?? 0) + 1);
		tallies.set(classId, tally);
	}
	return [...tallies.values()];
}

/** What the list can be narrowed to besides one status. */
export const STILL_TO_FINISH = 'to finish';

/** Rows narrowed to a status (or `all`), those that ask for attention first, else as they come. */
export function arrangeSittings<Row extends Placed>(rows: Row[], show: string): Row[] {
	const urgency = new Map(SCREENING_STATUSES.map((status, i) => [status, i]));
	return rows
		.filter(({ status }) => show === 'all' || (show === STILL_TO_FINISH ? TO_FINISH.has(status) : status === show))
		.sort((a, b) => urgency.get(a.status)! - urgency.get(b.status)!);
}
