import { addDays, schoolDayBy, schoolDayFrom } from '../../core/calendar';
import type { School } from '../school';

/**
 * When a set is due unless another day is chosen: in four days or on the next day of school, and not after a group has ended.
 *
 * @param groupEndsOn of the group that gets it; null for other students
 */
export function practiceDue(
	{ today, calendar }: Pick<School, 'today' | 'calendar'>,
	groupEndsOn: string | null
): string {
	const usual = schoolDayFrom(addDays(today, 4), calendar);
	if (!groupEndsOn || usual <= groupEndsOn) return usual;
	const last = schoolDayBy(groupEndsOn, calendar);
	return last > today ? last : today;
}
