import { asideAction } from '$lib/server/screen/measureForm';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';
import { beginAction, endAction, takeBackAction } from '$lib/server/track/measuresForm';
import { measuresPage } from '$lib/server/track/measuresPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	return { page: await measuresPage(locals.database, school, scope, url) };
}

export const actions = { begin: beginAction, takeBack: takeBackAction, end: endAction, aside: asideAction };
