import Type from 'typebox';
import { sayDate } from '../../core/calendar';
import { plural } from '../../core/words';
import { enrolledIn, joinSection, leaveSection, type SectionChange, takeBackSection } from '../people';
import { formCheck, id, idList, jsonCheck, jsonIn, longForm, schoolDate } from '../request';
import { refuse, staffAction } from '../shell/staffPage';

const studentsForm = formCheck(Type.Object({ to: id, students: idList(200), on: schoolDate }));
const classForm = formCheck(Type.Object({ section: id, class: id, on: schoolDate }));
const backForm = formCheck(Type.Object({ section: id, change: Type.String({ maxLength: 60_000 }) }), longForm(60_000));
const changeCheck = jsonCheck(
	Type.Object({
		begun: Type.Array(id, { maxItems: 2_000 }),
		ended: Type.Array(Type.Object({ id, untilOn: Type.Union([Type.String({ format: 'date' }), Type.Null()]) }), {
			maxItems: 2_000
		})
	})
);

const undo = (section: number, change: SectionChange) => ({
	action: '?/sectionBack',
	fields: { section: String(section), change: JSON.stringify(change) }
});

function saysJoined(section: number, change: SectionChange, on: string) {
	const count = change.begun.length;
	if (count === 0) return refuse('They are in it already, or it has ended');
	return {
		done: `${plural(count, 'student')} ${count === 1 ? 'is' : 'are'} in it from ${sayDate(on)}, beside their class.`,
		undo: undo(section, change)
	};
}

/** The form actions about who is in a section. */
export const sectionsActions = {
	join: staffAction('set up the school', studentsForm, async ({ staff, database, at, form }) => {
		const change = await joinSection(database, staff, form.to, form.students, { from: form.on, at });
		return saysJoined(form.to, change, form.on);
	}),
	/** Everybody who is in a class today. */
	joinClass: staffAction('set up the school', classForm, async ({ staff, school, database, at, form }) => {
		const members = await enrolledIn(database, staff, form.class, school.today);
		if (members.length === 0) return refuse('Nobody is in that class');
		const ids = members.map((one) => one.id);
		const change = await joinSection(database, staff, form.section, ids, { from: form.on, at });
		return saysJoined(form.section, change, form.on);
	}),
	leave: staffAction('set up the school', studentsForm, async ({ staff, database, at, form }) => {
		const change = await leaveSection(database, staff, form.to, form.students, { from: form.on, at });
		const count = change.ended.length;
		if (count === 0) return refuse('They are not in it');
		return {
			done: `${plural(count, 'student')} out of it from ${sayDate(form.on)}; their class is as it was.`,
			undo: undo(form.to, change)
		};
	}),
	sectionBack: staffAction('set up the school', backForm, async ({ staff, database, at, form }) => {
		const change = changeCheck(jsonIn(form.change));
		if ('problem' in change) return refuse('What was done could not be read');
		const back = await takeBackSection(database, staff, form.section, change.value, at);
		return back ? { done: `${plural(back, 'student')}: as before.` } : refuse('They were changed since');
	})
};
