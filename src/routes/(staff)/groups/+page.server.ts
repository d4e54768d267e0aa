import Type from 'typebox';
import { sayDay } from '$lib/core/calendar';
import { meetingDays } from '$lib/core/timetable';
import { dayIn, formCheck, id, idIn, may } from '$lib/server/request';
import { refuse, scopeOf, staffAction, staffContext } from '$lib/server/shell/staffPage';
import { adoptionGroups, currentGroups, draftList, groupsInScope, groupsOn, undoAdoption } from '$lib/server/groups';
import { visibleAmong } from '$lib/server/people';
import { skillList } from '$lib/server/library';
import { slotList } from '$lib/server/groups/timetable';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { database } = locals;
	const formsGroups = may(staff.role, 'form groups');
	// Groups as they were on an earlier day, or as they will be on a later one.
	const asked = dayIn(url, 'on');
	const on = asked === school.today ? null : asked;
	const [all, slots, skills, drafts] = await Promise.all([
		on ? groupsOn(database, staff, on, school.today) : currentGroups(database, staff, school.today),
		// Groups of the past may have met at times that are used no more.
		slotList(database, school.id),
		skillList(database, school.id),
		formsGroups ? draftList(database, school.id) : []
	]);
	const adoptionOf = async (id: number) => {
		const groupIds = await adoptionGroups(database, school.id, id);
		return groupIds.length ? { id, groupIds } : null;
	};
	const groups = await groupsInScope(all, scope);
	const members = await visibleAmong(
		database,
		staff,
		[...new Set(groups.flatMap(({ studentIds }) => studentIds))],
		school.today
	);
	const adopted = formsGroups ? idIn(url, 'adopted') : null;
	const slotOf = new Map(slots.map((slot) => [slot.id, slot]));
	const tiered = (await scope.students()).filter(({ tier }) => tier > 1);
	const grouped = new Set<number>(members.map((student) => student.id));
	return {
		tiered: tiered.length,
		waiting: tiered.map((student) => student.id).filter((one) => !grouped.has(one)),
		groups: groups.map((group) => ({
			...group,
			next: on ? null : (meetingDays(slotOf.get(group.slotId)!, school.today, group.endsOn)[0] ?? null)
		})),
		on,
		members,
		slots,
		skills,
		drafts: drafts.length,
		adopted: adopted === null ? null : await adoptionOf(adopted)
	};
}

const undoForm = formCheck(Type.Object({ adoption: id }));

export const actions = {
	undo: staffAction('form groups', undoForm, async ({ staff, school, database, at, form }) => {
		if (!(await undoAdoption(database, staff, form.adoption, at)))
			return refuse(
				'A day has passed, or these groups have practice, probes, meetings or changes by now; end them instead of taking them back'
			);
		return { done: `Taken back: groups are as they were before, on ${sayDay(school.today)}.` };
	})
};
