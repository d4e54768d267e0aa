import { error } from '@sveltejs/kit';
import { groupCalendar } from '$lib/server/groups/timetable';
import { idIn } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';

/** Meetings as an iCalendar file: `?group=`, `?staff=`, or all. */
export async function GET({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const text = await groupCalendar(locals.database, staff, school, {
		groupId: idIn(url, 'group'),
		staffId: idIn(url, 'staff'),
		stamp: locals.at
	});
	if (text === null) error(404, 'No such group for you.');
	return new Response(text, {
		headers: {
			'Content-Type': 'text/calendar; charset=utf-8',
			'Content-Disposition': 'attachment; filename="meetings.ics"'
		}
	});
}
