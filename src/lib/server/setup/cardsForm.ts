import Type from 'typebox';
import { toString as svgOf } from 'qrcode';
import pLimit from 'p-limit';
import { hashSecret } from '../auth';
import { classesInSetup, enrolledIn, setPins } from '../people';
import { formCheck, id, oneOf } from '../request';
import { schoolProfile } from '../school';
import { refuse, staffAction } from '../shell/staffPage';
import { newPin } from './pins';

/** A class, and whoever else is in it through a mistake. */
const MOST_CARDS = 400;
const cardsForm = formCheck(
	Type.Object({
		class: id,
		students: Type.Array(id, { maxItems: MOST_CARDS, uniqueItems: true, default: [] }),
		pins: oneOf(['new', 'none'])
	})
);
/** Hashing takes a processor for some 30 ms each: one is left for everybody else. */
const oneByOne = pLimit(1);

export const cardsActions = {
	/** Cards to print; PINs are new ones, and shown only now. */
	cards: staffAction('make PINs', cardsForm, async ({ staff, school, database, at, form, event }) => {
		const own = (await classesInSetup(database, staff, school.today)).find((one) => one.id === form.class);
		if (!own) return refuse('There is no such class for you');
		const all = await enrolledIn(database, staff, own.id, school.today);
		const chosen = all.filter((student) => form.students.includes(student.id));
		if (chosen.length === 0) return refuse('Choose whose cards to make');
		const { pinLength } = await schoolProfile(database, school.id);
		const pins = new Map(form.pins === 'new' ? chosen.map((student) => [student.id, newPin(pinLength)]) : []);
		if (pins.size) {
			const hashed = await Promise.all(
				[...pins].map(([studentId, pin]) => oneByOne(async () => ({ studentId, pinHash: await hashSecret(pin) })))
			);
			await setPins(database, staff, hashed, at);
		}
		const address = `${event.url.origin}/sign-in?as=student&class=${own.code}`;
		return {
			sheet: {
				className: own.name,
				code: own.code,
				address,
				code2d: await svgOf(address, { type: 'svg', margin: 0 }),
				cards: chosen.map((student) => ({
					id: student.id,
					name: `${student.preferredName ?? student.givenName} ${student.familyName}`,
					pin: pins.get(student.id) ?? null
				}))
			}
		};
	})
};
