import { dataActions } from '$lib/server/setup/dataForm';
import { dataPage } from '$lib/server/setup/dataPage';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { school } = await staffWho(locals, 'set up the school');
	return dataPage(locals.database, school, url);
}

export const actions = dataActions;
