import Type, { type Static } from 'typebox';
import { ABOVE_STEPS, BELOW_STEPS, FEEDBACK_TIMES, type SetHow } from '../../core/practice';
import { formCheck, idOf, oneOf } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { GONE } from './questionsForm';
import { changeRules } from './store/changing';
import { findSet } from './store/oneSet';
import type { SetRules } from './store/setContent';

const on = Type.Optional(oneOf(['yes']));
const RULE_FIELDS = {
	name: Type.Optional(Type.String({ maxLength: 80 })),
	task: Type.Optional(Type.String({ maxLength: 120 })),
	feedback: oneOf([...FEEDBACK_TIMES]),
	hints: on,
	secondTry: on,
	solutions: on,
	pausing: on,
	doneOnly: on,
	line: Type.Integer({ minimum: 1, maximum: 100 }),
	above: oneOf([...ABOVE_STEPS]),
	below: oneOf([...BELOW_STEPS])
};
const rulesForm = formCheck(Type.Object(RULE_FIELDS));

/** What the fields say; a box that is not ticked is not sent. */
const rulesFrom = (form: Static<Type.TObject<typeof RULE_FIELDS>>): SetRules => ({
	name: form.name?.trim() || null,
	task: form.task?.trim() || null,
	feedback: form.feedback,
	hints: form.hints === 'yes',
	secondTry: form.secondTry === 'yes',
	solutions: form.solutions === 'yes',
	pausing: form.pausing === 'yes',
	doneOnly: form.doneOnly === 'yes',
	line: form.line,
	above: form.above,
	below: form.below
});

/** The fields that say the same again. */
export const rulesFields = (rules: SetRules): Record<string, string> => ({
	name: rules.name ?? '',
	task: rules.task ?? '',
	feedback: rules.feedback,
	line: String(rules.line),
	above: rules.above,
	below: rules.below,
	...(rules.hints && { hints: 'yes' }),
	...(rules.secondTry && { secondTry: 'yes' }),
	...(rules.solutions && { solutions: 'yes' }),
	...(rules.pausing && { pausing: 'yes' }),
	...(rules.doneOnly && { doneOnly: 'yes' })
});

/** What is wrong with rules for a set that is worked on in some way; null for nothing. */
const rulesProblem = ({ feedback }: SetRules, { untilRight }: Pick<SetHow, 'untilRight'>) =>
	untilRight !== null && feedback !== 'at once' ? 'A set that ends once enough are right is told at once' : null;

/** Changes what a set is called, what helps in it and what follows. */
export const rulesAction = staffAction('assign practice', rulesForm, async ({ staff, database, at, form, event }) => {
	const id = idOf(event.params.set) ?? 0;
	const set = await findSet(database, staff, id);
	const rules = rulesFrom(form);
	const wrong = set && rulesProblem(rules, set.how);
	if (wrong) return refuse(wrong);
	const before = set && (await changeRules(database, staff, id, rules, at));
	if (!before) return refuse(GONE);
	return {
		done: 'Changed for all. Who has begun keeps their questions, and when they are told of them.',
		undo: { action: '?/how', fields: rulesFields(before) }
	};
});
