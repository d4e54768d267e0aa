import Papa from 'papaparse';
import { readOutcomes } from '$lib/core/interchange/outcomeImport';
import { POINTS_PER_LOGIT, toPoints } from '$lib/core/measurement';
import { defaultCutScore, judgeCut, summarizeScores, type ScoredStudent } from '$lib/core/screening';
import { refuse, screenContext, staffWho } from '$lib/server/staffPage';
import { cutScores } from '$lib/server/store/calendar';
import { outcomeNames, outcomes, saveOutcomes, setCutScores } from '$lib/server/store/outcomes';
import { findScope, studentsByNumber } from '$lib/server/store/people';
import { windowScores } from '$lib/server/store/scores';
import { formCheck, readForm, schoolDate } from '$lib/server/validate';

const SENSITIVITIES = [0.7, 0.8, 0.9];

export async function load({ locals, url }) {
	const { staff, school, windows, window } = await screenContext(locals, url);
	const { database } = locals;
	const students = (await findScope(database, staff, 'school', school.today))?.students ?? [];
	const names = await outcomeNames(database, school.id);
	const wanted = SENSITIVITIES.find((one) => String(one) === url.searchParams.get('catch')) ?? 0.8;
	const outcome = names.find(({ name }) => name === url.searchParams.get('outcome')) ?? names[0] ?? null;
	const shared = { windows, outcomes: names, outcome, wanted, sensitivities: SENSITIVITIES, today: school.today };
	if (!window) return { ...shared, window: null, grades: [] };
	const [cuts, scores, found] = await Promise.all([
		cutScores(database, school.id, window.term),
		windowScores(
			database,
			window.id,
			students.map(({ id }) => id)
		),
		outcome ? outcomes(database, school.id, outcome.name) : new Map<number, boolean>()
	]);
	const grades = [...new Set(students.map(({ grade }) => grade))].sort((a, b) => a - b);
	return {
		...shared,
		window,
		grades: grades.map((grade) => {
			const cut = cuts[grade];
			const scored: (ScoredStudent & { id: number })[] = students
				.filter((student) => student.grade === grade)
				.flatMap(({ id }) => {
					const overall = scores.get(id)?.find(({ domainId }) => domainId === 0);
					if (!overall) return [];
					const standardError = POINTS_PER_LOGIT * overall.standardError;
					return [{ id, score: toPoints(overall.theta), standardError, cut }];
				});
			const judged = scored.filter(({ id }) => found.has(id));
			const judgment = judgeCut(
				judged.map(({ score }) => score),
				judged.map(({ id }) => !found.get(id)),
				cut,
				wanted
			);
			return {
				grade,
				cut,
				usual: defaultCutScore(grade, window.term),
				bands: summarizeScores(scored).bands,
				judgment
			};
		})
	};
}

const cutForm = formCheck<{ term: number; grades: number[]; points: string[] }>({
	type: 'object',
	properties: {
		term: { type: 'integer', minimum: 1, maximum: 3 },
		grades: { type: 'array', minItems: 1, maxItems: 8, items: { type: 'integer', minimum: 1, maximum: 8 } },
		points: {
			type: 'array',
			minItems: 1,
			maxItems: 8,
			items: { type: 'string', pattern: '^([2-7][0-9]{2}|800)?$' }
		}
	},
	required: ['term', 'grades', 'points']
});
const outcomeForm = formCheck<{ name: string; takenOn: string; rows: string }>({
	type: 'object',
	properties: {
		name: { type: 'string', minLength: 1, maxLength: 80 },
		takenOn: schoolDate,
		rows: { type: 'string', minLength: 1, maxLength: 500_000 }
	},
	required: ['name', 'takenOn', 'rows']
});

export const actions = {
	cuts: async (event) => {
		const { staff, school } = await staffWho(event.locals, 'set cut scores');
		const form = await readForm(event, cutForm);
		if ('problem' in form) return refuse('Cut scores are whole points from 200 to 800, or empty for the usual one');
		const { term, grades, points } = form.value;
		if (grades.length !== points.length) return refuse('Each grade needs one cut score');
		const { database, at } = event.locals;
		const before = await cutScores(database, school.id, term);
		const wanted = new Map(grades.map((grade, i) => [grade, points[i] ? Number(points[i]) : null]));
		await setCutScores(database, staff, term, wanted, at);
		const changed = [...wanted].filter(([grade, cut]) => (cut ?? defaultCutScore(grade, term)) !== before[grade]);
		return {
			done: changed.length
				? `Cut scores of term ${term} are set for ${changed.map(([grade]) => `grade ${grade}`).join(', ')}. All bands follow.`
				: 'Nothing was different from before.',
			undo: changed.length
				? {
						action: '?/cuts',
						fields: {
							term: String(term),
							grades: grades.map(String),
							points: grades.map((grade) => String(before[grade]))
						}
					}
				: undefined
		};
	},
	outcomes: async (event) => {
		const { staff, school } = await staffWho(event.locals, 'set cut scores');
		const form = await readForm(event, outcomeForm);
		if ('problem' in form) return refuse(form.problem);
		const { name, takenOn, rows } = form.value;
		if (takenOn > school.today) return refuse('The outcome lies in the future');
		const [header, ...records] = Papa.parse<string[]>(rows.trim(), { skipEmptyLines: 'greedy' }).data;
		if (!header || records.length === 0)
			return refuse('Paste a line of column names, then a student number and met or not met on each line');
		const { database, at } = event.locals;
		const numbers = records.map(([number]) => (number ?? '').trim()).filter((number) => number && number.length <= 20);
		const read = readOutcomes(records, await studentsByNumber(database, school.id, [...new Set(numbers)]));
		const good = read.filter(({ problem }) => !problem);
		if (good.length === 0) return refuse(`No line could be taken. ${read[0].problem.replace(/\.$/, '')}`);
		await saveOutcomes(
			database,
			staff,
			name,
			good.map(({ studentId, met }) => ({ studentId: studentId!, met: met! })),
			takenOn,
			at
		);
		const bad = read.filter(({ problem }) => problem);
		return {
			done: `${good.length} outcomes of ${name} are taken.${bad.length ? ` ${bad.length} lines were left out.` : ''}`,
			bad: bad.slice(0, 200)
		};
	}
};
