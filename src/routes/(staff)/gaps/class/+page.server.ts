import { classPage } from '$lib/server/gaps/classPage';
import { idIn } from '$lib/server/request';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	return classPage(locals.database, staff, school, await scope.students(), idIn(url, 'of'));
}
