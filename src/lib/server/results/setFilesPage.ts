import Papa from 'papaparse';
import { inWords, describeAnswer, misconceptionById } from '../../core/items';
import { answerStatement } from '../../core/interchange/answerStatement';
import type { Outcome } from '../../core/results';
import { audit, type Database } from '../database';
import { itemsAsked, skillList } from '../library';
import { visibleAmong } from '../people';
import { spreadsheetOf } from '../reports';
import type { Staff, VisibleId } from '../request';
import type { School } from '../school';
import { setResultsPage, type SetResultsPage } from './setResultsPage';
import { setAnswers, type SetAnswer } from './store/setRuns';

type Cell = string | number | null;
type Table = Cell[][];

/** What a question of the grid says: first try, later, missed, or nothing where it was not answered. */
const OUTCOME_CELLS: Record<Outcome, string> = {
	'first try': 'first try',
	later: 'later',
	missed: 'missed',
	unanswered: ''
};

/** Columns of the table with a row an answer, and what each means. */
const ANSWER_COLUMNS = {
	student: 'number of the student at the school; where the school gives none, ours',
	name: 'their name',
	class: 'their class now',
	question: 'place of the question in their set, from 1',
	skill: 'code of the skill that it asks',
	asked: 'the question in words',
	key: 'its answer in words',
	try: '1 for the first try',
	answer: 'what was answered, in words; empty for “I don’t know yet”',
	right: 'yes or no',
	seconds: 'from its being shown',
	hints: 'stages of the hint that stood beside it: 0, 1 or 2',
	idea: 'the wrong idea that it shows, where one is known',
	answered: 'when, UTC',
	family: 'family of the question; with seed and edition it tells which',
	seed: 'seed of the question',
	edition: 'edition of the family then'
};
/** Columns of the table with a row a student beside one a question, and what each means. */
const GRID_COLUMNS = {
	student: ANSWER_COLUMNS.student,
	name: 'their name',
	class: 'their class now',
	state: 'how far they are with the set',
	'1, 2, …': 'the question at that place: first try, later (right at a later try), missed, or empty where not answered',
	'right at first': 'questions right at the first try',
	answered: 'questions answered',
	later: 'questions right at a later try',
	seconds: 'time on all tries, each a minute at most',
	hinted: 'questions beside which a hint stood'
};

/** What a set's results can be taken out as, by the name of the file. */
export const SET_FILES = {
	'results.csv': 'text/csv; charset=utf-8',
	'answers.csv': 'text/csv; charset=utf-8',
	'columns.csv': 'text/csv; charset=utf-8',
	'results.xlsx': 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
	'answers.jsonl': 'application/x-ndjson'
} as const;
export type SetFile = keyof typeof SET_FILES;

/** The students and questions as the page shows them, in its order. */
function gridTable(
	{ set, rows, columns }: Pick<SetResultsPage, 'set' | 'rows' | 'columns'>,
	numberOf: Map<number, string>
): Table {
	// Where only counts that it is done, no score is told.
	const isScored = !set.how.doneOnly;
	const [first, last] = [
		['student', 'name', 'class', 'state'],
		[...(isScored ? ['right at first'] : []), 'answered', 'later', 'seconds', 'hinted']
	];
	return [
		[...first, ...columns.map(({ position }) => String(position + 1)), ...last],
		...rows.map(({ id, name, className, state, cells, score }) => [
			...[numberOf.get(id)!, name, className, state],
			...columns.map(({ position }) => OUTCOME_CELLS[cells[position]?.outcome ?? 'unanswered']),
			...(isScored ? [score.right] : []),
			...[score.answered, score.later, Math.round(score.milliseconds / 1_000), score.hinted]
		])
	];
}

const dictionary = (): Table => [
	['table', 'column', 'means'],
	...Object.entries(GRID_COLUMNS).map(([column, means]) => ['results', column, means]),
	...Object.entries(ANSWER_COLUMNS).map(([column, means]) => ['answers', column, means])
];

/**
 * A set's results as a file: the table as the page shows it, a row an answer, what the columns mean, all of these as a
 * spreadsheet, or answers as xAPI statements. Who took it out is written down. Null for no such set for the staff member.
 *
 * @param url of the page, whose order and rows the table has
 */
export async function setFile(
	database: Database,
	staff: Staff,
	school: School,
	setId: number,
	file: SetFile,
	{ url, at }: { url: URL; at: Date }
): Promise<{ name: string; body: string | Uint8Array } | null> {
	const page = await setResultsPage(database, staff, school, setId, url, at);
	if (!page) return null;
	const ids = page.students.map(({ id }) => id as VisibleId);
	const [roster, skills, answers] = await Promise.all([
		visibleAmong(database, staff, ids, school.today),
		skillList(database, school.id),
		setAnswers(database, setId, ids)
	]);
	const numberOf = new Map(roster.map(({ id, number }) => [id as number, number ?? String(id)]));
	const codeOf = new Map(skills.map(({ id, code }) => [id, code]));
	const rowOf = new Map(page.rows.map((row) => [row.id, row]));
	const asked = await itemsAsked(
		database,
		answers.filter(({ studentId }) => rowOf.has(studentId))
	);
	await audit(database, staff, at, 'fetch results', { set: setId, file, size: asked.length });
	const name = `${page.title}, ${file.split('.')[0]}`;
	if (file === 'answers.jsonl') {
		const told = asked.map(({ item, ...answer }) =>
			JSON.stringify(
				answerStatement(
					{
						...{ id: answer.id, student: numberOf.get(answer.studentId)!, work: String(setId), at: answer.answeredAt },
						question: `${answer.familyId}/${answer.edition}/${answer.seed}`,
						...{ stem: inWords(item.stem), kind: item.response.kind, key: inWords(describeAnswer(item, item.key)) },
						response: answer.response === null ? null : inWords(describeAnswer(item, answer.response)),
						...{ correct: answer.correct, attempt: answer.attempt, hints: answer.hints },
						...{ misconception: answer.misconception, milliseconds: answer.milliseconds }
					},
					url.origin
				)
			)
		);
		return { name, body: told.map((line) => `${line}\n`).join('') };
	}
	const answersTable: Table = [
		Object.keys(ANSWER_COLUMNS),
		...asked.map(({ item, ...answer }) => [
			...[numberOf.get(answer.studentId)!, rowOf.get(answer.studentId)!.name, rowOf.get(answer.studentId)!.className],
			...[answer.position + 1, codeOf.get(answer.skillId) ?? item.skillCode, inWords(item.stem)],
			...[inWords(describeAnswer(item, item.key)), answer.attempt, sayAnswer(item, answer)],
			...[answer.correct ? 'yes' : 'no', Math.round(answer.milliseconds / 1_000), answer.hints, sayIdea(answer)],
			...[answer.answeredAt.toISOString(), answer.familyId, answer.seed, answer.edition]
		])
	];
	const tables: Record<string, Table> = {
		results: gridTable(page, numberOf),
		answers: answersTable,
		columns: dictionary()
	};
	if (file === 'results.xlsx')
		return {
			name,
			body: await spreadsheetOf({ Results: tables.results, Answers: tables.answers, Columns: tables.columns })
		};
	// A leading mark tells spreadsheet programs that the text is UTF-8.
	return { name, body: `\ufeff${Papa.unparse(tables[file.split('.')[0]], { escapeFormulae: true })}` };
}

const sayAnswer = (item: Parameters<typeof describeAnswer>[0], { response }: SetAnswer) =>
	response === null ? '' : inWords(describeAnswer(item, response));
const sayIdea = ({ misconception }: SetAnswer) =>
	misconception === null ? '' : (misconceptionById(misconception)?.shows ?? misconception);
