import Type from 'typebox';
import { plural } from '$lib/core/words';
import { refuse, scopeOf, staffAction, staffContext } from '$lib/server/shell/staffPage';
import { restoreSets, seeNotices, withdrawSets } from '$lib/server/practice';
import { practicePage } from '$lib/server/practice/practicePage';
import { formCheck, idsOf, idText } from '$lib/server/request';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return practicePage(locals.database, staff, school, await scopeOf(locals, url, staff, school), url);
}

const setsForm = formCheck(Type.Object({ sets: idText }));

const seenForm = formCheck(Type.Object({ sittings: idText }));

export const actions = {
	withdraw: staffAction('assign practice', setsForm, async ({ staff, database, at, form }) => {
		const started = await withdrawSets(database, staff, idsOf(form.sets), at);
		if (started === null) return refuse('This set was taken back already, or is not yours to take back');
		return {
			done: started
				? `Taken back. ${plural(started, 'student had', 'students had')} started; their answers are kept and count.`
				: 'Taken back before anyone had started.',
			undo: { action: '?/restore', fields: { sets: form.sets } }
		};
	}),
	seen: staffAction('assign practice', seenForm, async ({ staff, database, at, form }) => {
		const seen = await seeNotices(database, staff, idsOf(form.sittings), true, at);
		if (!seen) return refuse('These were seen to already, or are not yours');
		return {
			done: `Seen: ${plural(seen, 'student')} under the line.`,
			undo: { action: '?/unseen', fields: { sittings: form.sittings } }
		};
	}),
	unseen: staffAction('assign practice', seenForm, async ({ staff, database, at, form }) => {
		const there = await seeNotices(database, staff, idsOf(form.sittings), false, at);
		return there ? { done: 'They stand here again.' } : refuse('These stand here already, or are not yours');
	}),
	restore: staffAction('assign practice', setsForm, async ({ staff, database, at, form }) => {
		const students = await restoreSets(database, staff, idsOf(form.sets), at);
		if (students === null) return refuse('This set is there already, or is not yours to give again');
		return { done: `Given to ${plural(students, 'student')} again.` };
	})
};
