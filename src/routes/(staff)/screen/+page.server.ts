import { toPoints } from '$lib/core/measurement';
import { addDays } from '$lib/core/calendar';
import { benchmarkBand, formLength, screeningStatus } from '$lib/core/screening';
import { windowInView } from '$lib/server/overview';
import { refuse, scopeOf, staffContext, staffWho } from '$lib/server/staffPage';
import { addWindow, cutScores } from '$lib/server/store/calendar';
import { windowScores } from '$lib/server/store/scores';
import { decideTrust, type TrustDecision } from '$lib/server/store/diagnostics';
import { windowSittings } from '$lib/server/store/sittings';
import { domainList, skillList } from '$lib/server/store/skills';
import { formCheck, id, readForm, schoolDate } from '$lib/server/validate';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const { windows, window } = await windowInView(
		locals.database,
		school,
		Number(url.searchParams.get('window')) || undefined
	);
	if (!window) return { window: null, windows, rows: [], domains: [], formItems: 0 };
	const ids = scope.students.map((student) => student.id);
	const [sittings, scores, cuts, domains] = await Promise.all([
		windowSittings(locals.database, window.id, ids),
		windowScores(locals.database, window.id, ids),
		cutScores(locals.database, school.id, window.term),
		domainList(locals.database)
	]);
	const rows = scope.students.map((student) => {
		const sitting = sittings.get(student.id);
		const own = scores.get(student.id);
		const inPoints = (domainId: number) => {
			const score = own?.find((one) => one.domainId === domainId);
			return score ? { points: toPoints(score.theta), error: 25 * score.standardError } : null;
		};
		const overall = inPoints(0);
		const cut = cuts[student.grade];
		return {
			...student,
			status: screeningStatus(sitting, own?.map(({ source }) => source) ?? []),
			sittingId: sitting?.id ?? null,
			answered: sitting?.answered ?? 0,
			itemCount: sitting?.itemCount ?? 0,
			flags: sitting?.flags ?? [],
			overall,
			cut,
			band: overall && benchmarkBand(overall.points, overall.error, cut),
			domains: Object.fromEntries(domains.map((domain) => [domain.id, inPoints(domain.id)]))
		};
	});
	return { window, windows, rows, domains, formItems: formLength(domains.length) };
}

const trustForm = formCheck<{ sitting: number; decision: TrustDecision }>({
	type: 'object',
	properties: { sitting: id, decision: { enum: ['kept', 'set aside', 'flagged'] } },
	required: ['sitting', 'decision']
});
const windowForm = formCheck<{ name: string; term: number; opensOn: string; closesOn: string }>({
	type: 'object',
	properties: {
		name: { type: 'string', minLength: 1, maxLength: 80 },
		term: { type: 'integer', minimum: 1, maximum: 3 },
		opensOn: schoolDate,
		closesOn: schoolDate
	},
	required: ['name', 'term', 'opensOn', 'closesOn']
});

const said: Record<TrustDecision, string> = {
	kept: 'The sitting is kept: its scores and answers count from now on.',
	'set aside': 'The sitting is set aside. It feeds nothing; the student can sit again while the window is open.',
	flagged: 'Taken back: the sitting waits for another look.'
};

export const actions = {
	trust: async (event) => {
		const { staff, school } = await staffWho(event.locals, 'run screening');
		const form = await readForm(event, trustForm);
		if ('problem' in form) return refuse(form.problem);
		const { sitting, decision } = form.value;
		const { database, at } = event.locals;
		const skills = await skillList(database);
		const decided = await decideTrust(database, staff, sitting, decision, skills, school, at);
		if (!decided) return refuse('This sitting is not waiting for a decision any more');
		const undo =
			decision === 'flagged'
				? undefined
				: { action: '?/trust', fields: { sitting: String(sitting), decision: 'flagged' } };
		return { done: said[decision], undo };
	},
	window: async (event) => {
		const { staff, school } = await staffWho(event.locals, 'run screening');
		const form = await readForm(event, windowForm);
		if ('problem' in form) return refuse(form.problem);
		const { opensOn, closesOn } = form.value;
		if (closesOn < opensOn) return refuse('The window closes before it opens');
		if (closesOn > addDays(school.today, 400)) return refuse('The window lies more than a year ahead');
		const { database, at } = event.locals;
		await addWindow(database, staff, form.value, at);
		return { done: `${form.value.name} is planned: ${opensOn} to ${closesOn}.` };
	}
};
