import Type from 'typebox';
import Papa from 'papaparse';
import { inOne } from '../database';
import {
	matchingOf,
	planScoreImport,
	proposeRoles,
	rolesByMatching,
	type ColumnRole
} from '../../core/interchange/scoreImport';
import { fromPoints, POINTS_PER_LOGIT, toPoints } from '../../core/measurement';
import { fileForm, formCheck, oneOf, idIn, readFile } from '../request';
import { existingImports, importScores, saveMatching, scoreSources } from './store/scores';
import { windowInView } from './windowPlaces';
import { refuse, staffAction } from '../shell/staffPage';
import { studentsByNumber } from '../people';
import { domainList } from '../library';

const MOST_ROWS = 5_000;
const MOST_BYTES = 2_000_000;

const importForm = formCheck(
	Type.Object({
		source: Type.String({ minLength: 1, maxLength: 80 }),
		csv: Type.String({ maxLength: 2_000_000, default: '' }),
		roles: Type.Optional(
			Type.Array(Type.String({ pattern: '^(number|date|overall|error|ignore|domain:[0-9]{1,9})$' }), { maxItems: 60 })
		),
		step: oneOf(['columns', 'check', 'take'])
	}),
	fileForm(MOST_BYTES)
);

/** The form action that brings scores from elsewhere into a window: its columns, what it would do, and doing it. */
export const scoreImportAction = staffAction(
	'run screening',
	importForm,
	async ({ staff, school, database, at, form, file, event }) => {
		const { step } = form;
		const source = form.source.trim();
		if (!source) return refuse('Say where the scores come from');
		// Between the steps the rows travel as text.
		const content = file ? await file.bytes() : new TextEncoder().encode(form.csv);
		if (content.length === 0) return refuse('Choose a file, or paste the rows');
		const read = await readFile('table', { content });
		if ('problem' in read) return refuse(read.problem);
		const [header, ...records] = read.found;
		if (source.toLowerCase() === 'diagnostic')
			return refuse('“diagnostic” is the name of our own scores; call the source something else');
		const { window } = await windowInView(database, school, idIn(event.url, 'window'));
		if (!window || window.measure) return refuse('There is no window to bring these scores into');
		if (!header || header.length < 2) return refuse('The first line must name at least two columns');
		if (records.length === 0) return refuse('There are no rows below the header');
		if (records.length > MOST_ROWS)
			return refuse(`The file has ${records.length} rows; bring in at most ${MOST_ROWS} at once`);
		const domains = await domainList(database, school.id);
		const saved = (await scoreSources(database, school.id)).get(source);
		const known = saved && rolesByMatching(header, saved, domains);
		const roles = (form.roles as ColumnRole[] | undefined) ?? known ?? proposeRoles(header, domains);
		const shown = {
			source,
			csv: Papa.unparse(read.found),
			header,
			roles,
			sample: records.slice(0, 3),
			isKnown: known !== undefined
		};
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
		const scores = good.flatMap((row) =>
			row.scores.map(({ domainId, points }) => ({
				studentId: row.studentId!,
				domainId,
				theta: fromPoints(points),
				standardError: row.error / POINTS_PER_LOGIT,
				takenOn: row.takenOn
			}))
		);
		await inOne(database, async (all) => {
			await importScores(all, staff, window.id, source, scores, at);
			await saveMatching(all, staff, source, matchingOf(header, roles, domains), at);
		});
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
);
