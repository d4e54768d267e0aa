import { fullName } from '../../core/words';
import { sayMeeting } from '../../core/calendar';
import { overlaps, releases } from '../../core/timetable';
import type { Skill } from '../library';
import type { RosterStudent } from '../people';
import type { Database } from '../database';
import type { Staff } from '../request';
import { type School, tierPlans, type TierPlans } from '../school';
import { currentGroups, type SmallGroup } from './store/groups';
import { type ReleasingSlot, releasingSlots, type Slot } from './timetable';

/** The groups there are, and when staff can hold them. */
export interface GroupsNow {
	groups: SmallGroup[];
	slots: ReleasingSlot[];
	plans: TierPlans;
}

export async function groupsNow(database: Database, staff: Staff, school: School): Promise<GroupsNow> {
	const [groups, slots, plans] = await Promise.all([
		currentGroups(database, staff, school.today),
		releasingSlots(database, school.id, school.today),
		tierPlans(database, school.id)
	]);
	return { groups, slots, plans };
}

/**
 * Limits that students joining a group would break, in words; one may let them in all the same, with a reason.
 *
 * @param from the group that they leave for it, whose time is free then; null for none
 */
export function joiningBreaks(
	{ groups, slots, plans }: GroupsNow,
	group: SmallGroup,
	students: RosterStudent[],
	from: number | null = null
): string[] {
	const slotOf = new Map(slots.map((slot) => [slot.id, slot]));
	const slot = slotOf.get(group.slotId);
	const broken: string[] = [];
	const { maximum } = plans[group.tier].size;
	const count = group.studentIds.length + students.length;
	if (count > maximum) broken.push(`a tier ${group.tier} group takes ${maximum}, and there would be ${count}`);
	for (const student of students) {
		const { id: studentId, className } = student;
		const name = fullName(student);
		if (slot && !releases(slot, student))
			broken.push(`${slot.keptIds.includes(studentId) ? 'a section' : className} cannot release ${name} then`);
		const other = groups.find(
			(one) =>
				one.id !== group.id &&
				one.id !== from &&
				one.studentIds.includes(studentId) &&
				slot &&
				slotOf.has(one.slotId) &&
				overlaps(slot, slotOf.get(one.slotId)!)
		);
		if (other) broken.push(`${name} is in “${other.name}” at that time`);
	}
	return broken;
}

/** A group that a student could move to, told apart from others by days, time and adult. */
export interface GroupChoice {
	id: number;
	name: string;
	tier: 2 | 3;
	focusSkillId: number;
	focus: string;
	/** Days, time and adult. */
	when: string;
	members: number;
}

/** Groups other than one that meet on a day: where one could move to then. */
export function groupChoices(
	{ groups, slots }: { groups: SmallGroup[]; slots: Slot[] },
	skills: Skill[],
	from: number | null,
	on: string
): GroupChoice[] {
	return groups
		.filter(({ id, startsOn, endsOn }) => id !== from && startsOn <= on && endsOn >= on)
		.map(({ id, name, tier, focusSkillId, slotId, studentIds }) => {
			const slot = slots.find((one) => one.id === slotId);
			return {
				...{ id, name, tier, focusSkillId },
				focus: skills.find((skill) => skill.id === focusSkillId)?.shortName ?? '',
				when: slot ? `${sayMeeting(slot)}, ${slot.staffName}` : '',
				members: studentIds.length
			};
		});
}

/**
 * Groups of a tier that have a place for a student who leaves another, at a time when the class can spare the student;
 * those on the same focus come first.
 */
export function fittingGroups(
	now: GroupsNow,
	skills: Skill[],
	student: RosterStudent,
	from: { id: number | null; focusSkillId: number | null },
	on: string
): (GroupChoice & { /** That are free. */ places: number })[] {
	const byId = new Map(now.groups.map((group) => [group.id, group]));
	return groupChoices(now, skills, from.id, on)
		.filter(({ id }) => {
			const group = byId.get(id)!;
			return !group.studentIds.includes(student.id) && joiningBreaks(now, group, [student], from.id).length === 0;
		})
		.sort(
			(a, b) =>
				Number(b.focusSkillId === from.focusSkillId) - Number(a.focusSkillId === from.focusSkillId) ||
				a.members - b.members
		)
		.map((choice) => ({ ...choice, places: now.plans[choice.tier].size.maximum - choice.members }));
}
