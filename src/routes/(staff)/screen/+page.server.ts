import { resultsPage } from '$lib/server/screen/resultsPage';
import { screenContext } from '$lib/server/screen/screenPage';

export async function load({ locals, url }) {
	const { school, scope, windows, window } = await screenContext(locals, url);
	const shared = { windows, today: school.today };
	if (!window) return { ...shared, window: null, results: null };
	return {
		...shared,
		window,
		results: await resultsPage(locals.database, school, scope, windows, window, url)
	};
}
