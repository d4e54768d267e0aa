import { fullName, sayLevel } from '$lib/core/words';
import { screenContext } from '$lib/server/screen/screenPage';
import { error } from '@sveltejs/kit';
import { columnsAlong, placeIn } from '$lib/core/mastery';
import { toPoints, workingLevel } from '$lib/core/measurement';
import { classwideNeeds } from '$lib/server/gaps';
import { windowScores } from '$lib/server/screen';
import { domainList, skillGraph, skillList } from '$lib/server/library';
import { readStandings } from '$lib/server/standing';

export async function load({ locals, url }) {
	const { school, scope, window } = await screenContext(locals, url);
	const { database } = locals;
	const students = await scope.students();
	const ids = students.map(({ id }) => id);
	const [domains, skills, standings] = await Promise.all([
		domainList(database, school.id),
		skillList(database, school.id),
		readStandings(database, ids)
	]);
	if (domains.length === 0) error(404, 'There are no domains to show a progression of.');
	const domain = domains.find(({ id }) => String(id) === url.searchParams.get('domain')) ?? domains[0];
	const [graph, scores] = await Promise.all([
		skillGraph(database, school.id, skills),
		window ? windowScores(database, window.id, ids) : null
	]);
	const own = skills.filter(({ domainId }) => domainId === domain.id);
	const part = own.map(({ id }) => id);
	const places = students.map((student) => {
		const mine = standings.get(student.id)!;
		const place = placeIn(graph, part, mine);
		const now = place.at === null ? undefined : mine.get(place.at);
		const score = scores?.get(student.id)?.find(({ domainId }) => domainId === domain.id);
		return {
			id: student.id,
			name: fullName(student),
			className: student.className,
			tier: student.tier,
			at: place.at,
			without: place.without,
			state: now?.inferred ?? now?.standing ?? ('unseen' as const),
			inferred: Boolean(now?.inferred),
			score: score && sayScore(score.theta)
		};
	});
	const count = (skill: number, wanted: string) =>
		ids.filter((id) => standings.get(id)!.get(skill)?.standing === wanted).length;
	return {
		window,
		domain,
		domains,
		places,
		needs: classwideNeeds(students, own, standings, window?.term ?? 3),
		columns: columnsAlong(graph, part),
		edges: part.flatMap((skill) =>
			(graph.prerequisites.get(skill) ?? [])
				.filter((one) => part.includes(one))
				.map((prerequisite) => ({ prerequisite, skill }))
		),
		skills: own.map(({ id, code, shortName, grade, term }) => ({
			id,
			code,
			shortName,
			level: sayLevel({ grade, term }),
			gaps: count(id, 'gap'),
			secure: count(id, 'secure')
		}))
	};
}

function sayScore(theta: number): string {
	const { grade, term } = workingLevel(theta);
	return `${Math.round(toPoints(theta))} points, works at ${sayLevel({ grade, term })}`;
}
