import { json } from '@sveltejs/kit';
import { OPERATIONS } from '$lib/core/fluency';
import { factRows } from '$lib/server/practice/factsPage';
import { oneIn } from '$lib/server/request';
import { rowsAsked, staffContext } from '$lib/server/shell/staffPage';

/** More students' facts, as they are scrolled to. */
export async function GET({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const students = await rowsAsked(locals, url, staff, school);
	return json({
		rows: await factRows(locals.database, school, students, oneIn(url, 'facts', OPERATIONS) ?? 'times')
	});
}
