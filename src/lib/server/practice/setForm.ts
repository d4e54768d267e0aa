import Type, { type Static } from 'typebox';
import { sayDate } from '../../core/calendar';
import { MOST_QUESTIONS } from '../../core/practice';
import { plural } from '../../core/words';
import { skillGraph, skillList } from '../library';
import { seesAll, type RosterStudent, visibleAmong } from '../people';
import { readStandings } from '../standing';
import { formCheck, id, idsOf, idText, jsonCheck, jsonIn, longForm, oneOf, schoolDate } from '../request';
import type { School } from '../school';
import type { RootDatabase } from '../database';
import { refuse, staffAction } from '../shell/staffPage';
import { DATE_FIELDS, datesFrom, fieldsOf, ownDueProblem, sayDates } from './datesForm';
import { nextStepsFor } from './nextStepsFor';
import { type GivenTo, givenTo } from './store/assigning';
import { type OwnWay, skillsOfSets } from './store/setContent';
import { changeDates, changeForSome, changeNeed, type Need } from './store/changing';
import { GONE, questionsAction } from './questionsForm';
import { rulesAction } from './rulesForm';
import { runsActions } from './runsForm';
import { setOf, studentsForm, UNSEEN } from './setFields';
import { findSet } from './store/oneSet';
import { restoreSets, withdrawSets } from './store/practice';
import { addToSet, letGoOn, markSetTask, takeFromSet, turnIn } from './store/setStudents';

/** Students whose own ways can be taken back at once. */
const MOST = 1_000;
const datesForm = formCheck(Type.Object(DATE_FIELDS));
const asForAll = <const V extends string>(values: readonly V[]) => Type.Optional(oneOf([...values, 'as for all']));
/** What is otherwise for some: what is not named stays as it is. */
const someFields = Type.Object({
	students: idText,
	dueOn: Type.Optional(Type.Union([Type.Literal(''), schoolDate])),
	practice: Type.Optional(Type.Integer({ minimum: 0, maximum: MOST_QUESTIONS })),
	families: asForAll(['easier', 'harder']),
	hints: asForAll(['yes', 'no']),
	readAloud: asForAll(['yes', 'no']),
	largerType: asForAll(['yes', 'no'])
});
const someForm = formCheck(someFields);
const emptyForm = formCheck(Type.Object({}));

const waysForm = formCheck(Type.Object({ ways: Type.String({ maxLength: 200_000 }) }), longForm(200_000));
const yesNo = Type.Union([Type.Boolean(), Type.Null()]);
const waysCheck = jsonCheck(
	Type.Array(
		Type.Object(
			{
				student: id,
				dueOn: Type.Union([schoolDate, Type.Null()]),
				practice: Type.Union([Type.Integer({ minimum: 1, maximum: MOST_QUESTIONS }), Type.Null()]),
				families: oneOf(['easier', 'harder', null]),
				hints: yesNo,
				readAloud: yesNo,
				largerType: yesNo
			},
			{ additionalProperties: false }
		),
		{ maxItems: MOST }
	)
);

/** What a form says is otherwise for some; what it does not name is absent. */
function wayFrom(form: Static<typeof someFields>): Partial<OwnWay> {
	const yesOrNo = (value: string) => (value === 'as for all' ? null : value === 'yes');
	const { dueOn, practice, families, hints, readAloud, largerType } = form;
	return {
		...(dueOn !== undefined && { dueOn: dueOn || null }),
		...(practice !== undefined && { practice: practice || null }),
		...(families !== undefined && { families: families === 'as for all' ? null : families }),
		...(hints !== undefined && { hints: yesOrNo(hints) }),
		...(readAloud !== undefined && { readAloud: yesOrNo(readAloud) }),
		...(largerType !== undefined && { largerType: yesOrNo(largerType) })
	};
}

/** Says whether students need do the set: each of the three is undone by the one that was so before. */
const needing = (need: Need) =>
	staffAction('assign practice', studentsForm, async ({ staff, school, database, at, form, event }) => {
		const students = idsOf(form.students);
		if (!(await seesAll(database, staff, students, school.today))) return refuse(UNSEEN);
		const changed = await changeNeed(database, staff, setOf(event), students, need, at);
		if (changed.length === 0) return refuse('It is so already, or the set was taken back');
		return {
			done: NEED_SAYS[need](changed.length),
			undo: { action: need === 'needed' ? '?/excuse' : '?/need', fields: { students: changed.join(',') } }
		};
	});
const NEED_SAYS: Record<Need, (count: number) => string> = {
	needed: (count) => `${plural(count, 'student has', 'students have')} it on their pages again.`,
	excused: (count) => `${plural(count, 'student')} excused: the set is off their pages, and what they answered stays.`,
	'marked done': (count) => `Counts as done for ${plural(count, 'student')}, and is off their pages.`
};

/** Notes that the task that an adult leads is done with students, or not; the one undoes the other. */
const markingTask = (isDone: boolean) =>
	staffAction('assign practice', studentsForm, async ({ staff, school, database, at, form, event }) => {
		const students = idsOf(form.students);
		if (!(await seesAll(database, staff, students, school.today))) return refuse(UNSEEN);
		const changed = await markSetTask(database, staff, setOf(event), students, isDone, at);
		if (changed.length === 0) return refuse('It is so already, or the set has no task');
		return {
			done: `The task is ${isDone ? 'done' : 'still to do'} with ${plural(changed.length, 'student')}.`,
			undo: { action: isDone ? '?/taskNotDone' : '?/taskDone', fields: { students: changed.join(',') } }
		};
	});

/** Lets students go on with what they have left though it is done in one go; the one undoes the other. */
const lettingGoOn = (mayGoOn: boolean) =>
	staffAction('assign practice', studentsForm, async ({ staff, school, database, at, form, event }) => {
		const students = idsOf(form.students);
		if (!(await seesAll(database, staff, students, school.today))) return refuse(UNSEEN);
		const changed = await letGoOn(database, staff, setOf(event), students, mayGoOn, at);
		if (changed.length === 0) return refuse('They have gone on already, or the set was taken back');
		return {
			done: mayGoOn
				? `${plural(changed.length, 'student')} may go on where they stopped.`
				: `${plural(changed.length, 'student')} may not go on yet.`,
			undo: { action: mayGoOn ? '?/notOn' : '?/goOn', fields: { students: changed.join(',') } }
		};
	});

/** Takes the set back from all, or gives it back to them. */
const takingBack = (isTaken: boolean) =>
	staffAction('assign practice', emptyForm, async ({ staff, database, at, event }) => {
		const ids = [setOf(event)];
		const changed = isTaken
			? await withdrawSets(database, staff, ids, at)
			: await restoreSets(database, staff, ids, at);
		if (changed === null) return refuse(GONE);
		return {
			done: isTaken
				? `Taken back from all; ${plural(changed, 'student')} had begun, and what they answered stays.`
				: `${plural(changed, 'student has', 'students have')} it again.`,
			undo: { action: isTaken ? '?/giveBack' : '?/takeBack', fields: {} }
		};
	});

/** Turns a set in for students, or opens it for them again; the one undoes the other. */
const turningIn = (isTurnedIn: boolean) =>
	staffAction('assign practice', studentsForm, async ({ staff, school, database, at, form, event }) => {
		const students = idsOf(form.students);
		if (!(await seesAll(database, staff, students, school.today))) return refuse(UNSEEN);
		const changed = await turnIn(database, staff, setOf(event), students, isTurnedIn, at);
		if (changed.length === 0) return refuse('It is so already, or the set was taken back');
		return {
			done: isTurnedIn
				? `Turned in for ${plural(changed.length, 'student')}; what they answered counts, the rest stays unanswered.`
				: `Open for ${plural(changed.length, 'student')} again.`,
			undo: { action: isTurnedIn ? '?/reopen' : '?/turnIn', fields: { students: changed.join(',') } }
		};
	});

/** Of a set in which each has a step of their own: those of some students for whom one of its skills is ready. */
async function stepsWithin(
	database: RootDatabase,
	school: School,
	setId: number,
	students: RosterStudent[]
): Promise<GivenTo[]> {
	const ids = students.map(({ id }) => id);
	const [skills, parts, standings] = await Promise.all([
		skillList(database, school.id),
		skillsOfSets(database, [setId]),
		readStandings(database, ids)
	]);
	const within = new Set(parts.get(setId)!.map(({ skillId }) => skillId));
	const known = { standings, waiting: new Map(), outcomes: new Map() };
	const graph = await skillGraph(database, school.id, skills);
	const steps = await nextStepsFor(database, school, skills, graph, students, known);
	return givenTo(ids).flatMap((given) => {
		const step = steps.get(given.studentId)!.find(({ skillId }) => within.has(skillId));
		return step ? [{ ...given, skillId: step.skillId }] : [];
	});
}

/** The form actions of the page of one set. */
export const setActions = {
	dates: staffAction('assign practice', datesForm, async ({ staff, school, database, at, form, event }) => {
		const dates = datesFrom(form, school.today);
		if ('problem' in dates) return refuse(dates.problem);
		const before = await changeDates(database, staff, setOf(event), dates, at);
		if (!before) return refuse(GONE);
		return { done: sayDates(dates), undo: { action: '?/dates', fields: fieldsOf(before) } };
	}),
	/** For some: another day than the others, fewer questions, other help. */
	some: staffAction('assign practice', someForm, async ({ staff, school, database, at, form, event }) => {
		const set = await findSet(database, staff, setOf(event));
		if (!set || set.isWithdrawn) return refuse(GONE);
		const way = wayFrom(form);
		const wrong = way.dueOn && ownDueProblem(way.dueOn, set.dates, school.today);
		if (wrong) return refuse(wrong);
		const students = idsOf(form.students);
		if (!(await seesAll(database, staff, students, school.today))) return refuse(UNSEEN);
		if (way.dueOn && way.dueOn === set.dates.dueOn) way.dueOn = null;
		const ways = students.map((student) => ({ ...way, student }));
		const before = await changeForSome(database, staff, set.id, ways, at);
		if (before.length === 0) return refuse('It is so for them already');
		const who = plural(before.length, 'student');
		return {
			done:
				form.dueOn && Object.keys(way).length === 1 ? `Due ${sayDate(form.dueOn)} for ${who}.` : `Changed for ${who}.`,
			undo: { action: '?/someBack', fields: { ways: JSON.stringify(before) } }
		};
	}),
	someBack: staffAction('assign practice', waysForm, async ({ staff, school, database, at, form, event }) => {
		const ways = waysCheck(jsonIn(form.ways));
		if ('problem' in ways) return refuse('How it was before could not be read');
		const ids = ways.value.map(({ student }) => student);
		if (!(await seesAll(database, staff, ids, school.today))) return refuse(UNSEEN);
		const back = await changeForSome(database, staff, setOf(event), ways.value, at);
		return { done: `As before for ${plural(back.length, 'student')}.` };
	}),
	how: rulesAction,
	questions: questionsAction,
	add: staffAction('assign practice', studentsForm, async ({ staff, school, database, at, form, event }) => {
		const set = await findSet(database, staff, setOf(event));
		if (!set || set.isWithdrawn) return refuse(GONE);
		const seen = await visibleAmong(database, staff, idsOf(form.students), school.today);
		if (seen.length === 0) return refuse(UNSEEN);
		const given = set.isOwnStep ? await stepsWithin(database, school, set.id, seen) : givenTo(seen.map(({ id }) => id));
		if (given.length === 0) return refuse('Nothing of this set is ready for them: give them practice of their own');
		const added = await addToSet(database, staff, set.id, given, at);
		if (added.length === 0) return refuse('They have it already');
		return {
			done: `Given to ${plural(added.length, 'more student')}.`,
			undo: { action: '?/take', fields: { students: added.join(',') } }
		};
	}),
	take: staffAction('assign practice', studentsForm, async ({ staff, school, database, at, form, event }) => {
		const students = idsOf(form.students);
		if (!(await seesAll(database, staff, students, school.today))) return refuse(UNSEEN);
		const taken = await takeFromSet(database, staff, setOf(event), students, at);
		if (taken.length === 0) return refuse('They have begun it, or do not have it');
		return {
			done: `Taken from ${plural(taken.length, 'student')} who had not begun.`,
			undo: { action: '?/add', fields: { students: taken.join(',') } }
		};
	}),
	turnIn: turningIn(true),
	reopen: turningIn(false),
	excuse: needing('excused'),
	markDone: needing('marked done'),
	need: needing('needed'),
	...runsActions,
	taskDone: markingTask(true),
	taskNotDone: markingTask(false),
	goOn: lettingGoOn(true),
	notOn: lettingGoOn(false),
	takeBack: takingBack(true),
	giveBack: takingBack(false)
};
