import { rosterActions } from '$lib/server/setup/rosterForm';
import { rosterPage } from '$lib/server/setup/rosterPage';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	return rosterPage(locals.database, staff, school, url, locals.at);
}

export const actions = rosterActions;
