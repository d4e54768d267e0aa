import { error } from '@sveltejs/kit';
import { commendationsOf, signBadge } from '$lib/server/commendations';
import { badgeStudent } from '$lib/server/commendations/commendationsPage';
import { idOf } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';

export async function GET({ locals, params }) {
	const { staff, school } = await staffContext(locals);
	const id = idOf(params.commendation) ?? 0;
	const student = await badgeStudent(locals.database, staff, school, id);
	const given = student && (await commendationsOf(locals.database, [student.id])).find((one) => one.id === id);
	if (!student || !given) error(404, 'There is no such commendation for you.');
	return new Response(await signBadge(locals.database, school, student, given, locals.at), {
		headers: { 'Content-Type': 'text/plain; charset=utf-8', 'Content-Disposition': 'attachment; filename="badge.jwt"' }
	});
}
