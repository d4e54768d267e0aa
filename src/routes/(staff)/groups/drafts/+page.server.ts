import Type from 'typebox';
import { discardDraft } from '$lib/server/groups';
import { draftsPage } from '$lib/server/groups/draftsPage';
import { refuse, staffAction, staffWho } from '$lib/server/shell/staffPage';
import { formCheck, id } from '$lib/server/request';

export async function load({ locals }) {
	const { staff, school } = await staffWho(locals, 'form groups');
	return draftsPage(locals.database, staff, school);
}

const draftForm = formCheck(Type.Object({ draft: id }));

export const actions = {
	discard: staffAction('form groups', draftForm, async ({ staff, database, at, form }) => {
		if (!(await discardDraft(database, staff, form.draft, true, at))) return refuse('There is no such draft any more');
		return { done: 'Put away.', undo: { action: '?/restore', fields: { draft: String(form.draft) } } };
	}),
	restore: staffAction('form groups', draftForm, async ({ staff, database, at, form }) => {
		return (await discardDraft(database, staff, form.draft, false, at))
			? { done: 'Brought back.' }
			: refuse('There is no such draft');
	})
};
