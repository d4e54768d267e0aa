import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { assignSet } from '../practice';
import { beginPractice } from '../sitting';
import { findScope, type Scope } from '../shell/store/scope';
import { resultFile, type ResultFile } from './resultFiles';
import { throughTimeTakenOut } from './throughTimeFilesPage';
import { throughTimePage } from './throughTimePage';

let small: SmallSchool;
let scope: Scope;
/** Three sets on one skill, a day apart, and one on another. */
let sets: number[];
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const at = (days: number) => new Date(NOW.getTime() + days * 86_400_000);

async function give(skill: number, days: number, right: Record<number, number>): Promise<number> {
	const set = { skillId: small.skills[skill].id, groupId: null, itemCount: 5, dueOn: addDays(TODAY, 9) };
	const students = Object.keys(right).map(Number);
	const id = await assignSet(
		small.database,
		specialist,
		oneSkillSet({ ...set, opensOn: addDays(TODAY, -40), studentIds: students }),
		NOW
	);
	for (const student of students) {
		const sitting = await beginPractice(small.database, seenOne(student), { id }, small.skills, at(days));
		await small.answerAll(student, sitting, (position) => position < right[student], 9_000, at(days));
	}
	return id;
}

beforeAll(async () => {
	small = await smallSchool('through_time');
	scope = (await findScope(small.database, specialist, 'school', TODAY))!;
	sets = [
		await give(1, -3, { 1: 1, 2: 5, 5: 2 }),
		await give(1, -2, { 1: 3, 2: 2, 5: 3 }),
		await give(1, -1, { 1: 2, 2: 3, 5: 4 }),
		await give(2, -1, { 1: 5 })
	];
});
afterAll(() => small.database.close());

const page = async (query = '', of = scope) =>
	throughTimePage(small.database, small.school, of, new URL(`http://school.test/results?${query}`));

describe('results through time', () => {
	it('go by skill from the first set to the last, for every student, with or without any', async () => {
		const { rows, skills, part } = await page();
		expect(rows.map(({ id }) => id)).toEqual((await scope.students()).map(({ id }) => id));
		expect(part.total).toBe(rows.length);
		expect(skills.map(({ id }) => id)).toEqual([small.skills[1].id, small.skills[2].id]);
		const row = (id: number) => rows.find((one) => one.id === id)!.skills;
		expect(row(1)).toMatchObject([
			{
				before: { runs: 3, right: 1, answered: 5, from: addDays(TODAY, -3), to: addDays(TODAY, -1) },
				...{ setId: sets[2], right: 2, isUnder: true }
			},
			{ right: 5, answered: 5, setId: sets[3] }
		]);
		expect(row(5)).toMatchObject([{ before: { right: 2 }, right: 4 }, null]);
		expect(row(3)).toEqual([null, null]);
	});

	it('go by set, each with what came of it', async () => {
		const { rows, sets: columns } = await page('by=date');
		expect(columns.map(({ id, on }) => [id, on])).toEqual([
			[sets[0], addDays(TODAY, -3)],
			[sets[1], addDays(TODAY, -2)],
			[sets[2], addDays(TODAY, -1)],
			[sets[3], addDays(TODAY, -1)]
		]);
		// Called as everywhere.
		expect(columns.map(({ name }) => name)).toEqual([1, 1, 1, 2].map((skill) => small.skills[skill].shortName));
		expect(
			rows.find(({ id }) => id === 2)!.sets.map((run) => run && [run.right, run.answered, run.isUnder ?? false])
		).toEqual([[5, 5, false], [2, 5, true], [3, 5, true], null]);
	});

	it('go by the day on which the first began a set, whoever comes later', async () => {
		const late = await give(3, -2, { 1: 5 });
		const sitting = await beginPractice(small.database, seenOne(1), { id: late }, small.skills, at(-2));
		await small.database.run('UPDATE sitting SET started_at = ? WHERE id = ?', [at(-6), sitting]);
		await small.database.run('INSERT INTO practice_set_student (set_id, student_id) VALUES (?, 5)', [late]);
		const other = await beginPractice(small.database, seenOne(5), { id: late }, small.skills, at(-1));
		await small.answerAll(5, other, () => true, 9_000, at(-1));
		const { sets: columns } = await page('by=date');
		expect(columns[0]).toMatchObject({ id: late, on: addDays(TODAY, -6) });
		await small.database.run('UPDATE sitting SET set_aside_at = ? WHERE set_id = ?', [NOW, late]);
		expect((await page('by=date')).sets.map(({ id }) => id)).toEqual(sets);
	});

	it('name who is under the line in three sets, and of what comes before what they have least', async () => {
		const { failed } = await page();
		expect(failed.map(({ skill }) => skill.id)).toEqual([small.skills[1].id]);
		expect(failed[0].students).toMatchObject([{ id: 1, why: 'several sets', times: 3 }]);
		const before = await small.database.rows<{ id: number }>(
			'SELECT DISTINCT prerequisite_id AS id FROM framework_edge WHERE skill_id = ?',
			[small.skills[1].id]
		);
		const { before: least } = failed[0].students[0];
		if (before.length) expect(before.map(({ id }) => id)).toContain(least!.id);
		else expect(least).toBeNull();
	});

	it('are of the time that is asked for, and of students who may be seen', async () => {
		await small.database.run('UPDATE sitting SET started_at = started_at - INTERVAL 60 DAY WHERE set_id = ?', [
			sets[0]
		]);
		expect((await page('period=28&by=date')).sets.map(({ id }) => id)).toEqual(sets.slice(1));
		expect((await page('period=28')).failed).toEqual([]);
		expect((await page('period=120&by=date')).sets.map(({ id }) => id)).toEqual(sets);
		expect((await page('period=nonsense')).period).toBe('cycle');
		const own = (await findScope(small.database, teacher, 'class:1', TODAY))!;
		expect((await page('', own)).rows.some(({ id }) => id === 5)).toBe(false);
	});
});

describe('results through time, taken out', () => {
	const origin = { origin: 'http://school.test', at: NOW };
	const taken = (query: string, of = scope) =>
		throughTimeTakenOut(small.database, small.school, of, new URL(`http://school.test/results?${query}`));
	const rowsOf = async (file: ResultFile, query = '', staff = specialist, of = scope) => {
		const sent = await resultFile(small.database, staff, small.school, file, await taken(query, of), origin);
		return Papa.parse<string[]>((await sent!.text()).replace('\ufeff', ''), { skipEmptyLines: true }).data;
	};

	it('have the table as the page shows it, by skill or by set', async () => {
		const bySkill = await page('period=120');
		const [heads, ...lines] = await rowsOf('results.csv', 'period=120');
		expect(heads.slice(3)).toEqual(bySkill.skills.map(({ code }) => code));
		expect(lines.map(([, name]) => name)).toEqual(bySkill.rows.map(({ name }) => name));
		const said = (id: number) => lines[bySkill.rows.findIndex((row) => row.id === id)].slice(3);
		expect(said(1)).toEqual(['1 of 5, then 2 of 5, under the line', '5 of 5']);
		expect(said(5)).toEqual(['2 of 5, then 4 of 5', '']);
		const bySet = await page('by=date&period=120');
		const [setHeads, ...setLines] = await rowsOf('results.csv', 'by=date&period=120');
		expect(setHeads).toHaveLength(3 + bySet.sets.length);
		for (const [i, row] of bySet.rows.entries())
			expect(setLines[i].slice(3)).toEqual(
				row.sets.map((run) => (run ? `${run.right} of ${run.answered}${run.isUnder ? ', under the line' : ''}` : ''))
			);
	});

	it('have a row an answer of those who are shown, as the database has them', async () => {
		const [heads, ...lines] = await rowsOf('answers.csv', 'period=120');
		const kept = await small.database.rows<{ name: string; setId: number; correct: boolean }>(
			`SELECT CONCAT(given_name, ' ', family_name) AS name, sitting.set_id AS setId, answer.correct
			FROM answer JOIN sitting ON sitting.id = answer.sitting_id JOIN student ON student.id = answer.student_id
			WHERE sitting.set_id IS NOT NULL AND sitting.set_aside_at IS NULL
			ORDER BY answer.student_id, sitting.started_at, sitting.id, answer.position`
		);
		const column = (name: string) => heads.indexOf(name);
		expect(lines.map((line) => ['name', 'set', 'right', 'work'].map((name) => line[column(name)]))).toEqual(
			kept.map(({ name, setId, correct }) => [name, String(setId), correct ? 'yes' : 'no', 'practice'])
		);
		const own = (await findScope(small.database, teacher, 'school', TODAY))!;
		const [, ...theirs] = await rowsOf('answers.csv', 'period=120', teacher, own);
		expect(theirs.length).toBeLessThan(lines.length);
	});
});
