import Type from 'typebox';
import { plural } from '$lib/core/words';
import { screenContext } from '$lib/server/screen/screenPage';
import { sittingsBoard } from '$lib/server/screen/sittingsPage';
import { addDays, isSchoolDate, sayDate } from '$lib/core/calendar';
import {
	decideTrust,
	endSitting,
	noteStudents,
	type TrustDecision,
	type WindowNote,
	windowNotes,
	windowsToSit
} from '$lib/server/screen';
import { formCheck, oneOf, id, idsOf, idText, jsonCheck, jsonIn, longForm, may, schoolDate } from '$lib/server/request';
import { refuse, staffAction } from '$lib/server/shell/staffPage';
import { setAccommodations, visibleAmong } from '$lib/server/people';
import { domainList, skillList } from '$lib/server/library';

export async function load({ locals, url }) {
	const { school, scope, windows, window } = await screenContext(locals, url);
	const shared = { windows, today: school.today };
	if (!window) return { ...shared, window: null, board: null };
	return { ...shared, window, board: await sittingsBoard(locals.database, school, scope, window, url) };
}

const trustForm = formCheck(
	Type.Object({ sitting: id, decision: oneOf(['kept', 'set aside', 'resit', 'flagged']), domain: Type.Optional(id) })
);
const sittingForm = formCheck(Type.Object({ sitting: id }));
const noteForm = formCheck(
	Type.Object({
		window: id,
		students: idText,
		kind: oneOf(['absent', 'excused', 'make-up', 'nothing']),
		reason: Type.String({ maxLength: 200, default: '' }),
		makeUp: Type.String({ maxLength: 10, default: '' })
	})
);
const restoreForm = formCheck(
	Type.Object({ window: id, notes: Type.String({ maxLength: 400_000 }) }),
	longForm(400_000)
);
const notesCheck = jsonCheck(
	Type.Array(
		Type.Tuple([
			id,
			Type.Object(
				{
					kind: oneOf(['absent', 'excused', null]),
					reason: Type.String({ maxLength: 200 }),
					makeUpUntil: Type.Union([schoolDate, Type.Null()])
				},
				{ additionalProperties: false }
			)
		]),
		{ minItems: 1, maxItems: 2_000 }
	)
);

const accommodationForm = formCheck(
	Type.Object({
		students: idText,
		readAloud: oneOf(['on', ''], { default: '' }),
		largerType: oneOf(['on', ''], { default: '' }),
		timeFactor: oneOf([1, 1.5, 2], { type: 'number' }),
		itemsADay: oneOf(['', '5', '10', '15', '20'], { default: '' })
	})
);

const said: Record<TrustDecision, string> = {
	kept: 'The sitting is kept: its scores and answers count from now on.',
	'set aside': 'The sitting is set aside. It feeds nothing; the student can sit again while the window is open.',
	resit: 'The domain is to be sat again. Until then nothing of the sitting counts.',
	flagged: 'Taken back: the sitting waits for another look.'
};
const counted = (count: number) => `${plural(count, 'student')}`;
const FAR_MAKE_UP = 60;
const NOTHING_NOTED: WindowNote = { kind: null, reason: '', makeUpUntil: null };
const ONLY_SPECIALIST = 'Only a specialist or coordinator excuses students or lets them make up';

export const actions = {
	trust: staffAction('run screening', trustForm, async ({ staff, school, database, at, form }) => {
		const { sitting, decision, domain } = form;
		if (decision === 'resit' && !(await domainList(database, school.id)).some((one) => one.id === domain))
			return refuse('Say which domain is to be sat again');
		const decided = await decideTrust(
			database,
			staff,
			{ sittingId: sitting, decision, domainId: domain },
			await skillList(database, school.id),
			school,
			at
		);
		if (!decided) return refuse('This sitting is not waiting for a decision any more');
		const undo =
			decision === 'flagged'
				? undefined
				: { action: '?/trust', fields: { sitting: String(sitting), decision: 'flagged' } };
		const again = decision === 'set aside' || decision === 'resit';
		const open = again ? await windowsToSit(database, decided.studentId, school.today) : [];
		const isOpen = open.some(({ id: one }) => one === decided.windowId);
		const hint = again && !isOpen ? ' The window is not open for the student: let the student make up.' : '';
		return { done: said[decision] + hint, undo };
	}),
	end: staffAction('run screening', sittingForm, async ({ staff, school, database, at, form }) => {
		const ended = await endSitting(database, staff, form.sitting, await skillList(database, school.id), school, at);
		if (!ended) return refuse('This sitting is not under way any more');
		return { done: 'The sitting has ended and is scored with what was answered.' };
	}),
	note: staffAction('note absences', noteForm, async ({ staff, school, database, at, form }) => {
		const { window, kind, makeUp } = form;
		const students = idsOf(form.students);
		const reason = form.reason.trim();
		const seen = await visibleAmong(database, staff, students, school.today);
		if (seen.length !== students.length) return refuse('Some of these students are not yours to see');
		if ((kind === 'excused' || kind === 'make-up') && !may(staff.role, 'run screening')) return refuse(ONLY_SPECIALIST);
		if (kind === 'excused' && !reason) return refuse('Say why they are excused');
		if (kind === 'make-up') {
			if (!isSchoolDate(makeUp) || makeUp < school.today) return refuse('Say until which day, today or later');
			if (makeUp > addDays(school.today, FAR_MAKE_UP)) return refuse('A make-up lies at most 60 days ahead');
		}
		const noted = await windowNotes(
			database,
			window,
			seen.map((student) => student.id)
		);
		/** A note says one thing and keeps the others: an absent student can still make up. */
		const note = (before: WindowNote): WindowNote =>
			({
				absent: { ...before, kind: 'absent' as const, reason },
				excused: { ...NOTHING_NOTED, kind: 'excused' as const, reason },
				'make-up': { ...(before.kind === 'excused' ? NOTHING_NOTED : before), makeUpUntil: makeUp },
				nothing: NOTHING_NOTED
			})[kind];
		const notes = new Map(seen.map(({ id: one }) => [one, note(noted.get(one) ?? NOTHING_NOTED)]));
		const before = await noteStudents(database, staff, window, notes, at);
		if (before === null) return refuse('There is no such window');
		if (before === 'not yours') return refuse(ONLY_SPECIALIST);
		const who = counted(students.length);
		const done = {
			absent: `${who} noted as absent. They can still sit while the window is open.`,
			excused: `${who} excused: ${reason}. The window does not ask them any more.`,
			'make-up': `${who} can sit until ${makeUp && sayDate(makeUp)}, also after the window has closed.`,
			nothing: `What was noted of ${who} is taken away.`
		}[kind];
		const earlier = students.map((one) => [one, before.get(one) ?? NOTHING_NOTED]);
		return {
			done,
			undo: { action: '?/restoreNotes', fields: { window: String(window), notes: JSON.stringify(earlier) } }
		};
	}),
	restoreNotes: staffAction('note absences', restoreForm, async ({ staff, school, database, at, form }) => {
		const earlier = notesCheck(jsonIn(form.notes));
		if ('problem' in earlier) return refuse('What was noted before could not be read');
		const wanted = new Map(earlier.value);
		const seen = await visibleAmong(database, staff, [...wanted.keys()], school.today);
		const notes = new Map(seen.map(({ id: one }) => [one, wanted.get(one)!]));
		if (seen.length !== wanted.size) return refuse('Some of these students are not yours to see');
		const before = await noteStudents(database, staff, form.window, notes, at);
		if (before === null) return refuse('There is no such window');
		if (before === 'not yours') return refuse(ONLY_SPECIALIST);
		return { done: `Taken back for ${counted(notes.size)}.` };
	}),
	accommodate: staffAction('run screening', accommodationForm, async ({ staff, school, database, at, form }) => {
		const { readAloud, largerType, timeFactor, itemsADay } = form;
		const students = idsOf(form.students);
		const seen = await visibleAmong(database, staff, students, school.today);
		if (seen.length !== students.length) return refuse('Some of these students are not yours to see');
		const accommodation = {
			readAloud: readAloud === 'on',
			largerType: largerType === 'on',
			timeFactor,
			itemsADay: itemsADay ? Number(itemsADay) : null
		};
		await setAccommodations(database, staff, students, accommodation, at);
		return { done: `Accommodations are set for ${counted(students.length)}, from their next question on.` };
	})
};
