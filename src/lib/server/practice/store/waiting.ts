import type { SchoolDate } from '../../../core/calendar';
import { type RosterCount, SUMMARY } from '../../people';

/** Students with a set that is open on a day and not finished. */
export const withWork = (today: SchoolDate): RosterCount => ({
	sql: 'COALESCE(summary.waiting_from <= ?, 0)',
	values: [today],
	join: SUMMARY
});
