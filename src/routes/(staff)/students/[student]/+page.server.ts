import { error } from '@sveltejs/kit';
import { noteAction, removeNoteAction, restoreNoteAction } from '$lib/server/people/noteForm';
import { idOf } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';
import { visibleAmong } from '$lib/server/people';
import { studentPage } from '$lib/server/people/studentPage';

export async function load({ locals, params }) {
	const { staff, school } = await staffContext(locals);
	const id = idOf(params.student);
	const [student] = id === null ? [] : await visibleAmong(locals.database, staff, [id], school.today);
	if (!student) error(404, 'No such student for you.');
	return { student, me: staff.displayName, ...(await studentPage(locals.database, school, student)) };
}

export const actions = { note: noteAction, removeNote: removeNoteAction, restoreNote: restoreNoteAction };
