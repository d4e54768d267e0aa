import { throughTimePage } from '$lib/server/results/throughTimePage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	return { results: await throughTimePage(locals.database, school, scope, url) };
}
