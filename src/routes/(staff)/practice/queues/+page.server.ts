import { queuesPage } from '$lib/server/practice/queuesPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return queuesPage(locals.database, staff, school, await scopeOf(locals, url, staff, school), url);
}
