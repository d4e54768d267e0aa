import Type from 'typebox';
import { MOST_FILE_BYTES } from '../../core/practice';
import { plural } from '../../core/words';
import { currentGroups } from '../groups';
import { seesAll } from '../people';
import { fileForm, formCheck, id, idOf, idsOf, idText } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { makeMaterial, MATERIAL_FIELDS } from './makeMaterial';
import { giveMaterial, markTask, takeMaterial } from './store/given';

const giveForm = formCheck(
	Type.Object({ ...MATERIAL_FIELDS, students: idText, group: Type.Optional(id) }),
	fileForm(MOST_FILE_BYTES)
);
/** Of what is given already: named in the form, or by the address of its page. */
const studentsForm = formCheck(Type.Object({ students: idText, material: Type.Optional(id) }));

const UNSEEN = 'Some of these students are not yours to see';

/** An action for some students with something they were given, undone by another with the same students. */
const forStudents = (
	act: (...asked: Parameters<typeof takeMaterial>) => Promise<number[]>,
	undoneBy: string,
	say: (who: string) => string
) =>
	staffAction('assign practice', studentsForm, async ({ staff, school, database, at, form, event }) => {
		const materialId = form.material ?? idOf(event.params.material) ?? 0;
		const students = idsOf(form.students);
		if (!(await seesAll(database, staff, students, school.today))) return refuse(UNSEEN);
		const changed = await act(database, staff, materialId, students, at);
		if (changed.length === 0) return refuse('It is so already, or is not yours to change');
		return {
			done: say(plural(changed.length, 'student')),
			undo: { action: undoneBy, fields: { students: changed.join(','), material: String(materialId) } }
		};
	});

/** The form actions of the pages of what students were given. */
export const givenActions = {
	give: staffAction('assign practice', giveForm, async ({ staff, school, database, at, form, file }) => {
		const students = idsOf(form.students);
		if (!(await seesAll(database, staff, students, school.today))) return refuse(UNSEEN);
		const groups = form.group === undefined ? [] : await currentGroups(database, staff, school.today);
		const groupId = groups.find((group) => group.id === form.group)?.id ?? null;
		const made = await makeMaterial(database, staff, form, file, at);
		if ('problem' in made) return refuse(made.problem);
		const given = await giveMaterial(database, staff, made.id, { studentIds: students, groupId }, at);
		return {
			done: `“${form.title.trim()}” given to ${plural(given.length, 'student')}.`,
			undo: { action: '?/take', fields: { students: given.join(','), material: String(made.id) } }
		};
	}),
	take: forStudents(takeMaterial, '?/giveBack', (who) => `Taken back from ${who}.`),
	giveBack: forStudents(
		(database, staff, materialId, studentIds, at) =>
			giveMaterial(database, staff, materialId, { studentIds, groupId: null }, at),
		'?/take',
		(who) => `On the page of ${who} again.`
	),
	done: forStudents(
		(database, staff, materialId, students, at) => markTask(database, staff, materialId, students, true, at),
		'?/notDone',
		(who) => `Done with ${who}.`
	),
	notDone: forStudents(
		(database, staff, materialId, students, at) => markTask(database, staff, materialId, students, false, at),
		'?/done',
		(who) => `Still to do with ${who}.`
	)
};
