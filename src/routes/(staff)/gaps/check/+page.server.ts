import Type from 'typebox';
import { plural } from '$lib/core/words';
import { addDays, sayDate, schoolDayFrom } from '$lib/core/calendar';
import { skillsToCheck } from '$lib/core/grouping';
import { hasItems } from '$lib/core/items/bank';
import { formCheck, id, idIn, idsIn, schoolDate } from '$lib/server/request';
import { refuse, scopeOf, staffAction, staffWho } from '$lib/server/shell/staffPage';
import { visibleAmong } from '$lib/server/people';
import { CHECK_ITEMS } from '$lib/core/items';
import { assignChecks, MOST_CHECKED, openChecks, withdrawChecks } from '$lib/server/gaps';
import { skillGraph, skillList } from '$lib/server/library';
import { readStandings, schoolImportance } from '$lib/server/standing';

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'assign skill checks');
	const { database } = locals;
	const scope = await scopeOf(locals, url, staff, school);
	const students = url.searchParams.has('students')
		? await visibleAmong(database, staff, idsIn(url, 'students', 400), school.today)
		: await scope.students();
	const ids = students.map((student) => student.id);
	const all = await skillList(database, school.id);
	const skills = all.filter(({ code }) => hasItems(code));
	const graph = await skillGraph(database, school.id, all);
	const [importance, standings, open] = await Promise.all([
		schoolImportance(database, school, all, graph),
		readStandings(database, ids),
		openChecks(database, ids)
	]);
	const asked = idIn(url, 'skill');
	const can = new Set(skills.map((skill) => skill.id));
	return {
		students: students.map((student) => {
			const own = standings.get(student.id)!;
			const waiting = open.filter(({ studentId }) => studentId === student.id).flatMap(({ skillIds }) => skillIds);
			const needs = {
				standings: own,
				importance: importance(student.grade),
				tier: student.tier
			};
			const proposed =
				asked !== null ? [asked] : skillsToCheck(graph, needs, { most: MOST_CHECKED, questions: CHECK_ITEMS });
			return {
				...student,
				proposed: proposed.filter((skillId) => can.has(skillId) && !waiting.includes(skillId)),
				waiting
			};
		}),
		skills: skills.map(({ id: skillId, shortName, code, domainId }) => ({ id: skillId, shortName, code, domainId })),
		items: CHECK_ITEMS,
		dueOn: schoolDayFrom(addDays(school.today, 3), school.calendar)
	};
}

/** One student and their skills: `12:4,7`. */
const wantedText = '^[0-9]{1,10}:[0-9]{1,10}(,[0-9]{1,10}){0,3}(;[0-9]{1,10}:[0-9]{1,10}(,[0-9]{1,10}){0,3}){0,399}$';
const assignForm = formCheck(Type.Object({ wanted: Type.String({ pattern: wantedText }), dueOn: schoolDate }));
const undoForm = formCheck(Type.Object({ batch: id }));

export const actions = {
	assign: staffAction('assign skill checks', assignForm, async ({ staff, school, database, at, form }) => {
		const { dueOn } = form;
		if (dueOn < school.today || dueOn > addDays(school.today, 60))
			return refuse('The check is due within two months from today');
		const wanted = form.wanted.split(';').map((part) => {
			const [student, skillIds] = part.split(':');
			return { studentId: Number(student), skillIds: [...new Set(skillIds.split(',').map(Number))] };
		});
		const ids = wanted.map(({ studentId }) => studentId);
		if (new Set(ids).size !== ids.length) return refuse('A student is named twice');
		if ((await visibleAmong(database, staff, ids, school.today)).length !== ids.length)
			return refuse('Some of these students are not yours to see');
		const can = new Set(
			(await skillList(database, school.id)).filter(({ code }) => hasItems(code)).map((skill) => skill.id)
		);
		if (!wanted.every(({ skillIds }) => skillIds.every((one) => can.has(one))))
			return refuse('There are no questions for one of these skills');
		const given = await assignChecks(database, staff, wanted, dueOn, at);
		if (!given) return refuse('All of these checks are waiting for them already');
		return {
			done: `A check on ${plural(given.skills, 'skill')} waits for ${plural(given.students, 'student')}, due ${sayDate(dueOn)}.`,
			undo: { action: '/gaps/check?/undo', fields: { batch: String(given.batch) } }
		};
	}),
	undo: staffAction('assign skill checks', undoForm, async ({ staff, database, at, form }) => {
		const { withdrawn, begun } = await withdrawChecks(database, staff, form.batch, at);
		if (withdrawn === 0) return refuse('These checks are finished or taken back already');
		return {
			done: `Taken back for ${plural(withdrawn, 'student')}${begun ? `; ${begun} had begun, and what they answered is kept` : ''}.`
		};
	})
};
