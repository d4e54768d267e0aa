import Type from 'typebox';
import { plural } from '$lib/core/words';
import { error, fail, redirect } from '@sveltejs/kit';
import { addDays } from '$lib/core/calendar';
import { hasItems } from '$lib/core/items';
import { SET_LENGTHS } from '$lib/core/practice';
import { formCheck, oneOf, id, idIn, idOf, schoolDate, type Staff, textIn } from '$lib/server/request';
import { scopeChoices } from '$lib/server/shell';
import { sampleItems, skillGraph, skillList } from '$lib/server/library';
import { refuse, scopeOf, staffAction, staffWho } from '$lib/server/shell/staffPage';
import { currentGroups } from '$lib/server/groups';
import { visibleAmong } from '$lib/server/people';
import { assignSet, practiceDue, setLengths } from '$lib/server/practice';
import { readStandings, schoolImportance } from '$lib/server/standing';
import { needsOf } from '$lib/core/grouping';
import type { School } from '$lib/server/school';

/** More students than a class has: such a set is asked for once more. */
const MOST_UNASKED = 30;

/**
 * Who the set is for, as the address names it: a group, a student, all of the scope, or the scope where somebody has been
 * chosen for it (a class, a group, a list); nobody where the scope is a grade, a caseload or the whole school. Only those the person
 * may see.
 */
async function receivers(locals: App.Locals, url: URL, staff: Staff, school: School) {
	const [kind, value] = textIn(url, 'for', 40).split(':');
	const { database } = locals;
	if (kind === 'group') {
		const group = (await currentGroups(database, staff, school.today)).find((one) => one.id === idOf(value));
		const students = group ? await visibleAmong(database, staff, group.studentIds, school.today) : [];
		if (!group || students.length === 0) error(404, 'No such group for you.');
		return { label: group.name, group, students };
	}
	if (kind === 'student') {
		const students = await visibleAmong(database, staff, [idOf(value) ?? 0], school.today);
		if (students.length === 0) error(404, 'No such student for you.');
		return { label: `${students[0].givenName} ${students[0].familyName}`, group: null, students };
	}
	const scope = await scopeOf(locals, url, staff, school);
	const isChosen = kind === 'all' || staff.role === 'teacher' || !/^(school|caseload|grade)/.test(scope.key);
	return isChosen
		? { label: scope.inWords, group: null, students: await scope.students() }
		: { label: null, group: null, students: [] };
}

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'assign practice');
	const { database } = locals;
	const [{ label, group, students }, allSkills] = await Promise.all([
		receivers(locals, url, staff, school),
		skillList(database, school.id)
	]);
	const graph = await skillGraph(database, school.id, allSkills);
	const importance = await schoolImportance(database, school, allSkills, graph);
	const standings = await readStandings(
		database,
		students.map((student) => student.id)
	);
	const skills = allSkills.filter(({ code }) => hasItems(code));
	// Skills most needed by these students come first; a group's own focus before all.
	const total = new Map<number, number>();
	for (const student of students) {
		const needs = { standings: standings.get(student.id)!, importance: importance(student.grade), tier: 2 as const };
		for (const [skillId, value] of needsOf(graph, needs)) total.set(skillId, (total.get(skillId) ?? 0) + value);
	}
	const practiced = new Set(skills.map((skill) => skill.id));
	const offered = [...total]
		.filter(([skillId]) => practiced.has(skillId))
		.sort((a, b) => b[1] - a[1])
		.map(([skillId]) => skillId);
	const wanted = idIn(url, 'skill');
	const skill =
		skills.find((one) => one.id === wanted) ??
		skills.find((one) => one.id === (group?.focusSkillId ?? offered[0])) ??
		skills[0];
	return {
		label,
		// Classes and groups to choose from, while nobody is chosen.
		choices: students.length ? [] : await scopeChoices(database, staff, school.today),
		students,
		skill,
		skills,
		offered: [
			...new Set([...(group && practiced.has(group.focusSkillId) ? [group.focusSkillId] : []), ...offered])
		].slice(0, 6),
		focusId: group?.focusSkillId ?? null,
		samples: sampleItems(skill.code),
		lengths: setLengths(skill.code),
		dates: { opensOn: school.today, dueOn: practiceDue(school, group?.endsOn ?? null) },
		standings: students.map((student) => standings.get(student.id)!.get(skill.id) ?? null)
	};
}

const assignForm = formCheck(
	Type.Object({
		skill: id,
		length: oneOf(SET_LENGTHS, { type: 'integer' }),
		opensOn: schoolDate,
		dueOn: schoolDate,
		sure: Type.Optional(oneOf(['yes']))
	})
);

export const actions = {
	default: staffAction('assign practice', assignForm, async ({ staff, school, database, at, form, event }) => {
		const { skill, length, opensOn, dueOn } = form;
		if (opensOn < school.today) return refuse('The set opens today at the earliest');
		if (dueOn < opensOn) return refuse('The set is due before it opens');
		if (dueOn > addDays(school.today, 120)) return refuse('The due date lies more than four months ahead');
		const found = (await skillList(database, school.id)).find((one) => one.id === skill);
		if (!found) return refuse('There is no such skill');
		if (!hasItems(found.code)) return refuse('There are no questions for this skill yet');
		const { group, students } = await receivers(event.locals, event.url, staff, school);
		const studentIds = students.map((student) => student.id);
		if (studentIds.length === 0) return refuse('Choose who the set is for');
		if (studentIds.length > MOST_UNASKED && form.sure !== 'yes') {
			const classes = new Set(students.map(({ classId }) => classId)).size;
			return fail(409, {
				ask: `This set goes to ${studentIds.length} students of ${plural(classes, 'class', 'classes')}.`
			});
		}
		const setId = await assignSet(
			database,
			staff,
			{ skillId: skill, groupId: group?.id ?? null, itemCount: length, opensOn, dueOn, studentIds },
			at
		);
		const scope = event.url.searchParams.get('scope');
		redirect(303, `/practice?assigned=${setId}${scope ? `&scope=${encodeURIComponent(scope)}` : ''}`);
	})
};
