import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newProbes, NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { sameWords } from '../../../core/items/probeQuestions';
import { beginProbe } from '../../sitting';
import { letMakeUp, probeSeries, startProbes, undoStartProbes } from './probes';

let small: SmallSchool;
const specialist = staffAs('specialist');

beforeAll(async () => {
	small = await smallSchool('probes');
});
afterAll(() => small.database.close());

describe('probes', () => {
	const plan = (changes: Partial<Parameters<typeof newProbes>[0]> = {}) =>
		newProbes({
			studentIds: [4, 5],
			skillId: small.skills[1].id,
			groupId: null,
			startsOn: TODAY,
			goalOn: addDays(TODAY, 28),
			...changes
		});

	it('start once a student and skill, and can be taken back', async () => {
		const ids = await startProbes(small.database, specialist, plan(), NOW);
		expect(ids.length).toBe(2);
		expect(await startProbes(small.database, specialist, plan(), NOW)).toEqual([]);
		expect((await probeSeries(small.database, seen(4), small.school))[0]).toMatchObject({
			due: true,
			taken: [],
			numberNow: 1
		});
		expect(await undoStartProbes(small.database, { ...specialist, schoolId: 2 }, ids, NOW)).toBe(0);
		expect(await undoStartProbes(small.database, specialist, ids, NOW)).toBe(2);
		expect(await probeSeries(small.database, seen(4, 5), small.school)).toEqual([]);
		// What came to nothing leaves no trace in the audit log either.
		const written = await small.database.rows<{ action: string }>(
			`SELECT action FROM audit_entry WHERE action LIKE '%probes' ORDER BY id`
		);
		expect(written.map(({ action }) => action)).toEqual(['start probes', 'undo start probes']);
	});

	it('start once even when the same request comes twice at the same moment', async () => {
		const three = plan({ skillId: small.skills[2].id, studentIds: [6, 7, 8] });
		const started = await Promise.all([1, 2, 3].map(() => startProbes(small.database, specialist, three, NOW)));
		expect(started.map((ids) => ids.length).sort()).toEqual([0, 0, 3]);
	});

	it('are due once a week until the goal date, and give a point each', async () => {
		const [id] = await startProbes(small.database, specialist, plan({ studentIds: [4] }), NOW);
		const series = async (day: string) =>
			(await probeSeries(small.database, seen(4), { ...small.school, today: day }))[0];
		const sittingId = await beginProbe(small.database, { ...(await series(TODAY)), id }, 1, small.skills, NOW);
		expect((await series(TODAY)).due).toBe(true);
		await small.answerAll(4, sittingId, (position) => position < 6);
		expect(await series(TODAY)).toMatchObject({ due: false, taken: [{ week: 0, right: 6, on: TODAY }] });
		expect(await series(addDays(TODAY, 7))).toMatchObject({ due: true, numberNow: 2 });
		expect((await series(addDays(TODAY, 29))).due).toBe(false);
		expect(await undoStartProbes(small.database, specialist, [id], NOW)).toBe(0);
	});

	it('lie on the school’s day, also when they are taken in the evening', async () => {
		const evening = new Date('2026-11-25T01:30:00Z');
		const [id] = await startProbes(small.database, specialist, plan({ studentIds: [3] }), NOW);
		const series = async () => (await probeSeries(small.database, seen(3), small.school))[0];
		const sittingId = await beginProbe(small.database, { ...(await series()), id }, 1, small.skills, evening);
		await small.answerAll(3, sittingId, () => true, 9_000, evening);
		expect((await series()).taken).toMatchObject([{ on: '2026-11-24', week: 0 }]);
	});

	it('have sixteen questions, ten of the focus, and none that the student has met', async () => {
		const [id] = await startProbes(small.database, specialist, plan({ studentIds: [2] }), NOW);
		const [series] = await probeSeries(small.database, seen(2), small.school);
		const words: string[] = [];
		for (const number of [1, 2, 3]) {
			const sittingId = await beginProbe(small.database, series, number, small.skills, NOW);
			expect(await beginProbe(small.database, series, number, small.skills, NOW)).toBe(sittingId);
			const asked = await small.database.rows<{ skillId: number; content: string }>(
				`SELECT item.skill_id AS skillId, asked.content FROM sitting_item AS item
				JOIN asked_item AS asked USING (edition, family_id, seed) WHERE item.sitting_id = ?`,
				[sittingId]
			);
			expect(asked).toHaveLength(16);
			expect(asked.filter(({ skillId }) => skillId === series.skillId).length).toBeGreaterThanOrEqual(10);
			words.push(...asked.map(({ content }) => sameWords(JSON.parse(content))));
			await small.answerAll(2, sittingId, () => true);
		}
		expect(new Set(words).size).toBe(words.length);
		expect(await undoStartProbes(small.database, specialist, [id], NOW)).toBe(0);
	});

	it('are two of eight a week for the youngest', async () => {
		const young = { id: 6, goalCorrect: 7, questions: 8, ofFocus: 5, aWeek: 2 };
		await startProbes(small.database, specialist, { ...plan({ skillId: small.skills[3].id }), students: [young] }, NOW);
		const on = async (day: string) =>
			(await probeSeries(small.database, seen(6), { ...small.school, today: day })).find(
				({ skillId }) => skillId === small.skills[3].id
			)!;
		expect(await on(TODAY)).toMatchObject({ questions: 8, goalCorrect: 7, numberNow: 1, due: true });
		expect((await on(addDays(TODAY, 3))).numberNow).toBe(1);
		expect((await on(addDays(TODAY, 4))).numberNow).toBe(2);
		expect((await on(addDays(TODAY, 7))).numberNow).toBe(3);
	});

	it('that were missed can be made up once somebody lets them', async () => {
		await startProbes(small.database, specialist, plan({ studentIds: [7], skillId: small.skills[4].id }), NOW);
		const on = async (day: string) =>
			(await probeSeries(small.database, seen(7), { ...small.school, today: day })).find(
				({ skillId }) => skillId === small.skills[4].id
			)!;
		const { id } = await on(TODAY);
		expect((await on(addDays(TODAY, 8))).makeUp).toBeNull();
		expect(await letMakeUp(small.database, { ...specialist, schoolId: 2 }, id, 1, NOW)).toBe(false);
		expect(await letMakeUp(small.database, specialist, id, 1, NOW)).toBe(true);
		const series = await on(addDays(TODAY, 8));
		expect(series).toMatchObject({ makeUp: 1, numberNow: 2, due: true });
		await small.answerAll(7, await beginProbe(small.database, series, 1, small.skills, NOW), () => true);
		expect(await on(addDays(TODAY, 8))).toMatchObject({ makeUp: null, due: true });
		expect(await letMakeUp(small.database, specialist, id, null, NOW)).toBe(true);
	});
});
