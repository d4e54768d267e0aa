import { askAction, takeBackAction } from '$lib/server/decide/askForm';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';
import { trackPage } from '$lib/server/track/trackPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return { track: await trackPage(locals.database, staff, school, await scopeOf(locals, url, staff, school), url) };
}

export const actions = { ask: askAction, takeBack: takeBackAction };
