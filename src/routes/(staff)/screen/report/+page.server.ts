import { reportsAsked } from '$lib/server/reports/reportPage';

export async function load({ locals, url }) {
	const { window, earlier, reports, all, audience, longer, left, school } = await reportsAsked(locals, url);
	return { window, earlier, reports, all, audience, longer, left, today: school.today };
}
