import { json } from '@sveltejs/kit';
import { queueRows } from '$lib/server/practice/queuesPage';
import { rowsAsked, staffContext } from '$lib/server/shell/staffPage';

/** More students' queues, as they are scrolled to. */
export async function GET({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return json({ rows: await queueRows(locals.database, staff, school, await rowsAsked(locals, url, staff, school)) });
}
