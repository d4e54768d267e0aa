import { thenPage } from '$lib/server/gaps/thenPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	return thenPage(locals.database, school, await scope.students(), url);
}
