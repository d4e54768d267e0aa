import Type from 'typebox';
import { plural } from '../../../core/words';
import { addDays, sayDate, sayMeeting } from '../../../core/calendar';
import { BLOCK_KINDS, overlaps, type WeeklyTime } from '../../../core/timetable';
import type { Database } from '../../database';
import { refuse, staffAction } from '../../shell/staffPage';
import { currentGroups } from '..';
import { classList, staffList } from '../../people';
import {
	addAbsences,
	addBlocks,
	addSlots,
	endSlot,
	removeAbsences,
	removeBlocks,
	removeSlots,
	restoreSlots,
	slotList,
	type NewSlot
} from './store/timetable';
import { formCheck, oneOf, id, idsOf, idText, schoolDate } from '../../request';

const weekdays = Type.Array(Type.Integer({ minimum: 1, maximum: 5 }), { minItems: 1, uniqueItems: true });
const clock = Type.String({ pattern: '^([01][0-9]|2[0-3]):[0-5][0-9]$' });
const slotForm = formCheck(
	Type.Object({
		staff: id,
		days: weekdays,
		startsAt: clock,
		minutes: Type.Integer({ minimum: 5, maximum: 120 }),
		room: Type.String({ maxLength: 60, default: '' }),
		tier: oneOf(['', '2', '3'], { default: '' })
	})
);
const blockForm = formCheck(
	Type.Object({
		classes: Type.Array(id, { minItems: 1, maxItems: 200, uniqueItems: true }),
		kind: oneOf(BLOCK_KINDS),
		days: weekdays,
		startsAt: clock,
		minutes: Type.Integer({ minimum: 5, maximum: 240 })
	})
);
const absenceForm = formCheck(
	Type.Object({ staff: id, fromOn: schoolDate, lastOn: schoolDate, note: Type.String({ maxLength: 200, default: '' }) })
);
const slotIdForm = formCheck(Type.Object({ slot: id }));
const idsForm = formCheck(Type.Object({ ids: idText }));
/** “2 meeting times”. */
export const sayTimes = (count: number) => plural(count, 'meeting time');

/** Those who run groups: whose times are planned here. */
export async function groupStaff(database: Database, schoolId: number, staffId: number) {
	const people = await staffList(database, schoolId, ['specialist', 'interventionist']);
	return people.find((one) => one.id === staffId) ?? null;
}

/** The form actions of the timetable: meeting times, what classes keep, who is away. Each names its undo. */
export const timetableActions = {
	addSlot: staffAction('plan the timetable', slotForm, async ({ staff, school, database, at, form }) => {
		const { staff: staffId, days, startsAt, minutes, room, tier } = form;
		const person = await groupStaff(database, school.id, staffId);
		if (!person) return refuse('There is nobody like that who runs groups');
		const slot: NewSlot = {
			staffId,
			days: [...days].sort(),
			startsAt,
			minutes,
			room: room.trim(),
			tier: tier === '' ? null : tier === '2' ? 2 : 3
		};
		const own = (await slotList(database, school.id, school.today)).find(
			(one) => one.staffId === staffId && overlaps(one, slot)
		);
		if (own) return refuse(`${person.displayName} has ${sayMeeting(own)} already`);
		const ids = await addSlots(database, staff, [slot], at);
		return {
			done: `${person.displayName} can hold a group at ${sayMeeting(slot)}.`,
			undo: { action: '?/removeSlots', fields: { ids: ids.join(',') } }
		};
	}),
	removeSlots: staffAction('plan the timetable', idsForm, async ({ staff, database, at, form }) => {
		const removed = await removeSlots(database, staff, idsOf(form.ids), at);
		return removed ? { done: `${sayTimes(removed)} taken back.` } : refuse('A group meets at them by now');
	}),
	endSlot: staffAction('plan the timetable', slotIdForm, async ({ staff, school, database, at, form }) => {
		const { slot } = form;
		if (!(await endSlot(database, staff, slot, school.today, at)))
			return refuse('A group meets at that time: end the group first');
		return {
			done: 'Nobody meets at that time any more.',
			undo: { action: '?/restoreSlots', fields: { ids: String(slot) } }
		};
	}),
	restoreSlots: staffAction('plan the timetable', idsForm, async ({ staff, database, at, form }) => {
		const restored = await restoreSlots(database, staff, idsOf(form.ids), at);
		return restored ? { done: 'The time is there again.' } : refuse('There is no such time');
	}),
	addBlock: staffAction('plan the timetable', blockForm, async ({ staff, school, database, at, form }) => {
		const { classes, kind, startsAt, minutes } = form;
		const days = [...form.days].sort();
		const kinds = await Promise.all([classList(database, school.id), classList(database, school.id, 'section')]);
		const known = new Set(kinds.flat().map((one) => one.id));
		if (!classes.every((one) => known.has(one))) return refuse('There is no such class');
		const time: WeeklyTime = { days, startsAt, minutes };
		const ids = await addBlocks(
			database,
			staff,
			classes.map((classId) => ({ classId, kind, ...time })),
			at
		);
		const met = (await slotList(database, school.id, school.today)).filter((slot) => overlaps(slot, time));
		const groups = (await currentGroups(database, staff, school.today)).filter((group) =>
			met.some((slot) => slot.id === group.slotId)
		);
		return {
			done: `${plural(classes.length, 'class releases', 'classes release')} nobody at ${sayMeeting(time)}.${groups.length ? ` Groups that meet then go on: ${groups.map(({ name }) => name).join(', ')}.` : ''}`,
			undo: { action: '?/removeBlocks', fields: { ids: ids.join(',') } }
		};
	}),
	removeBlocks: staffAction('plan the timetable', idsForm, async ({ staff, database, at, form }) => {
		const gone = await removeBlocks(database, staff, idsOf(form.ids), at);
		if (gone.length === 0) return refuse('It is gone already');
		const [{ kind, days, startsAt, minutes }] = gone;
		return {
			done: `Students can be released at ${sayMeeting(gone[0])}.`,
			undo: {
				action: '?/addBlock',
				fields: {
					classes: gone.map(({ classId }) => String(classId)),
					kind,
					days: days.map(String),
					startsAt,
					minutes: String(minutes)
				}
			}
		};
	}),
	addAbsence: staffAction('plan the timetable', absenceForm, async ({ staff, school, database, at, form }) => {
		const { staff: staffId, fromOn, lastOn, note } = form;
		if (lastOn < fromOn || lastOn > addDays(school.today, 400))
			return refuse('The last day lies after the first, within a year');
		const person = await groupStaff(database, school.id, staffId);
		if (!person) return refuse('There is nobody like that who runs groups');
		const absence = { staffId, fromOn, untilOn: addDays(lastOn, 1), note: note.trim() };
		const ids = await addAbsences(database, staff, [absence], at);
		return {
			done: `${person.displayName} is away ${fromOn === lastOn ? `on ${sayDate(fromOn)}` : `from ${sayDate(fromOn)} to ${sayDate(lastOn)}`}: sessions then need cover.`,
			undo: { action: '?/removeAbsence', fields: { ids: ids.join(',') } }
		};
	}),
	removeAbsence: staffAction('plan the timetable', idsForm, async ({ staff, database, at, form }) => {
		const gone = await removeAbsences(database, staff, idsOf(form.ids), at);
		if (gone.length === 0) return refuse('It is gone already');
		const [{ staffId, fromOn, untilOn, note, staffName }] = gone;
		return {
			done: `${staffName} is there again.`,
			undo: {
				action: '?/addAbsence',
				fields: { staff: String(staffId), fromOn, lastOn: addDays(untilOn, -1), note }
			}
		};
	})
};
