import { decidePage } from '$lib/server/decide/decidePage';
import { doneAction, notDoneAction } from '$lib/server/decide/taskForm';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return decidePage(locals.database, staff, school, await scopeOf(locals, url, staff, school), url);
}

export const actions = { done: doneAction, notDone: notDoneAction };
