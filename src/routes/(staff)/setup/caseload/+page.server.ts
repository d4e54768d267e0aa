import { caseloadActions } from '$lib/server/setup/caseloadForm';
import { caseloadPage } from '$lib/server/setup/caseloadPage';
import { scopeOf, staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'form groups');
	return caseloadPage(locals.database, school, await scopeOf(locals, url, staff, school), url);
}

export const actions = caseloadActions;
