import Type from 'typebox';
import { formCheck, id } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { finishTask } from './store/tasks';

const taskForm = formCheck(Type.Object({ task: id }));

/** The form action by which somebody says that a task of theirs is done. */
export const doneAction = staffAction('write notes', taskForm, async ({ staff, database, at, form }) =>
	(await finishTask(database, staff, form.task, true, at))
		? { done: 'Done, and off the list.', undo: { action: '?/notDone', fields: { task: String(form.task) } } }
		: refuse('This task is done already, or is not yours')
);

/** The form action that takes it back. */
export const notDoneAction = staffAction('write notes', taskForm, async ({ staff, database, at, form }) =>
	(await finishTask(database, staff, form.task, false, at))
		? { done: 'The task is on the list again.' }
		: refuse('This task is not done, or is not yours')
);
