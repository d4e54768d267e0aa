import { packSchool } from '$lib/server/setup';
import { staffWho } from '$lib/server/shell/staffPage';

/** The school as a OneRoster 1.2 package. */
export async function GET({ locals }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	return new Response(await packSchool(locals.database, staff, school, locals.at), {
		headers: { 'Content-Type': 'application/zip', 'Content-Disposition': 'attachment; filename="roster.zip"' }
	});
}
