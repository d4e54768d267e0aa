import { json } from '@sveltejs/kit';
import { findInLibrary } from '$lib/server/library';
import { typedIn } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';

const MOST = 24;

/** What lies nearest to the words typed so far. */
export async function GET({ locals, url }) {
	const { school } = await staffContext(locals);
	return json({ found: await findInLibrary(locals.database, school.id, typedIn(url), MOST) });
}
