import Type from 'typebox';
import { addDays, sayDate } from '../../core/calendar';
import { GOAL_OF, GOAL_SOURCES, probeForm } from '../../core/growth';
import { hasItems } from '../../core/items/bank';
import { plural } from '../../core/words';
import { currentGroups } from '../groups';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import { formCheck, id, idList, oneOf, schoolDate } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { goalTable } from './goalTable';
import { letMakeUp, probeSeries, startProbes, undoStartProbes } from './store/probes';

const startForm = formCheck(
	Type.Object({
		students: idList(100),
		skill: id,
		group: Type.Optional(id),
		goalOn: schoolDate,
		source: oneOf([...GOAL_SOURCES]),
		goalCorrect: Type.Integer({ minimum: 1, maximum: GOAL_OF }),
		ambition: Type.Integer({ minimum: 1, maximum: 8 }),
		onDay: Type.Integer({ minimum: 0, maximum: 5 }),
		levels: Type.Optional(oneOf(['yes']))
	})
);
const undoForm = formCheck(Type.Object({ plans: Type.String({ pattern: '^[0-9]{1,10}(,[0-9]{1,10}){0,99}$' }) }));
const makeUpForm = formCheck(
	Type.Object({ plan: id, student: id, number: Type.Integer({ minimum: 0, maximum: 200 }) })
);

/** The form action that starts weekly probes for students, each with a goal set in the way that was chosen. */
export const startAction = staffAction('plan probes', startForm, async ({ staff, school, database, at, form }) => {
	const { students, skill, group, goalOn, source, goalCorrect, ambition, onDay, levels } = form;
	if (goalOn < addDays(school.today, 14) || goalOn > addDays(school.today, 365))
		return refuse('The goal date lies two weeks to a year ahead');
	const seen = await visibleAmong(database, staff, students, school.today);
	if (seen.length !== students.length) return refuse('Some of these students are not yours to see');
	const found = (await skillList(database, school.id)).find((one) => one.id === skill);
	if (!found) return refuse('There is no such skill');
	if (!hasItems(found.code)) return refuse('There are no questions for this skill yet');
	if (group && !(await currentGroups(database, staff, school.today)).some((one) => one.id === group))
		return refuse('There is no such group');
	const lines = await goalTable(database, school, seen, skill, { byHand: goalCorrect, ambition, goalOn });
	const plans = await startProbes(
		database,
		staff,
		{
			students: seen.map(({ id: student, grade }, i) => ({
				...{ id: student, ...probeForm(grade) },
				goalCorrect: lines[i].goals[source].right
			})),
			...{ skillId: skill, groupId: group ?? null, startsOn: school.today, goalOn, onDay: onDay || null },
			levelChecks: levels !== undefined
		},
		at
	);
	if (plans.length === 0) return refuse('All of them have weekly probes on this skill already');
	return {
		done: `Weekly probes for ${plural(plans.length, 'student')}, from this week to ${sayDate(goalOn)}.`,
		undo: { action: '?/undo', fields: { plans: plans.join(',') } }
	};
});

/** The form action that takes back plans of which nobody has sat a probe. */
export const undoStartAction = staffAction('plan probes', undoForm, async ({ staff, database, at, form }) => {
	const undone = await undoStartProbes(database, staff, form.plans.split(',').map(Number), at);
	return undone
		? { done: `Taken back for ${plural(undone, 'student')}.` }
		: refuse('A probe has been taken by now, so the plan stays');
});

/** The form action that lets a missed probe be made up, or takes that back (number 0). */
export const makeUpAction = staffAction('plan probes', makeUpForm, async ({ staff, school, database, at, form }) => {
	const seen = await visibleAmong(database, staff, [form.student], school.today);
	const plan = (
		await probeSeries(
			database,
			seen.map((one) => one.id),
			school
		)
	).find((one) => one.id === form.plan);
	if (!plan) return refuse('There are no such weekly probes');
	const fields = { plan: String(form.plan), student: String(form.student) };
	if (form.number === 0) {
		await letMakeUp(database, staff, plan.id, null, at);
		return { done: 'Taken back: the missed probe is not on the student’s page any more.' };
	}
	const isMissed = form.number < plan.numberNow && !plan.taken.some(({ number }) => number === form.number);
	if (!isMissed) return refuse('That probe was not missed');
	await letMakeUp(database, staff, plan.id, form.number, at);
	return {
		done: 'The missed probe is on the student’s page now, before this week’s.',
		undo: { action: '?/makeUp', fields: { ...fields, number: '0' } }
	};
});
