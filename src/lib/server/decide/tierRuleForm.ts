import Type from 'typebox';
import { addDays, sayDate } from '../../core/calendar';
import { USUAL_TIER_RULE } from '../../core/growth';
import { fullName, plural } from '../../core/words';
import { visibleAmong } from '../people';
import { formCheck, id, idList, idsOf, idText, oneOf, schoolDate } from '../request';
import { findScope } from '../shell';
import { refuse, staffAction } from '../shell/staffPage';
import {
	changeTierRule,
	moveTiers,
	sayTierWord,
	takeBackTierMoves,
	takeBackTierWord,
	tierRule
} from './store/tierRules';
import { ruledStudents } from './tierRulePage';

const ruleForm = formCheck(
	Type.Object({
		farBelow: Type.Integer({ minimum: 1, maximum: 200 }),
		/** In hundredths. */
		sure: Type.Integer({ minimum: 50, maximum: 95 }),
		/** 0: gaps do not count. */
		gaps: Type.Integer({ minimum: 0, maximum: 50 }),
		word: Type.Optional(oneOf(['yes'])),
		leastWeeks: Type.Integer({ minimum: 1, maximum: 20 }),
		mostWeeks: Type.Integer({ minimum: 1, maximum: 30 })
	})
);
const noForm = formCheck(Type.Object({}));
const moveForm = formCheck(Type.Object({ students: idList(500), on: schoolDate }));
const undoForm = formCheck(Type.Object({ tiers: idText }));
const wordForm = formCheck(
	Type.Object({
		student: id,
		says: oneOf(['needs more', 'stays']),
		reason: Type.String({ minLength: 3, maxLength: 300 })
	})
);
const takeBackForm = formCheck(Type.Object({ word: id }));

/** A rule as the fields of its form. */
const fieldsOf = ({ farBelow, sure, gaps, word, leastWeeks, mostWeeks }: typeof USUAL_TIER_RULE) => ({
	farBelow: String(farBelow),
	sure: String(Math.round(100 * sure)),
	gaps: String(gaps ?? 0),
	...(word ? { word: 'yes' } : {}),
	leastWeeks: String(leastWeeks),
	mostWeeks: String(mostWeeks)
});

/** The form action that takes another rule. It moves nobody by itself. */
export const ruleAction = staffAction('decide', ruleForm, async ({ staff, database, at, form }) => {
	const { farBelow, sure, gaps, word, leastWeeks, mostWeeks } = form;
	if (mostWeeks < leastWeeks) return refuse('The latest review cannot come before the soonest');
	const rule = { farBelow, sure: sure / 100, gaps: gaps || null, word: word === 'yes', leastWeeks, mostWeeks };
	const before = await changeTierRule(database, staff, rule, at);
	return {
		done: 'This rule holds now. Nobody has moved; who is meant by it stands in the list.',
		undo: before ? { action: '?/rule', fields: fieldsOf(before) } : { action: '?/usual', fields: {} }
	};
});

/** The form action that takes the shipped rule again. */
export const usualAction = staffAction('decide', noForm, async ({ staff, database, at }) => {
	const before = await changeTierRule(database, staff, null, at);
	return {
		done: 'The shipped rule holds again.',
		...(before ? { undo: { action: '?/rule', fields: fieldsOf(before) } } : {})
	};
});

/** The form action that moves students to the tier that the rule means for them. */
export const moveAction = staffAction('decide', moveForm, async ({ staff, school, database, at, form }) => {
	const { students, on } = form;
	if (on < addDays(school.today, -7) || on > addDays(school.today, 60))
		return refuse('A tier begins within a week back and two months ahead');
	const scope = await findScope(database, staff, `list:${students.join(',')}`, school.today);
	if (!scope || scope.size !== students.length) return refuse('Some of these students are not yours to see');
	const { rule } = await tierRule(database, school.id);
	const ruled = await ruledStudents(database, school, scope, rule);
	const moves = ruled.flatMap(({ student, tier }) =>
		tier !== null && tier > student.tier ? [{ studentId: student.id, tier }] : []
	);
	const begun = await moveTiers(database, staff, moves, on, at);
	if (begun.length === 0) return refuse('None of them is meant for a higher tier any more');
	return {
		done: `${plural(begun.length, 'student')} in the tier that the rule means from ${sayDate(on)}. They are in no group yet.`,
		undo: { action: '?/moveBack', fields: { tiers: begun.join(',') } }
	};
});

/** The form action that takes moves back. */
export const moveBackAction = staffAction('decide', undoForm, async ({ staff, database, at, form }) => {
	const back = await takeBackTierMoves(database, staff, idsOf(form.tiers), at);
	return back ? { done: `Taken back for ${plural(back, 'student')}.` } : refuse('Something was decided on them since');
});

/** The form action by which an adult says that a student needs more, or stays all the same. */
export const wordAction = staffAction('write notes', wordForm, async ({ staff, school, database, at, form }) => {
	const [student] = await visibleAmong(database, staff, [form.student], school.today);
	if (!student) return refuse('There is no such student for you');
	if (form.says === 'stays' && staff.role !== 'coordinator' && staff.role !== 'specialist')
		return refuse('Only a specialist or coordinator decides that somebody stays');
	const { rule } = await tierRule(database, school.id);
	const untilOn = addDays(school.today, 7 * rule.mostWeeks);
	const word = await sayTierWord(
		database,
		staff,
		{ studentId: student.id, says: form.says, reason: form.reason.trim(), untilOn },
		at
	);
	return {
		done:
			form.says === 'stays'
				? `${fullName(student)} stays as they are until ${sayDate(untilOn)}.`
				: `Said of ${fullName(student)}; it counts until ${sayDate(untilOn)}.`,
		undo: { action: '?/takeBackWord', fields: { word: String(word) } }
	};
});

/** The form action that takes a word back. */
export const takeBackWordAction = staffAction('write notes', takeBackForm, async ({ staff, database, at, form }) =>
	(await takeBackTierWord(database, staff, form.word, at))
		? { done: 'Taken back.' }
		: refuse('There is no such word, or it is not yours')
);
