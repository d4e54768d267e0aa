import { error } from '@sveltejs/kit';
import { sayMeeting } from '$lib/core/calendar';
import { fullName, plural } from '$lib/core/words';
import { enrolledByIds, staffInSetup } from '$lib/server/people';
import { idIn } from '$lib/server/request';
import { heldBy } from '$lib/server/setup';
import { handOverActions } from '$lib/server/setup/handOverForm';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, url }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	const people = await staffInSetup(locals.database, school.id, locals.at);
	const from = people.find(({ id }) => id === idIn(url, 'staff'));
	if (!from) error(404, 'There is no such person here.');
	const held = await heldBy(locals.database, staff, from.id, school.today);
	const students = await enrolledByIds(locals.database, staff, held.studentIds, school.today);
	return {
		from: { id: from.id, name: from.displayName },
		others: people
			.filter(({ id, deactivatedAt }) => id !== from.id && deactivatedAt === null)
			.map(({ id, displayName, role }) => ({ id, displayName, role })),
		times: held.times.map((time) => ({
			id: time.id,
			when: sayMeeting(time),
			room: time.room,
			groups: time.groups.map(({ name, students: size }) => `${name}, ${plural(size, 'student')}`)
		})),
		students: students.map((student) => ({ id: student.id, name: fullName(student) })),
		classes: held.classes
	};
}

export const actions = handOverActions;
