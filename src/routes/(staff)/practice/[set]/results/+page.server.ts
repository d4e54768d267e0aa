import { error } from '@sveltejs/kit';
import { idOf } from '$lib/server/request';
import { setResultsPage } from '$lib/server/results/setResultsPage';
import { acceptActions } from '$lib/server/results/acceptForm';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, params, url, depends }) {
	depends('job:regrade');
	const { staff, school } = await staffContext(locals);
	const results = await setResultsPage(locals.database, staff, school, idOf(params.set) ?? 0, url, locals.at);
	if (!results) error(404, 'No such practice set for you.');
	return { results };
}

export const actions = acceptActions;
