import Type from 'typebox';
import { SCREENING_MODES } from '$lib/core/screening';
import { plural } from '$lib/core/words';
import { screenContext } from '$lib/server/screen/screenPage';
import { addDays, sayDate } from '$lib/core/calendar';
import { FLUENCY_MEASURES } from '$lib/core/fluency';
import { refuse, staffAction } from '$lib/server/shell/staffPage';
import { skillList, subjectList } from '$lib/server/library';
import { classList } from '$lib/server/people';
import { schoolYears } from '$lib/server/school';
import { addWindow, moveWindow, windowCounts, withdrawWindow } from '$lib/server/screen';
import { formCheck, oneOf, id, idList, schoolDate } from '$lib/server/request';

export async function load({ locals, url }) {
	const { school, windows, window } = await screenContext(locals, url);
	const { database } = locals;
	const [counts, classes, subjects, skills, years] = await Promise.all([
		windowCounts(database, school.id, school.today),
		classList(database, school.id),
		subjectList(database, school.id),
		skillList(database, school.id),
		schoolYears(database, school.id)
	]);
	const grades = new Set(skills.map(({ grade }) => grade));
	return {
		today: school.today,
		window,
		windows: windows.map((one) => ({ ...one, ...counts.get(one.id)! })),
		/** Those of a grade without skills are not screened. */
		classes: classes.filter(({ grade }) => grades.has(grade)),
		subjects,
		modes: SCREENING_MODES,
		years
	};
}

const windowForm = formCheck(
	Type.Object({
		name: Type.String({ minLength: 1, maxLength: 80 }),
		subject: Type.String({ minLength: 1, maxLength: 60 }),
		mode: oneOf(SCREENING_MODES),
		measure: oneOf(['', ...FLUENCY_MEASURES], { default: '' }),
		term: Type.Integer({ minimum: 1, maximum: 3 }),
		opensOn: schoolDate,
		closesOn: schoolDate,
		classes: idList(500)
	})
);
const moveForm = formCheck(Type.Object({ window: id, opensOn: schoolDate, closesOn: schoolDate }));
const withdrawForm = formCheck(Type.Object({ window: id }));

/** What is wrong with a window's days; null when nothing is. */
function wrongDays({ opensOn, closesOn }: { opensOn: string; closesOn: string }, today: string): string | null {
	if (closesOn < opensOn) return 'The window closes before it opens';
	if (closesOn > addDays(today, 400)) return 'The window lies more than a year ahead';
	return null;
}

export const actions = {
	plan: staffAction('run screening', windowForm, async ({ staff, school, database, at, form }) => {
		const { name, mode, opensOn, closesOn, classes } = form;
		const measure = mode === 'teacher-given' ? form.measure || null : null;
		if (mode === 'teacher-given' && !measure) return refuse('Say which measure is given');
		const wrong = wrongDays(form, school.today);
		if (wrong) return refuse(wrong);
		const added = await addWindow(database, staff, { ...form, measure, classIds: classes }, at);
		if (added === null) return refuse('None of these classes is of your school');
		return {
			done: `${name} is planned for ${plural(classes.length, 'class', 'classes')}: ${sayDate(opensOn)} to ${sayDate(closesOn)}.`,
			undo: { action: '?/withdraw', fields: { window: String(added) } }
		};
	}),
	move: staffAction('run screening', moveForm, async ({ staff, school, database, at, form }) => {
		const { window, opensOn, closesOn } = form;
		const wrong = wrongDays(form, school.today);
		if (wrong) return refuse(wrong);
		const before = await moveWindow(database, staff, window, { opensOn, closesOn }, at);
		if (!before) return refuse('There is no such window');
		return {
			done: `The window is open from ${sayDate(opensOn)} through ${sayDate(closesOn)}.`,
			undo: { action: '?/move', fields: { window: String(window), ...before } }
		};
	}),
	withdraw: staffAction('run screening', withdrawForm, async ({ staff, database, at, form }) => {
		if (!(await withdrawWindow(database, staff, form.window, at)))
			return refuse('Students have sat in this window, or it is gone already; close it instead');
		return { done: 'The window is taken away. No student sees it.' };
	})
};
