import { goalInForm } from '../../core/growth';
import { hasItems } from '../../core/items/bank';
import type { RootDatabase } from '../database';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import { startProbes } from '../track';
import { keepAdoptedPlans, type NewGroup } from './store/adoptions';

/** Weekly probes for all who learn in adopted groups, on the groups' focus, given on their first meeting day. */
export async function beginProbes(
	database: RootDatabase,
	staff: Staff,
	school: School,
	adopted: { id: number; ids: number[] },
	groups: Omit<NewGroup, 'goesOnAs'>[],
	slots: Map<string, { days: number[] }>,
	goalCorrect: number,
	at: Date
): Promise<void> {
	const seen = await visibleAmong(
		database,
		staff,
		groups.flatMap(({ studentIds }) => studentIds),
		school.today
	);
	const skills = new Map((await skillList(database, school.id)).map((skill) => [skill.id, skill]));
	const plans: number[] = [];
	for (const [i, { focusSkillId, slotId, startsOn, endsOn, studentIds, helperIds }] of groups.entries()) {
		const learners = seen.filter(({ id }) => studentIds.includes(id) && !helperIds.includes(id));
		const from = startsOn > school.today ? startsOn : school.today;
		if (learners.length === 0 || endsOn <= from || !hasItems(skills.get(focusSkillId)!.code)) continue;
		const begun = await startProbes(
			database,
			staff,
			{
				students: learners.map(({ id, grade }) => goalInForm(id, grade, goalCorrect)),
				...{ skillId: focusSkillId, groupId: adopted.ids[i], goalOn: endsOn },
				startsOn: from,
				onDay: slots.get(String(slotId))!.days[0]
			},
			at
		);
		plans.push(...begun);
	}
	await keepAdoptedPlans(database, staff, adopted.id, plans);
}
