import { whatIsMissing } from '$lib/server/setup';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	return { steps: await whatIsMissing(locals.database, staff, school, locals.at) };
}
