import { addDays, sayMeeting } from '$lib/core/calendar';
import { clashes } from '$lib/core/timetable';
import { calendarActions } from '$lib/server/calendarForm';
import { staffContext } from '$lib/server/staffPage';
import { currentGroups } from '$lib/server/store/groups';
import { classList, staffList, visibleAmong } from '$lib/server/store/people';
import { classBlocks, slotList, staffAbsences } from '$lib/server/store/timetable';
import { timetableActions } from '$lib/server/timetableForm';

export async function load({ locals }) {
	const { staff, school } = await staffContext(locals);
	const { database } = locals;
	const [slots, blocks, absences, people, classes, groups] = await Promise.all([
		slotList(database, school.id, school.today),
		classBlocks(database, school.id),
		staffAbsences(database, school.id, school.today),
		staffList(database, school.id, ['specialist', 'interventionist']),
		classList(database, school.id),
		currentGroups(database, school.id, school.today)
	]);
	const visible = new Set(
		(
			await visibleAmong(database, staff, [...new Set(groups.flatMap(({ studentIds }) => studentIds))], school.today)
		).map((student) => student.id)
	);
	return {
		slots: slots.map((slot) => {
			const group = groups.find(({ slotId }) => slotId === slot.id);
			return {
				...slot,
				group: group && {
					id: group.id,
					name: group.name,
					tier: group.tier,
					students: group.studentIds.length,
					isPaused: group.pausedUntil !== null,
					// A class teacher opens only groups of the own class.
					isOpen: staff.role !== 'teacher' || group.studentIds.some((one) => visible.has(one))
				}
			};
		}),
		blocks,
		absences,
		people,
		classes: classes.map(({ id: classId, name, grade }) => ({ id: classId, name, grade })),
		clashes: clashes(slots).map(({ why, slotIds }) => {
			const [one, other] = slotIds.map((slotId) => slots.find((slot) => slot.id === slotId)!);
			return why === 'staff'
				? `${one.staffName} is needed twice: ${sayMeeting(one)} and ${sayMeeting(other)}`
				: `${one.room} is needed twice: ${one.staffName}, ${sayMeeting(one)}, and ${other.staffName}, ${sayMeeting(other)}`;
		}),
		tomorrow: addDays(school.today, 1)
	};
}

export const actions = { ...timetableActions, ...calendarActions };
