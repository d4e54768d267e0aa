import { giveAction, takeBackAction } from '$lib/server/commendations/commendForm';
import { commendationsPage } from '$lib/server/commendations/commendationsPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	return { page: await commendationsPage(locals.database, school, scope, locals.at) };
}

export const actions = { give: giveAction, takeBack: takeBackAction };
