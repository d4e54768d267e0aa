import Type from 'typebox';
import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { hashSecret, passwordProblem, tokenHash } from '$lib/server/auth';
import { acceptInvitation, invitedBy } from '$lib/server/people';
import { formCheck, readForm } from '$lib/server/request';

const invited = ({ locals, params }: Pick<RequestEvent, 'locals' | 'params'>) =>
	invitedBy(locals.database, tokenHash(params.token!), locals.at);

export async function load(event) {
	const found = await invited(event);
	return { person: found && { name: found.displayName, userName: found.userName, school: found.schoolName } };
}

const secret = Type.String({ minLength: 1, maxLength: 200 });
const passwordForm = formCheck(Type.Object({ fresh: secret, again: secret }));
/** A used or outworn link is told here, and not by a page that is not there. */
const OVER = 'This invitation was used already, or is over. Ask your coordinator for another.';

export const actions = {
	default: async (event) => {
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
