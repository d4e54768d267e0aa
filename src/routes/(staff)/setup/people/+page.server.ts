import { peopleActions } from '$lib/server/setup/peopleForm';
import { peoplePage } from '$lib/server/setup/peoplePage';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	return { ownId: staff.id, ...(await peoplePage(locals.database, school, url, locals.at)) };
}

export const actions = peopleActions;
