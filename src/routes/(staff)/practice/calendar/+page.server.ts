import { calendarPage } from '$lib/server/practice/calendarPage';
import { moveAction } from '$lib/server/practice/moveForm';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return calendarPage(locals.database, staff, school, await scopeOf(locals, url, staff, school), url);
}

export const actions = { move: moveAction };
