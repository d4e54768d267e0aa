import { logPage } from '$lib/server/setup/logPage';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	return logPage(locals.database, staff, school, url, locals.at);
}
