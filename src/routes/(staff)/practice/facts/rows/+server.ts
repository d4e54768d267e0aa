import { json } from '@sveltejs/kit';
import { moreFactRows } from '$lib/server/practice/factsPage';
import { rowsAsked, scopeOf, staffContext } from '$lib/server/shell/staffPage';

/** More students' facts, as they are scrolled to. */
export async function GET({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const [scope, students] = await Promise.all([
		scopeOf(locals, url, staff, school),
		rowsAsked(locals, url, staff, school)
	]);
	return json({ rows: await moreFactRows(locals.database, school, scope, url, students) });
}
