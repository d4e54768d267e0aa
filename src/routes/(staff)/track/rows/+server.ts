import { json } from '@sveltejs/kit';
import { rowsAsked, staffContext } from '$lib/server/shell/staffPage';
import { trackRows } from '$lib/server/track/trackPage';

/** More students of a caseload, as they are scrolled to. */
export async function GET({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const students = await rowsAsked(locals, url, staff, school);
	return json({
		rows: await trackRows(
			locals.database,
			staff,
			school,
			students.map(({ id }) => id)
		)
	});
}
