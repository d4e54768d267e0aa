import { json } from '@sveltejs/kit';
import { thenRows } from '$lib/server/gaps/thenPage';
import { rowsAsked, staffContext } from '$lib/server/shell/staffPage';

/** More students with what has changed, as they are scrolled to. */
export async function GET({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return json({ rows: await thenRows(locals.database, school, await rowsAsked(locals, url, staff, school), url) });
}
