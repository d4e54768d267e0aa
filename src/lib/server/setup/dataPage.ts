import { monthsBefore } from '../../core/calendar';
import type { Database } from '../database';
import { numberIn, oneIn } from '../request';
import type { School } from '../school';
import { KEPT_MONTHS } from './dataForm';
import { erasedStudents, keptMonths, leftStudents } from './store/erasing';

/** Students that are shown at once, and erasures. */
const AT_ONCE = 50;
const ERASED_AT_ONCE = 20;

/**
 * What a school keeps: for how long, who has left, and who was erased. The address asks for those whose time is over
 * (`over=yes`), and for a part of the list (`from`).
 */
export async function dataPage(database: Database, school: School, url: URL) {
	const months = await keptMonths(database, school.id);
	const limit = months === null ? null : monthsBefore(school.today, months);
	const [left, erased] = await Promise.all([
		leftStudents(database, school.id, school.today, null),
		erasedStudents(database, school.id)
	]);
	const isOver = ({ leftOn }: { leftOn: string | null }) => limit !== null && leftOn !== null && leftOn < limit;
	const over = left.filter(isOver);
	const onlyOver = oneIn(url, 'over', ['yes'] as const) === 'yes';
	const shown = onlyOver ? over : left;
	const from = numberIn(url, 'from');
	return {
		months,
		choices: KEPT_MONTHS,
		onlyOver,
		counts: { left: left.length, over: over.length, erased: erased.length },
		part: { from, most: AT_ONCE, total: shown.length },
		students: shown.slice(from, from + AT_ONCE).map((student) => ({ ...student, isOver: isOver(student) })),
		erased: erased
			.slice(0, ERASED_AT_ONCE)
			.map(({ studentId, why, counts, by, at }) => ({ studentId, why, counts, by, at }))
	};
}
