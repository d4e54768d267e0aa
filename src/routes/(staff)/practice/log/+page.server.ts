import { logPage } from '$lib/server/practice/logPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return logPage(locals.database, staff, school, await scopeOf(locals, url, staff, school), url);
}
