import { plural } from '../../core/words';
import { addDays, sayDate } from '../../core/calendar';
import { overlaps } from '../../core/timetable';
import type { Database } from '../database';
import { USUAL_SIZES } from './grouping';
import { firstReview } from './groupDates';
import { formCheck, id, idList, idOf, schoolDate, type Staff } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { changeGroup, undoChange, type GroupDeed } from './store/groupChanges';
import { currentGroups, findGroup, type SmallGroup } from './store/groups';
import { type RosterStudent, visibleAmong } from '../people';
import { skillList } from '../library';
import { slotList } from './timetable';
import type { School } from '../school';

interface ChangeFields {
	kind: GroupDeed['kind'];
	on: string;
	skill?: number;
	students?: number[];
	untilOn?: string;
	name?: string;
	reason: string;
}

const changeForm = formCheck<ChangeFields>({
	type: 'object',
	properties: {
		kind: { enum: ['focus', 'join', 'leave', 'pause', 'resume', 'end', 'rename'] },
		on: schoolDate,
		skill: id,
		students: idList(40),
		untilOn: { anyOf: [schoolDate, { type: 'string', maxLength: 0 }] },
		name: { type: 'string', minLength: 1, maxLength: 80 },
		reason: { type: 'string', maxLength: 500, default: '' }
	},
	required: ['kind', 'on']
});
const undoForm = formCheck<{ change: number }>({ type: 'object', properties: { change: id }, required: ['change'] });

const people = (count: number) => `${plural(count, 'student')}`;

/** Limits that students joining a group would break; she may let them in all the same, with a reason. */
async function joiningBreaks(
	database: Database,
	staff: Staff,
	school: School,
	group: SmallGroup,
	students: RosterStudent[]
): Promise<string[]> {
	const [groups, slots] = await Promise.all([
		currentGroups(database, staff, school.today),
		slotList(database, school.id, school.today)
	]);
	const slotOf = new Map(slots.map((slot) => [slot.id, slot]));
	const slot = slotOf.get(group.slotId);
	const broken: string[] = [];
	const { maximum } = USUAL_SIZES[group.tier];
	const count = group.studentIds.length + students.length;
	if (count > maximum) broken.push(`a tier ${group.tier} group takes ${maximum}, and there would be ${count}`);
	for (const { id: studentId, givenName, familyName, classId, className } of students) {
		const name = `${givenName} ${familyName}`;
		if (slot && !slot.classIds.includes(classId)) broken.push(`${className} cannot release ${name} then`);
		const other = groups.find(
			(one) =>
				one.id !== group.id &&
				one.studentIds.includes(studentId) &&
				slot &&
				slotOf.has(one.slotId) &&
				overlaps(slot, slotOf.get(one.slotId)!)
		);
		if (other) broken.push(`${name} is in “${other.name}” at that time`);
	}
	return broken;
}

/** The form action that changes a group: focus, members, pause, end, name. Each can be undone. */
export const changeAction = staffAction(
	'form groups',
	changeForm,
	async ({ staff, school, database, at, form, event }) => {
		const { kind, on, skill, students = [], untilOn, name } = form;
		const reason = form.reason.trim();
		const group = await findGroup(database, staff, idOf(event.params.group) ?? 0, school.today);
		if (!group) return refuse('There is no such group');
		const isOwnDay = on >= group.startsOn && on <= group.endsOn;
		if (kind !== 'end' && kind !== 'rename' && !isOwnDay)
			return refuse(`The group runs from ${sayDate(group.startsOn)} to ${sayDate(group.endsOn)}: choose a day within`);
		const visible = await visibleAmong(database, staff, students, school.today);
		if (visible.length !== students.length) return refuse('Some of these students are not yours to see');
		let deed: GroupDeed;
		let done: string;
		switch (kind) {
			case 'focus': {
				const found = (await skillList(database, school.id)).find((one) => one.id === skill);
				if (!found) return refuse('There is no such skill');
				deed = { kind, skillId: found.id, on };
				done = `Works on “${found.shortName}” from ${sayDate(on)}.`;
				break;
			}
			case 'join': {
				if (students.length === 0) return refuse('Choose who joins');
				const broken = await joiningBreaks(database, staff, school, group, visible);
				if (broken.length && !reason)
					return refuse(`This breaks a limit (${broken.join('; ')}): say in a few words why that is right here`);
				const reviewOn = firstReview(group.endsOn, on);
				deed = { kind, studentIds: students, reviewOn, on };
				done = `${people(students.length)} ${students.length === 1 ? 'joins' : 'join'} on ${sayDate(on)}; first review ${sayDate(reviewOn)}.`;
				break;
			}
			case 'leave':
				if (students.length === 0) return refuse('Choose who leaves');
				deed = { kind, studentIds: students, on };
				done = `${people(students.length)} ${students.length === 1 ? 'leaves' : 'leave'} on ${sayDate(on)}.`;
				break;
			case 'pause':
				if (untilOn && untilOn <= on) return refuse('The pause must end after it begins');
				if (group.pausedUntil) return refuse('The group is paused already');
				deed = { kind, untilOn: untilOn || null, on };
				done = untilOn
					? `Paused from ${sayDate(on)}, meets again on ${sayDate(untilOn)}.`
					: `Paused from ${sayDate(on)}.`;
				break;
			case 'resume':
				deed = { kind, on };
				done = `Meets again from ${sayDate(on)}.`;
				break;
			case 'end':
				if (on < group.startsOn || on > addDays(school.today, 365))
					return refuse('The last day lies between the first and a year from now');
				deed = { kind, on };
				done = `The last day is ${sayDate(on)}, for ${people(group.studentIds.length)}.`;
				break;
			case 'rename':
				if (!name?.trim()) return refuse('Give the group a name');
				deed = { kind, name: name.trim(), on };
				done = `Now called “${name.trim()}”. Students never see it.`;
		}
		const change = await changeGroup(database, staff, group.id, deed, reason, at);
		if (change === null)
			return refuse(
				kind === 'end' && on > group.endsOn ? 'Another group meets at that time by then' : 'That is so already'
			);
		return { done, undo: { action: '?/undoChange', fields: { change: String(change) } } };
	}
);

export const undoChangeAction = staffAction('form groups', undoForm, async ({ staff, database, at, form }) => {
	return (await undoChange(database, staff, form.change, at))
		? { done: 'Taken back.' }
		: refuse('A later change of the group, or a verdict, rests on it');
});
