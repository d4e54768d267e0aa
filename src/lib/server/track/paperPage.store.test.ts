import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newProbes, NOW, smallSchool, staffAs, TODAY, type SmallSchool, seen } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { beginProbe, paperFormsOf, storePaperProbes, takeBackPaperProbes } from '../sitting';
import { readPlans } from './readPlans';
import { paperAsked, paperPage } from './paperPage';
import { probeSeries, startProbes } from './store/probes';

let small: SmallSchool;
const specialist = staffAs('specialist');
beforeAll(async () => {
	small = await smallSchool('paper');
	await startProbes(
		small.database,
		specialist,
		newProbes({
			studentIds: [1, 2, 3, 4, 5, 6],
			skillId: small.skills[5].id,
			groupId: null,
			startsOn: addDays(TODAY, -14),
			goalOn: addDays(TODAY, 56)
		}),
		NOW
	);
});
afterAll(() => small.database.close());

const asked = (query: string) => paperAsked(new URL(`https://school.example/track/paper?${query}`), TODAY);
const page = (query: string) => paperPage(small.database, specialist, small.school, asked(query));
const seriesOf = async (studentId: number) =>
	(await probeSeries(small.database, seen(studentId), { ...small.school, today: TODAY }))[0];

async function enter(studentId: number, missed: number[], query = `of=${studentId}`) {
	const found = (await page(query))!;
	const [line] = found.lines;
	return storePaperProbes(
		small.database,
		specialist,
		{ letter: found.letter, questions: found.questions },
		[{ planId: line.planId, studentId, number: line.number, missed }],
		small.skills,
		{ on: NOW, at: NOW }
	);
}

describe('probes on paper', () => {
	it('count like those taken at a device: right and not right of the very questions of the form', async () => {
		const { questions, letter } = (await page('of=1'))!;
		expect(letter).toBe('A');
		const { sittings } = await enter(1, [2, 6, 11]);
		const series = await seriesOf(1);
		expect(series.taken).toMatchObject([{ sittingId: sittings[0], number: 3, right: questions.length - 3 }]);
		expect(series.due).toBe(false);
		const rows = await small.database.rows<{ position: number; familyId: string; seed: number; correct: number }>(
			`SELECT item.position, item.family_id AS familyId, item.seed, answer.correct FROM sitting_item AS item
			JOIN answer USING (sitting_id, position) WHERE item.sitting_id = ? ORDER BY item.position`,
			[sittings[0]]
		);
		expect(rows.map(({ familyId, seed }) => [familyId, seed])).toEqual(
			questions.map(({ familyId, seed }) => [familyId, seed])
		);
		expect(rows.filter(({ correct }) => !Number(correct)).map(({ position }) => position)).toEqual([2, 6, 11]);
		const [read] = await readPlans(small.database, small.school, [series]);
		expect(read.reading!.probes).toMatchObject([{ week: 2, right: questions.length - 3, of: questions.length }]);
	});

	it('have the next form the week after, and say which were given', async () => {
		expect((await paperFormsOf(small.database, [(await seriesOf(1)).id])).get((await seriesOf(1)).id)).toEqual(['A']);
		const week = paperAsked(new URL('https://school.example/?of=1'), addDays(TODAY, 7));
		const later = (await paperPage(small.database, specialist, { ...small.school, today: addDays(TODAY, 7) }, week))!;
		expect(later.letter).toBe('B');
		expect(later.met).toBe(0);
		expect(later.letters.slice(0, 2)).toEqual([
			{ letter: 'A', given: 1 },
			{ letter: 'B', given: 0 }
		]);
	});

	it('never take the place of what was begun at a device, and are kept once however often they are sent', async () => {
		const plan = await seriesOf(2);
		const begun = await beginProbe(small.database, plan, 3, small.skills, NOW);
		expect(await enter(2, [])).toEqual({ sittings: [], left: [plan.id] });
		expect(await small.database.rows('SELECT id FROM answer WHERE sitting_id = ?', [begun])).toEqual([]);
		const both = await Promise.all([enter(3, [0]), enter(3, [0])]);
		expect(both.map(({ sittings }) => sittings.length).sort()).toEqual([0, 1]);
		expect((await seriesOf(3)).taken.length).toBe(1);
	});

	it('are taken back as if they had not been given, by the own school only', async () => {
		const { sittings } = await enter(4, [1]);
		expect(await takeBackPaperProbes(small.database, { ...specialist, schoolId: 2 }, sittings, NOW)).toBe(0);
		expect(await takeBackPaperProbes(small.database, staffAs('interventionist'), sittings, NOW)).toBe(0);
		expect(await takeBackPaperProbes(small.database, specialist, sittings, NOW)).toBe(1);
		expect((await seriesOf(4)).taken).toEqual([]);
		expect((await seriesOf(4)).due).toBe(true);
		expect(await takeBackPaperProbes(small.database, specialist, sittings, NOW)).toBe(0);
	});

	it('given on an earlier day are of that day’s week; none is for somebody else’s student', async () => {
		const earlier = (await page(`of=5&on=${addDays(TODAY, -10)}`))!;
		expect(earlier.lines).toMatchObject([{ number: 1, right: null }]);
		expect(asked(`on=${addDays(TODAY, 1)}`).on).toBe(TODAY);
		expect(asked(`on=${addDays(TODAY, -40)}`).on).toBe(TODAY);
		expect(await paperPage(small.database, staffAs('teacher'), small.school, asked('of=6'))).toBeNull();
		expect(await page('of=8')).toBeNull();
		expect(await page('group=77')).toBeNull();
	});
});
