import { error } from '@sveltejs/kit';
import { windowPlaces } from '$lib/server/screening';
import { screenContext } from '$lib/server/staffPage';
import { classList } from '$lib/server/store/people';

export async function load({ locals, url }) {
	const { school, scope, window } = await screenContext(locals, url);
	const { database } = locals;
	if (!window) error(404, 'There is no window to remind of.');
	const [places, classes] = await Promise.all([
		windowPlaces(database, window, scope.students),
		classList(database, school.id)
	]);
	const missing = scope.students.flatMap((student) => {
		const { status, sitting, note } = places.get(student.id)!;
		if (!['not started', 'absent', 'under way', 'to sit again'].includes(status)) return [];
		return [{ ...student, status, answered: sitting?.answered ?? 0, makeUpUntil: note?.makeUpUntil ?? null }];
	});
	return {
		window,
		today: school.today,
		classes: classes
			.map((one) => ({ ...one, students: missing.filter(({ classId }) => classId === one.id) }))
			.filter(({ students }) => students.length > 0)
	};
}
