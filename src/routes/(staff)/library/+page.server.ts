import { familiesFor } from '$lib/core/items/bank';
import { domainList, findInLibrary, shelfOf, skillList } from '$lib/server/library';
import { textIn } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';

const MOST = 24;

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const typed = textIn(url, 'q', 120);
	const [domains, skills, shelf, hits] = await Promise.all([
		domainList(locals.database, school.id),
		skillList(locals.database, school.id),
		shelfOf(locals.database, staff),
		typed ? findInLibrary(locals.database, school.id, typed, MOST) : null
	]);
	return {
		typed,
		hits,
		domains,
		skills: skills.map((skill) => ({ ...skill, families: familiesFor(skill.code).length })),
		shelf
	};
}
