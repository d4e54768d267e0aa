import { classesInSetup } from '$lib/server/people';
import { skillList } from '$lib/server/library';
import { classesActions } from '$lib/server/setup/classesForm';
import { staffWho } from '$lib/server/shell/staffPage';

export async function load({ locals }) {
	const { staff, school } = await staffWho(locals, 'set up the school');
	const [classes, sections, skills] = await Promise.all([
		classesInSetup(locals.database, staff, school.today),
		classesInSetup(locals.database, staff, school.today, 'section'),
		skillList(locals.database, school.id)
	]);
	return { classes, sections, grades: [...new Set(skills.map(({ grade }) => grade))], today: school.today };
}

const { add, end } = classesActions;
export const actions = { add, end };
