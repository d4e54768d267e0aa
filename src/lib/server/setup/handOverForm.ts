import Type from 'typebox';
import { sayMeeting } from '../../core/calendar';
import { staffInSetup } from '../people';
import { formCheck, id, idsOf, idText, jsonCheck, jsonIn, longForm } from '../request';
import { refuse, staffAction } from '../shell/staffPage';
import { clashWith, giveBack, handOver, sayHanded } from './handOver';

/** Characters of what it takes to give back: of a caseload of a thousand. */
const LONGEST = 30_000;
const someIds = Type.Array(id, { maxItems: 200, uniqueItems: true, default: [] });
const handForm = formCheck(
	Type.Object({
		from: id,
		to: id,
		slots: someIds,
		students: Type.Union([idText, Type.String({ maxLength: 0 })], { default: '' }),
		classes: someIds
	})
);
const backForm = formCheck(Type.Object({ handing: Type.String({ maxLength: LONGEST }) }), longForm(LONGEST));
const ids = Type.Array(id, { maxItems: 2_000 });
const handingCheck = jsonCheck(
	Type.Object({
		fromId: id,
		toId: id,
		studentIds: ids,
		classIds: ids,
		sharedIds: ids,
		times: Type.Object({
			slots: Type.Array(Type.Object({ ended: id, begun: id }), { maxItems: 200 }),
			changes: ids
		})
	})
);

/** The form actions of the page on which a colleague's work is handed over. */
export const handOverActions = {
	hand: staffAction('set up the school', handForm, async ({ staff, school, database, at, form }) => {
		const { today } = school;
		const studentIds = form.students ? idsOf(form.students) : [];
		const handed = { fromId: form.from, toId: form.to, slotIds: form.slots, studentIds, classIds: form.classes };
		if (form.slots.length + studentIds.length + form.classes.length === 0) return refuse('Choose what to hand over');
		const people = await staffInSetup(database, school.id, at);
		const to = people.find(({ id, deactivatedAt }) => id === form.to && id !== form.from && deactivatedAt === null);
		if (!to) return refuse('Choose a colleague who can sign in');
		if (form.slots.length + studentIds.length && !(to.role === 'specialist' || to.role === 'interventionist'))
			return refuse(
				`${to.displayName} is ${to.role === 'coordinator' ? 'a coordinator' : 'a class teacher'}: meeting times and students go to a specialist or interventionist`
			);
		const clash = await clashWith(database, staff, { slotIds: form.slots, toId: form.to }, today);
		if (clash)
			return refuse(
				`${to.displayName} holds a group at ${sayMeeting(clash)} already: hand that time to somebody else, or leave it out`
			);
		const handing = await handOver(database, staff, handed, { today, at });
		if (!handing) return refuse('Something of this was changed meanwhile; look through it again');
		return {
			done: `${to.displayName} has ${sayHanded(handed)} from today on.`,
			undo: { action: '?/back', fields: { handing: JSON.stringify(handing) } }
		};
	}),
	back: staffAction('set up the school', backForm, async ({ staff, school, database, at, form }) => {
		const handing = handingCheck(jsonIn(form.handing));
		if ('problem' in handing) return refuse('What was done could not be read');
		return (await giveBack(database, staff, handing.value, { today: school.today, at }))
			? { done: 'Everything is where it was.' }
			: refuse('Something was built on it since: hand over what is left the other way');
	})
};
