import { error } from '@sveltejs/kit';
import { hasItems } from '$lib/core/items/bank';
import { sampleItems, skillList } from '$lib/server/library';
import { staffContext } from '$lib/server/shell/staffPage';

export async function load({ locals, params, url }) {
	const { school } = await staffContext(locals);
	const skill = (await skillList(locals.database, school.id)).find(({ code }) => code === params.code);
	if (!skill || !hasItems(skill.code)) error(404, 'There are no questions to print for this skill.');
	return { skill, samples: sampleItems(skill.code), withKey: url.searchParams.get('key') === 'on' };
}
