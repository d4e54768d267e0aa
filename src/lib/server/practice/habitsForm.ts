import Type from 'typebox';
import { OPERATIONS, type Operation } from '../../core/fluency';
import { MOST_FACT_MINUTES, MOST_REVIEW_MINUTES, tellHabits, type Habits } from '../../core/practice';
import { plural } from '../../core/words';
import { formCheck } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { changeHabits } from './store/habits';

/** A class, its minutes from before, own choice, what was given first, minutes of facts, and which (`usual`: the grade's). */
const TOLD = `^[0-9]{1,10} ([0-9]|10) (yes|no) (yes|no) [0-2] (usual|(${OPERATIONS.join('|')})(,(${OPERATIONS.join('|')})){0,3})$`;
const habitsForm = formCheck(
	Type.Object({ told: Type.Array(Type.String({ pattern: TOLD, maxLength: 80 }), { minItems: 1, maxItems: 200 }) })
);

type ToldHabits = { classId: number } & Habits;

function readHabits(told: string): ToldHabits {
	const [classId, review, free, first, minutes, operations] = told.split(' ');
	return {
		classId: Number(classId),
		reviewMinutes: Math.min(MOST_REVIEW_MINUTES, Number(review)),
		freePractice: free === 'yes',
		givenFirst: first === 'yes',
		factMinutes: Math.min(MOST_FACT_MINUTES, Number(minutes)),
		factOperations:
			operations === 'usual' ? null : OPERATIONS.filter((one) => (operations.split(',') as Operation[]).includes(one))
	};
}

export const habitsActions = {
	set: staffAction('assign practice', habitsForm, async ({ staff, school, database, at, form }) => {
		const changes = form.told.map(readHabits);
		const before = await changeHabits(database, { staff, today: school.today }, changes, at);
		if (before.length < changes.length)
			return refuse('A class of this table is not one of yours any more. Load the page again');
		const changed = before.filter((was) => !form.told.includes(tellHabits(was.classId, was)));
		if (changed.length === 0) return { done: 'Nothing was different from before.' };
		return {
			done: `Changed for ${plural(changed.length, 'class', 'classes')}. Their students see it when they next open their page; work that is begun goes on.`,
			undo: { action: '?/set', fields: { told: changed.map((was) => tellHabits(was.classId, was)) } }
		};
	})
};
