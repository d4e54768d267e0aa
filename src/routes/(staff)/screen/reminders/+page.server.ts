import { screenContext } from '$lib/server/screen/screenPage';
import { error } from '@sveltejs/kit';
import { TO_SIT } from '$lib/core/screening';
import { placesIn, windowPlaces } from '$lib/server/screen';
import { classCodes, classList } from '$lib/server/people';

export async function load({ locals, url }) {
	const { staff, school, scope, window } = await screenContext(locals, url);
	const { database } = locals;
	if (!window) error(404, 'There is no window to remind of.');
	const [students, status, classes, codes] = await Promise.all([
		scope.students(),
		placesIn(database, window.id, scope.roster),
		classList(database, school.id),
		classCodes(database, staff)
	]);
	const toSit = students.filter(({ id }) => TO_SIT.has(status.get(id)!.status));
	const places = await windowPlaces(database, window, toSit);
	const missing = toSit.map((student) => {
		const { status: now, sitting, note } = places.get(student.id)!;
		return { ...student, status: now, answered: sitting?.answered ?? 0, makeUpUntil: note?.makeUpUntil ?? null };
	});
	return {
		window,
		today: school.today,
		classes: classes
			.map((one) => ({
				...one,
				code: codes.get(one.id) ?? '',
				students: missing.filter(({ classId }) => classId === one.id)
			}))
			.filter(({ students }) => students.length > 0)
	};
}
