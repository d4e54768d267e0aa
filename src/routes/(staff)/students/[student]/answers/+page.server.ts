import { error } from '@sveltejs/kit';
import { placeInRoster, visibleStudent } from '$lib/server/people';
import { acceptActions } from '$lib/server/results/acceptForm';
import { studentAnswersPage } from '$lib/server/results/studentAnswersPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, params, url }) {
	const { staff, school } = await staffContext(locals);
	const student = await visibleStudent(locals.database, staff, params.student, school.today);
	if (!student) error(404, 'No such student for you.');
	const { roster } = await scopeOf(locals, url, staff, school);
	const walk = await placeInRoster(locals.database, roster, student.id);
	return { student, walk, history: await studentAnswersPage(locals.database, staff, school, student, url) };
}

export const actions = acceptActions;
