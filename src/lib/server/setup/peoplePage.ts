import { needsSecondFactor } from '../auth';
import type { Database } from '../database';
import { isMailPossible, newestMails } from '../mail';
import { staffInSetup } from '../people';
import { numberIn } from '../request';
import type { School } from '../school';
import { canBeInvited } from './invitations';

/** Colleagues that are shown at once. */
const AT_ONCE = 25;

/** The staff accounts of a school as the address asks for them: `from` for the part. */
export async function peoplePage(database: Database, school: School, url: URL, at: Date) {
	const [people, mails, isFactorNeeded] = await Promise.all([
		staffInSetup(database, school.id, at),
		newestMails(database, school.id),
		needsSecondFactor(database, school.id)
	]);
	const from = numberIn(url, 'from');
	return {
		active: people.filter(({ deactivatedAt }) => deactivatedAt === null).length,
		part: { from, most: AT_ONCE, total: people.length },
		people: people.slice(from, from + AT_ONCE).map((one) => ({ ...one, mail: mails.get(one.id) ?? null })),
		/** How many could be invited by mail at once; null where no mail can be sent. */
		invitable: isMailPossible() ? people.filter(canBeInvited).length : null,
		factor: {
			isNeeded: isFactorNeeded,
			without: people.filter((one) => one.deactivatedAt === null && !one.hasSecondFactor).length
		}
	};
}
