import { error } from '@sveltejs/kit';
import { attributeChoices, classesInSetup, enrolledIn, saidOf, sectionsOf, staffInSetup } from '$lib/server/people';
import { idOf } from '$lib/server/request';
import { classesActions } from '$lib/server/setup/classesForm';
import { sectionsActions } from '$lib/server/setup/sectionsForm';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals, params }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	const { database, at } = locals;
	const goesOn = ({ endedOn }: { endedOn: string | null }) => endedOn === null || endedOn > school.today;
	const [classes, sections] = await Promise.all([
		classesInSetup(database, staff, school.today),
		classesInSetup(database, staff, school.today, 'section')
	]);
	const own = classes.find(({ id }) => id === idOf(params.class));
	if (!own) error(404, 'There is no such class.');
	const [students, people, said] = await Promise.all([
		enrolledIn(database, staff, own.id, school.today),
		staffInSetup(database, school.id, at),
		attributeChoices(database, { staff, today: school.today })
	]);
	const [saidOfEach, sectionsOfEach] = await Promise.all([
		saidOf(
			database,
			staff,
			students.map(({ id }) => id)
		),
		sectionsOf(database, students, school.today)
	]);
	return {
		own,
		students: students.map((student) => ({
			...student,
			said: saidOfEach.get(student.id) ?? [],
			sections: sectionsOfEach.get(student.id) ?? []
		})),
		said,
		others: classes.filter((one) => one.id !== own.id && goesOn(one)),
		sections: sections.filter(goesOn).map(({ id, name }) => ({ id, name })),
		people: people.filter(({ deactivatedAt }) => deactivatedAt === null),
		today: school.today
	};
}

const { change, adults, hours, student, say, sayBack, move, moveBack, merge, mergeBack } = classesActions;
const { join, sectionBack } = sectionsActions;
export const actions = {
	...{ change, adults, hours, student, say, sayBack },
	...{ move, moveBack, merge, mergeBack, join, sectionBack }
};
