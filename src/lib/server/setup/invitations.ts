import { sayInstant } from '../../core/calendar';
import { newToken, tokenHash } from '../auth';
import { inOne, type RootDatabase } from '../database';
import { type Letter, queueMail } from '../mail';
import { INVITATION_DAYS, invite, invitedBy, staffInSetup } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';

/** Who invites, and by which address this program is found. */
export interface Inviting {
	database: RootDatabase;
	staff: Staff;
	school: School;
	at: Date;
	origin: string;
}

/** A link by which a person chooses a password, once. */
export interface InvitationLink {
	account: number;
	name: string;
	token: string;
	address: string;
	/** Until when it can be used, in words. */
	until: string;
}

const untilOf = ({ school, at }: Inviting) =>
	sayInstant(new Date(at.getTime() + INVITATION_DAYS * 86_400_000), school.timeZone);

/** Makes a link by which a person chooses a password, once. @returns null for who cannot sign in any more */
export async function makeLink(inviting: Inviting, account: number): Promise<InvitationLink | null> {
	const { database, staff, at, origin } = inviting;
	const token = newToken();
	const name = await invite(database, staff, account, tokenHash(token), at);
	if (name === null) return null;
	return { account, name, token, address: `${origin}/welcome/${token}`, until: untilOf(inviting) };
}

/** The letter with a link. */
function letterWith({ school, staff }: Inviting, { name, address, until }: InvitationLink, userName: string): Letter {
	return {
		subject: `Your account for ${school.name}`,
		text: [
			`Dear ${name},`,
			`${staff.displayName} has made you an account for ${school.name} in Orderly Compass. Your user name is ${userName}.`,
			`Choose your password here, by ${until}:`,
			address,
			'The address works once. If you did not expect this letter, you need do nothing.'
		].join('\n\n')
	};
}

/**
 * Sends a link that was made to the person's address.
 *
 * @returns the address; null where the link is no longer good, or there is no address
 */
export async function mailLink(inviting: Inviting, account: number, token: string): Promise<string | null> {
	const { database, staff, school, at, origin } = inviting;
	const person = (await staffInSetup(database, school.id, at)).find(({ id }) => id === account);
	const invited = await invitedBy(database, tokenHash(token), at);
	if (!person?.email || !person.invitedUntil || invited?.id !== account) return null;
	const link = {
		...{ account, name: person.displayName, token, address: `${origin}/welcome/${token}` },
		until: sayInstant(person.invitedUntil, school.timeZone)
	};
	const isQueued = await queueMail(database, staff, account, letterWith(inviting, link, person.userName), at);
	return isQueued ? person.email : null;
}

/** Invites everybody by mail who has an address and neither a password nor an invitation. @returns how many */
export async function inviteAll(inviting: Inviting): Promise<number> {
	return inOne(inviting.database, async (all) => {
		const people = await staffInSetup(all, inviting.school.id, inviting.at);
		let count = 0;
		for (const person of people.filter(canBeInvited)) {
			const link = await makeLink({ ...inviting, database: all }, person.id);
			if (!link) continue;
			const letter = letterWith(inviting, link, person.userName);
			if (await queueMail(all, inviting.staff, person.id, letter, inviting.at)) count++;
		}
		return count;
	});
}

/** Whether somebody has an address and neither a password nor an invitation. */
export const canBeInvited = ({
	email,
	hasPassword,
	invitedUntil,
	deactivatedAt
}: Awaited<ReturnType<typeof staffInSetup>>[number]) =>
	email !== null && !hasPassword && invitedUntil === null && deactivatedAt === null;
