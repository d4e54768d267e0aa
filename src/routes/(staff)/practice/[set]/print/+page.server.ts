import { error } from '@sveltejs/kit';
import { printPage } from '$lib/server/practice/printPage';
import { idOf } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, params, url }) {
	const { staff, school } = await staffContext(locals);
	const page = await printPage(locals.database, staff, school, idOf(params.set) ?? 0, url);
	return page
		? { ...page, withKey: url.searchParams.get('key') === 'on' }
		: error(404, 'There is no such set for you.');
}
