import { error } from '@sveltejs/kit';
import { staffContext } from '$lib/server/shell/staffPage';
import { paperAsked, paperToPrint } from '$lib/server/track/paperPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const page = await paperToPrint(locals.database, staff, school, paperAsked(url, school.today));
	return page
		? { page, withKey: url.searchParams.get('key') !== 'off' }
		: error(404, 'Nobody of yours has weekly probes here.');
}
