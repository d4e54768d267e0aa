import { error } from '@sveltejs/kit';
import { NO_SUCH_FILE, resultFile, resultFileNamed } from '$lib/server/results';
import { throughTimeTakenOut } from '$lib/server/results/throughTimeFilesPage';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

/** Results through time as a file, of the students whom the page shows. */
export async function GET({ locals, params, url }) {
	const { staff, school } = await staffContext(locals);
	const { database, at } = locals;
	const file = resultFileNamed(params.file);
	if (!file) error(404, NO_SUCH_FILE);
	const taken = await throughTimeTakenOut(database, school, await scopeOf(locals, url, staff, school), url);
	const sent = await resultFile(database, staff, school, file, taken, { origin: url.origin, at });
	return sent ?? error(404, NO_SUCH_FILE);
}
