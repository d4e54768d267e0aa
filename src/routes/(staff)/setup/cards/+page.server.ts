import { classesInSetup, enrolledIn } from '$lib/server/people';
import { idIn } from '$lib/server/request';
import { cardsActions } from '$lib/server/setup/cardsForm';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'make PINs');
	const classes = await classesInSetup(locals.database, staff, school.today);
	const going = classes.filter(({ endedOn }) => endedOn === null || endedOn > school.today);
	const own = going.find((one) => one.id === idIn(url, 'class')) ?? going.find(({ withoutPin }) => withoutPin > 0);
	const shown = own ?? going[0] ?? null;
	return {
		classes: going,
		shown,
		students: shown ? await enrolledIn(locals.database, staff, shown.id, school.today) : []
	};
}

export const actions = cardsActions;
