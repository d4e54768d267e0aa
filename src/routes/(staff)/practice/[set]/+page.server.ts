import { error } from '@sveltejs/kit';
import { linkPicture } from '$lib/server/practice';
import { setActions } from '$lib/server/practice/setForm';
import { setPage } from '$lib/server/practice/setPage';
import { idOf } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, params, url }) {
	const { staff, school } = await staffContext(locals);
	const found = await setPage(locals.database, staff, school, idOf(params.set) ?? 0, locals.at);
	if (!found || found.students.length === 0) error(404, 'No such practice set for you.');
	return { ...found, ...(await linkPicture(url.origin, found.set.id)) };
}

export const actions = setActions;
