import { json } from '@sveltejs/kit';
import { mapRows } from '$lib/server/gaps/mapPage';
import { rowsAsked, staffContext } from '$lib/server/shell/staffPage';

/** More rows of the needle map, as it is scrolled to. */
export async function GET({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return json({ rows: await mapRows(locals.database, school, await rowsAsked(locals, url, staff, school)) });
}
