import { json } from '@sveltejs/kit';
import { resultRows } from '$lib/server/screen/resultsPage';
import { screenContext } from '$lib/server/screen/screenPage';
import { rowsAsked } from '$lib/server/shell/staffPage';

/** More rows of the results, as they are scrolled to. */
export async function GET({ locals, url }) {
	const { staff, school, windows, window } = await screenContext(locals, url);
	const students = await rowsAsked(locals, url, staff, school);
	return json({ rows: window ? await resultRows(locals.database, school, windows, window, students) : [] });
}
