import Type from 'typebox';
import { error } from '@sveltejs/kit';
import { addDays, schoolDayFrom } from '$lib/core/calendar';
import { changesSince, isSameProblem, skillsToCheck } from '$lib/core/grouping';
import { adoptAction, choicesFor, choicesOf, draftInView, keepAction } from '$lib/server/groups/draftForm';
import { cycleDates, groupingFor } from '$lib/server/groups';
import { refuse, staffAction, staffWho } from '$lib/server/shell/staffPage';
import { currentCycle } from '$lib/server/school';
import { CHECK_ITEMS } from '$lib/core/items';
import { MOST_CHECKED, openChecks } from '$lib/server/gaps';
import { skillGraph } from '$lib/server/library';
import { readStandings, schoolImportance } from '$lib/server/standing';
import { formCheck, id } from '$lib/server/request';

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'form groups');
	const { database } = locals;
	const draft = await draftInView(locals, url, school.id);
	if (url.searchParams.has('draft') && !draft) error(404, 'There is no such draft; it may have been put away.');
	const choices = draft?.choices ?? choicesOf(url);
	if (choices.studentIds.length + choices.regroups.length === 0) return { board: null };
	const setting = await groupingFor(database, staff, school, choices);
	if (setting.students.length === 0) return { board: null };
	const ids = setting.students.map((student) => student.id);
	const graph = await skillGraph(database, school.id, setting.skills);
	const [cycle, importance, standings, waiting] = await Promise.all([
		currentCycle(database, school.id, school.today),
		schoolImportance(database, school, setting.skills, graph),
		readStandings(database, ids),
		openChecks(database, ids)
	]);
	const { endsOn, reviewOn } = cycleDates(cycle, school);
	const board = {
		...setting,
		skills: setting.skills.map(({ id: skillId, shortName, code }) => ({ id: skillId, shortName, code })),
		choices,
		draft: draft && {
			id: draft.id,
			name: draft.name,
			groups: draft.groups,
			limits: draft.limits,
			// What was proven of the problem then says nothing of another one.
			bound: isSameProblem(draft.problem, setting.problem) ? draft.bound : null,
			savedAt: draft.savedAt,
			savedBy: draft.savedBy,
			changes: changesSince(draft.problem, setting.problem, draft.groups)
		},
		/** Students whose needs rest on little evidence, with the skills that a short check would confirm. */
		thin: setting.students.flatMap((student) => {
			const needs = {
				standings: standings.get(student.id)!,
				importance: importance(student.grade),
				tier: student.tier
			};
			const skillIds = skillsToCheck(graph, needs, { most: MOST_CHECKED, questions: CHECK_ITEMS });
			return skillIds.length ? [{ studentId: student.id, skillIds }] : [];
		}),
		waiting: waiting.map(({ studentId }) => studentId),
		dates: { startsOn: schoolDayFrom(addDays(school.today, 1), school.calendar), endsOn, reviewOn }
	};
	return { board };
}

const addForm = formCheck(Type.Object({ student: id }));

export const actions = {
	adopt: adoptAction,
	keep: keepAction,
	/** One more student for the board. */
	add: staffAction('form groups', addForm, async ({ staff, school, database, form, event }) => {
		const choices = await choicesFor(event.locals, event.url, school.id);
		const { problem, students, why, openTimes, alsoIn } = await groupingFor(database, staff, school, {
			...choices,
			studentIds: [form.student]
		});
		const key = String(form.student);
		const student = students.find((one) => one.id === form.student);
		const posed = problem.students.find((one) => one.id === key);
		if (!student || !posed) return refuse('There is no such student for you');
		return {
			added: {
				student,
				posed,
				why: why[key],
				alsoIn: alsoIn[key],
				openAt: openTimes.filter(({ availableIds }) => availableIds.includes(key)).map((time) => time.id)
			}
		};
	})
};
