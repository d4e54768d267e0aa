import Type from 'typebox';
import { addDays, instantOf } from '../../core/calendar';
import { readMissed } from '../../core/growth';
import { FORM_LETTERS } from '../../core/items/probeQuestions';
import { fullName, plural } from '../../core/words';
import { skillList } from '../library';
import { formCheck, id, idList, idsOf, idText, oneOf, schoolDate } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { storePaperProbes, takeBackPaperProbes } from '../sitting';
import { LATEST_DAYS, paperPage } from './paperPage';

/** Students at once: the largest group, and more. */
const MOST = 40;

const enterForm = formCheck(
	Type.Object({
		group: Type.Optional(id),
		of: Type.Optional(id),
		form: oneOf(FORM_LETTERS),
		on: schoolDate,
		plans: idList(MOST),
		missed: Type.Array(Type.String({ maxLength: 100 }), { minItems: 1, maxItems: MOST })
	})
);
const takeBackForm = formCheck(Type.Object({ sittings: idText }));

/** Minute of the day at which a probe on paper counts as given, where it is not today's. */
const NOON = 12 * 60;

/** The form action that keeps what students missed of a probe on paper. Of those with nothing typed nothing is kept. */
export const enterAction = staffAction('plan probes', enterForm, async ({ staff, school, database, at, form }) => {
	const { group, of, form: letter, on, plans, missed } = form;
	if (plans.length !== missed.length) return refuse('The form could not be read');
	if (on > school.today || on < addDays(school.today, -LATEST_DAYS))
		return refuse('The day lies in the last three weeks, today at the latest');
	const asked = { groupId: group ?? null, studentId: of ?? null, on, letter };
	const page = await paperPage(database, staff, school, asked);
	if (!page) return refuse('There are no weekly probes of this group');
	const marked = [];
	for (const [i, planId] of plans.entries()) {
		const line = page.lines.find((one) => one.planId === planId);
		if (!line) return refuse('Some of these probes are not of this group');
		const read = readMissed(missed[i], page.questions.length);
		if (typeof read === 'string') return refuse(`${fullName(line.student)}: ${read}`);
		if (read && line.number < 1) return refuse(`The probes of ${fullName(line.student)} had not begun on that day`);
		if (read) marked.push({ planId, studentId: line.student.id, number: line.number, missed: read });
	}
	if (marked.length === 0) return refuse('Nothing was typed: what each missed, or 0 for nothing');
	const given = on === school.today ? at : instantOf({ day: on, minute: NOON }, school.timeZone);
	const skills = await skillList(database, school.id);
	const { sittings, left } = await storePaperProbes(
		database,
		staff,
		{ letter, questions: page.questions },
		marked,
		skills,
		{ on: given, at }
	);
	const kept = left.length
		? ` ${plural(left.length, 'probe')} of that week ${left.length === 1 ? 'was' : 'were'} there already, and ${left.length === 1 ? 'stays' : 'stay'} as ${left.length === 1 ? 'it is' : 'they are'}.`
		: '';
	if (sittings.length === 0) return refuse(`Nothing is new.${kept}`);
	return {
		done: `Form ${letter} kept for ${plural(sittings.length, 'student')}.${kept}`,
		undo: { action: '?/takeBack', fields: { sittings: sittings.join(',') } }
	};
});

/** The form action that takes back what was entered. */
export const takeBackAction = staffAction('plan probes', takeBackForm, async ({ staff, database, at, form }) => {
	const count = await takeBackPaperProbes(database, staff, idsOf(form.sittings), at);
	return count
		? { done: `Taken back for ${plural(count, 'student')}.` }
		: refuse('This was taken back already, or was entered by somebody else');
});
