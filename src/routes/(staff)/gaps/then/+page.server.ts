import { sayLevel } from '$lib/core/words';
import { addDays } from '$lib/core/calendar';
import { standingChange, type StandingChange } from '$lib/core/mastery';
import { dayIn } from '$lib/server/request';
import { scopeOf, staffContext } from '$lib/server/shell/staffPage';
import { currentCycle } from '$lib/server/school';
import { domainList, skillList } from '$lib/server/library';
import { readStandings, standingsOnDays } from '$lib/server/standing';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { database } = locals;
	const students = await scope.students();
	const ids = students.map(({ id }) => id);
	const [domains, skills, cycle] = await Promise.all([
		domainList(database, school.id),
		skillList(database, school.id),
		currentCycle(database, school.id, school.today)
	]);
	const asked = dayIn(url, 'then');
	const start = cycle && cycle.startsOn < school.today ? cycle.startsOn : addDays(school.today, -28);
	const then = asked && asked < school.today ? asked : start;
	const [now, earlier] = await Promise.all([readStandings(database, ids), standingsOnDays(database, ids, [then])]);
	const before = earlier.get(then)!;
	const counts: Record<StandingChange, number> = {
		risen: 0,
		fallen: 0,
		'first seen': 0,
		'no longer seen': 0,
		same: 0
	};
	return {
		then,
		domains,
		skills: skills.map(({ id, domainId, code, shortName, grade, term }) => ({
			id,
			domainId,
			code,
			shortName,
			level: sayLevel({ grade, term })
		})),
		// Of each student what is not as it was; a skill that is the same is left out.
		changes: students.map(({ id, givenName, familyName, tier }) => {
			const [own, old] = [now.get(id)!, before.get(id) ?? new Map<number, never>()];
			const changed = skills.flatMap((skill) => {
				const [from, to] = [old.get(skill.id), own.get(skill.id)];
				const change = standingChange(from, to);
				counts[change]++;
				return change === 'same'
					? []
					: [
							{
								skillId: skill.id,
								change,
								from: from?.standing ?? ('unseen' as const),
								to: to?.standing ?? ('unseen' as const),
								answers: (to?.answers ?? 0) - (from?.answers ?? 0)
							}
						];
			});
			return { id, givenName, familyName, tier, changed };
		}),
		counts
	};
}
