import { strFromU8, unzipSync } from 'fflate';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { assignSet } from '../practice';
import { rowsOfSpreadsheet } from '../request/files/spreadsheet';
import { beginPractice } from '../sitting';
import { RESULT_FILES, resultFile, type ResultFile } from './resultFiles';
import { setTakenOut } from './setFilesPage';
import { setResultsPage } from './setResultsPage';

let small: SmallSchool;
let set: number;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');

beforeAll(async () => {
	small = await smallSchool('set_files');
	const fields = { skillId: small.skills[0].id, groupId: null, itemCount: 4, opensOn: TODAY, dueOn: addDays(TODAY, 4) };
	set = await assignSet(small.database, specialist, oneSkillSet({ ...fields, studentIds: [1, 2, 5] }), NOW);
	for (const student of [1, 5]) {
		const sitting = await beginPractice(small.database, seenOne(student), { id: set }, small.skills, NOW);
		await small.answerAll(student, sitting, (position) => position !== student % 3);
	}
});
afterAll(() => small.database.close());

const url = (query = '') => new URL(`https://school.test/practice/${set}/results?${query}`);
const fetch = async (file: ResultFile, query = '', staff = specialist) => {
	const taken = await setTakenOut(small.database, staff, small.school, set, url(query), NOW);
	const origin = { origin: url().origin, at: NOW };
	return taken && resultFile(small.database, staff, small.school, file, taken, origin);
};
const text = async (file: ResultFile, query = '', staff = specialist) => (await fetch(file, query, staff))!.text();
/** Read by a reader of CSV that is not ours. */
const csv = async (file: ResultFile, query = '', staff = specialist) =>
	Papa.parse<Record<string, string>>((await text(file, query, staff)).replace('\ufeff', ''), {
		header: true,
		skipEmptyLines: true
	}).data;

describe('results taken out', () => {
	it('have the table cell by cell as the page shows it', async () => {
		for (const query of ['', 'sort=name', 'show=not+finished', 'sort=right&show=all']) {
			const page = (await setResultsPage(small.database, specialist, small.school, set, url(query), NOW))!;
			const rows = await csv('results.csv', query);
			expect(rows.map(({ name }) => name)).toEqual(page.rows.map(({ name }) => name));
			for (const [i, row] of page.rows.entries()) {
				expect(rows[i]).toMatchObject({
					state: row.state,
					'right at first': String(row.score.right),
					answered: String(row.score.answered),
					later: String(row.score.later)
				});
				for (const { position } of page.columns) {
					const outcome = row.cells[position]?.outcome ?? 'unanswered';
					expect(rows[i][position + 1]).toBe(outcome === 'unanswered' ? '' : outcome);
				}
			}
		}
	});

	it('have a row an answer, as the database has them', async () => {
		const rows = await csv('answers.csv');
		const kept = await small.database.rows<{ position: number; correct: number; student: string; seed: number }>(
			`SELECT answer.position, answer.correct, COALESCE(student.number, student.id) AS student, item.seed
			FROM answer JOIN sitting ON sitting.id = answer.sitting_id JOIN student ON student.id = answer.student_id
			JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
			WHERE sitting.set_id = ? ORDER BY answer.student_id, answer.position, answer.attempt`,
			[set]
		);
		expect(rows.map(({ student, question, right, seed }) => [student, question, right, seed])).toEqual(
			kept.map((one) => [String(one.student), String(one.position + 1), one.correct ? 'yes' : 'no', String(one.seed)])
		);
		for (const { asked, key, answer, right } of rows) {
			expect(asked.length).toBeGreaterThan(5);
			if (right === 'yes') expect(answer).toBe(key);
		}
	});

	it('have the answers of the students that the page shows, in whatever form', async () => {
		expect(await csv('answers.csv', 'show=not+finished')).toEqual([]);
		expect(await text('answers.jsonl', 'show=not+finished')).toBe('');
	});

	it('say what each column means', async () => {
		const means = await csv('columns.csv');
		for (const file of ['results', 'answers'] as const) {
			const [first] = await csv(`${file}.csv`);
			const told = means.filter(({ table }) => table === file).map(({ column }) => column);
			for (const column of Object.keys(first)) expect(told).toContain(/^\d+$/.test(column) ? '1, 2, …' : column);
		}
	});

	it('are the same in a spreadsheet', async () => {
		const bytes = new Uint8Array(await (await fetch('results.xlsx'))!.arrayBuffer());
		const lines = Papa.parse<string[]>((await text('results.csv')).replace('\ufeff', ''), {
			skipEmptyLines: true
		}).data;
		expect(await rowsOfSpreadsheet(bytes)).toEqual(lines);
		const sheets = Object.entries(unzipSync(bytes)).filter(([name]) => /worksheets\/sheet\d+\.xml$/.test(name));
		expect(sheets).toHaveLength(3);
		const answers = strFromU8(sheets.find(([name]) => name.endsWith('sheet2.xml'))![1]);
		expect(answers.match(/<row /g)).toHaveLength(1 + (await csv('answers.csv')).length);
	});

	it('tell answers as xAPI statements, a line each, without names', async () => {
		const body = await text('answers.jsonl');
		const lines = body.trimEnd().split('\n');
		const statements = lines.map((line) => JSON.parse(line));
		const rows = await csv('answers.csv');
		expect(statements.map(({ actor, result }) => [actor.account.name, result.success ? 'yes' : 'no'])).toEqual(
			rows.map(({ student, right }) => [student, right])
		);
		expect(new Set(statements.map(({ id }) => id)).size).toBe(rows.length);
		for (const { name } of rows) expect(body).not.toContain(name);
		for (const { object, context } of statements) {
			expect(object.id).toMatch(/^https:\/\/school\.test\/questions\/[a-z0-9-]+\/\d+\/\d+$/);
			expect(context.contextActivities.parent[0].id).toBe(`https://school.test/practice/${set}`);
		}
	});

	it('are of students who may be seen only, and are noted in the log', async () => {
		const own = await csv('answers.csv', '', teacher);
		expect(new Set(own.map(({ name }) => name)).size).toBe(1);
		expect((await text('answers.jsonl', '', teacher)).trimEnd().split('\n')).toHaveLength(own.length);
		const elsewhere = { ...specialist, id: 20, schoolId: 2 };
		for (const file of Object.keys(RESULT_FILES) as ResultFile[]) expect(await fetch(file, '', elsewhere)).toBeNull();
		const log = await small.database.rows<{ detail: string }>(
			"SELECT detail FROM audit_entry WHERE action = 'fetch results' ORDER BY id DESC LIMIT 1"
		);
		expect(JSON.parse(log[0].detail)).toMatchObject({ set, file: 'answers.jsonl', size: own.length });
	});
});
