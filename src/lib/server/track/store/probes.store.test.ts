import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { beginProbe } from '../../sitting';
import { probeSeries, startProbes, undoStartProbes } from './probes';

let small: SmallSchool;
const specialist = staffAs('specialist');

beforeAll(async () => {
	small = await smallSchool('probes');
});
afterAll(() => small.database.close());

describe('probes', () => {
	const plan = () => ({
		studentIds: [4, 5],
		skillId: small.skills[1].id,
		groupId: null,
		startsOn: TODAY,
		goalOn: addDays(TODAY, 28),
		goalCorrect: 7
	});

	it('start once a student and skill, and can be taken back', async () => {
		const ids = await startProbes(small.database, specialist, plan(), NOW);
		expect(ids.length).toBe(2);
		expect(await startProbes(small.database, specialist, plan(), NOW)).toEqual([]);
		expect((await probeSeries(small.database, seen(4), small.school))[0]).toMatchObject({
			due: true,
			probes: [],
			weekNow: 1
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
		const three = { ...plan(), skillId: small.skills[2].id, studentIds: [6, 7, 8] };
		const started = await Promise.all([1, 2, 3].map(() => startProbes(small.database, specialist, three, NOW)));
		expect(started.map((ids) => ids.length).sort()).toEqual([0, 0, 3]);
	});

	it('are due once a week until the goal date, and give a point each', async () => {
		const [id] = await startProbes(small.database, specialist, { ...plan(), studentIds: [4] }, NOW);
		const series = async (day: string) =>
			(await probeSeries(small.database, seen(4), { ...small.school, today: day }))[0];
		const sittingId = await beginProbe(small.database, { ...(await series(TODAY)), id }, 1, small.skills, NOW);
		expect((await series(TODAY)).due).toBe(true);
		await small.answerAll(4, sittingId, (position) => position < 6);
		expect(await series(TODAY)).toMatchObject({ due: false, probes: [{ x: 0, y: 6, on: TODAY }] });
		expect(await series(addDays(TODAY, 7))).toMatchObject({ due: true, weekNow: 2 });
		expect((await series(addDays(TODAY, 29))).due).toBe(false);
		expect(await undoStartProbes(small.database, specialist, [id], NOW)).toBe(0);
	});

	it('lie on the school’s day, also when they are taken in the evening', async () => {
		const evening = new Date('2026-11-25T01:30:00Z');
		const [id] = await startProbes(small.database, specialist, { ...plan(), studentIds: [3] }, NOW);
		const series = async () => (await probeSeries(small.database, seen(3), small.school))[0];
		const sittingId = await beginProbe(small.database, { ...(await series()), id }, 1, small.skills, evening);
		await small.answerAll(3, sittingId, () => true, 9_000, evening);
		expect((await series()).probes).toMatchObject([{ on: '2026-11-24', x: 1 / 7 }]);
	});
});
