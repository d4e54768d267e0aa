import { redirect } from '@sveltejs/kit';
import { secondFactorActions } from '$lib/server/auth/secondFactorForm';
import { secondFactorPage } from '$lib/server/auth/secondFactorPage';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals }) {
	if (locals.viewer?.kind !== 'staff') redirect(303, '/sign-in');
	const { staff, school } = await staffContext(locals);
	return { ...(await secondFactorPage(locals.database, staff)), schoolName: school.name };
}

export const actions = secondFactorActions;
