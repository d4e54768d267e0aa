import { fail, redirect } from '@sveltejs/kit';
import { schoolDateOf } from '$lib/core/calendar';
import { SESSION_COOKIE, SESSION_HOURS, signInStaff, signInStudent, type SignIn } from '$lib/server/auth/signIn';
import { classByCode } from '$lib/server/store/people';
import { failuresSince, noteFailure } from '$lib/server/store/sessions';
import { formCheck, id, readForm } from '$lib/server/validate';
import type { RequestEvent } from './$types';

const staffForm = formCheck<{ userName: string; password: string }>({
	type: 'object',
	properties: {
		userName: { type: 'string', minLength: 1, maxLength: 60 },
		password: { type: 'string', minLength: 1, maxLength: 200 }
	},
	required: ['userName', 'password']
});
const studentForm = formCheck<{ student: number; pin: string }>({
	type: 'object',
	properties: { student: id, pin: { type: 'string', pattern: '^[0-9]{4,6}$' } },
	required: ['student', 'pin']
});

const CODE_TRIES = 30;

export async function load({ locals, url, getClientAddress }) {
	if (locals.viewer) redirect(303, '/');
	const as = url.searchParams.get('as') === 'student' ? ('student' as const) : ('staff' as const);
	const code = url.searchParams.get('class')?.trim().toUpperCase().slice(0, 20) ?? '';
	if (as === 'staff' || !code) return { as, code: '', found: null, codeProblem: null };
	// Class codes can be guessed like passwords, so wrong ones are counted, too.
	const from = `class code ${getClientAddress()}`;
	const tries = await failuresSince(locals.database, from, new Date(locals.at.getTime() - 15 * 60_000));
	if (tries >= CODE_TRIES)
		return { as, code, found: null, codeProblem: 'Too many wrong codes. Wait a few minutes, then try again.' };
	const found = await classByCode(locals.database, code, schoolDateOf(locals.at, 'UTC'));
	if (!found) await noteFailure(locals.database, [from], locals.at);
	return {
		as,
		code,
		found,
		codeProblem: found ? null : 'No class has this code. Look at the code on the board again.'
	};
}

function enter({ cookies, url }: RequestEvent, result: SignIn, wrong: string) {
	if ('refused' in result) {
		const problem = result.refused === 'too many' ? 'Too many tries. Wait 15 minutes, then try again.' : wrong;
		return fail(result.refused === 'too many' ? 429 : 400, { problem });
	}
	cookies.set(SESSION_COOKIE, result.token, {
		path: '/',
		httpOnly: true,
		sameSite: 'strict',
		secure: url.protocol === 'https:',
		maxAge: SESSION_HOURS * 3600
	});
	redirect(303, '/');
}

export const actions = {
	staff: async (event) => {
		const form = await readForm(event, staffForm);
		if ('problem' in form) return fail(400, { problem: 'Type your user name and password.' });
		const { userName, password } = form.value;
		const result = await signInStaff(
			event.locals.database,
			userName,
			password,
			event.getClientAddress(),
			event.locals.at
		);
		return enter(event, result, 'User name or password is wrong.');
	},
	student: async (event) => {
		const form = await readForm(event, studentForm);
		if ('problem' in form) return fail(400, { problem: 'Choose your name and type your PIN: four numbers.' });
		const { student, pin } = form.value;
		const result = await signInStudent(event.locals.database, student, pin, event.getClientAddress(), event.locals.at);
		return enter(event, result, 'That PIN does not fit the name. Try again.');
	}
};
