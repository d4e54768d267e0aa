import { interventionsActions } from '$lib/server/setup/interventionsForm';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals }) {
	await staffWho(locals, 'set up the school');
}

export const actions = interventionsActions;
