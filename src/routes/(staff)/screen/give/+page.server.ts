import Type from 'typebox';
import { asideAction, MARKED_FIELDS, markedFrom, sayGiven } from '$lib/server/screen/measureForm';
import { screenContext } from '$lib/server/screen/screenPage';
import { error, redirect } from '@sveltejs/kit';
import { scoreSheet, type FluencyMeasure } from '$lib/core/fluency';
import { TO_FINISH } from '$lib/core/screening';
import {
	saveMeasure,
	type ScreeningWindow,
	sheetGradeFor,
	sheetToMark,
	unitOf,
	windowInView,
	windowNotes,
	windowPlaces
} from '$lib/server/screen';
import { formCheck, id, idIn, type VisibleId } from '$lib/server/request';
import { refuse, staffAction } from '$lib/server/shell/staffPage';
import { visibleAmong } from '$lib/server/people';

type MeasureWindow = ScreeningWindow & { measure: FluencyMeasure };
const isGiven = (window: ScreeningWindow | null): window is MeasureWindow => Boolean(window?.measure);

export async function load({ locals, url }) {
	const { school, scope, window } = await screenContext(locals, url);
	if (!isGiven(window)) error(404, 'In this window no measure is given.');
	const students = await scope.students();
	const student = students.find((one) => one.id === idIn(url, 'to'));
	if (!student) redirect(303, `/screen/sittings?${new URLSearchParams({ window: String(window.id) })}`);
	const places = await windowPlaces(locals.database, window, students);
	const waiting = students.filter((one) => TO_FINISH.has(places.get(one.id)!.status) && one.id !== student.id);
	const after = students.indexOf(student);
	const next =
		waiting.find((one) => one.classId === student.classId && students.indexOf(one) > after) ??
		waiting.find((one) => one.classId === student.classId) ??
		waiting[0] ??
		null;
	const usual = sheetGradeFor(window.measure, student.grade);
	const wanted = idIn(url, 'sheet');
	const grade = wanted !== null && wanted <= usual ? wanted : usual;
	const given = places.get(student.id)!.given;
	const marked = given && sheetToMark(window.measure, given.sheetGrade, { windowId: window.id });
	return {
		window,
		unit: unitOf(window),
		today: school.today,
		student,
		isOpen: await isOpenFor(locals.database, window, student.id, school.today),
		usual,
		sheet: sheetToMark(window.measure, grade, { windowId: window.id }),
		given: given &&
			marked && {
				by: given.givenBy,
				sheet: marked,
				marks: { stage: 'done' as const, missed: given.missed, reached: given.reached },
				...scoreSheet(given)
			},
		waiting: waiting.length,
		next: next && { id: next.id, givenName: next.givenName, familyName: next.familyName }
	};
}

/** Whether the measure can be given to a student today: while the window is open, or until the end of a make-up. */
async function isOpenFor(
	database: App.Locals['database'],
	window: ScreeningWindow,
	studentId: VisibleId,
	today: string
): Promise<boolean> {
	if (today < window.opensOn) return false;
	if (today <= window.closesOn) return true;
	const makeUpUntil = (await windowNotes(database, window.id, [studentId])).get(studentId)?.makeUpUntil;
	return Boolean(makeUpUntil && today <= makeUpUntil);
}

const saveForm = formCheck(
	Type.Object({
		id: Type.String({ format: 'uuid' }),
		window: id,
		student: id,
		sheet: Type.Integer({ minimum: 1, maximum: 8 }),
		...MARKED_FIELDS
	})
);

export const actions = {
	save: staffAction('give measures', saveForm, async ({ staff, school, database, at, form }) => {
		const { id: measureId, window: windowId, student, sheet: grade, reached } = form;
		const { window } = await windowInView(database, school, windowId);
		if (window?.id !== windowId || !isGiven(window)) return refuse('There is no such window');
		const [seen] = await visibleAmong(database, staff, [student], school.today);
		if (!seen) return refuse('This student is not yours to see');
		if (!(await isOpenFor(database, window, seen.id, school.today)))
			return refuse('The window is not open today; let the student make up first');
		const sheet = sheetToMark(window.measure, grade, { windowId: window.id });
		if (sheet.grade !== grade || reached > sheet.places.length) return refuse('This is not a sheet of this measure');
		const marked = markedFrom(form);
		await saveMeasure(
			database,
			staff,
			{
				id: measureId,
				givenFor: { windowId },
				studentId: student,
				sheetGrade: grade,
				sheetLength: sheet.places.length,
				...marked
			},
			at
		);
		return { saved: measureId, ...sayGiven(window.measure, marked, measureId) };
	}),
	aside: asideAction
};
