import { POINTS_PER_LOGIT, toPoints } from '$lib/core/measurement';
import { windowInView, windowPlaces } from '$lib/server/screening';
import { scopeOf, staffContext } from '$lib/server/staffPage';
import { cutScores } from '$lib/server/store/calendar';
import { windowScores, type Score } from '$lib/server/store/scores';
import { domainList } from '$lib/server/store/skills';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { windows, window } = await windowInView(
		locals.database,
		school,
		Number(url.searchParams.get('window')) || undefined
	);
	if (!window) return { window: null, windows, earlier: null, rows: [], domains: [], today: school.today };
	const earlier =
		windows.find(
			(one) => one.opensOn < window.opensOn && one.subject === window.subject && one.mode !== 'teacher-given'
		) ?? null;
	const ids = scope.students.map(({ id }) => id);
	const [places, cuts, domains, before] = await Promise.all([
		windowPlaces(locals.database, window, scope.students),
		cutScores(locals.database, school.id, window.term),
		domainList(locals.database),
		earlier ? windowScores(locals.database, earlier.id, ids) : new Map<number, Score[]>()
	]);
	const measures = [0, ...domains.map(({ id }) => id)];
	const inPoints = (scores: Score[]) =>
		Object.fromEntries(
			measures.map((measure) => {
				const score = scores.find(({ domainId }) => domainId === measure);
				return [
					measure,
					score ? { points: toPoints(score.theta), error: POINTS_PER_LOGIT * score.standardError } : null
				];
			})
		);
	const rows = scope.students.map((student) => {
		const { status, sitting, scores } = places.get(student.id)!;
		return {
			id: student.id,
			givenName: student.givenName,
			familyName: student.familyName,
			classId: student.classId,
			className: student.className,
			grade: student.grade,
			tier: student.tier,
			status,
			answered: sitting?.answered ?? 0,
			cut: cuts[student.grade],
			scores: inPoints(scores),
			before: inPoints(before.get(student.id) ?? [])
		};
	});
	return { window, windows, earlier, rows, domains, today: school.today };
}
