import Type from 'typebox';
import { PROBE_ITEMS } from '$lib/core/growth';
import { plural } from '$lib/core/words';
import { addDays, sayDate } from '$lib/core/calendar';
import { hasItems } from '$lib/core/items/bank';
import { refuse, scopeOf, staffAction, staffContext } from '$lib/server/shell/staffPage';
import { visibleAmong } from '$lib/server/people';
import { currentGroups } from '$lib/server/groups';
import { startProbes, undoStartProbes } from '$lib/server/track';
import { trackPage } from '$lib/server/track/trackPage';
import { skillList } from '$lib/server/library';
import { formCheck, id, idList, schoolDate } from '$lib/server/request';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return { track: await trackPage(locals.database, staff, school, await scopeOf(locals, url, staff, school), url) };
}

const startForm = formCheck(
	Type.Object({
		students: idList(100),
		skill: id,
		group: Type.Optional(id),
		goalOn: schoolDate,
		goalCorrect: Type.Integer({ minimum: 1, maximum: PROBE_ITEMS })
	})
);
const undoForm = formCheck(Type.Object({ plans: Type.String({ pattern: '^[0-9]{1,10}(,[0-9]{1,10}){0,99}$' }) }));

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
			done: `Weekly probes for ${plural(plans.length, 'student')}, from this week to ${sayDate(goalOn)}.`,
			undo: { action: '?/undo', fields: { plans: plans.join(',') } }
		};
	}),
	undo: staffAction('plan probes', undoForm, async ({ staff, database, at, form }) => {
		const undone = await undoStartProbes(database, staff, form.plans.split(',').map(Number), at);
		return undone
			? { done: `Taken back for ${plural(undone, 'student')}.` }
			: refuse('A probe has been taken by now, so the plan stays');
	})
};
