import { error } from '@sveltejs/kit';
import { classesInSetup, enrolledInSection, staffInSetup } from '$lib/server/people';
import { idOf } from '$lib/server/request';
import { classesActions } from '$lib/server/setup/classesForm';
import { sectionsActions } from '$lib/server/setup/sectionsForm';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, params }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	const { database, at } = locals;
	const [sections, classes] = await Promise.all([
		classesInSetup(database, staff, school.today, 'section'),
		classesInSetup(database, staff, school.today)
	]);
	const own = sections.find(({ id }) => id === idOf(params.section));
	if (!own) error(404, 'There is no such section.');
	const [students, people] = await Promise.all([
		enrolledInSection(database, staff, own.id, school.today),
		staffInSetup(database, school.id, at)
	]);
	return {
		own,
		students,
		classes: classes
			.filter(({ endedOn, students: size }) => size > 0 && (endedOn === null || endedOn > school.today))
			.map(({ id, name, students: size }) => ({ id, name, size })),
		people: people.filter(({ deactivatedAt }) => deactivatedAt === null),
		today: school.today
	};
}

const { change, adults } = classesActions;
const { joinClass, leave, sectionBack } = sectionsActions;
export const actions = { change, adults, joinClass, leave, sectionBack };
