import { tiersPage } from '$lib/server/decide/tiersPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return { page: await tiersPage(locals.database, school, await scopeOf(locals, url, staff, school), url) };
}
