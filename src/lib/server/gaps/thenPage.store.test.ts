import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { cellOf, ownStanding, packCells, readCell } from '../../core/mastery';
import { findScope } from '../shell';
import { readStandings, standingsOnDays } from '../standing';
import { keepEarlierCells } from '../standing/keepEarlier';
import { earlierCells, forgetEarlierCells } from '../standing/store/earlierCells';
import { markStale } from '../standing/store/studentFields';
import { assignChecks, beginCheck, openChecks } from './store/skillChecks';
import { thenPage, thenRows } from './thenPage';

/** A day of which what is worked out is kept, and the day before the answers. */
const THEN = addDays(TODAY, -10);

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('then_page');
	const check = (studentId: number, place: number) => ({ studentId, skillIds: [small.skills[place].id] });
	await assignChecks(small.database, staffAs('specialist'), [check(1, 0), check(2, 1)], TODAY, NOW);
	for (const id of [1, 2]) {
		const [open] = await openChecks(small.database, seen(id));
		const sitting = await beginCheck(small.database, open, small.skills, NOW);
		await small.answerAll(id, sitting, () => id === 1);
	}
});
afterAll(() => small.database.close());

const students = async () => (await findScope(small.database, staffAs('specialist'), 'school', TODAY))!.students();
const at = (query: string) => new URL(`http://school.test/gaps/then?${query}`);
const page = async (query: string) => thenPage(small.database, small.school, await students(), at(query));
const kept = () =>
	small.database.rows<{ id: number; day: string }>(
		'SELECT student_id AS id, on_date AS day FROM student_field_then ORDER BY student_id'
	);

describe('then and now', () => {
	it('counts what standings of that day and of now say, and tells by whose answers', async () => {
		const found = await page(`then=${THEN}&changes=all`);
		const ids = seen(...(await students()).map(({ id }) => id));
		const [now, then] = [
			await readStandings(small.database, ids),
			(await standingsOnDays(small.database, ids, [THEN])).get(THEN)!
		];
		let firstSeen = 0;
		for (const id of ids)
			for (const { id: skillId } of small.skills) {
				const [before, after] = [then.get(id)!.get(skillId)!, now.get(id)!.get(skillId)!];
				if (before.standing === 'unseen' && after.standing !== 'unseen') firstSeen++;
			}
		expect(firstSeen).toBe(2);
		expect(found.counts).toMatchObject({ 'first seen': firstSeen, risen: 0, fallen: 0 });
		expect(found.counts.same).toBe(ids.length * small.skills.length - firstSeen);
		const [one] = found.rows.find(({ id }) => id === 1)!.changed;
		expect(one).toMatchObject({ skillId: small.skills[0].id, from: 'unseen', answers: 5, change: 'first seen' });
		expect(one.to).toBe(now.get(1)!.get(small.skills[0].id)!.standing);
		expect(found.skills.map(({ id }) => id).sort()).toEqual([small.skills[0].id, small.skills[1].id].sort());
	});

	it('gives the same rows as it is scrolled to, and nothing of a kind that there was not', async () => {
		const found = await page(`then=${THEN}&changes=all`);
		expect(await thenRows(small.database, small.school, await students(), at(`then=${THEN}&changes=all`))).toEqual(
			found.rows
		);
		expect((await page(`then=${THEN}&changes=fallen`)).skills).toEqual([]);
		expect((await page('then=2099-01-01')).then < TODAY).toBe(true);
	});
});

describe('cells of an earlier day', () => {
	it('are those of its standings, worked out once and kept, until answers reach back', async () => {
		await small.database.run('DELETE FROM student_field_then');
		const ids = seen(1, 2, 3);
		const first = await earlierCells(small.database, small.school, ids, THEN, Infinity);
		expect(first.missing).toEqual([]);
		expect((await kept()).map(({ id }) => id)).toEqual([1, 2, 3]);
		const then = (await standingsOnDays(small.database, ids, [THEN])).get(THEN)!;
		for (const id of ids)
			small.skills.forEach((skill, place) => {
				const expected = cellOf(then.get(id)!.get(skill.id)!, readCell(first.cells.get(id)!, place).readyNext);
				expect(readCell(first.cells.get(id)!, place)).toEqual(readCell(packCells([expected]), 0));
				expect(ownStanding(expected)).toBe('unseen');
			});
		await small.database.transaction((transaction) => markStale(transaction, [1], { reachesBack: false }));
		expect((await kept()).map(({ id }) => id)).toEqual([1, 2, 3]);
		await small.database.transaction((transaction) => markStale(transaction, [2], { reachesBack: true }));
		expect((await kept()).map(({ id }) => id)).toEqual([1, 3]);
	});

	it('are worked out no longer than is allowed', async () => {
		await small.database.run('DELETE FROM student_field_then');
		expect(await earlierCells(small.database, small.school, [1, 2], THEN, 0)).toMatchObject({ missing: [1, 2] });
	});

	it('of the last two days are kept until anything has changed for the student', async () => {
		await small.database.run('DELETE FROM student_field_then');
		const yesterday = addDays(TODAY, -1);
		const ask = (most: number) => earlierCells(small.database, small.school, [1, 2], yesterday, most);
		expect([...(await ask(Infinity)).cells.keys()]).toEqual([1, 2]);
		expect(await ask(0)).toMatchObject({ missing: [] });
		await small.database.transaction((transaction) => markStale(transaction, [1], { reachesBack: false }));
		expect(await ask(0)).toMatchObject({ missing: [1] });
		expect(await ask(Infinity)).toMatchObject({ missing: [] });
		expect(await ask(0)).toMatchObject({ missing: [] });
	});

	it('of the cycle’s first day are worked out for everybody by a job, and forgotten when nobody asks', async () => {
		await small.database.run('DELETE FROM student_field_then');
		const steps = [];
		for await (const { progress } of keepEarlierCells(small.database, NOW)) steps.push(progress);
		expect(steps.at(-1)).toEqual({ made: 8, students: 8 });
		const there = await kept();
		expect(there).toHaveLength(8);
		expect((await page('')).then).toBe(there[0].day);
		await forgetEarlierCells(small.database, addDays(TODAY, 20));
		expect(await kept()).toHaveLength(8);
		await forgetEarlierCells(small.database, addDays(TODAY, 22));
		expect(await kept()).toEqual([]);
	});
});
