import Type from 'typebox';
import { plural } from '$lib/core/words';
import { letTryAgain, lockedOutOf } from '$lib/server/auth';
import { refuse, staffAction, staffContext } from '$lib/server/shell/staffPage';
import { visibleAmong } from '$lib/server/people';
import { formCheck, idsOf, idText } from '$lib/server/request';

export async function load({ locals }) {
	const { staff, school } = await staffContext(locals);
	return { locked: await lockedOutOf(locals.database, staff, school, locals.at) };
}

const letInForm = formCheck(Type.Object({ students: idText }));

export const actions = {
	letIn: staffAction('let students sign in', letInForm, async ({ staff, school, database, at, form }) => {
		const students = await visibleAmong(database, staff, idsOf(form.students), school.today);
		const count = await letTryAgain(database, staff, students, at);
		return count ? { done: `${plural(count, 'student')} can sign in again.` } : refuse('They can sign in already');
	})
};
