import { error } from '@sveltejs/kit';
import { changeAction, undoChangeAction } from '$lib/server/groups/groupForm';
import { groupPage } from '$lib/server/groups/groupPage';
import { recordAction } from '$lib/server/groups/meetingForm';
import { noteAction, removeNoteAction, restoreNoteAction } from '$lib/server/people/noteForm';
import { idOf } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, params }) {
	const { staff, school } = await staffContext(locals);
	const groupId = idOf(params.group);
	const page = groupId === null ? null : await groupPage(locals.database, staff, school, groupId);
	if (!page) error(404, 'No such group for you.');
	return page;
}

export const actions = {
	record: recordAction,
	change: changeAction,
	undoChange: undoChangeAction,
	note: noteAction,
	removeNote: removeNoteAction,
	restoreNote: restoreNoteAction
};
