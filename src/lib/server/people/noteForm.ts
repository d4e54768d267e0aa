import { fullName } from '../../core/words';
import Type from 'typebox';
import { refuse, staffAction } from '../shell/staffPage';
import { findGroup } from '../groups';
import { removeNote, writeNote } from './store/notes';
import { visibleAmong } from './store/roster';
import { formCheck, id } from '../request';

const noteForm = formCheck(
	Type.Object({ student: id, group: Type.Optional(id), text: Type.String({ minLength: 1, maxLength: 2_000 }) })
);
const removeForm = formCheck(Type.Object({ note: id }));

/** The form action that notes something of a student. */
export const noteAction = staffAction('write notes', noteForm, async ({ staff, school, database, at, form }) => {
	const { student, group = null } = form;
	const text = form.text.trim();
	const [found] = await visibleAmong(database, staff, [student], school.today);
	if (!found) return refuse('There is no such student for you');
	if (!text) return refuse('Write something first');
	if (group !== null && !(await findGroup(database, staff, group, school.today)))
		return refuse('There is no such group');
	const note = await writeNote(database, staff, { studentId: student, groupId: group, on: school.today, text }, at);
	return {
		done: `Noted of ${fullName(found)}.`,
		undo: { action: '?/removeNote', fields: { note: String(note) } }
	};
});

export const removeNoteAction = staffAction('write notes', removeForm, async ({ staff, database, at, form }) => {
	return (await removeNote(database, staff, form.note, true, at))
		? { done: 'The note is taken back.', undo: { action: '?/restoreNote', fields: { note: String(form.note) } } }
		: refuse('Only your own notes can be taken back');
});

export const restoreNoteAction = staffAction('write notes', removeForm, async ({ staff, database, at, form }) => {
	return (await removeNote(database, staff, form.note, false, at))
		? { done: 'The note is there again.' }
		: refuse('This note is there already, or is not yours');
});
