import { fullName } from '../../../core/words';
import { isWithin, meetingDays } from '../../../core/timetable';
import { writeCalendar } from '../../../core/interchange/calendarFile';

import type { Database } from '../../database';
import type { School } from '../../school';
import { currentGroups, groupPauses } from '..';
import { visibleAmong } from '../../people';
import { skillList } from '../../library';
import { slotList, staffAbsences } from './store/timetable';
import type { Staff } from '../../request';

/** The meetings of groups as an iCalendar file: of one group, of one staff member, or of all; with the students one may see. */
export async function groupCalendar(
	database: Database,
	staff: Staff,
	school: School,
	{ groupId, staffId, stamp }: { groupId: number | null; staffId: number | null; stamp: Date }
): Promise<string | null> {
	const [all, slots, skills, absences] = await Promise.all([
		currentGroups(database, staff, school.today),
		slotList(database, school.id),
		skillList(database, school.id),
		staffAbsences(database, staff)
	]);
	const slotOf = new Map(slots.map((slot) => [slot.id, slot]));
	const wanted = all.filter(
		(group) =>
			(groupId === null || group.id === groupId) && (staffId === null || slotOf.get(group.slotId)!.staffId === staffId)
	);
	const students = await visibleAmong(
		database,
		staff,
		[...new Set(wanted.flatMap(({ studentIds }) => studentIds))],
		school.today
	);
	const nameOf = new Map(students.map((student) => [student.id, fullName(student)]));
	const groups = wanted.filter(({ studentIds }) => staff.role !== 'teacher' || studentIds.some((id) => nameOf.has(id)));
	if (groupId !== null && groups.length === 0) return null;
	const pauses = await groupPauses(
		database,
		groups.map(({ id }) => id)
	);
	return writeCalendar(
		school.name,
		school.timeZone,
		groups.map((group) => {
			const slot = slotOf.get(group.slotId)!;
			const skill = skills.find(({ id }) => id === group.focusSkillId)!;
			const closed = [
				...pauses.filter((pause) => pause.groupId === group.id),
				...absences.filter((absence) => absence.staffId === slot.staffId),
				...school.calendar.off
			];
			return {
				...slot,
				uid: `group-${group.id}@orderly-compass`,
				title: `${group.name}: ${skill.shortName}`,
				note: `${slot.staffName}. ${group.studentIds.flatMap((id) => nameOf.get(id) ?? []).join(', ')}`,
				first: group.startsOn,
				last: group.endsOn,
				without: meetingDays(slot, group.startsOn, group.endsOn).filter((day) => isWithin(day, closed))
			};
		}),
		stamp
	);
}
