import { error } from '@sveltejs/kit';
import { placeInRoster, visibleAmong } from '$lib/server/people';
import { idOf } from '$lib/server/request';
import { acceptActions } from '$lib/server/results/acceptForm';
import { studentAnswersPage } from '$lib/server/results/studentAnswersPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, params, url }) {
	const { staff, school } = await staffContext(locals);
	const id = idOf(params.student);
	const [student] = id === null ? [] : await visibleAmong(locals.database, staff, [id], school.today);
	if (!student) error(404, 'No such student for you.');
	const { roster } = await scopeOf(locals, url, staff, school);
	const walk = await placeInRoster(locals.database, roster, student.id);
	return { student, walk, history: await studentAnswersPage(locals.database, staff, school, student, url) };
}

export const actions = acceptActions;
