import { error } from '@sveltejs/kit';
import { givenActions } from '$lib/server/materials/givenForm';
import { givenPage } from '$lib/server/materials/givenPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const found = await givenPage({ database: locals.database, staff, school, url, scope });
	if (!found) error(404, 'No such group or student for you.');
	return found;
}

export const actions = { give: givenActions.give, take: givenActions.take, giveBack: givenActions.giveBack };
