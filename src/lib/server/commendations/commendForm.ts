import Type from 'typebox';
import { sayToStudent } from '../../core/commendations';
import { fullName } from '../../core/words';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import { formCheck, id, oneOf } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { proposalsFor } from './proposals';
import { commendedStudent, giveCommendation, takeBackCommendation } from './store/commendations';

const giveForm = formCheck(
	Type.Object({
		student: id,
		is: oneOf(['active minutes', 'in a row', 'secure', 'risen']),
		about: Type.Integer({ minimum: 0, maximum: 4_294_967_295 }),
		sentence: Type.String({ minLength: 1, maxLength: 300, pattern: '\\S' })
	})
);
const takeBackForm = formCheck(Type.Object({ commendation: id }));

/** The form action that gives a student a proposed commendation, in the adult's own words. */
export const giveAction = staffAction(
	'write notes',
	giveForm,
	async ({ staff, school, database, at, form }) => {
		const [student] = await visibleAmong(database, staff, [form.student], school.today);
		if (!student) return refuse('This student is not yours to see');
		const [{ proposals }] = await proposalsFor(database, school, [student], at);
		const reason = proposals.find((one) => one.is === form.is && (one.is !== 'risen' || one.skillId === form.about));
		if (!reason) return refuse('This is not proposed any more, or was given already');
		const names = new Map((await skillList(database, school.id)).map((skill) => [skill.id, skill.shortName]));
		const given = await giveCommendation(
			database,
			staff,
			{
				...{ studentId: student.id, kind: reason.kind, reason, sentence: form.sentence.trim() },
				said: sayToStudent(reason, (skill) => names.get(skill) ?? '').slice(0, 500)
			},
			at
		);
		return {
			done: `Given to ${fullName(student)}: it stands on their page for two weeks, and can be printed as a card.`,
			undo: { action: '?/takeBack', fields: { commendation: String(given) } }
		};
	},
	'Write a sentence of your own, of 300 characters at most'
);

/** The form action that takes a commendation back. */
export const takeBackAction = staffAction(
	'write notes',
	takeBackForm,
	async ({ staff, school, database, at, form }) => {
		const student = await commendedStudent(database, staff, form.commendation);
		if (student === null || !(await visibleAmong(database, staff, [student], school.today)).length)
			return refuse('There is no such commendation for you');
		return (await takeBackCommendation(database, staff, form.commendation, at))
			? { done: 'Taken back: it is off the student’s page.' }
			: refuse('It was given by somebody else, who can take it back');
	}
);
