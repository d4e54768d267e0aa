import type { SchoolDate } from '../../core/calendar';
import { meetingDays } from '../../core/timetable';
import type { Database } from '../database';
import type { SmallGroup } from '../groups';
import { slotList } from '../groups/timetable';
import type { School } from '../school';

/** Days from today on which a group meets, in order; none on days off. */
export async function comingMeetings(
	database: Database,
	{ id, today, calendar }: Pick<School, 'id' | 'today' | 'calendar'>,
	{ slotId, startsOn, endsOn }: Pick<SmallGroup, 'slotId' | 'startsOn' | 'endsOn'>
): Promise<SchoolDate[]> {
	const slot = (await slotList(database, id)).find((one) => one.id === slotId);
	return slot ? meetingDays(slot, startsOn > today ? startsOn : today, endsOn, calendar.off) : [];
}
