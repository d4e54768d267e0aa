import { screenContext } from '../screen/screenPage';
import { error } from '@sveltejs/kit';
import type { Audience } from '../../core/screening';
import { studentIn } from '../people';
import { idIn } from '../request';
import { studentReports } from './studentReport';

/** More pages than this nobody prints at once. */
const MOST_PAGES = 120;

/** The reports that an address asks for: of whom, for whom, and how long. */
export async function reportsAsked(locals: App.Locals, url: URL) {
	const { school, scope, windows, window } = await screenContext(locals, url);
	if (!window) error(404, 'There is no screening window to report on.');
	if (window.measure) error(404, 'A report is on a window with a diagnostic; choose one.');
	const all = url.searchParams.get('all') === 'yes';
	const id = idIn(url, 'student');
	const selected = !all && id !== null && (await studentIn(locals.database, scope.roster, id));
	const wanted = selected ? [selected] : (await scope.students()).slice(0, all ? undefined : 1);
	const { earlier, reports } = await studentReports(
		locals.database,
		school,
		windows,
		window,
		wanted.slice(0, MOST_PAGES)
	);
	const audience: Audience = url.searchParams.get('for') === 'family' ? 'family' : 'staff';
	return {
		window,
		earlier,
		reports,
		all,
		audience,
		longer: url.searchParams.get('length') === 'longer',
		left: Math.max(0, wanted.length - MOST_PAGES),
		school,
		scope
	};
}
