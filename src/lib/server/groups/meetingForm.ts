import Type from 'typebox';
import type { SchoolDate } from '../../core/calendar';
import { sayDate } from '../../core/calendar';
import { AWAY, NOT_HELD } from '../../core/timetable';
import type { Database } from '../database';
import { TICKET_ITEMS } from './sessionPlan';
import { refuse, staffAction } from '../shell/staffPage';
import { findGroup } from './store/groups';
import { recordMeeting, type MeetingRecord } from './store/meetings';
import { formCheck, id, jsonCheck, jsonIn, oneOf, schoolDate, type Staff } from '../request';

const recordForm = formCheck(Type.Object({ record: Type.String({ maxLength: 20_000 }) }));
const recordCheck = jsonCheck(
	Type.Object(
		{
			groupId: id,
			on: schoolDate,
			held: Type.Boolean(),
			whyNot: oneOf([...NOT_HELD, null]),
			makesUp: Type.Union([schoolDate, Type.Null()]),
			note: Type.String({ maxLength: 2_000 }),
			students: Type.Array(
				Type.Object(
					{
						studentId: id,
						present: Type.Boolean(),
						whyAway: oneOf([...AWAY, null]),
						ticketRight: Type.Union([Type.Integer({ minimum: 0, maximum: TICKET_ITEMS }), Type.Null()])
					},
					{ additionalProperties: false }
				),
				{ maxItems: 60 }
			)
		},
		{ additionalProperties: false }
	)
);

/** The form action that writes a meeting down, the same on every page that has one. Its undo puts the record before it back. */
export const recordAction = staffAction(
	'take attendance',
	recordForm,
	async ({ staff, school, database, at, form }) => {
		const checked = recordCheck(jsonIn(form.record));
		if ('problem' in checked) return refuse(`The attendance cannot be read: ${checked.problem}`);
		const record = checked.value;
		const problem = await problemWith(database, staff, school.today, record);
		if (problem) return refuse(problem);
		const before = await recordMeeting(database, staff, record, at);
		if (!before) return refuse('There is no such group');
		const present = record.students.filter((one) => one.present).length;
		return {
			done: !record.held
				? `${sayDate(record.on)}: not held${record.whyNot ? ` (${record.whyNot})` : ''}.`
				: record.students.length
					? `${sayDate(record.on)}: ${present} of ${record.students.length} here.`
					: `${sayDate(record.on)}: nothing on record any more.`,
			undo: { action: '?/record', fields: { record: JSON.stringify(before) } }
		};
	}
);

async function problemWith(
	database: Database,
	staff: Staff,
	today: SchoolDate,
	{ groupId, on, makesUp, students }: MeetingRecord
): Promise<string | null> {
	if (on > today) return 'That day has not come yet';
	const group = await findGroup(database, staff, groupId, on, today);
	if (!group) return 'There is no such group';
	if (on < group.startsOn || on > group.endsOn) return 'The group did not meet on that day';
	if (makesUp !== null && (makesUp >= on || makesUp < group.startsOn)) return 'What is made up lies before it';
	const members = new Set<number>(group.studentIds);
	return students.every(({ studentId }) => members.has(studentId)) ? null : 'Not all of them were in the group then';
}
