import Type from 'typebox';
import { addDays } from '../../core/calendar';
import { ASKS } from '../../core/growth';
import { fullName, plural } from '../../core/words';
import { currentGroups } from '../groups';
import { slotList } from '../groups/timetable';
import { visibleAmong } from '../people';
import { formCheck, idsOf, idText, oneOf, schoolDate } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { askFor, takeBackAsked } from './store/tasks';

/** Students at once. */
const MOST = 100;

const askForm = formCheck(Type.Object({ students: idText, what: oneOf([...ASKS]), dueOn: schoolDate }));
const takeBackForm = formCheck(Type.Object({ tasks: idText }));

/** The form action that asks the adults of students' groups for one thing, for several students at once. */
export const askAction = staffAction('decide', askForm, async ({ staff, school, database, at, form }) => {
	const ids = idsOf(form.students);
	if (ids.length > MOST) return refuse(`At most ${MOST} students at once`);
	if (form.dueOn < school.today || form.dueOn > addDays(school.today, 120))
		return refuse('The day lies within the next months');
	const students = await visibleAmong(database, staff, ids, school.today);
	if (students.length !== ids.length) return refuse('Some of these students are not yours to see');
	const [groups, slots] = await Promise.all([
		currentGroups(database, staff, school.today),
		slotList(database, school.id, school.today)
	]);
	const adultOf = new Map(slots.map(({ id, staffId }) => [id, staffId]));
	const tasks = students.flatMap(({ id }) =>
		groups
			.filter(({ studentIds }) => studentIds.includes(id))
			.map(({ name, slotId }) => ({
				studentId: id,
				accountId: adultOf.get(slotId)!,
				what: `${name}: ${form.what}`.slice(0, 200),
				dueOn: form.dueOn
			}))
	);
	const without = students.filter(({ id }) => !tasks.some(({ studentId }) => studentId === id));
	if (tasks.length === 0) return refuse('None of them is in a group, so there is nobody to ask');
	const asked = await askFor(database, staff, tasks, at);
	if (asked.length === 0) return refuse('All of this was asked for already, and is not done yet');
	const left = without.length ? ` In no group, so nothing was asked for: ${without.map(fullName).join(', ')}.` : '';
	return {
		done: `Asked for ${plural(asked.length, 'thing')}: it stands in the ribbon and on Decide of whoever leads the group.${left}`,
		undo: { action: '?/takeBack', fields: { tasks: asked.join(',') } }
	};
});

/** The form action that takes it back, as far as it is not done. */
export const takeBackAction = staffAction('decide', takeBackForm, async ({ staff, database, at, form }) => {
	const count = await takeBackAsked(database, staff, idsOf(form.tasks), at);
	return count ? { done: `Taken back: ${plural(count, 'thing')}.` } : refuse('This is done or was taken back already');
});
