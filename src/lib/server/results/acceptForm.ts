import Type from 'typebox';
import { describeAnswer, sameAnswer } from '../../core/items';
import { plural } from '../../core/words';
import { itemsAsked } from '../library';
import { formCheck, id, type Staff, undoesAll } from '../request';
import { seesAll } from '../people';
import { refuse, staffAction } from '../shell/staffPage';
import { addCorrection, answersTo, correctionsOf, findCorrection, givenAnswer, undoCorrection } from '../sitting';
import { MOST_WHY } from './corrections';

const acceptForm = formCheck(
	Type.Object({
		answer: Type.String({ format: 'uuid', maxLength: 36 }),
		why: Type.String({ minLength: 1, maxLength: MOST_WHY })
	})
);
const correctionForm = formCheck(Type.Object({ correction: id }));

const NO_ANSWER = 'There is no such answer for you';

/** Whether a person may accept another answer to what is asked in a set, or outside one: whose set it is, and who may undo all. */
export const mayAccept = (staff: Staff, { setBy }: { setBy: number | null }) =>
	undoesAll(staff.role) || setBy === staff.id;

/** The form actions by which another answer to a question is accepted for all of the school who are asked it. */
export const acceptActions = {
	accept: staffAction('assign practice', acceptForm, async ({ staff, school, database, at, form }) => {
		const given = await givenAnswer(database, staff, form.answer);
		if (!given || !(await seesAll(database, staff, [given.studentId], school.today))) return refuse(NO_ANSWER);
		if (!mayAccept(staff, given)) return refuse('Only who assigned the set can accept another answer');
		const { response } = given;
		if (response === null) return refuse('That it is not known yet cannot be right');
		const [{ item }] = await itemsAsked(database, [given]);
		const accepted = await correctionsOf(database, school.id, given);
		if (given.correct || accepted.some((one) => sameAnswer(item, one.response, response)))
			return refuse('It counts as right already');
		const same = (await answersTo(database, school.id, given)).filter(
			(one) => !one.correct && one.response !== null && sameAnswer(item, one.response, response)
		);
		const studentIds = [...new Set(same.map(({ studentId }) => studentId))].sort((one, other) => one - other);
		const says = describeAnswer(item, response);
		const correction = await addCorrection(
			database,
			staff,
			{ ...given, response, why: form.why.trim(), says, studentIds },
			at
		);
		return {
			done: `“${says}” counts as right for all who are asked this question. ${plural(same.length, 'answer')} of ${plural(studentIds.length, 'student')} ${same.length === 1 ? 'is' : 'are'} judged anew, and what follows from them.`,
			undo: { action: '?/refuse', fields: { correction: String(correction) } }
		};
	}),
	refuse: staffAction('assign practice', correctionForm, async ({ staff, database, at, form }) => {
		const correction = await findCorrection(database, staff, form.correction);
		if (!correction || !(undoesAll(staff.role) || correction.byId === staff.id))
			return refuse('It was undone already, or is not yours to undo');
		await undoCorrection(database, staff, correction.id, at);
		const answers = plural(correction.answers, 'answer');
		return { done: `As by the question’s key again: ${answers} judged as before.` };
	})
};
