import Type from 'typebox';
import { sayLeaving } from '../../core/grouping';
import { fullName, plural } from '../../core/words';
import { addDays, sayDate } from '../../core/calendar';
import { groupsNow, joiningBreaks } from './joining';
import { firstReview } from './groupDates';
import { formCheck, oneOf, id, idList, idOf, schoolDate, type Staff } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { changeGroup, undoChange } from './store/groupChanges';
import type { GroupDeed } from './store/groupDeeds';
import { groupWork } from './store/leaving';
import { moveStudents } from './store/moves';
import { findGroup, type SmallGroup } from './store/groups';
import { type RosterStudent, visibleAmong } from '../people';
import { skillList } from '../library';
import type { RootDatabase } from '../database';
import type { School } from '../school';

const changeForm = formCheck(
	Type.Object({
		kind: oneOf(['focus', 'join', 'leave', 'move', 'pause', 'resume', 'end', 'rename']),
		on: schoolDate,
		skill: Type.Optional(id),
		/** The group that students move to. */
		to: Type.Optional(id),
		students: Type.Optional(idList(40)),
		untilOn: Type.Optional(Type.Union([schoolDate, Type.String({ maxLength: 0 })])),
		name: Type.Optional(Type.String({ minLength: 1, maxLength: 80 })),
		reason: Type.String({ maxLength: 500, default: '' })
	})
);
const undoForm = formCheck(Type.Object({ change: id }));

const people = (count: number) => `${plural(count, 'student')}`;

/** By name where they are few. */
const sayWho = (students: RosterStudent[]) =>
	students.length > 3 ? people(students.length) : new Intl.ListFormat('en-US').format(students.map(fullName));

const sayBreaking = (broken: string[]) =>
	`This breaks a limit (${broken.join('; ')}): say in a few words why that is right here`;

/** Moves members of a group to another one, where they have a first review; what the old one had waiting ends. */
async function moveTo(
	{ staff, school, database, at }: { staff: Staff; school: School; database: RootDatabase; at: Date },
	group: SmallGroup,
	students: RosterStudent[],
	{ to: wanted, on, reason }: { to?: number; on: string; reason: string }
) {
	if (students.length === 0) return refuse('Choose who moves');
	const now = await groupsNow(database, staff, school);
	const to = now.groups.find(({ id: other }) => other === wanted && other !== group.id);
	if (!to) return refuse('Choose the group to move to');
	if (on < to.startsOn || on > to.endsOn)
		return refuse(`That group runs from ${sayDate(to.startsOn)} to ${sayDate(to.endsOn)}: choose a day within`);
	const broken = joiningBreaks(now, to, students, group.id);
	if (broken.length && !reason) return refuse(sayBreaking(broken));
	const studentIds = students.map((student) => student.id);
	const work = await groupWork(database, group.id, studentIds);
	const reviewOn = firstReview(to.endsOn, on, school.calendar);
	const destination = { groupId: to.id, skillId: to.focusSkillId };
	const move = { from: group.id, to: destination, studentIds, on, reviewOn };
	const moved = await moveStudents(database, staff, move, reason, at);
	if (moved === null) return refuse('Not everyone is in the one group, or somebody is in the other already');
	return {
		done: `${sayWho(students)} ${students.length === 1 ? 'moves' : 'move'} to “${to.name}” on ${sayDate(on)}; first review there ${sayDate(reviewOn)}. ${sayLeaving([...work.values()], to.focusSkillId)}`,
		undo: { action: '?/undoChange', fields: { change: String(moved) } }
	};
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
		const names = sayWho(visible);
		if (kind === 'move') return moveTo({ staff, school, database, at }, group, visible, { to: form.to, on, reason });
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
				const broken = joiningBreaks(await groupsNow(database, staff, school), group, visible);
				if (broken.length && !reason) return refuse(sayBreaking(broken));
				const reviewOn = firstReview(group.endsOn, on, school.calendar);
				deed = { kind, studentIds: students, reviewOn, on };
				done = `${people(students.length)} ${students.length === 1 ? 'joins' : 'join'} on ${sayDate(on)}; first review ${sayDate(reviewOn)}.`;
				break;
			}
			case 'leave': {
				if (students.length === 0) return refuse('Choose who leaves');
				deed = { kind, studentIds: students, on };
				const work = await groupWork(
					database,
					group.id,
					visible.map((student) => student.id)
				);
				done = `${names} ${students.length === 1 ? 'leaves' : 'leave'} on ${sayDate(on)}. ${sayLeaving([...work.values()])}`;
				break;
			}
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
