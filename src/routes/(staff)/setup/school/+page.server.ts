import { provider, singleSignOnOf } from '$lib/server/auth';
import { cycleList, daysOff, schoolProfile, schoolYears, tierPlans } from '$lib/server/school';
import { schoolActions } from '$lib/server/setup/schoolForm';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals }) {
	const { school } = await staffWho(locals, 'set up the school');
	const { database } = locals;
	const [profile, years, off, cycles, plans, mode] = await Promise.all([
		schoolProfile(database, school.id),
		schoolYears(database, school.id),
		daysOff(database, school.id, school.today),
		cycleList(database, school.id),
		tierPlans(database, school.id),
		singleSignOnOf(database, school.id)
	]);
	const by = provider();
	return {
		...{ profile, years, off, cycles, plans },
		/** Null where the installation knows no identity provider. */
		singleSignOn: by && { mode, name: by.name },
		timeZones: Intl.supportedValuesOf('timeZone'),
		today: school.today
	};
}

export const actions = schoolActions;
