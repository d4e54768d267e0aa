import { newYearActions } from '$lib/server/setup/newYearForm';
import { newYearPage } from '$lib/server/setup/newYearPage';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	return newYearPage(locals.database, staff, school);
}

export const actions = newYearActions;
