import { needsSecondFactor } from '$lib/server/auth';
import { staffInSetup } from '$lib/server/people';
import { peopleActions } from '$lib/server/setup/peopleForm';
import { numberIn } from '$lib/server/request';
import { staffWho } from '$lib/server/shell/staffPage';

/** Colleagues that are shown at once. */
const AT_ONCE = 25;

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	const [people, isFactorNeeded] = await Promise.all([
		staffInSetup(locals.database, school.id, locals.at),
		needsSecondFactor(locals.database, school.id)
	]);
	const from = numberIn(url, 'from');
	return {
		active: people.filter(({ deactivatedAt }) => deactivatedAt === null).length,
		part: { from, most: AT_ONCE, total: people.length },
		people: people.slice(from, from + AT_ONCE),
		ownId: staff.id,
		factor: {
			isNeeded: isFactorNeeded,
			without: people.filter((one) => one.deactivatedAt === null && !one.hasSecondFactor).length
		}
	};
}

export const actions = peopleActions;
