import { decisionsPage } from '$lib/server/decide/decisionsPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return {
		page: await decisionsPage(locals.database, staff, school, await scopeOf(locals, url, staff, school), url)
	};
}
