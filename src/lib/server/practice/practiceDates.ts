import { addDays, weekdayBy, weekdayFrom } from '../../core/calendar';

/**
 * When a set is due unless another day is chosen: in four days or on the Monday after, and not after a group has ended.
 *
 * @param groupEndsOn of the group that gets it; null for other students
 */
export function practiceDue(today: string, groupEndsOn: string | null): string {
	const usual = weekdayFrom(addDays(today, 4));
	if (!groupEndsOn || usual <= groupEndsOn) return usual;
	const last = weekdayBy(groupEndsOn);
	return last > today ? last : today;
}
