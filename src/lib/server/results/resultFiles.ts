import Papa from 'papaparse';
import { fullName } from '../../core/words';
import { answerStatement } from '../../core/interchange/answerStatement';
import { describeAnswer, type Given, inWords, type Item, type ItemKey, misconceptionById } from '../../core/items';
import type { SittingKind } from '../../core/measurement';
import type { Try } from '../../core/results';
import { audit, type Database } from '../database';
import { itemsAsked, skillList } from '../library';
import { visibleAmong } from '../people';
import { spreadsheetOf } from '../reports';
import type { Staff, VisibleId } from '../request';
import type { School } from '../school';

export type Cell = string | number | null;
export type Table = Cell[][];

/** What results can be taken out as, by the name of the file. */
export const RESULT_FILES = {
	'results.csv': 'text/csv; charset=utf-8',
	'answers.csv': 'text/csv; charset=utf-8',
	'columns.csv': 'text/csv; charset=utf-8',
	'results.xlsx': 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
	'answers.jsonl': 'application/x-ndjson'
} as const;
export type ResultFile = keyof typeof RESULT_FILES;

/** The file that an address names; null for none. */
export const resultFileNamed = (name: string): ResultFile | null =>
	Object.hasOwn(RESULT_FILES, name) ? (name as ResultFile) : null;

/** What is said where an address names another file. */
export const NO_SUCH_FILE = `Results go out as ${Object.keys(RESULT_FILES).join(', ')}.`;

/** Columns of the table with a row an answer, and what each means. */
const ANSWER_COLUMNS = {
	student: 'number of the student at the school; where the school gives none, ours',
	name: 'their name',
	class: 'their class now',
	work: 'what it was given in: diagnostic, practice, probe, check, review (a few from before), or free (of their own choice)',
	set: 'number of the practice set here; empty outside sets',
	question: 'place of the question in their work, from 1',
	skill: 'code of the skill that it asks',
	asked: 'the question in words',
	key: 'its answer in words',
	try: '1 for the first try',
	answer: 'what was answered, in words; empty for “I don’t know yet”',
	right: 'yes or no; as it is judged now',
	seconds: 'from its being shown',
	hints: 'stages of the hint that stood beside it: 0, 1 or 2',
	idea: 'the wrong idea that it shows, where one is known',
	answered: 'when, UTC',
	family: 'family of the question; with seed and edition it tells which',
	seed: 'seed of the question',
	edition: 'edition of the family then'
};

/** The first columns of every table with a row a student. */
export const STUDENT_COLUMNS = {
	student: ANSWER_COLUMNS.student,
	name: ANSWER_COLUMNS.name,
	class: ANSWER_COLUMNS.class
};

/** An answer that is taken out. */
export interface AnswerOut extends Try, ItemKey {
	id: string;
	studentId: number;
	kind: SittingKind;
	setId: number | null;
	position: number;
	skillId: number;
	attempt: number;
	response: Given;
	answeredAt: Date;
}

/** What of a page is taken out. */
export interface TakenOut {
	/** What the file is called, without its ending. */
	title: string;
	/** For the log: what was taken out. */
	of: Record<string, unknown>;
	/** Students whom it may name. */
	studentIds: VisibleId[];
	/** The table as the page shows it, by the students' numbers, and what its columns mean; null where that is a row an answer. */
	results: { columns: Record<string, string>; table: (numberOf: Map<number, string>) => Table } | null;
	answers: AnswerOut[];
}

/**
 * Results as a file: the table as the page shows it, a row an answer, what the columns mean, all of these as a spreadsheet, or
 * answers as xAPI statements. Who took it out is written down. Null where the page has no such file.
 */
export async function resultFile(
	database: Database,
	staff: Staff,
	school: School,
	file: ResultFile,
	{ title, of, studentIds, results, answers }: TakenOut,
	{ origin, at }: { origin: string; at: Date }
): Promise<Response | null> {
	if (file === 'results.csv' && !results) return null;
	const [roster, skills, asked] = await Promise.all([
		visibleAmong(database, staff, studentIds, school.today),
		skillList(database, school.id),
		itemsAsked(database, answers)
	]);
	const who: Known['who'] = new Map(
		roster.map((student) => {
			const { id, number, className } = student;
			return [id as number, { number: number ?? String(id), name: fullName(student), className }];
		})
	);
	const known = { who, codeOf: new Map(skills.map(({ id, code }) => [id, code])) };
	await audit(database, staff, at, 'fetch results', { ...of, file, size: asked.length });
	const [name, ending] = file.split('.');
	const send = (body: string | Uint8Array) =>
		new Response(body as BodyInit, {
			headers: {
				'Content-Type': RESULT_FILES[file],
				'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(`${title}, ${name}`)}.${ending}`
			}
		});
	if (file === 'answers.jsonl') return send(asked.map((one) => `${sayStatement(one, known, origin)}\n`).join(''));
	const numberOf = new Map([...who].map(([id, { number }]) => [id, number]));
	const tables = {
		...(results && { Results: results.table(numberOf) }),
		Answers: [Object.keys(ANSWER_COLUMNS), ...asked.map((one) => answerRow(one, known))] as Table,
		Columns: dictionary(results?.columns ?? {})
	};
	if (file === 'results.xlsx') return send(await spreadsheetOf(tables));
	const table = { 'results.csv': tables.Results!, 'answers.csv': tables.Answers, 'columns.csv': tables.Columns }[file];
	// A leading mark tells spreadsheet programs that the text is UTF-8.
	return send(`\ufeff${Papa.unparse(table, { escapeFormulae: true })}`);
}

/** What is known to tell of students and skills. */
interface Known {
	who: Map<number, { number: string; name: string; className: string }>;
	codeOf: Map<number, string>;
}

function answerRow({ item, ...answer }: AnswerOut & { item: Item }, { who, codeOf }: Known): Cell[] {
	const { number, name, className } = who.get(answer.studentId)!;
	const idea = answer.misconception;
	return [
		...[number, name, className, answer.kind, answer.setId],
		...[answer.position + 1, codeOf.get(answer.skillId) ?? item.skillCode, inWords(item.stem)],
		...[inWords(describeAnswer(item, item.key)), answer.attempt, sayAnswer(item, answer.response) ?? ''],
		...[answer.correct ? 'yes' : 'no', Math.round(answer.milliseconds / 1_000), answer.hints],
		idea === null ? '' : (misconceptionById(idea)?.shows ?? idea),
		...[answer.answeredAt.toISOString(), answer.familyId, answer.seed, answer.edition]
	];
}

const sayStatement = ({ item, ...answer }: AnswerOut & { item: Item }, { who }: Known, origin: string): string =>
	JSON.stringify(
		answerStatement(
			{
				...{ id: answer.id, student: who.get(answer.studentId)!.number, at: answer.answeredAt },
				work: answer.setId === null ? null : String(answer.setId),
				question: `${answer.familyId}/${answer.edition}/${answer.seed}`,
				...{ stem: inWords(item.stem), kind: item.response.kind, key: inWords(describeAnswer(item, item.key)) },
				...{ response: sayAnswer(item, answer.response), correct: answer.correct, attempt: answer.attempt },
				...{ hints: answer.hints, misconception: answer.misconception, milliseconds: answer.milliseconds }
			},
			origin
		)
	);

const sayAnswer = (item: Item, response: Given): string | null =>
	response === null ? null : inWords(describeAnswer(item, response));

const dictionary = (columns: Record<string, string>): Table => [
	['table', 'column', 'means'],
	...Object.entries(columns).map(([column, means]) => ['results', column, means]),
	...Object.entries(ANSWER_COLUMNS).map(([column, means]) => ['answers', column, means])
];
