import { screenContext } from '$lib/server/screen/screenPage';
import { error, redirect } from '@sveltejs/kit';
import { idIn } from '$lib/server/request';
import { visibleAmong } from '$lib/server/people';
import { scoreEvidence } from '$lib/server/screen';

export async function load({ locals, url }) {
	const { staff, school, window } = await screenContext(locals, url);
	if (!window) error(404, 'There is no screening window to look into.');
	const id = idIn(url, 'of');
	const [student] = id === null ? [] : await visibleAmong(locals.database, staff, [id], school.today);
	if (!student) error(404, 'No such student for you.');
	if (window.measure)
		redirect(303, `/screen/give?${new URLSearchParams({ window: String(window.id), to: String(student.id) })}`);
	return { window, student, ...(await scoreEvidence(locals.database, school, window, student)) };
}
