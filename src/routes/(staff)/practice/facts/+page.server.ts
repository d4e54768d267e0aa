import { factsPage } from '$lib/server/practice/factsPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return factsPage(locals.database, school, await scopeOf(locals, url, staff, school), url);
}
