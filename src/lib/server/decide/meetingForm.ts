import Type from 'typebox';
import { addDays, sayDate } from '../../core/calendar';
import { plural } from '../../core/words';
import type { Database } from '../database';
import { staffList } from '../people';
import { formCheck, id, idList, idOf, schoolDate, type Staff, type VisibleId } from '../request';
import type { School } from '../school';
import { findScope } from '../shell';
import { refuse, staffAction } from '../shell/staffPage';
import { INVITED, proposedFor } from './meetingsPage';
import { orderAgenda, putOnAgenda, takeOffAgenda, type ToReview } from './store/agendas';
import { callOff, noteWhoWasThere, planReviewMeeting, undoPlanning } from './store/reviewMeetings';

/** Students on one agenda. */
const MOST_STUDENTS = 100;

const planForm = formCheck(
	Type.Object({
		on: schoolDate,
		note: Type.String({ maxLength: 300, default: '' }),
		adults: idList(40),
		students: idList(MOST_STUDENTS)
	})
);
const addForm = formCheck(Type.Object({ students: idList(MOST_STUDENTS) }));
const reviewForm = formCheck(Type.Object({ review: id }));
const orderForm = formCheck(Type.Object({ reviews: idList(2 * MOST_STUDENTS) }));
const thereForm = formCheck(Type.Object({ adults: idList(40) }));
const offForm = formCheck(Type.Object({ meeting: id }));

/** What is put on an agenda for students: their reviews due by the day, or one for what is at stake; null when somebody is not theirs to see. */
async function toReview(
	database: Database,
	staff: Staff,
	school: School,
	studentIds: number[],
	on: string
): Promise<ToReview[] | null> {
	const scope = await findScope(database, staff, `list:${studentIds.join(',')}`, school.today);
	if (!scope) return null;
	const seen = new Map<number, VisibleId>((await scope.students()).map(({ id: one }) => [one, one]));
	if (studentIds.some((student) => !seen.has(student))) return null;
	const proposed = await proposedFor(database, staff, school, scope, on, true);
	return studentIds.flatMap((studentId) =>
		proposed
			.filter((one) => one.studentId === studentId)
			.map(({ reviewId, group, stake }): ToReview =>
				reviewId === null
					? { studentId: seen.get(studentId)!, groupId: group?.id ?? null, raisedBy: stake }
					: { reviewId }
			)
	);
}

/** The form action that plans a review meeting. */
export const planAction = staffAction(
	'decide',
	planForm,
	async ({ staff, school, database, at, form }) => {
		const { on, note, adults, students } = form;
		if (on < school.today || on > addDays(school.today, 365)) return refuse('A meeting lies within a year from today');
		const own = await staffList(database, school.id, INVITED);
		if (adults.some((adult) => !own.some((one) => one.id === adult)))
			return refuse('Somebody invited has no account here');
		const reviews = await toReview(database, staff, school, students, on);
		if (!reviews) return refuse('Some of these students are not yours to see');
		const meeting = await planReviewMeeting(database, staff, { on, note: note.trim(), adults, reviews }, at);
		return {
			done: `A review meeting on ${sayDate(on)} with ${plural(adults.length, 'adult')}: ${plural(students.length, 'student')} on its agenda.`,
			undo: { action: '?/unplan', fields: { meeting: String(meeting) } }
		};
	},
	'Choose the day, at least one adult and at least one student'
);

/** The form action that takes the planning of a meeting back. */
export const unplanAction = staffAction('decide', offForm, async ({ staff, database, at, form }) =>
	(await undoPlanning(database, staff, form.meeting, at))
		? { done: 'The meeting is not planned; reviews that were made for it are gone, others stay due.' }
		: refuse('There is no such meeting, or something was decided at it')
);

/** The form action that calls a meeting off. */
export const callOffAction = staffAction('decide', offForm, async ({ staff, database, at, form }) =>
	(await callOff(database, staff, form.meeting, true, at))
		? {
				done: 'The meeting is called off; the reviews on its agenda stay due.',
				undo: { action: '?/putBack', fields: { meeting: String(form.meeting) } }
			}
		: refuse('There is no such meeting')
);

/** The form action that takes calling off back. */
export const putBackAction = staffAction('decide', offForm, async ({ staff, database, at, form }) =>
	(await callOff(database, staff, form.meeting, false, at))
		? { done: 'The meeting takes place.' }
		: refuse('There is no such meeting')
);

/** The form action that puts more students on the agenda. */
export const addAction = staffAction('decide', addForm, async ({ staff, school, database, at, form, event }) => {
	const reviews = await toReview(database, staff, school, form.students, addDays(school.today, 7));
	if (!reviews) return refuse('Some of these students are not yours to see');
	const put = await putOnAgenda(database, staff, idOf(event.params.meeting) ?? 0, reviews, at);
	return put ? { done: `${plural(put, 'review')} more on the agenda.` } : refuse('There is no such meeting');
});

/** The form action that takes a review off the agenda. */
export const takeOffAction = staffAction('decide', reviewForm, async ({ staff, database, at, form, event }) =>
	(await takeOffAgenda(database, staff, idOf(event.params.meeting) ?? 0, form.review, at))
		? { done: 'Off the agenda; the review stays due.' }
		: refuse('It is not on the agenda, or decided already')
);

/** The form action that puts the agenda into another order. */
export const orderAction = staffAction('decide', orderForm, async ({ staff, database, at, form, event }) =>
	(await orderAgenda(database, staff, idOf(event.params.meeting) ?? 0, form.reviews, at))
		? { done: 'In that order.' }
		: refuse('The agenda is another by now; look again')
);

/** The form action that notes who was there. */
export const thereAction = staffAction(
	'decide',
	thereForm,
	async ({ staff, database, at, form, event }) =>
		(await noteWhoWasThere(database, staff, idOf(event.params.meeting) ?? 0, form.adults, at))
			? { done: `${plural(form.adults.length, 'adult')} there.` }
			: refuse('There is no such meeting'),
	'Say who was there'
);
