import Type from 'typebox';
import { plural } from '../../../core/words';
import { addDays, sayDate, sayMeeting } from '../../../core/calendar';
import { overlaps } from '../../../core/timetable';
import { inOne } from '../../database';
import { fileForm, formCheck, oneOf, id, idsOf, idText, readFile } from '../../request';
import { refuse, staffAction } from '../../shell/staffPage';
import { addAbsences, addSlots, removeAbsences, removeSlots, slotList, type NewSlot } from './store/timetable';
import { groupStaff, sayTimes } from './timetableForm';

/** A calendar file of a year of meetings is far smaller. */
const MOST_BYTES = 1_000_000;

const someIds = Type.Union([idText, Type.String({ maxLength: 0 })]);
const importUndoForm = formCheck(Type.Object({ slots: someIds, absences: someIds }));
const importForm = formCheck(Type.Object({ staff: id, take: Type.Optional(oneOf(['yes'])) }), fileForm(MOST_BYTES));

/** The form actions that take a calendar file into the timetable, and take it back. */
export const calendarActions = {
	/** A staff member's calendar: shown first, taken with `take`. */
	import: staffAction('plan the timetable', importForm, async ({ staff, school, database, at, form, file }) => {
		const { staff: staffId, take } = form;
		const person = await groupStaff(database, school.id, staffId);
		if (!person) return refuse('There is nobody like that who runs groups');
		if (!file) return refuse('Choose a file first');
		const found = await readFile('calendar', { content: await file.bytes(), timeZone: school.timeZone });
		if ('problem' in found) return refuse(found.problem);
		const read = found.found;
		const own = (await slotList(database, school.id, school.today)).filter((slot) => slot.staffId === staffId);
		const fresh: (NewSlot & { title: string })[] = [];
		const problems = [...read.problems];
		for (const time of read.weekly) {
			const taken = [...own, ...fresh].find((slot) => overlaps(slot, time));
			if (taken) problems.push(`“${time.title}” overlaps ${sayMeeting(taken)}`);
			else fresh.push({ ...time, room: time.room.slice(0, 60), staffId, tier: null });
		}
		const away = read.away.filter(({ untilOn }) => untilOn > school.today);
		if (away.length < read.away.length) problems.push(`${read.away.length - away.length} days away are over`);
		if (!take) {
			return {
				plan: {
					staffId,
					staffName: person.displayName,
					times: fresh.map(
						(slot) => `${sayMeeting(slot)}, ${slot.minutes} min${slot.room ? `, ${slot.room}` : ''} (${slot.title})`
					),
					away: away.map(
						({ fromOn, untilOn, title }) =>
							`${sayDate(fromOn)}${addDays(fromOn, 1) < untilOn ? ` to ${sayDate(addDays(untilOn, -1))}` : ''} (${title})`
					),
					problems
				}
			};
		}
		if (fresh.length === 0 && away.length === 0) return refuse('The file holds nothing that could be taken');
		const absences = away.map(({ fromOn, untilOn, title }) => ({
			staffId,
			fromOn,
			untilOn,
			note: title.slice(0, 200)
		}));
		const { slotIds, absenceIds } = await inOne(database, async (all) => ({
			slotIds: fresh.length ? await addSlots(all, staff, fresh, at) : [],
			absenceIds: absences.length ? await addAbsences(all, staff, absences, at) : []
		}));
		return {
			done: `Taken for ${person.displayName}: ${sayTimes(slotIds.length)}, ${plural(away.length, 'absence')}.`,
			undo: { action: '?/undoImport', fields: { slots: slotIds.join(','), absences: absenceIds.join(',') } }
		};
	}),
	undoImport: staffAction('plan the timetable', importUndoForm, async ({ staff, database, at, form }) => {
		const { slots, absences } = form;
		const { removed, gone } = await inOne(database, async (all) => ({
			removed: slots ? await removeSlots(all, staff, idsOf(slots), at) : 0,
			gone: absences ? await removeAbsences(all, staff, idsOf(absences), at) : []
		}));
		return removed || gone.length
			? { done: `Taken back: ${sayTimes(removed)}, ${plural(gone.length, 'absence')}.` }
			: refuse('Groups meet at these times by now');
	})
};
