import { plural } from '$lib/core/words';
import Type from 'typebox';
import {
	changePassword,
	changeSchool,
	countTry,
	endOthers,
	endTry,
	forgetViewer,
	hashSecret,
	IDLE_MINUTES,
	keepSignIn,
	LONGEST_HOURS,
	matchesSecret,
	passwordHashOf,
	passwordProblem,
	secondFactorOf,
	sayBrowser,
	SIGN_IN_COOKIE,
	signInsOf,
	tokenHash
} from '$lib/server/auth';
import { refuse, staffAction, staffContext } from '$lib/server/shell/staffPage';
import { isMailPossible } from '$lib/server/mail';
import { chooseDigest, digestChoice } from '$lib/server/notices';
import { otherSchools } from '$lib/server/people';
import { formCheck, id, oneOf, signsInBy } from '$lib/server/request';
import { redirect, type RequestEvent } from '@sveltejs/kit';

/** The sign-in that a request comes by. */
const ownHash = (event: Pick<RequestEvent, 'cookies'>) => tokenHash(event.cookies.get(SIGN_IN_COOKIE) ?? '');

export async function load(event) {
	const { locals } = event;
	const { staff } = await staffContext(locals);
	const [others, signIns, factor, digest] = await Promise.all([
		otherSchools(locals.database, staff),
		signInsOf(locals.database, staff, ownHash(event), locals.at),
		secondFactorOf(locals.database, signsInBy(staff)),
		digestChoice(locals.database, staff)
	]);
	return {
		/** The other schools that one serves. */
		others,
		idleMinutes: IDLE_MINUTES.staff,
		longestHours: LONGEST_HOURS,
		/** Of the letter on Mondays. */
		digest: { ...digest, isMailPossible: isMailPossible() },
		secondFactor: factor && { codes: factor.codes },
		signIns: signIns.map(({ browser, ...one }) => ({ ...one, browser: sayBrowser(browser) }))
	};
}

const secret = Type.String({ minLength: 1, maxLength: 200 });
const passwordForm = formCheck(Type.Object({ old: secret, fresh: secret, again: secret }));
const oneForm = formCheck(Type.Object({ signIn: id }));
const schoolForm = formCheck(Type.Object({ account: id }));
const digestForm = formCheck(Type.Object({ wanted: oneOf(['yes', 'no']) }));
const nothing = formCheck(Type.Object({}));

/** Whoever finds a computer signed in could otherwise try passwords here. */
const OLD_TRIES = 5;
const MEMORY_MS = 15 * 60_000;

/** So many other places. */
const places = (count: number) => plural(count, 'other place');

export const actions = {
	/** Goes to another school that one serves. */
	school: staffAction('change own account', schoolForm, async ({ staff, database, form, event }) => {
		const { cookies, url } = event;
		const held = cookies.get(SIGN_IN_COOKIE) ?? '';
		const token = await changeSchool(database, staff, form.account, held);
		if (!token) return refuse('You do not serve that school, or not any more');
		forgetViewer(held);
		keepSignIn(cookies, url, token);
		redirect(303, '/screen');
	}),
	password: staffAction(
		'change own account',
		passwordForm,
		async ({ staff, database, at, form: { old, fresh, again }, event }) => {
			if (fresh !== again) return refuse('The two new passwords differ');
			const problem = passwordProblem(fresh, old, staff.displayName);
			if (problem) return refuse(problem);
			const subjects = [{ name: `password of ${signsInBy(staff)}`, memoryMs: MEMORY_MS, isAlone: true }];
			const judged = await countTry(
				database,
				subjects,
				at,
				([{ failures, isLooking }]) => isLooking || failures >= OLD_TRIES || null
			);
			if (judged) return refuse('The old password was wrong too often. Wait 15 minutes, then try again');
			const hash = await passwordHashOf(database, staff);
			const isRight = hash !== null && (await matchesSecret(hash, old));
			await endTry(database, subjects, isRight);
			if (!isRight) return refuse('The old password is wrong');
			const ended = await changePassword(database, staff, await hashSecret(fresh), ownHash(event), at);
			forgetViewer(staff);
			return { done: `The password is changed.${ended ? ` You are signed out in ${places(ended)}.` : ''}` };
		},
		'Type the old password, and the new one twice'
	),
	digest: staffAction('change own account', digestForm, async ({ staff, database, at, form }) => {
		const wanted = form.wanted === 'yes';
		if (!(await chooseDigest(database, staff, wanted, at))) return refuse('This is so already');
		return {
			done: wanted ? 'You get a letter on Mondays.' : 'You get no letter any more.',
			undo: { action: '?/digest', fields: { wanted: wanted ? 'no' : 'yes' } }
		};
	}),
	end: staffAction('change own account', oneForm, async ({ staff, database, at, form, event }) => {
		const ended = await endOthers(database, staff, ownHash(event), form.signIn, at);
		forgetViewer(staff);
		return ended ? { done: 'Signed out there.' } : refuse('This sign-in is over already');
	}),
	endAll: staffAction('change own account', nothing, async ({ staff, database, at, event }) => {
		const ended = await endOthers(database, staff, ownHash(event), 'all', at);
		forgetViewer(staff);
		return { done: ended ? `Signed out in ${places(ended)}.` : 'You were signed in nowhere else.' };
	})
};
