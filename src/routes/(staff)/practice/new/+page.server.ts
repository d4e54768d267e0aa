import { error } from '@sveltejs/kit';
import { assignAction } from '$lib/server/practice/assignForm';
import { assignPage } from '$lib/server/practice/assignPage';
import { scopeOf, staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'assign practice');
	const scope = await scopeOf(locals, url, staff, school);
	const page = await assignPage({ database: locals.database, staff, school, url, scope });
	return page ?? error(404, 'No such group or student for you.');
}

export const actions = { default: assignAction };
