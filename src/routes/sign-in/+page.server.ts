import Type from 'typebox';
import { plural } from '$lib/core/words';
import { fail, redirect } from '@sveltejs/kit';
import {
	askForCode,
	browserToken,
	findDoor,
	isSingleSignOnUsed,
	keepSignIn,
	provider,
	SIGN_IN_COOKIE,
	type SignIn,
	signInByCode,
	signInStaff,
	signInStudent,
	studentOfKey,
	type Trying
} from '$lib/server/auth';
import { clientAddress, formCheck, oneIn, readForm, textIn } from '$lib/server/request';
import type { RequestEvent } from './$types';

const staffForm = formCheck(
	Type.Object({
		userName: Type.String({ minLength: 1, maxLength: 60 }),
		password: Type.String({ minLength: 1, maxLength: 200 })
	})
);
const studentForm = formCheck(
	Type.Object({ student: Type.String({ minLength: 1, maxLength: 100 }), pin: Type.String({ pattern: '^[0-9]{4,8}$' }) })
);

const codeForm = formCheck(
	Type.Object({
		key: Type.String({ minLength: 1, maxLength: 300 }),
		code: Type.String({ minLength: 1, maxLength: 20 })
	})
);

const trying = (event: RequestEvent): Trying => ({
	address: clientAddress(event),
	browser: event.request.headers.get('user-agent') ?? '',
	held: event.cookies.get(SIGN_IN_COOKIE),
	browserToken: browserToken(event.cookies, event.url)
});

const SINGLE_PROBLEMS = {
	away: 'The identity provider cannot be reached just now. Try again in a few minutes.',
	failed: 'That was not finished. Try again.',
	'not known': 'You are signed in there, but no roster here knows you. Ask whoever coordinates at your school.',
	closed: 'Your class signs in at other hours.'
};

export async function load(event) {
	const { locals, url } = event;
	if (locals.viewer) redirect(303, '/');
	const as = oneIn(url, 'as', ['staff', 'student']) ?? 'staff';
	const code = textIn(url, 'class', 20).trim().toUpperCase();
	const refused = oneIn(url, 'single', Object.keys(SINGLE_PROBLEMS) as (keyof typeof SINGLE_PROBLEMS)[]);
	const by = provider();
	const single = {
		/** What the identity provider is called; null where no school signs in with one. */
		singleName: by && (await isSingleSignOnUsed(locals.database)) ? by.name : null,
		singleProblem: refused ? SINGLE_PROBLEMS[refused] : null,
		/** After it, for those who have a second factor. */
		singleKey: textIn(url, 'key', 300) || null
	};
	if (as === 'staff' || !code) return { as, code: '', found: null, codeProblem: null, ...single };
	const found = await findDoor(locals.database, code, trying(event), locals.at);
	if (typeof found !== 'string') return { as, code, found, codeProblem: null, ...single };
	const problems = {
		wrong: 'No class has this code. Look at the code on the board again.',
		'too many': 'Too many wrong codes. Wait a few minutes, then try again.'
	};
	return { as, code, found: null, codeProblem: problems[found], ...single };
}

/** A wait in words. */
const sayWait = (seconds: number) =>
	seconds <= 90 ? `${plural(seconds, 'second')}` : `${Math.ceil(seconds / 60)} minutes`;

type Outcome = Exclude<SignIn, { codeFor: number }>;

function enter({ cookies, url }: RequestEvent, result: Outcome, wrong: string) {
	if ('token' in result) {
		keepSignIn(cookies, url, result.token);
		redirect(303, '/');
	}
	switch (result.refused) {
		case 'wrong':
			return fail(400, { problem: wrong });
		case 'locked':
			return fail(429, {
				problem: 'This PIN was wrong too often today. Ask your teacher to let you in; tomorrow you can try again.'
			});
		case 'closed':
			return fail(403, {
				problem: `Your class signs in on school days from ${result.hours.from} to ${result.hours.until}.`
			});
		case 'wait':
			return fail(429, { problem: `Too many tries. Wait ${sayWait(result.seconds)}, then try again.` });
		case 'another is being looked at':
			return fail(429, { problem: 'Another try is being looked at just now. Try again in a moment.' });
		case 'busy':
			return fail(503, { problem: 'Very many people are signing in just now. Try again in a few seconds.' });
	}
}

export const actions = {
	staff: async (event) => {
		const form = await readForm(event, staffForm);
		if ('problem' in form) return fail(400, { problem: 'Type your user name and password.' });
		const result = await signInStaff(event.locals.database, form.value, trying(event), event.locals.at);
		if ('codeFor' in result) return { codeKey: await askForCode(event.locals.database, result.codeFor, new Date()) };
		return enter(event, result, 'User name or password is wrong.');
	},
	/** After the password, for those who have a second factor. */
	code: async (event) => {
		const form = await readForm(event, codeForm);
		if ('problem' in form) return fail(400, { problem: 'Sign in again.' });
		const { database, at } = event.locals;
		const result = await signInByCode(database, form.value, trying(event), { at, world: new Date() });
		if ('token' in result) return enter(event, result, '');
		const codeKey = form.value.key;
		switch (result.refused) {
			case 'too late':
				return fail(400, { problem: 'That took too long. Sign in again.' });
			case 'wrong':
				return fail(400, { codeKey, problem: 'The code is wrong, or was used already. Wait for the next one.' });
			default:
				return fail(429, { problem: 'Too many wrong codes. Wait 15 minutes, then sign in again.' });
		}
	},
	student: async (event) => {
		const form = await readForm(event, studentForm);
		if ('problem' in form) return fail(400, { problem: 'Choose your name and type your PIN.' });
		const { database, at } = event.locals;
		const studentId = await studentOfKey(database, form.value.student, at);
		if (studentId === null) return fail(400, { problem: 'Type your class code again, then choose your name.' });
		const result = (await signInStudent(database, { studentId, pin: form.value.pin }, trying(event), at)) as Outcome;
		return enter(event, result, 'That PIN does not fit the name. Try again.');
	}
};
