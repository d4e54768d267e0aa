import Type from 'typebox';
import { addDays, sayDate } from '../../core/calendar';
import { plural } from '../../core/words';
import { visibleAmong } from '../people';
import { formCheck, id, idOf, idsOf, idText, jsonCheck, jsonIn, longForm, schoolDate, type Staff } from '../request';
import type { School } from '../school';
import type { RootDatabase } from '../database';
import { refuse, staffAction } from '../shell/staffPage';
import { changeDates, excuseFrom, findSet, setDue } from './store/oneSet';

/** Students whose due dates can be taken back at once. */
const MOST = 1_000;
/** A due date lies so many days ahead at most. */
const FURTHEST = 120;
const datesForm = formCheck(Type.Object({ opensOn: schoolDate, dueOn: schoolDate }));
const dueForm = formCheck(Type.Object({ students: idText, dueOn: schoolDate }));
const someForm = formCheck(Type.Object({ students: idText }));
const duesForm = formCheck(Type.Object({ dues: Type.String({ maxLength: 60_000 }) }), longForm(60_000));
const duesCheck = jsonCheck(
	Type.Array(Type.Object({ student: id, dueOn: Type.Union([Type.String({ format: 'date' }), Type.Null()]) }), {
		maxItems: MOST
	})
);

const setOf = ({ params }: { params: Partial<Record<string, string>> }) => idOf(params.set) ?? 0;
const GONE = 'This set was taken back, or is not yours to change';

const UNSEEN = 'Some of these students are not yours to see';

/** Whether a staff member may see all of some students. */
async function seesAll(database: RootDatabase, staff: Staff, school: School, ids: number[]): Promise<boolean> {
	return (await visibleAmong(database, staff, ids, school.today)).length === new Set(ids).size;
}

/** Excuses students, or gives them the set again; the one undoes the other. */
const excusing = (isExcused: boolean) =>
	staffAction('assign practice', someForm, async ({ staff, school, database, at, form, event }) => {
		const students = idsOf(form.students);
		if (!(await seesAll(database, staff, school, students))) return refuse(UNSEEN);
		const changed = await excuseFrom(database, staff, setOf(event), students, isExcused, at);
		if (changed.length === 0) return refuse('It is so already, or the set was taken back');
		return {
			done: isExcused
				? `${plural(changed.length, 'student')} excused: the set is off their pages, and what they answered stays.`
				: `${plural(changed.length, 'student has', 'students have')} it on their pages again.`,
			undo: { action: isExcused ? '?/giveAgain' : '?/excuse', fields: { students: changed.join(',') } }
		};
	});

/** The form actions of the page of one set. */
export const setActions = {
	dates: staffAction('assign practice', datesForm, async ({ staff, school, database, at, form, event }) => {
		const { opensOn, dueOn } = form;
		if (dueOn < opensOn) return refuse('The set is due before it opens');
		if (dueOn > addDays(school.today, FURTHEST)) return refuse('The due date lies more than four months ahead');
		const before = await changeDates(database, staff, setOf(event), form, at);
		if (!before) return refuse(GONE);
		return {
			done: `Opens ${sayDate(opensOn)}, due ${sayDate(dueOn)}.`,
			undo: { action: '?/dates', fields: { ...before } }
		};
	}),
	/** For some: until another day than the others. */
	due: staffAction('assign practice', dueForm, async ({ staff, school, database, at, form, event }) => {
		const { dueOn } = form;
		const students = idsOf(form.students);
		const set = await findSet(database, staff, setOf(event));
		if (!set || set.isWithdrawn) return refuse(GONE);
		if (dueOn < set.opensOn) return refuse('The set is due before it opens');
		if (dueOn > addDays(school.today, FURTHEST)) return refuse('The due date lies more than four months ahead');
		if (!(await seesAll(database, staff, school, students))) return refuse(UNSEEN);
		const own = dueOn === set.dueOn ? null : dueOn;
		const before = await setDue(
			database,
			staff,
			set.id,
			students.map((student) => ({ student, dueOn: own })),
			at
		);
		if (before.length === 0) return refuse('It is due then already');
		return {
			done: `Due ${sayDate(dueOn)} for ${plural(before.length, 'student')}.`,
			undo: { action: '?/dueBack', fields: { dues: JSON.stringify(before) } }
		};
	}),
	dueBack: staffAction('assign practice', duesForm, async ({ staff, school, database, at, form, event }) => {
		const dues = duesCheck(jsonIn(form.dues));
		if ('problem' in dues) return refuse('What was due before could not be read');
		const ids = dues.value.map(({ student }) => student);
		if (!(await seesAll(database, staff, school, ids))) return refuse(UNSEEN);
		const back = await setDue(database, staff, setOf(event), dues.value, at);
		return { done: `Due as before for ${plural(back.length, 'student')}.` };
	}),
	excuse: excusing(true),
	giveAgain: excusing(false)
};
