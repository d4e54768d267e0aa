import { idIn } from '../request';
import { scopeOf, staffContext } from '../shell/staffPage';
import { windowInView } from './windowPlaces';

/** What every page on a screening window begins with: who asks, whom for, and the window that the address names. */
export async function screenContext(locals: App.Locals, url: URL) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const wanted = idIn(url, 'window');
	return { staff, school, scope, ...(await windowInView(locals.database, school, wanted)) };
}
