import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool, seenOne } from '../../../../tests/smallSchool';
import { assignSet } from '../practice';
import { findScope } from '../shell';
import { beginPractice } from '../sitting';
import { readCell } from '../../core/mastery';
import { skillGraph } from '../library';
import { readStandings } from '../standing';
import { mapPage, mapRows } from './mapPage';

let small: SmallSchool;
const specialist = staffAs('specialist');

beforeAll(async () => {
	small = await smallSchool('map_page');
});
afterAll(() => small.database.close());

async function pageAt(query: string) {
	const students = await (await findScope(small.database, specialist, 'school', TODAY))!.students();
	const url = new URL(`http://school.test/gaps?${query}`);
	return mapPage(small.database, specialist, small.school, students, url);
}
const cellOf = async (studentId: number | null, skillId: number | null) =>
	(await pageAt(`student=${studentId}&cell=${skillId}`)).evidence;
const bytesFrom = (cells: string) => new Uint8Array(Buffer.from(cells, 'base64'));

describe('the needle map', () => {
	it('shows the standings as they are read, cell by cell, and rings what is ready next', async () => {
		const { rows, ids, skills } = await pageAt('columns=all');
		expect(ids).toEqual([...seen(1, 2, 3, 4, 5, 6, 7, 8)]);
		const graph = await skillGraph(small.database, small.school.id, small.skills);
		const standings = await readStandings(small.database, seen(...ids));
		for (const { id, cells } of rows) {
			const own = standings.get(id)!;
			for (const skill of skills) {
				const cell = readCell(bytesFrom(cells), skill.place);
				const now = own.get(skill.id)!;
				expect(cell.standing).toBe(now.inferred ?? now.standing);
				expect(cell.answers).toBe(now.answers);
				const isMet = graph.prerequisites.get(skill.id)!.every((one) => own.get(one)!.mastered >= 0.5);
				expect(cell.readyNext).toBe(isMet && now.mastered < 0.5);
			}
		}
	});

	it('is narrowed and ordered by the address, over all in scope; what is no choice is left out', async () => {
		const whole = await pageAt('columns=all');
		expect(await pageAt('columns=wide&needles=red&order=height')).toMatchObject({
			choice: { skills: 'term', needles: 'all', order: 'class' }
		});
		const one = whole.rows[3];
		const found = await pageAt(`columns=all&find=${encodeURIComponent(`${one.givenName} ${one.familyName}`)}`);
		expect(found.ids).toContain(one.id);
		expect(found.inScope).toEqual(whole.inScope);
		const ready = await pageAt('columns=all&needles=ready&order=ready');
		const counts = ready.rows.map(
			({ cells }) => ready.skills.filter(({ place }) => readCell(bytesFrom(cells), place).readyNext).length
		);
		expect(counts).toEqual([...counts].sort((a, b) => b - a));
	});

	it('of nobody is empty', async () => {
		const url = new URL('http://school.test/gaps');
		expect(await mapPage(small.database, specialist, small.school, [], url)).toMatchObject({
			inScope: [],
			ids: [],
			rows: [],
			classwide: []
		});
	});

	it('gives more rows as it is scrolled to, the same that the page would bring', async () => {
		const [students, { rows }] = [
			await (await findScope(small.database, specialist, 'school', TODAY))!.students(),
			await pageAt('')
		];
		expect(await mapRows(small.database, small.school, students.slice(2, 5))).toEqual(rows.slice(2, 5));
	});
});

describe('the evidence of a cell', () => {
	it('tells each answer with the school’s day, also of an evening', async () => {
		const [{ id: skillId, code }] = small.skills;
		const set = { skillId, groupId: null, itemCount: 2, opensOn: TODAY, dueOn: TODAY, studentIds: [1] };
		const setId = await assignSet(small.database, specialist, oneSkillSet(set), NOW);
		const evening = new Date('2026-11-24T01:30:00Z');
		const place = { id: setId, skillCode: code, itemCount: 2, firstSeed: 100 };
		const sittingId = await beginPractice(small.database, seenOne(1), place, small.skills, evening);
		await small.answerAll(1, sittingId, (position) => position === 0, 4_000, evening);
		const shown = (await cellOf(1, skillId))!;
		expect(shown.answers.map(({ on }) => on)).toEqual([TODAY, TODAY]);
		expect(shown.answers.map(({ correct }) => correct).sort()).toEqual([false, true]);
	});

	it('is nothing where no cell, or one of nobody here, is chosen', async () => {
		const [{ id: skillId }] = small.skills;
		expect(await cellOf(null, skillId)).toBeNull();
		expect(await cellOf(1, null)).toBeNull();
		expect(await cellOf(9, skillId)).toBeNull();
	});
});
