import { classesInSetup } from '$lib/server/people';
import { addStudentsActions } from '$lib/server/setup/addStudentsForm';
import { textIn } from '$lib/server/request';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	const all = await classesInSetup(locals.database, staff, school.today);
	return {
		classes: all.filter(({ endedOn }) => endedOn === null || endedOn > school.today),
		into: textIn(url, 'into', 60),
		today: school.today
	};
}

export const actions = addStudentsActions;
