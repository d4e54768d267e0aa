import { screenContext } from '$lib/server/screen/screenPage';
import { screenResults } from '$lib/server/screen';

export async function load({ locals, url }) {
	const { school, scope, windows, window } = await screenContext(locals, url);
	if (!window)
		return { window: null, windows, earlier: null, rows: [], domains: [], unit: 'points', today: school.today };
	const results = await screenResults(locals.database, school, windows, window, await scope.students());
	return { window, windows, today: school.today, ...results };
}
