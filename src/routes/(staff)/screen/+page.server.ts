import { POINTS_PER_LOGIT, toPoints } from '$lib/core/measurement';
import { benchmarkBand } from '$lib/core/screening';
import { windowInView, windowPlaces } from '$lib/server/screening';
import { scopeOf, staffContext } from '$lib/server/staffPage';
import { cutScores } from '$lib/server/store/calendar';
import { domainList } from '$lib/server/store/skills';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { windows, window } = await windowInView(
		locals.database,
		school,
		Number(url.searchParams.get('window')) || undefined
	);
	if (!window) return { window: null, windows, rows: [], domains: [], today: school.today };
	const [places, cuts, domains] = await Promise.all([
		windowPlaces(locals.database, window, scope.students),
		cutScores(locals.database, school.id, window.term),
		domainList(locals.database)
	]);
	const rows = scope.students.map((student) => {
		const { status, sitting, scores } = places.get(student.id)!;
		const inPoints = (domainId: number) => {
			const score = scores.find((one) => one.domainId === domainId);
			return score ? { points: toPoints(score.theta), error: POINTS_PER_LOGIT * score.standardError } : null;
		};
		const overall = inPoints(0);
		const cut = cuts[student.grade];
		return {
			...student,
			status,
			answered: sitting?.answered ?? 0,
			overall,
			cut,
			band: overall && benchmarkBand(overall.points, overall.error, cut),
			domains: Object.fromEntries(domains.map((domain) => [domain.id, inPoints(domain.id)]))
		};
	});
	return { window, windows, rows, domains, today: school.today };
}
