import { screenResults } from '$lib/server/screenResults';
import { windowInView } from '$lib/server/screening';
import { scopeOf, staffContext } from '$lib/server/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { windows, window } = await windowInView(
		locals.database,
		school,
		Number(url.searchParams.get('window')) || undefined
	);
	if (!window) return { window: null, windows, earlier: null, rows: [], domains: [], today: school.today };
	const results = await screenResults(locals.database, school, windows, window, scope.students);
	return { window, windows, today: school.today, ...results };
}
