import { callOffAction, planAction, putBackAction, unplanAction } from '$lib/server/decide/meetingForm';
import { meetingsPage } from '$lib/server/decide/meetingsPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return {
		page: await meetingsPage(locals.database, staff, school, await scopeOf(locals, url, staff, school), url)
	};
}

export const actions = {
	plan: planAction,
	unplan: unplanAction,
	callOff: callOffAction,
	putBack: putBackAction
};
