import Type from 'typebox';
import { screenContext } from '$lib/server/screen/screenPage';
import { cutsPage } from '$lib/server/screen/cutsPage';
import { cutScores, saveOutcomes, setCutScores } from '$lib/server/screen';
import { readOutcomes } from '$lib/core/interchange/outcomeImport';
import { usualCut } from '$lib/core/screening';
import { FLUENCY_MEASURES } from '$lib/core/fluency';
import { formCheck, oneOf, longForm, readFile, schoolDate } from '$lib/server/request';
import { refuse, staffAction } from '$lib/server/shell/staffPage';
import { studentsByNumber } from '$lib/server/people';

export async function load({ locals, url }) {
	const { staff, school, windows, window } = await screenContext(locals, url);
	return cutsPage(locals.database, staff, school, { windows, window }, url);
}

const cutForm = formCheck(
	Type.Object({
		term: Type.Integer({ minimum: 1, maximum: 3 }),
		measure: oneOf(['', ...FLUENCY_MEASURES], { default: '' }),
		grades: Type.Array(Type.Integer({ minimum: 1, maximum: 8 }), { minItems: 1, maxItems: 8 }),
		points: Type.Array(Type.String({ pattern: '^[0-9]{0,5}$' }), { minItems: 1, maxItems: 8 })
	})
);
const outcomeForm = formCheck(
	Type.Object({
		name: Type.String({ minLength: 1, maxLength: 80 }),
		takenOn: schoolDate,
		rows: Type.String({ minLength: 1, maxLength: 500_000 })
	}),
	longForm(500_000)
);

export const actions = {
	cuts: staffAction(
		'set cut scores',
		cutForm,
		async ({ staff, school, database, at, form }) => {
			const { term, grades, points } = form;
			const measure = form.measure || null;
			const [least, most] = measure ? [1, 400] : [200, 800];
			if (points.some((one) => one && (Number(one) < least || Number(one) > most)))
				return refuse(`Cut scores here are whole numbers from ${least} to ${most}, or empty for the usual one`);
			if (grades.length !== points.length) return refuse('Each grade needs one cut score');
			const before = await cutScores(database, school.id, { measure, term });
			const wanted = new Map(grades.map((grade, i) => [grade, points[i] ? Number(points[i]) : null]));
			await setCutScores(database, staff, { measure, term }, wanted, at);
			const changed = [...wanted].filter(([grade, cut]) => (cut ?? usualCut(measure, grade, term)) !== before[grade]);
			return {
				done: changed.length
					? `Cut scores of ${measure ? `${measure}, ` : ''}term ${term} are set for ${changed.map(([grade]) => `grade ${grade}`).join(', ')}. All bands follow.`
					: 'Nothing was different from before.',
				undo: changed.length
					? {
							action: '?/cuts',
							fields: {
								term: String(term),
								measure: measure ?? '',
								grades: grades.map(String),
								points: grades.map((grade) => String(before[grade]))
							}
						}
					: undefined
			};
		},
		'Cut scores are whole numbers, or empty for the usual one'
	),
	outcomes: staffAction('set cut scores', outcomeForm, async ({ staff, school, database, at, form }) => {
		const { name, takenOn, rows } = form;
		if (takenOn > school.today) return refuse('The outcome lies in the future');
		const file = await readFile('table', { content: new TextEncoder().encode(rows.trim()) });
		if ('problem' in file) return refuse(file.problem);
		const [header, ...records] = file.found.filter((cells) => cells.some((text) => text.trim()));
		if (!header || records.length === 0)
			return refuse('Paste a line of column names, then a student number and met or not met on each line');
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
	})
};
