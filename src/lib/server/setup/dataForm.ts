import Type from 'typebox';
import { plural } from '../../core/words';
import { formCheck, idList, oneOf } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { countTraces, ERASED_WHY, eraseStudents, leftStudents, setKeptMonths } from './store/erasing';

/** Students who are erased in one step, at most. */
const AT_ONCE = 100;
/** Months for which students can be kept after leaving; 0 for as long as nobody erases them. */
export const KEPT_MONTHS = [0, 6, 12, 24, 36, 60, 84] as const;

const keepForm = formCheck(Type.Object({ months: oneOf(KEPT_MONTHS, { type: 'integer' }) }));
const lookForm = formCheck(Type.Object({ students: idList(AT_ONCE) }));
const eraseForm = formCheck(
	Type.Object({ students: idList(AT_ONCE), why: oneOf(ERASED_WHY), sure: Type.Literal('yes') })
);

/** The form actions of the page of a school's data. */
export const dataActions = {
	keep: staffAction('set up the school', keepForm, async ({ staff, database, at, form }) => {
		const before = await setKeptMonths(database, staff, form.months || null, at);
		return {
			done: form.months
				? `Students are kept for ${plural(form.months, 'month')} after they leave; then you are told. Nobody is erased by itself.`
				: 'Students who have left are kept until somebody erases them.',
			undo: { action: '?/keep', fields: { months: String(before ?? 0) } }
		};
	}),
	/** What erasing some students would take. */
	look: staffAction('set up the school', lookForm, async ({ school, database, form }) => {
		const left = await leftStudents(database, school.id, school.today, null);
		const chosen = left.filter(({ id }) => form.students.includes(id));
		if (chosen.length < form.students.length) return refuse('Only students who have left can be erased');
		const counts = await countTraces(
			database,
			chosen.map(({ id }) => id)
		);
		return { look: { students: chosen, counts } };
	}),
	erase: staffAction(
		'set up the school',
		eraseForm,
		async ({ staff, school, database, at, form }) => {
			const gone = await eraseStudents(database, staff, form.students, form.why, { today: school.today, at });
			return gone.length
				? { done: `${plural(gone.length, 'student is', 'students are')} erased for good.` }
				: refuse('They are there no more, or in a class again');
		},
		'Say that they are to be erased for good'
	)
};
