import Type, { type Static } from 'typebox';
import { sayDate } from '../../core/calendar';
import { plural } from '../../core/words';
import type { Database } from '../database';
import { seesAll } from '../people';
import { formCheck, idsOf, idText, oneOf, schoolDate, type Staff } from '../request';
import type { School } from '../school';
import { refuse, staffAction } from '../shell/staffPage';
import { setOf, UNSEEN } from './setFields';
import { giveAgain, letBeginAnew, type NextRun, takeAnewBack, takeRunBack } from './store/furtherRuns';

const againFields = Type.Object({
	students: idText,
	questions: Type.Optional(oneOf(['same', 'other'])),
	dueOn: Type.Optional(schoolDate)
});
const againForm = formCheck(againFields);

const nextRun = ({ questions, dueOn }: Static<typeof againFields>): NextRun => ({
	isWithOthers: questions !== 'same',
	dueOn: dueOn ?? null
});

/** `other questions, due Fri, Dec 4`. */
const sayRun = ({ isWithOthers, dueOn }: NextRun) =>
	`${isWithOthers ? 'other' : 'the same'} questions${dueOn ? `, due ${sayDate(dueOn)}` : ''}`;

/** What speaks against a further run for students; null for nothing. */
async function problemOf(
	database: Database,
	staff: Staff,
	school: School,
	students: number[],
	{ dueOn }: NextRun
): Promise<string | null> {
	if (!(await seesAll(database, staff, students, school.today))) return UNSEEN;
	return dueOn !== null && dueOn < school.today ? 'They would have no time for it' : null;
}

/** Gives the set once more to students who have finished it, or takes that back from those who have not begun. */
const givingAgain = (isGiven: boolean) =>
	staffAction('assign practice', againForm, async ({ staff, school, database, at, form, event }) => {
		const students = idsOf(form.students);
		const run = nextRun(form);
		const wrong = await problemOf(database, staff, school, students, run);
		if (wrong) return refuse(wrong);
		const changed = isGiven
			? await giveAgain(database, staff, setOf(event), students, run, at)
			: await takeRunBack(database, staff, setOf(event), students, at);
		const who = plural(changed.length, 'student');
		if (changed.length === 0)
			return refuse(isGiven ? 'Nobody of these has finished it' : 'They have begun it again already');
		return {
			done: isGiven
				? `Given to ${who} again, with ${sayRun(run)}; the answers of before stay.`
				: `Taken back from ${who}: as it was after the run before.`,
			undo: { action: isGiven ? '?/notAgain' : '?/again', fields: { students: changed.join(',') } }
		};
	});

/** Lets students do the set anew, with what they answered kept aside, or takes that back from those who have not begun. */
const beginningAnew = (isAnew: boolean) =>
	staffAction('assign practice', againForm, async ({ staff, school, database, at, form, event }) => {
		const students = idsOf(form.students);
		const run = nextRun(form);
		const wrong = await problemOf(database, staff, school, students, run);
		if (wrong) return refuse(wrong);
		const changed = isAnew
			? await letBeginAnew(database, staff, setOf(event), students, run, at)
			: await takeAnewBack(database, staff, setOf(event), students, at);
		if (changed.length === 0)
			return refuse(isAnew ? 'Nobody of these has begun it' : 'They have begun it anew already');
		const who = plural(changed.length, 'student');
		return {
			done: isAnew
				? `${who} may begin it anew, with ${sayRun(run)}. What they answered is kept aside: it counts for nothing, here and in what the answers say.`
				: `What ${who} answered before counts again, and they are as far as they were.`,
			undo: { action: isAnew ? '?/notAnew' : '?/anew', fields: { students: changed.join(',') } }
		};
	});

/** The form actions of further runs through a set. */
export const runsActions = {
	again: givingAgain(true),
	notAgain: givingAgain(false),
	anew: beginningAnew(true),
	notAnew: beginningAnew(false)
};
