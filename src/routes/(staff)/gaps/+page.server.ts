import { mapPage } from '$lib/server/gaps/mapPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	return mapPage(locals.database, staff, school, await scope.students(), url);
}
