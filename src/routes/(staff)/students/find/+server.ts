import { json } from '@sveltejs/kit';
import { studentsNamed } from '$lib/server/people';
import { typedIn } from '$lib/server/request';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';

const MOST = 8;

/** Students of the scope with the part of a name that was typed so far. */
export async function GET({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const typed = typedIn(url);
	const { roster } = await scopeOf(locals, url, staff, school);
	return json({ found: typed ? await studentsNamed(locals.database, roster, typed, MOST) : [] });
}
