import { error } from '@sveltejs/kit';
import { domainList } from '$lib/server/library';
import { idIn } from '$lib/server/request';
import { scoreSources, windowInView } from '$lib/server/screen';
import { scoreImportAction } from '$lib/server/screen/scoreImportForm';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { school } = await staffWho(locals, 'run screening');
	const { window } = await windowInView(locals.database, school, idIn(url, 'window'));
	if (!window) error(404, 'Plan a screening window first; scores are brought into a window.');
	if (window.measure) error(404, 'Scores from elsewhere are in points; bring them into a window with a diagnostic.');
	const sources = await scoreSources(locals.database, school.id);
	return { window, domains: await domainList(locals.database, school.id), sources: [...sources.keys()] };
}

export const actions = { default: scoreImportAction };
