import { error } from '@sveltejs/kit';
import { staffContext } from '$lib/server/shell/staffPage';
import { enterAction, takeBackAction } from '$lib/server/track/paperForm';
import { paperAsked, paperPage } from '$lib/server/track/paperPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const page = await paperPage(locals.database, staff, school, paperAsked(url, school.today));
	return page ? { page } : error(404, 'Nobody of yours has weekly probes here.');
}

export const actions = { enter: enterAction, takeBack: takeBackAction };
