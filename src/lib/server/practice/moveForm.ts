import Type from 'typebox';
import { sayDate } from '../../core/calendar';
import { visibleAmong } from '../people';
import { formCheck, id, schoolDate } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { datesProblem, ownDueProblem, sayDates } from './datesForm';
import { changeDates, changeForSome } from './store/changing';
import { findSet } from './store/oneSet';

const moveForm = formCheck(
	Type.Object({
		set: id,
		/** For this student only, whose due date alone can be another. */
		student: Type.Optional(id),
		opensOn: schoolDate,
		dueOn: Type.Union([Type.Literal(''), schoolDate])
	})
);
const GONE = 'This set was taken back, or is not yours to change';

/** Moves a set to other days, at the times of day that it has; for a student, their due date. */
export const moveAction = staffAction('assign practice', moveForm, async ({ staff, school, database, at, form }) => {
	const set = await findSet(database, staff, form.set);
	if (!set || set.isWithdrawn) return refuse(GONE);
	const dueOn = form.dueOn || null;
	if (form.student !== undefined) {
		if (dueOn === null) return refuse('Say by when it is due for them');
		const wrong = ownDueProblem(dueOn, set.dates, school.today);
		if (wrong) return refuse(wrong);
		const seen = await visibleAmong(database, staff, [form.student], school.today);
		if (seen.length === 0) return refuse('This student is not yours to see');
		const own = dueOn === set.dates.dueOn ? null : dueOn;
		const [before] = await changeForSome(database, staff, set.id, [{ student: form.student, dueOn: own }], at);
		if (!before) return refuse('It is due then already');
		const fields = { ...form, dueOn: before.dueOn ?? set.dates.dueOn ?? '' };
		return {
			done: `Due ${sayDate(dueOn)} for ${seen[0].givenName}.`,
			undo: { action: '?/move', fields: texts(fields) }
		};
	}
	if ((dueOn === null) !== (set.dates.dueOn === null))
		return refuse('Whether it has a due date at all is changed on the page of the set');
	const dates = { ...set.dates, opensOn: form.opensOn, dueOn };
	const wrong = datesProblem(dates, school.today);
	if (wrong) return refuse(wrong);
	const before = await changeDates(database, staff, set.id, dates, at);
	if (!before) return refuse(GONE);
	const fields = { set: set.id, opensOn: before.opensOn, dueOn: before.dueOn ?? '' };
	return { done: sayDates(dates), undo: { action: '?/move', fields: texts(fields) } };
});

/** Fields as a form has them. */
const texts = (fields: Record<string, string | number | undefined>): Record<string, string> =>
	Object.fromEntries(
		Object.entries(fields).flatMap(([name, value]) => (value === undefined ? [] : [[name, String(value)]]))
	);
