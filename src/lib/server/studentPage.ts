import { error } from '@sveltejs/kit';
import { formLength } from '../core/screening';
import { findSchool, screeningWindows, type School } from './store/calendar';
import { queuedSets } from './store/practice';
import { probeSeries } from './store/probes';
import { isOpen, windowSittings } from './store/sittings';
import { domainList, skillList } from './store/skills';
import type { SignedInStudent } from './viewer';

export function studentContext(locals: App.Locals): SignedInStudent {
	if (locals.viewer?.kind !== 'student') error(404, 'There is nothing here for you at this address.');
	return locals.viewer;
}

/** What a student has to do now: the open diagnostic, this week's probes, and practice sets, each with how far it is. */
export async function workFor(locals: App.Locals, student: SignedInStudent) {
	const { database } = locals;
	const school: School = await findSchool(database, student.schoolId, locals.at);
	const [windows, series, sets, skills, domains] = await Promise.all([
		screeningWindows(database, school.id),
		probeSeries(database, [student.id], school.today),
		queuedSets(database, [student.id], school.today),
		skillList(database),
		domainList(database)
	]);
	const nameOf = new Map(skills.map((skill) => [skill.id, skill.shortName]));
	const diagnostics = [];
	for (const window of windows.filter((one) => isOpen(one, school.today))) {
		const sitting = (await windowSittings(database, window.id, [student.id])).get(student.id);
		const again = sitting?.trust === 'set aside';
		if (sitting && sitting.answered >= sitting.itemCount && !again) continue;
		diagnostics.push({
			window,
			attempt: again ? sitting.attempt + 1 : (sitting?.attempt ?? 1),
			answered: again ? 0 : (sitting?.answered ?? 0),
			itemCount: formLength(domains.length)
		});
	}
	return {
		school,
		skills,
		diagnostics,
		probes: series.filter(({ due }) => due).map((plan) => ({ ...plan, skill: nameOf.get(plan.skillId)! })),
		sets: sets.map((set) => ({ ...set, skill: nameOf.get(set.skillId)!, late: set.dueOn < school.today }))
	};
}
