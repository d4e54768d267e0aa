import { error } from '@sveltejs/kit';
import { noteAction, removeNoteAction } from '$lib/server/noteForm';
import { staffContext } from '$lib/server/staffPage';
import { visibleAmong } from '$lib/server/store/people';
import { studentFile } from '$lib/server/studentFile';

export async function load({ locals, params }) {
	const { staff, school } = await staffContext(locals);
	const [student] = /^\d{1,10}$/.test(params.student)
		? await visibleAmong(locals.database, staff, [Number(params.student)], school.today)
		: [];
	if (!student) error(404, 'No such student for you.');
	return { student, me: staff.displayName, ...(await studentFile(locals.database, school, student)) };
}

export const actions = { note: noteAction, removeNote: removeNoteAction };
