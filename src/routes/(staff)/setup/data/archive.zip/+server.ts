import { streamOf } from '$lib/server/request';
import { packArchive } from '$lib/server/setup';
import { staffWho } from '$lib/server/shell/staffPage';

/** Everything of the school, with a dictionary of what it means. It is sent while it is made. */
export async function GET({ locals }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	return new Response(streamOf(packArchive(locals.database, staff, school, locals.at)), {
		headers: { 'Content-Type': 'application/zip', 'Content-Disposition': 'attachment; filename="school.zip"' }
	});
}
