import { json } from '@sveltejs/kit';
import { scopeChoices } from '$lib/server/shell';
import { staffContext } from '$lib/server/shell/staffPage';

/** Every scope that can be chosen. */
export async function GET({ locals }) {
	const { staff, school } = await staffContext(locals);
	return json({ choices: await scopeChoices(locals.database, staff, school.today) });
}
