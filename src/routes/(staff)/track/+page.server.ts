import { addDays } from '$lib/core/calendar';
import { hasItems } from '$lib/core/items';
import { currentGroups, cycleDates, sessionCounts } from '$lib/server/groups';
import { refuse, scopeOf, staffAction, staffContext } from '$lib/server/shell/staffPage';
import { currentCycle } from '$lib/server/school';
import { visibleAmong } from '$lib/server/people';
import { probeSeries, readSeries, startProbes, undoStartProbes } from '$lib/server/track';
import { skillList } from '$lib/server/library';
import { formCheck, id, idList, schoolDate } from '$lib/server/request';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { database } = locals;
	const students = await scope.students();
	const ids = students.map((student) => student.id);
	const [series, skills, groups, sessions, cycle] = await Promise.all([
		probeSeries(database, ids, school),
		skillList(database, school.id),
		currentGroups(database, staff, school.today),
		sessionCounts(database, ids, school.today),
		currentCycle(database, school.id, school.today)
	]);
	const inScope = new Set(ids);
	const planned = new Set<number>(series.map(({ studentId }) => studentId));
	return {
		students,
		without: students.filter((student) => !planned.has(student.id)),
		plans: series.map((plan) => ({
			...readSeries(plan),
			sessions: sessions.get(`${plan.studentId} ${plan.groupId}`) ?? null
		})),
		skills,
		groups: groups
			.map((group) => ({ ...group, studentIds: group.studentIds.filter((one) => inScope.has(one)) }))
			.filter((group) => group.studentIds.length > 0),
		goalOn: cycleDates(cycle, school.today).endsOn
	};
}

const startForm = formCheck<{ students: number[]; skill: number; group?: number; goalOn: string; goalCorrect: number }>(
	{
		type: 'object',
		properties: {
			students: idList(100),
			skill: id,
			group: id,
			goalOn: schoolDate,
			goalCorrect: { type: 'integer', minimum: 1, maximum: 8 }
		},
		required: ['students', 'skill', 'goalOn', 'goalCorrect']
	}
);
const undoForm = formCheck<{ plans: string }>({
	type: 'object',
	properties: { plans: { type: 'string', pattern: '^[0-9]{1,10}(,[0-9]{1,10}){0,99}$' } },
	required: ['plans']
});

export const actions = {
	start: staffAction('plan probes', startForm, async ({ staff, school, database, at, form }) => {
		const { students, skill, group, goalOn, goalCorrect } = form;
		if (goalOn < addDays(school.today, 14) || goalOn > addDays(school.today, 365))
			return refuse('The goal date lies two weeks to a year ahead');
		if ((await visibleAmong(database, staff, students, school.today)).length !== students.length)
			return refuse('Some of these students are not yours to see');
		const found = (await skillList(database, school.id)).find((one) => one.id === skill);
		if (!found) return refuse('There is no such skill');
		if (!hasItems(found.code)) return refuse('There are no questions for this skill yet');
		if (group && !(await currentGroups(database, staff, school.today)).some((one) => one.id === group))
			return refuse('There is no such group');
		const plans = await startProbes(
			database,
			staff,
			{ studentIds: students, skillId: skill, groupId: group ?? null, startsOn: school.today, goalOn, goalCorrect },
			at
		);
		if (plans.length === 0) return refuse('All of them have weekly probes on this skill already');
		return {
			done: `Weekly probes for ${plans.length} ${plans.length === 1 ? 'student' : 'students'}, from this week to ${goalOn}.`,
			undo: { action: '?/undo', fields: { plans: plans.join(',') } }
		};
	}),
	undo: staffAction('plan probes', undoForm, async ({ staff, database, at, form }) => {
		const undone = await undoStartProbes(database, staff, form.plans.split(',').map(Number), at);
		return undone
			? { done: `Taken back for ${undone} ${undone === 1 ? 'student' : 'students'}.` }
			: refuse('A probe has been taken by now, so the plan stays');
	})
};
