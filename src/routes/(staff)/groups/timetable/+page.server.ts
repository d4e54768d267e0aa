import { addDays, sayMeeting, schoolDayFrom } from '$lib/core/calendar';
import { clashes } from '$lib/core/timetable';
import { calendarActions } from '$lib/server/groups/timetable/calendarForm';
import { numberIn } from '$lib/server/request';
import { staffContext } from '$lib/server/shell/staffPage';
import { currentGroups, heldSlots } from '$lib/server/groups';
import { classList, staffList } from '$lib/server/people';
import { classBlocks, releasingSlots, staffAbsences } from '$lib/server/groups/timetable';
import { timetableActions } from '$lib/server/groups/timetable/timetableForm';

/** People and classes whose weeks are shown at once: more lanes could not be read. */
const AT_ONCE = { staff: 8, classes: 12 };

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const { database } = locals;
	const [slots, blocks, absences, people, own, sections, groups, held] = await Promise.all([
		releasingSlots(database, school.id, school.today),
		classBlocks(database, school.id),
		staffAbsences(database, staff, school.today),
		staffList(database, school.id, ['specialist', 'interventionist']),
		classList(database, school.id),
		classList(database, school.id, 'section'),
		currentGroups(database, staff, school.today),
		heldSlots(database, school.id, school.today)
	]);
	const classes = [...own, ...sections];
	const lanes = { from: numberIn(url, 'staff'), most: AT_ONCE.staff };
	const rows = { from: numberIn(url, 'classes'), most: AT_ONCE.classes };
	const shownPeople = people.slice(lanes.from, lanes.from + lanes.most);
	const shownClasses = classes.slice(rows.from, rows.from + rows.most);
	const isShown = new Set(shownPeople.map(({ id: staffId }) => staffId));
	const shown = slots.filter(({ staffId }) => isShown.has(staffId));
	return {
		times: slots.length,
		free: slots.filter(({ id: slotId }) => !held.has(slotId)).length,
		lanes,
		shownPeople,
		slots: shown.map(({ classIds, keptIds: _, ...slot }) => {
			const group = groups.find(({ slotId }) => slotId === slot.id);
			return {
				...slot,
				/** Classes that can release students then; of sections none is counted. */
				releasing: own.filter(({ id: classId }) => classIds.includes(classId)).length,
				// Whether anybody meets then: class teachers see which group only where one of theirs is in it.
				isHeld: held.has(slot.id),
				group: group && {
					id: group.id,
					name: group.name,
					tier: group.tier,
					students: group.studentIds.length,
					isPaused: group.pausedUntil !== null
				}
			};
		}),
		rows,
		ownClasses: own.length,
		shownClasses: shownClasses.map(({ id: classId, name, grade }) => ({ id: classId, name, grade })),
		blocks: blocks.filter(({ classId }) => shownClasses.some(({ id: shownId }) => shownId === classId)),
		absences,
		people,
		classes: classes.map(({ id: classId, name, grade }) => ({ id: classId, name, grade })),
		clashes: clashes(slots).map(({ why, slotIds }) => {
			const [one, other] = slotIds.map((slotId) => slots.find((slot) => slot.id === slotId)!);
			return why === 'staff'
				? `${one.staffName} is needed twice: ${sayMeeting(one)} and ${sayMeeting(other)}`
				: `${one.room} is needed twice: ${one.staffName}, ${sayMeeting(one)}, and ${other.staffName}, ${sayMeeting(other)}`;
		}),
		tomorrow: schoolDayFrom(addDays(school.today, 1), school.calendar)
	};
}

export const actions = { ...timetableActions, ...calendarActions };
