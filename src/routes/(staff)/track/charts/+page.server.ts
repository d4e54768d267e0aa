import { scopeOf, staffContext } from '$lib/server/shell/staffPage';
import { chartsPage } from '$lib/server/track/chartsPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	return { page: await chartsPage(locals.database, staff, school, scope, url) };
}
