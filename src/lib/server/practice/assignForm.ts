import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import Type, { type Static } from 'typebox';
import type { SchoolDate } from '../../core/calendar';
import {
	ABOVE_STEPS,
	BELOW_STEPS,
	FEEDBACK_TIMES,
	MOST_QUESTIONS,
	MOST_PICKED,
	MOST_WEEKS,
	dueLater,
	setsOf,
	weeksLater,
	type WeeklyDays
} from '../../core/practice';
import { plural } from '../../core/words';
import { currentGroups } from '../groups';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import { formCheck, id, jsonCheck, jsonIn, longForm, oneOf, schoolDate } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { CONTENT_FIELDS, contentProblem, practiceIn, skillsProblem, TWICE } from './contentFields';
import { comingMeetings } from './comingMeetings';
import { datesProblem } from './datesForm';
import { assignSets, type NewSet } from './store/assigning';

/** More students than a class has: such a set is asked for once more. */
const MOST_UNASKED = 30;
/** Students that a set is for at most. */
const MOST_STUDENTS = 1_000;
/** Of a plan for a thousand students. */
const MOST_BYTES = 300_000;

const orNull = <S extends Parameters<typeof Type.Union>[0][number]>(schema: S) => Type.Union([schema, Type.Null()]);
const minute = orNull(Type.Integer({ minimum: 0, maximum: 1_439 }));
const strict = { additionalProperties: false };
const planSchema = Type.Object(
	{
		name: Type.String({ maxLength: 80 }),
		groupId: orNull(id),
		isOwnStep: Type.Boolean(),
		students: Type.Array(
			Type.Object(
				{
					studentId: id,
					skillId: orNull(id),
					dueOn: orNull(schoolDate),
					variation: Type.Object(
						{
							practice: orNull(Type.Integer({ minimum: 1, maximum: MOST_QUESTIONS })),
							families: oneOf(['easier', 'harder', null]),
							hints: orNull(Type.Boolean()),
							readAloud: orNull(Type.Boolean()),
							largerType: orNull(Type.Boolean())
						},
						strict
					)
				},
				strict
			),
			{ minItems: 1, maxItems: MOST_STUDENTS }
		),
		skills: CONTENT_FIELDS.skills,
		how: Type.Object(
			{
				older: CONTENT_FIELDS.older,
				untilRight: CONTENT_FIELDS.untilRight,
				ownQuestions: CONTENT_FIELDS.ownQuestions,
				feedback: oneOf(FEEDBACK_TIMES),
				hints: Type.Boolean(),
				secondTry: Type.Boolean(),
				solutions: Type.Boolean(),
				pausing: Type.Boolean(),
				doneOnly: Type.Boolean(),
				line: Type.Integer({ minimum: 1, maximum: 100 }),
				above: oneOf([...ABOVE_STEPS]),
				below: oneOf([...BELOW_STEPS])
			},
			strict
		),
		dates: Type.Object(
			{
				opensOn: schoolDate,
				opensMinute: minute,
				dueOn: orNull(schoolDate),
				dueMinute: minute,
				closes: Type.Boolean()
			},
			strict
		),
		lessonId: orNull(id),
		task: Type.String({ maxLength: 120 }),
		weeks: Type.Integer({ minimum: 1, maximum: MOST_WEEKS }),
		/** Whether the weeks after the first go by the days on which the group meets. */
		onMeetings: Type.Boolean()
	},
	strict
);
export type AssignPlan = Static<typeof planSchema>;
const planCheck = jsonCheck(planSchema);
const assignFields = formCheck(
	Type.Object({ plan: Type.String({ maxLength: MOST_BYTES }), sure: Type.Optional(oneOf(['yes'])) }),
	longForm(MOST_BYTES)
);

/** What is wrong with a plan in itself; null for nothing. */
function planProblem({ students, skills, how, isOwnStep, dates, weeks }: AssignPlan, today: SchoolDate): string | null {
	if (dates.opensOn < today) return 'The set opens today at the earliest';
	const wrong = datesProblem(dates, today);
	if (wrong) return wrong;
	if (!isOwnStep && skills.length > MOST_PICKED) return `${MOST_PICKED} skills can be picked at once at most`;
	const distinct = new Set(skills.map(({ skillId }) => skillId));
	if (distinct.size !== skills.length) return TWICE;
	if (new Set(students.map(({ studentId }) => studentId)).size !== students.length) return 'A student is there twice';
	const sets = isOwnStep ? [skills] : setsOf(skills);
	for (const part of sets) {
		const problem = contentProblem({ ...how, skills: part }, isOwnStep, how.feedback);
		if (problem) return problem;
	}
	// Where there are several, they have as many questions.
	const usual = Math.min(...sets.map((set) => practiceIn(set, isOwnStep)));
	if (sets.length > MOST_WEEKS && weeks > 1) return `Sets can be laid out over ${MOST_WEEKS} weeks at most`;
	for (const { skillId, variation, dueOn } of students) {
		if (isOwnStep ? skillId === null || !distinct.has(skillId) : skillId !== null)
			return 'A student’s own step is not among the skills';
		if (variation.practice !== null && variation.practice > usual)
			return 'A student has more questions than the others';
		if (dueOn !== null && dueOn < dates.opensOn) return 'For a student the set is due before it opens';
	}
	return null;
}

/** One set a week: each opens and is due so many weeks later. */
function laidOut(set: NewSet, weeks: number, days: WeeklyDays): NewSet[] {
	return Array.from({ length: weeks }, (_, week) => {
		if (week === 0) return set;
		const later = weeksLater(set.dates, week, days);
		const own = (day: SchoolDate | null) => day && dueLater(day, week, later.opensOn, days.calendar);
		return {
			...set,
			dates: { ...set.dates, ...later },
			students: set.students.map((student) => ({ ...student, dueOn: own(student.dueOn) }))
		};
	});
}

/** Of skills that are parted into several sets: these, at once or one a week. */
function partedInto(set: NewSet, weeks: number, days: WeeklyDays): NewSet[] {
	const parts = setsOf(set.skills);
	return parts.flatMap((skills, i) => {
		const part = { ...set, skills, name: set.name && `${set.name} ${i + 1}` };
		return weeks > 1 ? laidOut(part, i + 1, days).slice(-1) : [part];
	});
}

/** Assigns what the page has put together. */
export const assignAction = staffAction(
	'assign practice',
	assignFields,
	async ({ staff, school, database, at, form, event }) => {
		const read = planCheck(jsonIn(form.plan));
		if ('problem' in read) return refuse('Choose who the set is for, and on what');
		const plan = read.value;
		const wrong = planProblem(plan, school.today);
		if (wrong) return refuse(wrong);
		const taught = new Map((await skillList(database, school.id)).map((skill) => [skill.id, skill]));
		const missing = skillsProblem(plan.skills, taught);
		if (missing) return refuse(missing);
		const ids = plan.students.map(({ studentId }) => studentId);
		const seen = await visibleAmong(database, staff, ids, school.today);
		if (seen.length !== ids.length) return refuse('Some of these students are not yours to see');
		const groups = plan.groupId === null ? [] : await currentGroups(database, staff, school.today);
		const group = groups.find((one) => one.id === plan.groupId);
		if (ids.length > MOST_UNASKED && form.sure !== 'yes') {
			const classes = new Set(seen.map(({ classId }) => classId)).size;
			return fail(409, { ask: `This goes to ${ids.length} students of ${plural(classes, 'class', 'classes')}.` });
		}
		const { isOwnStep, students, skills, how, dates, weeks, lessonId } = plan;
		const task = plan.task.trim() || null;
		const name = plan.name.trim() || null;
		const set: NewSet = { name, groupId: group?.id ?? null, isOwnStep, students, skills, how, dates, lessonId, task };
		const isParted = !isOwnStep && setsOf(skills).length > 1;
		const meetings = group && plan.onMeetings ? await comingMeetings(database, school, group) : [];
		const sets = (isParted ? partedInto : laidOut)(set, weeks, { calendar: school.calendar, meetings });
		const made = await assignSets(database, staff, sets, at);
		redirect(303, backTo(event, made));
	}
);

/** The list of sets, with those that were made. */
function backTo({ url }: Pick<RequestEvent, 'url'>, made: number[]): string {
	const scope = url.searchParams.get('scope');
	return `/practice?assigned=${made.join(',')}${scope ? `&scope=${encodeURIComponent(scope)}` : ''}`;
}
