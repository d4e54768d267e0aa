import { fullName } from '$lib/core/words';
import { dayOff, weekday } from '$lib/core/calendar';
import { isWithin, minutesOf } from '$lib/core/timetable';
import { recordAction } from '$lib/server/groups/meetingForm';
import { dayIn } from '$lib/server/request';
import { groupPauses, groupsOn, meetingRecords, sessionPlan } from '$lib/server/groups';
import { staffContext } from '$lib/server/shell/staffPage';
import { visibleAmong } from '$lib/server/people';
import { skillList } from '$lib/server/library';
import { readStandings } from '$lib/server/standing';
import { slotList, staffAbsences } from '$lib/server/groups/timetable';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const { database } = locals;
	const on = dayIn(url, 'on') ?? school.today;
	const [groups, slots, skills, absences] = await Promise.all([
		groupsOn(database, staff, on, school.today),
		slotList(database, school.id),
		skillList(database, school.id),
		staffAbsences(database, staff, on)
	]);
	const slotOf = new Map(slots.map((slot) => [slot.id, slot]));
	const off = dayOff(on, school.calendar);
	const meeting = off ? [] : groups.filter(({ slotId }) => slotOf.get(slotId)!.days.includes(weekday(on)));
	const holds = meeting.some(({ slotId }) => slotOf.get(slotId)!.staffId === staff.id);
	// Who runs groups sees theirs; everybody else all.
	const whose = url.searchParams.get('whose') === 'all' || !holds ? 'all' : 'mine';
	const shown = meeting.filter(({ slotId }) => whose === 'all' || slotOf.get(slotId)!.staffId === staff.id);
	const ids = [...new Set(shown.flatMap(({ studentIds }) => studentIds))];
	const groupIds = shown.map(({ id }) => id);
	const [students, records, pauses, standings] = await Promise.all([
		visibleAmong(database, staff, ids, school.today),
		meetingRecords(database, staff, groupIds, { from: on, until: on, today: school.today }),
		groupPauses(database, groupIds),
		readStandings(database, ids)
	]);
	const visible = new Map(students.map((student) => [student.id, student]));
	return {
		on,
		off: off?.name ?? null,
		whose,
		holds,
		sessions: shown
			.map((group) => {
				const slot = slotOf.get(group.slotId)!;
				const skill = skills.find(({ id }) => id === group.focusSkillId)!;
				return {
					group,
					slot,
					skill,
					isPaused: isWithin(
						on,
						pauses.filter(({ groupId }) => groupId === group.id)
					),
					isAway: isWithin(
						on,
						absences.filter(({ staffId }) => staffId === slot.staffId)
					),
					students: group.studentIds.flatMap((id) => {
						const student = visible.get(id);
						const now = standings.get(id)?.get(skill.id);
						return student
							? [
									{
										id,
										name: fullName(student),
										className: student.className,
										helps: group.helperIds.includes(id),
										state: now?.inferred ?? now?.standing ?? ('unseen' as const),
										inferred: Boolean(now?.inferred)
									}
								]
							: [];
					}),
					record: records.find(({ groupId }) => groupId === group.id) ?? null,
					plan: sessionPlan(skill, group.id, on)
				};
			})
			.filter(({ students: own }) => own.length)
			.sort((a, b) => minutesOf(a.slot.startsAt) - minutesOf(b.slot.startsAt))
	};
}

export const actions = { record: recordAction };
