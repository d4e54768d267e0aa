import { error } from '@sveltejs/kit';
import { noteAction, removeNoteAction, restoreNoteAction } from '$lib/server/people/noteForm';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';
import { placeInRoster, visibleStudent } from '$lib/server/people';
import { studentPage } from '$lib/server/people/studentPage';

export async function load({ locals, params, url }) {
	const { staff, school } = await staffContext(locals);
	const student = await visibleStudent(locals.database, staff, params.student, school.today);
	if (!student) error(404, 'No such student for you.');
	const { roster } = await scopeOf(locals, url, staff, school);
	const walk = await placeInRoster(locals.database, roster, student.id);
	return { student, walk, me: staff.displayName, ...(await studentPage(locals.database, school, student)) };
}

export const actions = { note: noteAction, removeNote: removeNoteAction, restoreNote: restoreNoteAction };
