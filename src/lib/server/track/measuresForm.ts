import Type from 'typebox';
import { addDays, sayDate } from '../../core/calendar';
import { FLUENCY_MEASURES } from '../../core/fluency';
import { plural } from '../../core/words';
import { visibleAmong } from '../people';
import { formCheck, id, idList, idsOf, idText, oneOf, schoolDate } from '../request';
import { saveMeasure, sheetGradeFor, sheetToMark } from '../screen';
import { MARKED_FIELDS, markedFrom, sayGiven } from '../screen/measureForm';
import { refuse, staffAction } from '../shell/staffPage';
import { seenSeries } from './giveMeasurePage';
import { MOST_BEGUN } from './measuresPage';
import { beginMeasureSeries, endMeasureSeries, takeBackMeasureSeries } from './store/measureSeries';

const sheet = Type.Integer({ minimum: 1, maximum: 8 });
const beginForm = formCheck(
	Type.Object({
		measure: oneOf(FLUENCY_MEASURES),
		goalOn: schoolDate,
		students: idList(MOST_BEGUN),
		sheets: Type.Array(sheet, { minItems: 1, maxItems: MOST_BEGUN }),
		goals: Type.Array(Type.String({ pattern: '^ *([1-9][0-9]{0,2})? *$' }), { minItems: 1, maxItems: MOST_BEGUN })
	})
);
const takeBackForm = formCheck(Type.Object({ series: idText }));
const endForm = formCheck(Type.Object({ series: id, student: id, end: oneOf(['yes', 'no']) }));
const giveForm = formCheck(
	Type.Object({
		id: Type.String({ format: 'uuid' }),
		series: id,
		student: id,
		sheet: Type.Integer({ minimum: 1, maximum: 500 }),
		...MARKED_FIELDS
	})
);

const MOST_GOAL = 300;

/** The form action that begins series of a measure for those with a goal typed; of the others nothing begins. */
export const beginAction = staffAction('plan probes', beginForm, async ({ staff, school, database, at, form }) => {
	const { measure, goalOn, students, sheets, goals } = form;
	if (sheets.length !== students.length || goals.length !== students.length)
		return refuse('The form could not be read');
	if (goalOn < addDays(school.today, 14) || goalOn > addDays(school.today, 365))
		return refuse('The goal date lies two weeks to a year ahead');
	const seen = await visibleAmong(database, staff, students, school.today);
	if (seen.length !== students.length) return refuse('Some of these students are not yours to see');
	const gradeOf = new Map<number, number>(seen.map((student) => [student.id, student.grade]));
	const wanted = students.flatMap((student, i) => {
		const goal = Number(goals[i].trim());
		return goal ? [{ id: student, sheetGrade: sheets[i], goal }] : [];
	});
	if (wanted.length === 0) return refuse('No goal was typed: who has one begins');
	if (wanted.some(({ goal }) => goal > MOST_GOAL)) return refuse(`A goal is ${MOST_GOAL} a minute at most`);
	if (wanted.some((one) => one.sheetGrade > sheetGradeFor(measure, gradeOf.get(one.id)!)))
		return refuse('Sheets are of the own grade or one below');
	const begun = await beginMeasureSeries(
		database,
		staff,
		{ measure, startsOn: school.today, goalOn, students: wanted },
		at
	);
	if (begun.length === 0) return refuse(`All of them are given ${measure} week by week already`);
	return {
		done: `${plural(begun.length, 'student')}: ${measure} each week, until ${sayDate(goalOn)}.`,
		undo: { action: '?/takeBack', fields: { series: begun.join(',') } }
	};
});

/** The form action that takes back series of which nothing was given. */
export const takeBackAction = staffAction('plan probes', takeBackForm, async ({ staff, database, at, form }) => {
	const count = await takeBackMeasureSeries(database, staff, idsOf(form.series), at);
	return count
		? { done: `Taken back for ${plural(count, 'student')}.` }
		: refuse('Something was given by now, so they stay; they can be ended');
});

/** The form action that ends a series, or lets it go on. */
export const endAction = staffAction('plan probes', endForm, async ({ staff, school, database, at, form }) => {
	const isEnd = form.end === 'yes';
	if (!(await visibleAmong(database, staff, [form.student], school.today)).length)
		return refuse('There is no such series');
	if (isEnd && !(await seenSeries(database, staff, school, { studentId: form.student, seriesId: form.series })))
		return refuse('There is no such series');
	if (
		!(await endMeasureSeries(
			database,
			staff,
			{ id: form.series, studentId: form.student },
			isEnd ? school.today : null,
			at
		))
	)
		return refuse('It ended already, or another one of this measure has begun since');
	const fields = { series: String(form.series), student: String(form.student) };
	return isEnd
		? { done: 'Ended. What was given is kept.', undo: { action: '?/end', fields: { ...fields, end: 'no' } } }
		: { done: 'It goes on.' };
});

/** The form action that keeps one giving of a series. */
export const giveAction = staffAction('give measures', giveForm, async ({ staff, school, database, at, form }) => {
	const found = await seenSeries(database, staff, school, { studentId: form.student, seriesId: form.series });
	if (!found) return refuse('This series has ended, or is not yours to see');
	const { series, student } = found;
	if (form.sheet > series.nextSheet) return refuse('This sheet is not one of the series yet');
	const { grade, places } = sheetToMark(series.measure, series.sheetGrade, { sheetNumber: form.sheet });
	if (form.reached > places.length) return refuse('This is not a sheet of this measure');
	const marked = markedFrom(form);
	await saveMeasure(
		database,
		staff,
		{
			...{ id: form.id, studentId: student.id, sheetGrade: grade, sheetLength: places.length },
			givenFor: { seriesId: series.id, sheetNumber: form.sheet },
			...marked
		},
		at
	);
	return { saved: form.id, ...sayGiven(series.measure, marked, form.id) };
});
