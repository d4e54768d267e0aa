import Type from 'typebox';
import { plural } from '../../core/words';
import { dropSecondFactor, requireSecondFactor, secondFactorOf } from '../auth';
import { isMailPossible } from '../mail';
import { addAccount, changeAccount, setActive, staffInSetup } from '../people';
import { formCheck, id, oneOf, type Role } from '../request';
import type { School } from '../school';
import { refuse, staffAction } from '../shell/staffPage';
import type { RootDatabase } from '../database';
import { heldBy, runsNothing, sayHeld } from './handOver';
import { inviteAll, mailLink, makeLink } from './invitations';

const ROLES: readonly Role[] = ['coordinator', 'specialist', 'interventionist', 'teacher'];
const displayName = Type.String({ minLength: 1, maxLength: 120, pattern: '\\S' });
const email = Type.Union([Type.String({ format: 'email', maxLength: 254 }), Type.String({ maxLength: 0 })]);
const addForm = formCheck(
	Type.Object({
		displayName,
		userName: Type.String({ pattern: '^[A-Za-z0-9._@+-]{3,60}$' }),
		role: oneOf(ROLES),
		email
	})
);
const changeForm = formCheck(Type.Object({ account: id, displayName, role: oneOf(ROLES), email }));
const oneForm = formCheck(Type.Object({ account: id }));
const mailForm = formCheck(Type.Object({ account: id, token: Type.String({ maxLength: 100 }) }));
const noForm = formCheck(Type.Object({}));
const factorForm = formCheck(Type.Object({ needed: oneOf(['yes', 'no']) }));

/** Whether nobody else is left who could set up the school. */
async function isLastCoordinator(database: RootDatabase, school: School, account: number, at: Date): Promise<boolean> {
	const people = await staffInSetup(database, school.id, at);
	return !people.some(
		(one) => one.id !== account && one.role === 'coordinator' && one.deactivatedAt === null && one.hasPassword
	);
}

/** The form actions of the page of staff accounts. */
export const peopleActions = {
	add: staffAction(
		'set up the school',
		addForm,
		async ({ staff, school, database, at, form, event }) => {
			const added = await addAccount(
				database,
				staff,
				{ ...form, displayName: form.displayName.trim(), email: form.email || null },
				at
			);
			if (added === null) return refuse(`Somebody has the user name ${form.userName} already`);
			const link = await makeLink({ database, staff, school, at, origin: event.url.origin }, added);
			return { link };
		},
		'Give a name, and a user name of 3 to 60 letters, digits, dots or dashes'
	),
	invite: staffAction('set up the school', oneForm, async ({ staff, school, database, at, form, event }) => {
		const link = await makeLink({ database, staff, school, at, origin: event.url.origin }, form.account);
		return link ? { link } : refuse('There is no such person, or they cannot sign in any more');
	}),
	/** Sends a link that was just made to the person's own address. */
	mail: staffAction('set up the school', mailForm, async ({ staff, school, database, at, form, event }) => {
		if (!isMailPossible()) return refuse('This installation knows no mail server');
		const inviting = { database, staff, school, at, origin: event.url.origin };
		const address = await mailLink(inviting, form.account, form.token);
		return address
			? { done: `The invitation goes to ${address}.` }
			: refuse('That person has no address, or the link is no longer good');
	}),
	inviteAll: staffAction('set up the school', noForm, async ({ staff, school, database, at, event }) => {
		if (!isMailPossible()) return refuse('This installation knows no mail server');
		const count = await inviteAll({ database, staff, school, at, origin: event.url.origin });
		return count
			? { done: `Invitations go to ${plural(count, 'colleague')}.` }
			: refuse('Everybody who has an address is invited already');
	}),
	change: staffAction('set up the school', changeForm, async ({ staff, school, database, at, form }) => {
		const { account, role } = form;
		if (role !== 'coordinator' && (await isLastCoordinator(database, school, account, at)))
			return refuse('Nobody else could set up the school: make somebody else a coordinator first');
		const before = await changeAccount(database, staff, account, { ...form, email: form.email || null }, at);
		if (!before) return refuse('There is no such person');
		return {
			done: `${form.displayName}, ${role}: kept.`,
			undo: {
				action: '?/change',
				fields: {
					account: String(account),
					displayName: before.displayName,
					role: before.role,
					email: before.email ?? ''
				}
			}
		};
	}),
	deactivate: staffAction('set up the school', oneForm, async ({ staff, school, database, at, form }) => {
		if (form.account === staff.id) return refuse('You cannot shut yourself out: ask another coordinator');
		if (await isLastCoordinator(database, school, form.account, at))
			return refuse('Nobody else could set up the school: make somebody else a coordinator first');
		if (!(await setActive(database, staff, form.account, false, at)))
			return refuse('That person cannot sign in already');
		const held = await heldBy(database, staff, form.account, school.today);
		return {
			done: `Signed out everywhere, and cannot sign in any more. What they did stays theirs.${runsNothing(held) ? '' : ` Still theirs, to be handed over: ${sayHeld(held)}.`}`,
			undo: { action: '?/reactivate', fields: { account: String(form.account) } }
		};
	}),
	reactivate: staffAction('set up the school', oneForm, async ({ staff, database, at, form }) =>
		(await setActive(database, staff, form.account, true, at))
			? { done: 'Can sign in again, with the password there was.' }
			: refuse('That person can sign in already')
	),
	/** For who has lost the authenticator and the recovery codes. */
	dropFactor: staffAction('set up the school', oneForm, async ({ staff, database, at, form }) => {
		if (form.account === staff.id) return refuse('Your own is changed on the page of your account');
		return (await dropSecondFactor(database, staff, form.account, at))
			? { done: 'No code is asked for any more, until that person sets it up anew.' }
			: refuse('There was none');
	}),
	needFactor: staffAction('set up the school', factorForm, async ({ staff, database, at, form }) => {
		const isNeeded = form.needed === 'yes';
		if (isNeeded && !(await secondFactorOf(database, staff.id)))
			return refuse('Set up your own first, on the page of your account');
		await requireSecondFactor(database, staff, isNeeded, at);
		return {
			done: isNeeded
				? 'From now on nobody of the staff goes on without a code beside the password: who has none sets it up first.'
				: 'Everybody chooses for themselves whether a code is asked for.',
			undo: { action: '?/needFactor', fields: { needed: isNeeded ? 'no' : 'yes' } }
		};
	})
};
