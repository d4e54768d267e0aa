import Type from 'typebox';
import {
	cellsOfText,
	HIGHEST_GRADE,
	HOME_LANGUAGE,
	LIST_COLUMNS,
	problemOf,
	proposeLayout,
	readStudentList,
	withRepeats
} from '../../core/interchange/studentList';
import { planStudents, type StudentPlan } from '../../core/interchange/studentPlan';
import { sayDate } from '../../core/calendar';
import { plural } from '../../core/words';
import { inOne, type RootDatabase } from '../database';
import {
	addClasses,
	addStudents,
	classesInSetup,
	enrolledLike,
	moveToClass,
	sayOf,
	takeBackMoves,
	takeBackStudents,
	type Way
} from '../people';
import {
	fileForm,
	formCheck,
	idsOf,
	idText,
	jsonCheck,
	jsonIn,
	longForm,
	oneOf,
	readFile,
	type Staff
} from '../request';
import { schoolProfile, type School } from '../school';
import { refuse, staffAction } from '../shell/staffPage';
import { markStale } from '../standing';
import { saidIn } from './said';
import { keepLayout, keptLayout } from './store/listLayouts';
import { waysIn } from './ways';

/** Students in one list; a school of more brings in a file from its roster. */
export const MOST_LISTED = 2_000;
/** Characters of pasted text, and bytes of a file. */
const LONGEST_LIST = 400_000;
const noText = Type.String({ maxLength: 0 });

const readForm = formCheck(
	Type.Object({
		text: Type.String({ maxLength: LONGEST_LIST, default: '' }),
		/** The class that students of the list come into, where the list names none. */
		into: Type.String({ maxLength: 60, default: '' }),
		/** How a person says that the list is laid out, once it was shown. */
		columns: Type.Optional(Type.Array(oneOf(LIST_COLUMNS), { maxItems: 60 })),
		hasHeader: Type.Optional(oneOf(['yes', 'no'])),
		familyFirst: Type.Optional(oneOf(['yes', 'no']))
	}),
	fileForm(LONGEST_LIST)
);

const name = Type.String({ maxLength: 120 });
const correctedCheck = jsonCheck(
	Type.Array(
		Type.Object(
			{
				givenName: name,
				familyName: name,
				preferredName: name,
				number: name,
				grade: Type.Union([Type.Integer({ minimum: 0, maximum: HIGHEST_GRADE }), Type.Null()]),
				birthDate: Type.Union([Type.String({ format: 'date' }), Type.Null()]),
				className: Type.String({ maxLength: 60 }),
				homeLanguage: name
			},
			{ additionalProperties: false }
		),
		{ minItems: 1, maxItems: MOST_LISTED }
	)
);
/** Characters of the rows as they come back, corrected. */
const LONGEST_ROWS = 700_000;
const addForm = formCheck(
	Type.Object({ rows: Type.String({ maxLength: LONGEST_ROWS }), into: Type.String({ maxLength: 60, default: '' }) }),
	longForm(LONGEST_ROWS)
);
const undoForm = formCheck(
	Type.Object({
		students: Type.Union([idText, noText]),
		ways: Type.String({ maxLength: LONGEST_LIST, default: '[]' }),
		/** What was said of students who were here before. */
		said: Type.String({ maxLength: LONGEST_LIST, default: '[]' })
	}),
	longForm(LONGEST_LIST)
);
/** What a list would do to the school as it is today. */
async function planFor(
	{ database, staff, school }: { database: RootDatabase; staff: Staff; school: School },
	listed: Parameters<typeof planStudents>[0],
	into: string
): Promise<StudentPlan> {
	const [profile, classes, known] = await Promise.all([
		schoolProfile(database, school.id),
		classesInSetup(database, staff, school.today),
		enrolledLike(
			database,
			staff,
			{
				numbers: listed.map(({ number }) => number).filter(Boolean),
				familyNames: listed.map(({ familyName }) => familyName).filter(Boolean)
			},
			school.today
		)
	]);
	return planStudents(listed, {
		classes: classes.filter(({ endedOn }) => endedOn === null || endedOn > school.today),
		known: known.map((one) => ({
			...one,
			classId: one.untilOn === null || one.untilOn > school.today ? one.classId : null
		})),
		into: into.trim() || null,
		grades: { first: profile.firstGrade, last: profile.lastGrade }
	});
}

/** The form actions by which a list of students comes into the school: read, corrected, added, taken back. */
export const addStudentsActions = {
	read: staffAction('set up the school', readForm, async ({ staff, school, database, at, form, file }) => {
		let cells: string[][];
		if (file) {
			const read = await readFile('table', { content: await file.bytes() });
			if ('problem' in read) return refuse(read.problem);
			cells = read.found;
		} else cells = cellsOfText(form.text);
		if (cells.length === 0) return refuse('Paste a list, or choose a file');
		if (cells.length > MOST_LISTED)
			return refuse(`The list has ${cells.length} lines; bring in at most ${MOST_LISTED} at once`);
		const kept = await keptLayout(database, staff, cells[0]);
		const proposed = kept ?? proposeLayout(cells);
		const layout = {
			hasHeader: form.hasHeader ? form.hasHeader === 'yes' : proposed.hasHeader,
			columns: form.columns?.length === proposed.columns.length ? form.columns : proposed.columns,
			isFamilyFirst: form.familyFirst ? form.familyFirst === 'yes' : proposed.isFamilyFirst
		};
		// Headings stay as they are from list to list; names do not.
		if (form.columns && layout.hasHeader) await keepLayout(database, staff, cells[0], layout, at);
		const listed = readStudentList(cells, layout, school.today);
		if (listed.length === 0) return refuse('There is nobody below the line that names the columns');
		return {
			step: 'check' as const,
			// What was pasted, or what the file held, so that it can be read in another way.
			text: file ? cells.map((row) => row.join('\t')).join('\n') : form.text,
			into: form.into,
			layout,
			/** Whether a list like it was read in this way before. */
			isKnown: kept !== null && !form.columns,
			sample: cells[layout.hasHeader ? 1 : 0] ?? [],
			plan: await planFor({ database, staff, school }, listed, form.into)
		};
	}),
	add: staffAction('set up the school', addForm, async ({ staff, school, database, at, form }) => {
		const rows = correctedCheck(jsonIn(form.rows));
		if ('problem' in rows) return refuse('The list could not be read as it was corrected');
		const listed = withRepeats(rows.value.map((row) => ({ ...row, problem: problemOf(row, school.today) })));
		const plan = await planFor({ database, staff, school }, listed, form.into);
		const taken = plan.students.filter(({ effect }) => effect === 'new' || effect === 'moves' || effect === 'returns');
		const saysMore = plan.students.filter(({ effect, homeLanguage }) => effect === 'here' && homeLanguage);
		if (taken.length + saysMore.length === 0) return refuse('Nobody of the list is new, moves or returns');
		const { today } = school;
		const outcome = await inOne(database, async (all) => {
			const made = await addClasses(all, staff, plan.newClasses, at);
			if ('taken' in made) return made;
			const idOf = new Map(plan.newClasses.map((one, i) => [one.name.toLowerCase(), made.ids[i]]));
			const classOf = (student: (typeof taken)[number]) =>
				student.classId ?? idOf.get(student.className.toLowerCase())!;
			const fresh = taken.filter(({ effect }) => effect === 'new');
			const added = await addStudents(
				all,
				staff,
				fresh.map((student) => ({
					givenName: student.givenName,
					familyName: student.familyName,
					preferredName: student.preferredName || null,
					number: student.number || null,
					grade: student.grade!,
					birthDate: student.birthDate,
					classId: classOf(student)
				})),
				{ from: today, at }
			);
			await markStale(all, added, { reachesBack: false });
			const ways: Way[] = [];
			for (const student of taken.filter(({ effect }) => effect !== 'new'))
				ways.push(...(await moveToClass(all, staff, [student.studentId!], classOf(student), { from: today, at })));
			const newIds = new Map(fresh.map((student, i) => [student, added[i]]));
			const said = [...taken, ...saysMore].flatMap((student) =>
				student.homeLanguage
					? [{ student: student.studentId ?? newIds.get(student)!, value: student.homeLanguage }]
					: []
			);
			return { added, ways, before: await sayOf(all, staff, HOME_LANGUAGE, said, at) };
		});
		if ('taken' in outcome) return refuse(`There is a class ${outcome.taken} already; load the page again`);
		const { added, ways, before } = outcome;
		const count = (effect: string) => plan.students.filter((student) => student.effect === effect).length;
		const said = [
			`${plural(added.length, 'student')} added`,
			...(ways.length ? [`${ways.length} moved or back`] : []),
			...(before.length ? [`home language of ${before.length} noted`] : []),
			...(count('here') ? [`${count('here')} were here already`] : []),
			...(count('bad') ? [`${count('bad')} left out`] : [])
		];
		return {
			step: 'added' as const,
			classes: [...new Set(taken.map(({ className }) => className))],
			done: `${said.join(', ')}, from ${sayDate(today)} on.`,
			undo: {
				action: '?/takeBack',
				fields: {
					students: added.join(','),
					ways: JSON.stringify(ways),
					said: JSON.stringify(before.filter(({ student }) => !added.includes(student)))
				}
			}
		};
	}),
	takeBack: staffAction('set up the school', undoForm, async ({ staff, database, at, form }) => {
		const ways = waysIn(form.ways);
		if (!ways) return refuse('What was done could not be read');
		const students = form.students ? idsOf(form.students) : [];
		const said = saidIn(form.said);
		if (!said) return refuse('What was said before could not be read');
		const { gone, back, unsaid } = await inOne(database, async (all) => ({
			gone: students.length ? await takeBackStudents(all, staff, students, at) : [],
			back: ways.length ? await takeBackMoves(all, staff, ways, at) : 0,
			unsaid: (await sayOf(all, staff, HOME_LANGUAGE, said, at)).length
		}));
		const stay = students.length - gone.length;
		return {
			done: `${plural(gone.length, 'student')} taken back${back ? `, ${back} where they were` : ''}${unsaid ? `, home language of ${unsaid} as before` : ''}${stay ? `; ${stay} stay, as something has come of them already` : ''}.`
		};
	})
};
