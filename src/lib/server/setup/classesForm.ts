import Type from 'typebox';
import { LONGEST_CLASS_NAME, readClassList } from '../../core/interchange/classList';
import { HIGHEST_GRADE, LONGEST_NAME, LONGEST_NUMBER, problemOf } from '../../core/interchange/studentList';
import { sayDate } from '../../core/calendar';
import { plural } from '../../core/words';
import { inOne } from '../database';
import {
	addClasses,
	changeClass,
	changeStudent,
	endClass,
	moveToClass,
	sayOf,
	setClassAdults,
	setSignInHours,
	takeBackMoves
} from '../people';
import { formCheck, id, idList, longForm, schoolDate } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { mergeClasses, takeBackMerger } from './mergeClasses';
import { refreshGrades } from './refreshGrades';
import { LONGEST_SAID, saidIn } from './said';
import { waysIn } from './ways';

const className = Type.String({ minLength: 1, maxLength: LONGEST_CLASS_NAME, pattern: '\\S' });
const grade = Type.Integer({ minimum: 0, maximum: HIGHEST_GRADE });
const addForm = formCheck(
	Type.Object({ classes: Type.String({ maxLength: 6_000 }), sections: Type.Boolean({ default: false }) })
);
const changeForm = formCheck(Type.Object({ class: id, name: className, grade }));
const endForm = formCheck(Type.Object({ class: id, on: Type.Union([schoolDate, Type.String({ maxLength: 0 })]) }));
const adultsForm = formCheck(
	Type.Object({ class: id, adults: Type.Array(id, { maxItems: 12, uniqueItems: true, default: [] }) })
);
const noText = Type.String({ maxLength: 0 });
const clock = Type.Union([Type.String({ pattern: '^([01][0-9]|2[0-3]):[0-5][0-9]$' }), noText]);
const hoursForm = formCheck(Type.Object({ class: id, from: clock, until: clock }));
const studentForm = formCheck(
	Type.Object({
		student: id,
		givenName: Type.String({ maxLength: LONGEST_NAME }),
		familyName: Type.String({ maxLength: LONGEST_NAME }),
		preferredName: Type.String({ maxLength: LONGEST_NAME, default: '' }),
		number: Type.String({ maxLength: LONGEST_NUMBER, default: '' }),
		grade,
		birthDate: Type.Union([Type.String({ format: 'date' }), noText])
	})
);
const moveForm = formCheck(Type.Object({ students: idList(200), to: Type.Union([id, noText]), on: schoolDate }));
const undoMoveForm = formCheck(Type.Object({ ways: Type.String({ maxLength: 60_000 }) }), longForm(60_000));
const mergeForm = formCheck(Type.Object({ class: id, into: id }));
const undoMergeForm = formCheck(Type.Object({ class: id, ways: Type.String({ maxLength: 60_000 }) }), longForm(60_000));

/** Characters of what a thing said of students is called, and of what is said. */
const LONGEST_SAID_NAME = 60;
const saidName = Type.String({ minLength: 1, maxLength: LONGEST_SAID_NAME, pattern: '\\S' });
const sayForm = formCheck(
	Type.Object({
		students: idList(200),
		name: saidName,
		value: Type.String({ maxLength: LONGEST_SAID, default: '' })
	})
);
const sayBackForm = formCheck(
	Type.Object({ name: saidName, said: Type.String({ maxLength: 60_000 }) }),
	longForm(60_000)
);
/** The form actions of the pages of all classes and of one. */
export const classesActions = {
	add: staffAction('set up the school', addForm, async ({ staff, database, at, form }) => {
		const read = readClassList(form.classes);
		if ('problem' in read) return refuse(read.problem);
		const made = await addClasses(database, staff, read.classes, at, form.sections ? 'section' : 'own');
		if ('taken' in made) return refuse(`There is a class ${made.taken} already`);
		return {
			done: form.sections
				? `${plural(made.ids.length, 'section')} added: choose who is in each.`
				: `${plural(made.ids.length, 'class', 'classes')} added, each with a code for its door.`
		};
	}),
	change: staffAction('set up the school', changeForm, async ({ staff, database, at, form }) => {
		const before = await changeClass(database, staff, form.class, { name: form.name.trim(), grade: form.grade }, at);
		if (!before) return refuse('There is no such class');
		if ('taken' in before) return refuse(`There is a class ${before.taken} already`);
		return {
			done: `${form.name.trim()}: kept. Its students keep their grades.`,
			undo: {
				action: '?/change',
				fields: { class: String(form.class), name: before.name, grade: String(before.grade) }
			}
		};
	}),
	end: staffAction('set up the school', endForm, async ({ staff, school, database, at, form }) => {
		const isDone = await endClass(database, staff, form.class, form.on || null, { today: school.today, at });
		if (!isDone)
			return refuse(
				form.on
					? 'Somebody is in this class, or it is not there: move its students first'
					: 'Another class has its name by now'
			);
		return form.on
			? {
					done: `The class ends on ${sayDate(form.on)}. What happened in it stays.`,
					undo: { action: '?/end', fields: { class: String(form.class), on: '' } }
				}
			: { done: 'The class goes on.' };
	}),
	adults: staffAction('set up the school', adultsForm, async ({ staff, school, database, at, form }) => {
		const before = await setClassAdults(database, staff, form.class, form.adults, { from: school.today, at });
		return {
			done: `${plural(form.adults.length, 'adult')} from today on: class teachers among them see the class.`,
			undo: { action: '?/adults', fields: { class: String(form.class), adults: before.map(String) } }
		};
	}),
	/** When its students can sign in; at any time where neither is said. */
	hours: staffAction('set up the school', hoursForm, async ({ staff, database, at, form }) => {
		const { from, until } = form;
		if ((from === '') !== (until === '')) return refuse('Say from when to when, or neither');
		if (from && from >= until) return refuse('The end lies before the beginning');
		const before = await setSignInHours(database, staff, form.class, from ? { from, until } : null, at);
		if (before === undefined) return refuse('There is no such class');
		return {
			done: from
				? `Its students sign in on school days from ${from} to ${until}. Who is signed in stays so.`
				: 'Its students sign in at any time.',
			undo: {
				action: '?/hours',
				fields: { class: String(form.class), from: before?.from ?? '', until: before?.until ?? '' }
			}
		};
	}),
	student: staffAction('set up the school', studentForm, async ({ staff, school, database, at, form }) => {
		const { student, ...fields } = form;
		const record = {
			...fields,
			givenName: fields.givenName.trim(),
			familyName: fields.familyName.trim(),
			preferredName: fields.preferredName.trim() || null,
			number: fields.number.trim() || null,
			birthDate: fields.birthDate || null
		};
		const problem = problemOf(
			{
				...record,
				preferredName: record.preferredName ?? '',
				number: record.number ?? '',
				className: '',
				homeLanguage: ''
			},
			school.today
		);
		if (problem) return refuse(problem);
		const before = await inOne(database, async (all) => {
			const was = await changeStudent(all, staff, student, record, at);
			if (was && !('takenBy' in was) && was.grade !== record.grade) await refreshGrades(all, [student]);
			return was;
		});
		if (!before) return refuse('There is no such student');
		if ('takenBy' in before) return refuse(`The number ${record.number} is ${before.takenBy}’s`);
		return {
			done: `${record.preferredName ?? record.givenName} ${record.familyName}: kept.`,
			undo: {
				action: '?/student',
				fields: {
					student: String(student),
					givenName: before.givenName,
					familyName: before.familyName,
					preferredName: before.preferredName ?? '',
					number: before.number ?? '',
					grade: String(before.grade),
					birthDate: before.birthDate ?? ''
				}
			}
		};
	}),
	/** A home language, a plan, or whatever else the school wants to see and narrow lists by; nothing takes it away. */
	say: staffAction('set up the school', sayForm, async ({ staff, database, at, form }) => {
		const [name, value] = [form.name.trim(), form.value.trim() || null];
		const before = await sayOf(
			database,
			staff,
			name,
			form.students.map((student) => ({ student, value })),
			at
		);
		if (before.length === 0) return refuse(value ? 'That is said of them already' : 'Nothing is said of them there');
		const who = plural(before.length, 'student');
		return {
			done: value ? `${name} of ${who}: ${value}.` : `${name}: no longer said of ${who}.`,
			undo: { action: '?/sayBack', fields: { name, said: JSON.stringify(before) } }
		};
	}),
	sayBack: staffAction('set up the school', sayBackForm, async ({ staff, database, at, form }) => {
		const said = saidIn(form.said);
		if (!said) return refuse('What was said before could not be read');
		const back = await sayOf(database, staff, form.name, said, at);
		return { done: `${form.name} of ${plural(back.length, 'student')}: as before.` };
	}),
	/** Into another class, or out of the school, from a day on. */
	move: staffAction('set up the school', moveForm, async ({ staff, database, at, form }) => {
		const ways = await moveToClass(database, staff, form.students, typeof form.to === 'number' ? form.to : null, {
			from: form.on,
			at
		});
		if (ways.length === 0) return refuse('They are there already, or that class has ended');
		const who = plural(ways.length, 'student');
		return {
			done: form.to
				? `${who} ${ways.length === 1 ? 'moves' : 'move'} on ${sayDate(form.on)}, with all there is of them.`
				: `${who} ${ways.length === 1 ? 'leaves' : 'leave'} on ${sayDate(form.on)}: from then on nobody signs in as them, and no list has them. What they did stays.`,
			undo: { action: '?/moveBack', fields: { ways: JSON.stringify(ways) } }
		};
	}),
	moveBack: staffAction('set up the school', undoMoveForm, async ({ staff, database, at, form }) => {
		const ways = waysIn(form.ways);
		if (!ways) return refuse('What was done could not be read');
		const back = await takeBackMoves(database, staff, ways, at);
		return back ? { done: `${plural(back, 'student')} back where they were.` } : refuse('They moved on since');
	}),
	merge: staffAction('set up the school', mergeForm, async ({ staff, school, database, at, form }) => {
		if (form.class === form.into) return refuse('Choose another class to merge it into');
		const merged = { classId: form.class, intoId: form.into };
		const ways = await mergeClasses(database, staff, merged, { today: school.today, at });
		if (!ways) return refuse('Students are planned to join this class later, or the other has ended');
		const who = plural(ways.length, 'student');
		return {
			done: `${who} ${ways.length === 1 ? 'moves' : 'move'} today, with all there is of them, and the class has ended.`,
			undo: { action: '?/mergeBack', fields: { class: String(form.class), ways: JSON.stringify(ways) } }
		};
	}),
	mergeBack: staffAction('set up the school', undoMergeForm, async ({ staff, school, database, at, form }) => {
		const ways = waysIn(form.ways);
		if (!ways) return refuse('What was done could not be read');
		const merger = { classId: form.class, ways };
		const back = await takeBackMerger(database, staff, merger, { today: school.today, at });
		return back === null
			? refuse('Another class has its name by now')
			: { done: `The class goes on, with ${plural(back, 'student')} back in it.` };
	})
};
