import Type from 'typebox';
import { plural } from '../../core/words';
import { inOne } from '../database';
import { setResponsible, staffList, visibleAmong } from '../people';
import { formCheck, id, idList, type VisibleId } from '../request';
import { refuse, staffAction } from '../shell/staffPage';

const noText = Type.String({ maxLength: 0 });
const responsibleForm = formCheck(Type.Object({ students: idList(500), account: Type.Union([id, noText]) }));
/** Who was responsible before, each with their students: `12:4,7;13:9`; 0 for nobody. */
const BEFORE = '^[0-9]{1,10}:[0-9]{1,10}(,[0-9]{1,10}){0,499}(;[0-9]{1,10}:[0-9]{1,10}(,[0-9]{1,10}){0,499}){0,60}$';
const undoForm = formCheck(Type.Object({ before: Type.String({ pattern: BEFORE }) }));

export const caseloadActions = {
	set: staffAction('form groups', responsibleForm, async ({ staff, school, database, at, form }) => {
		const students = await visibleAmong(database, staff, form.students, school.today);
		if (students.length !== form.students.length) return refuse('Some of these students are not yours to see');
		const account = typeof form.account === 'number' ? form.account : null;
		const people = await staffList(database, school.id, ['specialist', 'interventionist']);
		const person = people.find((one) => one.id === account);
		if (account !== null && !person) return refuse('Choose a specialist or interventionist');
		const ids = students.map((student) => student.id);
		const before = await setResponsible(database, staff, ids, account, { from: school.today, at });
		const byPerson = new Map<number, number[]>();
		for (const [student, who] of before) byPerson.set(who ?? 0, [...(byPerson.get(who ?? 0) ?? []), student]);
		return {
			done: `${person ? `${person.displayName} is` : 'Nobody is'} responsible for ${plural(ids.length, 'student')} from today on.`,
			undo: {
				action: '?/undo',
				fields: { before: [...byPerson].map(([who, own]) => `${who}:${own.join(',')}`).join(';') }
			}
		};
	}),
	undo: staffAction('form groups', undoForm, async ({ staff, school, database, at, form }) => {
		const parts = form.before.split(';').map((part) => {
			const [who, own] = part.split(':');
			return { who: Number(who) || null, ids: own.split(',').map(Number) };
		});
		const all = parts.flatMap(({ ids }) => ids);
		const seen = new Map<number, VisibleId>(
			(await visibleAmong(database, staff, all, school.today)).map((student) => [student.id, student.id])
		);
		await inOne(database, async (one) => {
			for (const { who, ids } of parts) {
				const own = ids.flatMap((student) => seen.get(student) ?? []);
				if (own.length) await setResponsible(one, staff, own, who, { from: school.today, at });
			}
		});
		return { done: `As it was before for ${plural(seen.size, 'student')}.` };
	})
};
