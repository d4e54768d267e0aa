import { error } from '@sveltejs/kit';
import { idOf } from '$lib/server/request';
import { NO_SUCH_FILE, resultFile, resultFileNamed } from '$lib/server/results';
import { setTakenOut } from '$lib/server/results/setFilesPage';
import { staffContext } from '$lib/server/shell/staffPage';

/** The results of a set as a file, in the order and with the rows that the page shows. */
export async function GET({ locals, params, url }) {
	const { staff, school } = await staffContext(locals);
	const { database, at } = locals;
	const file = resultFileNamed(params.file);
	if (!file) error(404, NO_SUCH_FILE);
	const taken = await setTakenOut(database, staff, school, idOf(params.set) ?? 0, url, at);
	const sent = taken && (await resultFile(database, staff, school, file, taken, { origin: url.origin, at }));
	return sent ?? error(404, 'No such practice set for you.');
}
