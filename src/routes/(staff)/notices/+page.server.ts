import { audiencesOf, noticesFor, refreshNotices } from '$lib/server/notices';
import { noticesActions } from '$lib/server/notices/noticesForm';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals }) {
	const { staff, school } = await staffContext(locals);
	const isTold = audiencesOf(staff.role).length > 0;
	if (isTold) await refreshNotices(locals.database, school, locals.at);
	return { isTold, ...(await noticesFor(locals.database, staff, school)) };
}

export const actions = noticesActions;
