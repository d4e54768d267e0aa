import { screenContext } from '$lib/server/screen/screenPage';
import { error } from '@sveltejs/kit';
import { TO_SIT } from '$lib/core/screening';
import { toSitByClass, windowPlaces } from '$lib/server/screen';
import { classCodes, classList, inClasses, rosterStudents } from '$lib/server/people';
import { numberIn } from '$lib/server/request';

/** Sheets that are shown, and printed, at once. */
const AT_ONCE = 12;

export async function load({ locals, url }) {
	const { staff, school, scope, window } = await screenContext(locals, url);
	const { database } = locals;
	if (!window) error(404, 'There is no window to remind of.');
	const [waiting, classes, codes] = await Promise.all([
		toSitByClass(database, window.id, scope.roster),
		classList(database, school.id),
		classCodes(database, staff, school.today)
	]);
	const part = { from: numberIn(url, 'sheets'), most: AT_ONCE };
	const all = classes.filter(({ id }) => waiting.has(id));
	const shown = all.slice(part.from, part.from + part.most);
	const students = await rosterStudents(
		database,
		inClasses(
			scope.roster,
			shown.map(({ id }) => id)
		)
	);
	const places = await windowPlaces(database, window, students);
	const missing = students
		.filter(({ id }) => TO_SIT.has(places.get(id)!.status))
		.map((student) => {
			const { status: now, sitting, note } = places.get(student.id)!;
			return { ...student, status: now, answered: sitting?.answered ?? 0, makeUpUntil: note?.makeUpUntil ?? null };
		});
	return {
		window,
		today: school.today,
		part,
		sheets: all.length,
		total: [...waiting.values()].reduce((sum, size) => sum + size, 0),
		classes: shown.map((one) => ({
			...one,
			code: codes.get(one.id) ?? '',
			students: missing.filter(({ classId }) => classId === one.id)
		}))
	};
}
