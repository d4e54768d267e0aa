import { error } from '@sveltejs/kit';
import { screenContext } from '$lib/server/staffPage';
import { studentReports } from '$lib/server/studentReport';

/** More pages than this nobody prints at once. */
const MOST_PAGES = 120;

export async function load({ locals, url }) {
	const { school, scope, windows, window } = await screenContext(locals, url);
	if (!window) error(404, 'There is no screening window to report on.');
	const all = url.searchParams.get('all') === 'yes';
	const selected = scope.students.find(({ id }) => String(id) === url.searchParams.get('student'));
	const wanted = all ? scope.students : [selected ?? scope.students[0]].filter(Boolean);
	const { earlier, reports } = await studentReports(
		locals.database,
		school,
		windows,
		window,
		wanted.slice(0, MOST_PAGES)
	);
	return { window, earlier, reports, all, left: Math.max(0, wanted.length - MOST_PAGES), today: school.today };
}
