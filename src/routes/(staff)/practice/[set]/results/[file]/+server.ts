import { error } from '@sveltejs/kit';
import { idOf } from '$lib/server/request';
import { SET_FILES, setFile, type SetFile } from '$lib/server/results/setFilesPage';
import { staffContext } from '$lib/server/shell/staffPage';

/** The results of a set as a file, in the order and with the rows that the page shows. */
export async function GET({ locals, params, url }) {
	const { staff, school } = await staffContext(locals);
	if (!Object.hasOwn(SET_FILES, params.file)) error(404, `Results go out as ${Object.keys(SET_FILES).join(', ')}.`);
	const file = params.file as SetFile;
	const made = await setFile(locals.database, staff, school, idOf(params.set) ?? 0, file, { url, at: locals.at });
	if (!made) error(404, 'No such practice set for you.');
	return new Response(made.body as BodyInit, {
		headers: {
			'Content-Type': SET_FILES[file],
			'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(made.name)}.${file.split('.')[1]}`
		}
	});
}
