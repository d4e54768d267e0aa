import { error } from '@sveltejs/kit';
import { enrolledByIds } from '$lib/server/people';
import { idOf } from '$lib/server/request';
import { packStudent } from '$lib/server/setup';
import { staffWho } from '$lib/server/shell/staffPage';

/** Everything that is kept of a student of the school, who may have left. */
export async function GET({ locals, params }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	const id = idOf(params.student);
	const [student] = id === null ? [] : await enrolledByIds(locals.database, staff, [id], school.today);
	if (!student) error(404, 'No such student for you.');
	return new Response(await packStudent(locals.database, staff, school, student, locals.at), {
		headers: { 'Content-Type': 'application/zip', 'Content-Disposition': 'attachment; filename="student.zip"' }
	});
}
