import { error, json } from '@sveltejs/kit';
import { skillRows } from '$lib/server/gaps/skillPage';
import { skillList } from '$lib/server/library';
import { rowsAsked, staffContext } from '$lib/server/shell/staffPage';

/** More students on a skill, as they are scrolled to. */
export async function GET({ locals, url, params }) {
	const { staff, school } = await staffContext(locals);
	const skill = (await skillList(locals.database, school.id)).find(({ code }) => code === params.code);
	if (!skill) error(404, 'There is no skill of this code.');
	return json({ rows: await skillRows(locals.database, await rowsAsked(locals, url, staff, school), skill.id) });
}
