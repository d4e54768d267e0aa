import { json } from '@sveltejs/kit';
import { screenContext } from '$lib/server/screen/screenPage';
import { sittingRows } from '$lib/server/screen/sittingsPage';
import { rowsAsked } from '$lib/server/shell/staffPage';

/** More rows of the board, as they are scrolled to. */
export async function GET({ locals, url }) {
	const { staff, school, window } = await screenContext(locals, url);
	const students = await rowsAsked(locals, url, staff, school);
	return json({ rows: window ? await sittingRows(locals.database, school, window, students) : [] });
}
