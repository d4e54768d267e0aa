import { dayBegins } from '../../core/calendar';
import { isPastDue, setTitle, wasLeft } from '../../core/practice';
import { isEnoughForToday } from '../../core/screening';
import { accommodations, NO_ACCOMMODATION } from '../people';
import type { DiagnosticPlace } from './store/adaptiveSittings';
import { findSchool, type School } from '../school';
import { queuedSets } from '../practice';
import { levelChecksToDo, probeSeries } from '../track';
import { openChecks } from '../gaps';
import { answersSince, windowSittings, type BoardSitting } from './store/sittings';
import { domainList, skillList } from '../library';
import { windowsToSit } from '../screen';
import type { SignedInStudent } from '../request';

/** What a student has to do now: the open diagnostic, this week's probes, level checks, skill checks, and practice sets, each with how far it is. */
export async function workFor(locals: App.Locals, student: SignedInStudent) {
	const { database } = locals;
	const school: School = await findSchool(database, student.schoolId, locals.at);
	const [windows, series, sets, checks, skills, domains] = await Promise.all([
		windowsToSit(database, student.id, school.today),
		probeSeries(database, [student.id], school),
		queuedSets(database, [student.id], school.today, school.minute),
		openChecks(database, [student.id]),
		skillList(database, school.id),
		domainList(database, school.id)
	]);
	const nameOf = new Map(skills.map((skill) => [skill.id, skill.shortName]));
	const domainOf = new Map(skills.map((skill) => [skill.id, skill.domainId]));
	const levels = await levelChecksToDo(database, series, (id) => domainOf.get(id)!, school.today);
	const now = { day: school.today, minute: school.minute };
	const diagnostics: (DiagnosticPlace & { name: string; answered: number; lastDay: string; enough: boolean })[] = [];
	const own = (await accommodations(database, [student.id])).get(student.id) ?? NO_ACCOMMODATION;
	for (const window of windows) {
		const sitting = (await windowSittings(database, window.id, [student.id])).get(student.id);
		const place = sitting && nextAttempt(sitting);
		if (sitting && !place) continue;
		const isNew = !sitting || place !== 'go on';
		const { answers, milliseconds } = isNew
			? { answers: 0, milliseconds: 0 }
			: await answersSince(database, sitting.id, dayBegins(locals.at, school.timeZone));
		diagnostics.push({
			window,
			name: window.name,
			lastDay: window.lastDay,
			answered: isNew ? 0 : sitting.answered,
			enough: window.lastDay > school.today && isEnoughForToday({ answers, milliseconds }, own),
			attempt: isNew ? (sitting?.nextAttempt ?? 1) : sitting.attempt,
			resit: typeof place === 'object' && place ? place : undefined
		});
	}
	return {
		school,
		skills,
		diagnostics,
		/** Of this week, and missed ones that may be made up, which come first. */
		probes: series
			.filter(({ due, makeUp }) => due || makeUp)
			.map((plan) => ({ ...plan, skill: nameOf.get(plan.skillId)! })),
		/** Of the level of a domain. */
		levels,
		domainNames: new Map(domains.map(({ id, name }) => [id, name])),
		checks: checks.map((check) => ({ ...check, late: check.dueOn < school.today })),
		// What has closed a moment ago is not noted everywhere yet.
		sets: sets
			.filter((set) => !set.closes || !isPastDue(set, now))
			.map((set) => ({
				...set,
				title: setTitle(set, (id) => nameOf.get(id)!),
				late: isPastDue(set, now),
				/** To be done in one go, and left: an adult has to let them go on. */
				isLeft: !set.pausing && wasLeft(set, locals.at)
			}))
	};
}

/** What the newest sitting leaves to do: going on with it, a new one, a domain again; null for nothing. */
function nextAttempt(sitting: BoardSitting): 'go on' | 'anew' | { sittingId: number; domainId: number } | null {
	if (sitting.trust === 'open') return 'go on';
	if (sitting.trust === 'set aside') return 'anew';
	if (sitting.trust === 'resit') return { sittingId: sitting.id, domainId: sitting.resitDomainId! };
	return null;
}
