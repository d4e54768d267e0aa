import { error } from '@sveltejs/kit';
import Papa from 'papaparse';
import { ASSUMED_ERROR, planScoreImport, proposeRoles, type ColumnRole } from '$lib/core/interchange/scoreImport';
import { fromPoints, toPoints } from '$lib/core/measurement';
import { windowInView } from '$lib/server/screening';
import { refuse, staffWho } from '$lib/server/staffPage';
import { studentsByNumber } from '$lib/server/store/people';
import { existingImports, importScores } from '$lib/server/store/scores';
import { domainList, skillList } from '$lib/server/store/skills';
import { formCheck, readForm } from '$lib/server/validate';

const MOST_ROWS = 5_000;

interface ImportForm {
	source: string;
	csv: string;
	roles?: string[];
	step: 'columns' | 'check' | 'take';
}
const importForm = formCheck<ImportForm>({
	type: 'object',
	properties: {
		source: { type: 'string', minLength: 1, maxLength: 80 },
		csv: { type: 'string', minLength: 1, maxLength: 2_000_000 },
		roles: {
			type: 'array',
			maxItems: 60,
			items: { type: 'string', pattern: '^(number|date|overall|ignore|domain:[0-9]{1,9})$' }
		},
		step: { enum: ['columns', 'check', 'take'] }
	},
	required: ['source', 'csv', 'step']
});

export async function load({ locals, url }) {
	const { school } = await staffWho(locals, 'run screening');
	const { window } = await windowInView(locals.database, school, Number(url.searchParams.get('window')) || undefined);
	if (!window) error(404, 'Plan a screening window first; scores are brought into a window.');
	return { window, domains: await domainList(locals.database) };
}

export const actions = {
	default: async (event) => {
		const { staff, school } = await staffWho(event.locals, 'run screening');
		const { database, at } = event.locals;
		const form = await readForm(event, importForm);
		if ('problem' in form) return refuse(form.problem);
		const { source, csv, step } = form.value;
		if (source.toLowerCase() === 'diagnostic')
			return refuse('“diagnostic” is the name of our own scores; call the source something else');
		const { window } = await windowInView(database, school, Number(event.url.searchParams.get('window')) || undefined);
		if (!window) return refuse('There is no window to bring scores into');
		if (csv.includes('\u0000') || csv.includes('\ufffd'))
			return refuse('The file is not text in UTF-8; save it as CSV (UTF-8) and try again');
		const parsed = Papa.parse<string[]>(csv.replace(/^\ufeff/, '').trimEnd(), { skipEmptyLines: false });
		const [header, ...records] = parsed.data;
		if (!header || header.length < 2) return refuse('The first line must name at least two columns');
		if (records.length === 0) return refuse('There are no rows below the header');
		if (records.length > MOST_ROWS)
			return refuse(`The file has ${records.length} rows; bring in at most ${MOST_ROWS} at once`);
		const domains = await domainList(database);
		const roles = (form.value.roles as ColumnRole[] | undefined) ?? proposeRoles(header, domains);
		const shown = { source, csv, header, roles, sample: records.slice(0, 3) };
		if (step === 'columns') return { ...shown, step: 'columns' as const };
		const used = roles.filter((role) => role !== 'ignore');
		if (roles.length !== header.length) return refuse('Say for every column what it holds');
		if (!roles.includes('number'))
			return {
				...shown,
				step: 'columns' as const,
				problem: 'Say which column holds the student number. Nothing was changed.'
			};
		if (new Set(used).size !== used.length)
			return {
				...shown,
				step: 'columns' as const,
				problem: 'Two columns are said to hold the same thing. Nothing was changed.'
			};
		if (!used.some((role) => role === 'overall' || role.startsWith('domain:'))) {
			return { ...shown, step: 'columns' as const, problem: 'Say which column holds scores. Nothing was changed.' };
		}
		const numbers = records
			.map((cells) => (cells[roles.indexOf('number')] ?? '').trim())
			.filter((number) => number && number.length <= 20);
		const students = await studentsByNumber(database, school.id, [...new Set(numbers)]);
		const stored = await existingImports(database, window.id, source, [...students.values()]);
		const existing = new Map(
			[...stored].map(([key, score]) => [key, { points: toPoints(score.theta), takenOn: score.takenOn }])
		);
		const rows = planScoreImport(records, roles, { students, existing, today: school.today });
		if (step === 'check') return { ...shown, step: 'check' as const, rows };
		const good = rows.filter((row) => row.effect === 'new' || row.effect === 'changes');
		await importScores(
			database,
			staff,
			window.id,
			source,
			good.flatMap((row) =>
				row.scores.map(({ domainId, points }) => ({
					studentId: row.studentId!,
					domainId,
					theta: fromPoints(points),
					standardError: ASSUMED_ERROR / 25,
					takenOn: row.takenOn
				}))
			),
			await skillList(database),
			school.timeZone,
			at
		);
		const bad = rows.filter((row) => row.effect === 'bad');
		return {
			...shown,
			step: 'taken' as const,
			rows,
			taken: good.length,
			same: rows.length - good.length - bad.length,
			bad: bad.length
		};
	}
};
