import Type from 'typebox';
import { sayDate } from '../../core/calendar';
import { LONGEST_CLASS_NAME } from '../../core/interchange/classList';
import { HIGHEST_GRADE } from '../../core/interchange/studentList';
import { plural, tidyName } from '../../core/words';
import type { Promotion } from '../people';
import { formCheck, id, longForm, oneOf, schoolDate } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { ADULTS_GO, beginYear, takeYearBack, type WhyNotBegun } from './newYear';

/** Classes of a school. */
const MOST = 400;
const grade = Type.Integer({ minimum: 0, maximum: HIGHEST_GRADE });
const beginForm = formCheck(
	Type.Object({
		startsOn: schoolDate,
		endsOn: schoolDate,
		adults: oneOf(ADULTS_GO),
		class: Type.Array(id, { maxItems: MOST, default: [] }),
		name: Type.Array(Type.String({ maxLength: LONGEST_CLASS_NAME }), { maxItems: MOST, default: [] }),
		/** `leave` where the class ends and its students leave. */
		grade: Type.Array(Type.Union([grade, Type.Literal('leave')]), { maxItems: MOST, default: [] })
	}),
	{ ...longForm(60_000), fields: 3 * MOST + 10 }
);
const backForm = formCheck(Type.Object({ year: id }));

function sayWhyNot(not: WhyNotBegun): string {
	if (not === 'changed') return 'A class was added or ended meanwhile; look through the plan again';
	if (not === 'begun already') return 'This year was begun already; take it back first, or begin another';
	if (not === 'planned later')
		return 'Somebody is planned to join or leave a class on a later day: take that back first, or wait until then';
	if ('taken' in not) return `Two classes of different grades would both be called ${not.taken}`;
	return `The year from ${sayDate(not.runs.startsOn)} to ${sayDate(not.runs.endsOn)} is still running: the next begins once it has ended`;
}

const WHY_NOT_BACK = {
	gone: 'It was taken back already',
	worked: 'Students have worked since: the year stays, and classes are changed one by one',
	'built on':
		'Something was built on it: a new class has new students, times or a window, or a group was changed. Take that back first'
};

/** The form actions of the page on which a school year is begun. */
export const newYearActions = {
	begin: staffAction('set up the school', beginForm, async ({ staff, school, database, at, form }) => {
		if (form.endsOn <= form.startsOn) return refuse('The year ends before it begins');
		if (form.class.length !== form.name.length || form.class.length !== form.grade.length)
			return refuse('Part of the plan is missing');
		const classes: Promotion[] = [];
		for (const [i, classId] of form.class.entries()) {
			const [name, to] = [tidyName(form.name[i]), form.grade[i]];
			if (to !== 'leave' && !name) return refuse('Give every class that goes on a name');
			classes.push({ classId, becomes: to === 'leave' ? null : { name, grade: to } });
		}
		const { startsOn, endsOn, adults } = form;
		const when = { today: school.today, at };
		const begun = await beginYear(database, staff, { startsOn, endsOn, classes, adults }, when);
		if ('not' in begun) return refuse(sayWhyNot(begun.not));
		const going = classes.filter(({ becomes }) => becomes).length;
		return {
			done: `The new year has begun: ${plural(going, 'class goes', 'classes go')} on, ${plural(classes.length - going, 'class has', 'classes have')} ended.`,
			undo: { action: '?/back', fields: { year: String(begun.id) } }
		};
	}),
	back: staffAction('set up the school', backForm, async ({ staff, school, database, at, form }) => {
		const back = await takeYearBack(database, staff, form.year, { today: school.today, at });
		return back === 'done' ? { done: 'Everything is as it was before the new year.' } : refuse(WHY_NOT_BACK[back]);
	})
};
