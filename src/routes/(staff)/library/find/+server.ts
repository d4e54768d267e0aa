import { error, json } from '@sveltejs/kit';
import { findInLibrary } from '$lib/server/library';
import { staffContext } from '$lib/server/shell/staffPage';

const LONGEST = 120;
const MOST = 24;

/** What lies nearest to the words typed so far. */
export async function GET({ locals, url }) {
	const { school } = await staffContext(locals);
	const typed = url.searchParams.get('q') ?? '';
	if (typed.length > LONGEST) error(400, `Type at most ${LONGEST} characters. Nothing was changed.`);
	return json({ hits: await findInLibrary(locals.database, school.id, typed, MOST) });
}
