import Type from 'typebox';
import { MOST_SKILLS } from '../../core/practice';
import { skillList } from '../library';
import { formCheck, idOf, jsonCheck, jsonIn, longForm } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { CONTENT_FIELDS, contentProblem, skillsProblem } from './contentFields';
import { changeQuestions } from './store/changingQuestions';
import { findSet } from './store/oneSet';
import { type SetContent, skillsOfSets } from './store/setContent';

/** Of a set in which many have a step of their own. */
const MOST_BYTES = 30_000;
const questionsForm = formCheck(Type.Object({ content: Type.String({ maxLength: MOST_BYTES }) }), longForm(MOST_BYTES));
const contentCheck = jsonCheck(Type.Object(CONTENT_FIELDS, { additionalProperties: false }));

/** The fields that say the same again. */
export const questionsFields = (content: SetContent): Record<string, string> => ({ content: JSON.stringify(content) });

/** Changes which questions a set asks of those who have not begun it. */
export const questionsAction = staffAction(
	'assign practice',
	questionsForm,
	async ({ staff, school, database, at, form, event }) => {
		const read = contentCheck(jsonIn(form.content));
		if ('problem' in read) return refuse('Choose the skills, and how many questions each has');
		const id = idOf(event.params.set) ?? 0;
		const set = await findSet(database, staff, id);
		if (!set) return refuse(GONE);
		const content = read.value;
		const before = (await skillsOfSets(database, [id])).get(id)!;
		if (!set.isOwnStep && content.skills.length > Math.max(MOST_SKILLS, before.length))
			return refuse(`A set has ${MOST_SKILLS} skills at most`);
		const taught = new Map((await skillList(database, school.id)).map((skill) => [skill.id, skill]));
		const wrong = contentProblem(content, set.isOwnStep, set.how.feedback) ?? skillsProblem(content.skills, taught);
		if (wrong) return refuse(wrong);
		const was = await changeQuestions(database, staff, id, content, at);
		if (!was) return refuse(GONE);
		return {
			done: 'Changed for all who have not begun. Who has begun keeps their questions.',
			undo: { action: '?/questions', fields: questionsFields(was) }
		};
	}
);

/** Why a set is left as it is. */
export const GONE = 'This set was taken back, or is not yours to change';
