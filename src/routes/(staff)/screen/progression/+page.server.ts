import { error } from '@sveltejs/kit';
import { toPoints, workingLevel } from '$lib/core/measurement';
import { readyNext, supposed } from '$lib/core/mastery';
import { classwideNeeds } from '$lib/server/classwideNeeds';
import { screenContext } from '$lib/server/staffPage';
import { windowScores } from '$lib/server/store/scores';
import { domainList, skillGraph, skillList } from '$lib/server/store/skills';
import { readStandings } from '$lib/server/store/standings';

export async function load({ locals, url }) {
	const { school, scope, window } = await screenContext(locals, url);
	const { database } = locals;
	const ids = scope.students.map(({ id }) => id);
	const [domains, skills, standings] = await Promise.all([
		domainList(database),
		skillList(database),
		readStandings(database, ids, school.today)
	]);
	if (domains.length === 0) error(404, 'There are no domains to show a progression of.');
	const domain = domains.find(({ id }) => String(id) === url.searchParams.get('domain')) ?? domains[0];
	const [graph, scores] = await Promise.all([
		skillGraph(database, skills),
		window ? windowScores(database, window.id, ids) : null
	]);
	const own = skills.filter(({ domainId }) => domainId === domain.id);
	const inDomain = new Set(own.map(({ id }) => id));
	const ready = new Map<number, number[]>(own.map(({ id }) => [id, []]));
	const level = new Map<number, string>();
	/** Students with every skill of the domain, and those for whom one in another domain comes first. */
	const beyond: number[] = [];
	const before: number[] = [];
	for (const id of ids) {
		const mine = standings.get(id)!;
		const isSecure = (skill: number) => {
			const now = mine.get(skill);
			return now !== undefined && supposed(now) === 'secure';
		};
		// In teaching order, so the first is where the student stands.
		const next = readyNext(graph, isSecure).filter((skill) => inDomain.has(skill));
		const first = own.find((skill) => next.includes(skill.id));
		if (first) ready.get(first.id)!.push(id);
		else (own.every(({ id: skill }) => isSecure(skill)) ? beyond : before).push(id);
		const score = scores?.get(id)?.find(({ domainId }) => domainId === domain.id);
		if (score) {
			const { grade, term } = workingLevel(score.theta);
			level.set(id, `${Math.round(toPoints(score.theta))} points, works at ${grade}·${term}`);
		}
	}
	const needs = classwideNeeds(scope.students, own, standings, window?.term ?? 3);
	const count = (skill: number, wanted: string) =>
		ids.filter((id) => standings.get(id)!.get(skill)?.standing === wanted).length;
	return {
		window,
		domain,
		domains,
		students: scope.students.map(({ id, givenName, familyName, tier }) => ({
			id,
			name: `${givenName} ${familyName}`,
			tier,
			level: level.get(id) ?? null
		})),
		beyond,
		before,
		skills: own.map(({ id, code, shortName, grade, term }) => ({
			id,
			code,
			shortName,
			level: `${grade}·${term}`,
			ready: ready.get(id)!,
			gaps: count(id, 'gap'),
			secure: count(id, 'secure'),
			needs: needs.filter(({ skillId }) => skillId === id)
		}))
	};
}
