import Type from 'typebox';
import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import {
	changeSchool,
	forgetViewer,
	hashSecret,
	keepSignIn,
	passwordProblem,
	SIGN_IN_COOKIE,
	tokenHash
} from '$lib/server/auth';
import { acceptInvitation, invitedBy, joinByInvitation } from '$lib/server/people';
import { findSchool } from '$lib/server/school';
import { formCheck, readForm } from '$lib/server/request';

const invited = ({ locals, params }: Pick<RequestEvent, 'locals' | 'params'>) =>
	invitedBy(locals.database, tokenHash(params.token!), locals.at);

export async function load(event) {
	const found = await invited(event);
	const { viewer, database, at } = event.locals;
	const isElsewhere = viewer?.kind === 'staff' && found !== null && viewer.schoolId !== found.schoolId;
	return {
		person: found && { name: found.displayName, userName: found.userName, school: found.schoolName },
		/** As whom of another school this browser is signed in. */
		signedInAs: isElsewhere
			? { name: viewer.displayName, school: (await findSchool(database, viewer.schoolId, at)).name }
			: null
	};
}

const secret = Type.String({ minLength: 1, maxLength: 200 });
const passwordForm = formCheck(Type.Object({ fresh: secret, again: secret }));
/** A used or outworn link is told here, and not by a page that is not there. */
const OVER = 'This invitation was used already, or is over. Ask your coordinator for another.';

export const actions = {
	/** For who has an account at another school, and is signed in there: no second password is needed. */
	join: async (event) => {
		const { database, at, viewer } = event.locals;
		if (viewer?.kind !== 'staff')
			return fail(400, { problem: 'Sign in first, at the school where you have an account.' });
		const person = await invited(event);
		if (!person) return fail(400, { problem: OVER });
		if (!(await joinByInvitation(database, viewer, tokenHash(event.params.token!), at)))
			return fail(400, { problem: `You have an account of ${person.schoolName} already.` });
		const held = event.cookies.get(SIGN_IN_COOKIE) ?? '';
		const token = await changeSchool(database, viewer, person.id, held);
		forgetViewer(held);
		if (token) keepSignIn(event.cookies, event.url, token);
		redirect(303, '/');
	},
	choose: async (event) => {
		const { database, at } = event.locals;
		const form = await readForm(event, passwordForm);
		if ('problem' in form) return fail(400, { problem: 'Type the new password twice.' });
		const person = await invited(event);
		if (!person) return fail(400, { problem: OVER });
		const { fresh, again } = form.value;
		if (fresh !== again) return fail(400, { problem: 'The two passwords differ.' });
		const problem = passwordProblem(fresh, '', person.displayName);
		if (problem) return fail(400, { problem: `${problem}.` });
		const isUsed = await acceptInvitation(database, tokenHash(event.params.token!), await hashSecret(fresh), at);
		if (!isUsed) return fail(400, { problem: OVER });
		redirect(303, '/sign-in');
	}
};
