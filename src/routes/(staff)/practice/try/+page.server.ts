import { error } from '@sveltejs/kit';
import { tryPage } from '$lib/server/practice/tryPage';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { school } = await staffContext(locals);
	const found = await tryPage(locals.database, school, url);
	if (!found) error(404, 'No such skill, or there are no questions for it yet.');
	return found;
}
