import { error } from '@sveltejs/kit';
import { idIn } from '$lib/server/request';
import { asideAction } from '$lib/server/screen/measureForm';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';
import { giveAction } from '$lib/server/track/measuresForm';
import { giveMeasurePage } from '$lib/server/track/giveMeasurePage';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const asked = { studentId: idIn(url, 'to'), seriesId: idIn(url, 'series') };
	const page = await giveMeasurePage(locals.database, staff, school, scope, asked);
	return page ? { page } : error(404, 'There is no such series of yours, or it has ended.');
}

export const actions = { save: giveAction, aside: asideAction };
