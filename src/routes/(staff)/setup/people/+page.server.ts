import { staffInSetup } from '$lib/server/people';
import { peopleActions } from '$lib/server/setup/peopleForm';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	return { people: await staffInSetup(locals.database, school.id, locals.at), ownId: staff.id };
}

export const actions = peopleActions;
