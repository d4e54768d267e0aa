import { json } from '@sveltejs/kit';
import { placeInRoster } from '$lib/server/people';
import { idIn } from '$lib/server/request';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

/** Where the selected student stands in the scope, and who is before and after; null for nobody of it. */
export async function GET({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const { roster } = await scopeOf(locals, url, staff, school);
	const id = idIn(url, 'student');
	return json(id === null ? null : await placeInRoster(locals.database, roster, id));
}
