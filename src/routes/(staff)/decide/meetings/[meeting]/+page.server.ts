import { error } from '@sveltejs/kit';
import { addAction, orderAction, takeOffAction, thereAction } from '$lib/server/decide/meetingForm';
import { meetingPage } from '$lib/server/decide/meetingsPage';
import { undoVerdictAction, verdictAction } from '$lib/server/decide/verdictForm';
import { idOf } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, params, url }) {
	const { staff, school } = await staffContext(locals);
	const meetingId = idOf(params.meeting);
	const page = meetingId === null ? null : await meetingPage(locals.database, staff, school, meetingId, url);
	if (!page) error(404, 'No such meeting for you.');
	return { page };
}

export const actions = {
	verdict: verdictAction,
	undo: undoVerdictAction,
	add: addAction,
	takeOff: takeOffAction,
	order: orderAction,
	there: thereAction
};
