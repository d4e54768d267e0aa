import Type from 'typebox';
import { addDays, sayDate } from '../../core/calendar';
import { FAMILY_LANGUAGES, type FamilyLanguage } from '../../core/sheets';
import type { RootDatabase } from '../database';
import { studentIn, type RosterStudent } from '../people';
import { formCheck, id, idOf, oneOf, schoolDate, type Staff } from '../request';
import type { School } from '../school';
import { findScope } from '../shell';
import { refuse, staffAction } from '../shell/staffPage';
import { ANSWERS, answerLetter, noteLetter, takeBackLetter, WAYS, writeWords } from './store/sheets';
import { PARTS } from './studentSheet';

const LANGUAGES = Object.keys(FAMILY_LANGUAGES) as FamilyLanguage[];
const language = oneOf(LANGUAGES);
const wordsForm = formCheck(
	Type.Object({
		sheet: oneOf(['plan', 'family']),
		language,
		part: Type.String({ minLength: 1, maxLength: 20 }),
		/** Empty puts back what is drawn up. */
		words: Type.String({ maxLength: 2_000 })
	})
);
const letterForm = formCheck(
	Type.Object({ language, way: oneOf([...WAYS]), sentOn: schoolDate, asksConsent: Type.Optional(oneOf(['yes'])) })
);
const answerForm = formCheck(Type.Object({ letter: id, answer: oneOf([...ANSWERS, 'none']) }));
const goneForm = formCheck(Type.Object({ letter: id }));

/** The student whose sheet the address is of, where the staff member may see them; null otherwise. */
async function studentOf(
	{ staff, school, database }: { staff: Staff; school: School; database: RootDatabase },
	params: Partial<Record<string, string>>
): Promise<RosterStudent | null> {
	const scope = await findScope(database, staff, 'school', school.today);
	const studentId = idOf(params.student);
	return scope && studentId !== null ? studentIn(database, scope.roster, studentId) : null;
}

const GONE = 'There is no such student for you';

/** The form action that puts own words in place of a part of a sheet. */
export const wordsAction = staffAction('write notes', wordsForm, async ({ form, event, at, ...who }) => {
	const student = await studentOf(who, event.params);
	if (!student) return refuse(GONE);
	const { sheet, part } = form;
	if (!PARTS[sheet].includes(part)) return refuse('The sheet has no such part');
	const which = { sheet, part, language: form.language };
	const words = form.words.replaceAll('\r', '').trim();
	const before = await writeWords(who.database, who.staff, student.id, which, words || null, at);
	return {
		done: words ? 'Your words stand on the sheet.' : 'What is drawn up stands on the sheet again.',
		undo: { action: '?/words', fields: { ...which, words: before ?? '' } }
	};
});

/** The form action that notes that the family was sent something. */
export const letterAction = staffAction('write notes', letterForm, async ({ form, event, at, ...who }) => {
	const student = await studentOf(who, event.params);
	if (!student) return refuse(GONE);
	const { sentOn, way } = form;
	if (sentOn > who.school.today || sentOn < addDays(who.school.today, -365))
		return refuse('It was sent today, or within the last year');
	const letter = await noteLetter(
		who.database,
		who.staff,
		{ studentId: student.id, language: form.language, way, sentOn, asksConsent: form.asksConsent === 'yes' },
		at
	);
	return {
		done: `Noted: ${sayDate(sentOn)}, ${FAMILY_LANGUAGES[form.language].name}.`,
		undo: { action: '?/takeBackLetter', fields: { letter: String(letter) } }
	};
});

/** The form action that notes how the family answered. */
export const answerAction = staffAction('write notes', answerForm, async ({ form, event, at, ...who }) => {
	const student = await studentOf(who, event.params);
	if (!student) return refuse(GONE);
	const answered = form.answer === 'none' ? null : { on: who.school.today, answer: form.answer };
	const noted = await answerLetter(who.database, who.staff, { id: form.letter, studentId: student.id }, answered, at);
	if (!noted) return refuse('There is no such letter');
	return answered
		? {
				done: `Noted: the family ${{ read: 'has read it', agrees: 'agrees', declines: 'does not agree' }[answered.answer]}.`,
				undo: { action: '?/answer', fields: { letter: String(form.letter), answer: 'none' } }
			}
		: { done: 'Not answered yet.' };
});

const gone = (isGone: boolean) =>
	staffAction('write notes', goneForm, async ({ form, event, at, ...who }) => {
		const student = await studentOf(who, event.params);
		if (!student) return refuse(GONE);
		const letter = { id: form.letter, studentId: student.id };
		if (!(await takeBackLetter(who.database, who.staff, letter, isGone, at))) return refuse('There is no such letter');
		return isGone
			? { done: 'Taken back.', undo: { action: '?/putBackLetter', fields: { letter: String(form.letter) } } }
			: { done: 'It is there again.' };
	});
/** The form actions that take the note of a letter back, and put it there again. */
export const takeBackLetterAction = gone(true);
export const putBackLetterAction = gone(false);
