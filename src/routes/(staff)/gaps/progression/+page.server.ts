import { error } from '@sveltejs/kit';
import { progressionPage } from '$lib/server/gaps/progressionPage';
import { domainList } from '$lib/server/library';
import { textIn } from '$lib/server/request';
import { screenContext } from '$lib/server/screen/screenPage';

export async function load({ locals, url }) {
	const { school, scope, window } = await screenContext(locals, url);
	const domains = await domainList(locals.database, school.id);
	if (domains.length === 0) error(404, 'There are no domains to show a progression of.');
	const domain = domains.find(({ id }) => String(id) === url.searchParams.get('domain')) ?? domains[0];
	const open = textIn(url, 'open', 10) || null;
	const students = await scope.students();
	return {
		window,
		domain,
		domains,
		...(await progressionPage(locals.database, school, students, { domain, window, open }))
	};
}
