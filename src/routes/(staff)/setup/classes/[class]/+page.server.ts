import { error } from '@sveltejs/kit';
import { classesInSetup, enrolledIn, staffInSetup } from '$lib/server/people';
import { idOf } from '$lib/server/request';
import { classesActions } from '$lib/server/setup/classesForm';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, params }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	const { database, at } = locals;
	const classes = await classesInSetup(database, staff, school.today);
	const own = classes.find(({ id }) => id === idOf(params.class));
	if (!own) error(404, 'There is no such class.');
	const [students, people] = await Promise.all([
		enrolledIn(database, staff, own.id, school.today),
		staffInSetup(database, school.id, at)
	]);
	return {
		own,
		students,
		others: classes.filter(({ id, endedOn }) => id !== own.id && (endedOn === null || endedOn > school.today)),
		people: people.filter(({ deactivatedAt }) => deactivatedAt === null),
		today: school.today
	};
}

const { change, adults, hours, student, move, moveBack, merge, mergeBack } = classesActions;
export const actions = { change, adults, hours, student, move, moveBack, merge, mergeBack };
