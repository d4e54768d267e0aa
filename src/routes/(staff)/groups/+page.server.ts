import Type from 'typebox';
import { sayDay } from '$lib/core/calendar';
import { meetingDays } from '$lib/core/timetable';
import { dayIn, formCheck, id, idIn, may, numberIn } from '$lib/server/request';
import { refuse, scopeOf, staffAction, staffContext } from '$lib/server/shell/staffPage';
import {
	adoptionGroups,
	countDrafts,
	currentGroups,
	groupsInScope,
	groupsOn,
	type SmallGroup,
	undoAdoption
} from '$lib/server/groups';
import { seenAmong, tieredIn, visibleAmong } from '$lib/server/people';
import { skillList } from '$lib/server/library';
import { slotList } from '$lib/server/groups/timetable';

/** Groups that are shown at once. */
const AT_ONCE = 18;

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
		formsGroups ? countDrafts(database, school.id) : 0
	]);
	const groups = await groupsInScope(all, scope);
	const part = { from: numberIn(url, 'groups'), most: AT_ONCE };
	const shown = groups.slice(part.from, part.from + part.most);
	const adoption = formsGroups ? idIn(url, 'adopted') : null;
	const adopted = adoption === null ? [] : await adoptionGroups(database, school.id, adoption);
	const adoptedGroups = groups.filter((group) => adopted.includes(group.id));
	const slotOf = new Map(slots.map((slot) => [slot.id, slot]));
	const [tiered, grouped, members] = await Promise.all([
		tieredIn(database, scope.roster),
		seenAmong(database, staff, [...new Set(groups.flatMap(({ studentIds }) => studentIds))], school.today),
		visibleAmong(database, staff, [...new Set(shown.flatMap(({ studentIds }) => studentIds))], school.today)
	]);
	const skillIds = new Set(shown.map(({ focusSkillId }) => focusSkillId));
	const times = new Map<number, number>();
	for (const { studentIds } of groups) for (const one of studentIds) times.set(one, (times.get(one) ?? 0) + 1);
	return {
		tiered: tiered.length,
		waiting: tiered.filter((one) => !grouped.has(one)),
		...part,
		total: groups.length,
		students: grouped.size,
		running: groups.filter(({ startsOn }) => startsOn < school.today).map((group) => group.id),
		groups: shown.map((group) => ({
			...group,
			slot: slotOf.get(group.slotId)!,
			next: on
				? null
				: (meetingDays(slotOf.get(group.slotId)!, school.today, group.endsOn, school.calendar.off)[0] ?? null)
		})),
		on,
		members: members.map((student) => ({ ...student, groups: times.get(student.id) ?? 0 })),
		skills: skills.filter((skill) => skillIds.has(skill.id)),
		drafts,
		adopted: adoptedGroups.length ? sumUp(adoption!, adoptedGroups) : null
	};
}

/** What adopting groups did, as long as some of them are there. */
const sumUp = (adoption: number, groups: SmallGroup[]) => ({
	id: adoption,
	groups: groups.length,
	students: new Set(groups.flatMap(({ studentIds }) => studentIds)).size,
	endsOn: groups[0].endsOn
});

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
