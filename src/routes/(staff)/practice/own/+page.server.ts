import { habitsActions } from '$lib/server/practice/habitsForm';
import { habitsPage } from '$lib/server/practice/habitsPage';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals }) {
	const { staff, school } = await staffWho(locals, 'assign practice');
	return habitsPage(locals.database, staff, school);
}

export const actions = habitsActions;
