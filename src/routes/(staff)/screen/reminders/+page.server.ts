import { screenContext } from '$lib/server/screen/screenPage';
import { error } from '@sveltejs/kit';
import { TO_SIT } from '$lib/core/screening';
import { windowPlaces } from '$lib/server/screen';
import { classCodes, classList } from '$lib/server/people';

export async function load({ locals, url }) {
	const { staff, school, scope, window } = await screenContext(locals, url);
	const { database } = locals;
	if (!window) error(404, 'There is no window to remind of.');
	const students = await scope.students();
	const [places, classes, codes] = await Promise.all([
		windowPlaces(database, window, students),
		classList(database, school.id),
		classCodes(database, staff)
	]);
	const missing = students.flatMap((student) => {
		const { status, sitting, note } = places.get(student.id)!;
		if (!TO_SIT.has(status)) return [];
		return [{ ...student, status, answered: sitting?.answered ?? 0, makeUpUntil: note?.makeUpUntil ?? null }];
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
