import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool, seen } from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { CHECK_ITEMS } from '../../../core/items';
import { assignChecks, beginCheck, openChecks, withdrawChecks } from './skillChecks';
import { sittingItems } from '../../sitting/store/sittings';
import { readStandings, standingsOnDays } from '../../standing/standings';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('skill_checks');
});
afterAll(() => small.database.close());

const specialist = staffAs('specialist');
const DUE = addDays(TODAY, 3);
const skillIds = (...places: number[]) => places.map((place) => small.skills[place].id);
const assign = (wanted: { studentId: number; skillIds: number[] }[]) =>
	assignChecks(small.database, specialist, wanted, DUE, NOW);

describe('skill checks', () => {
	it('are assigned in one step, four skills at most, and not twice for the same skill', async () => {
		const given = await assign([
			{ studentId: 1, skillIds: skillIds(0, 1, 2, 3, 4) },
			{ studentId: 2, skillIds: skillIds(0) }
		]);
		expect(given).toMatchObject({ students: 2, skills: 4 });
		expect((await openChecks(small.database, seen(1, 2))).map((check) => check.skillIds.length)).toEqual([4, 1]);
		expect(await assign([{ studentId: 2, skillIds: skillIds(0) }])).toBeNull();
		expect(await withdrawChecks(small.database, { ...specialist, schoolId: 2 }, given!.batch, NOW)).toEqual({
			withdrawn: 0,
			begun: 0
		});
		// Of a specialist's checks a class teacher takes none back.
		expect(await withdrawChecks(small.database, staffAs('teacher'), given!.batch, NOW)).toEqual({
			withdrawn: 0,
			begun: 0
		});
		expect(await withdrawChecks(small.database, specialist, given!.batch, NOW)).toEqual({ withdrawn: 2, begun: 0 });
		expect(await openChecks(small.database, seen(1, 2))).toEqual([]);
	});

	it('are given once even when the same request comes twice at the same moment', async () => {
		const wanted = [{ studentId: 3, skillIds: skillIds(5) }];
		const given = await Promise.all([assign(wanted), assign(wanted), assign(wanted)]);
		expect(given.filter(Boolean)).toHaveLength(1);
	});

	it('ask five questions a skill, go on where they were, and are evidence as they are answered', async () => {
		const [skillId] = skillIds(6);
		await assign([{ studentId: 4, skillIds: [skillId] }]);
		const [check] = await openChecks(small.database, seen(4));
		const sittingId = await beginCheck(small.database, check, small.skills, NOW);
		expect(await beginCheck(small.database, check, small.skills, NOW)).toBe(sittingId);
		expect(await sittingItems(small.database, sittingId)).toHaveLength(CHECK_ITEMS);
		const before = (await readStandings(small.database, seen(4))).get(4)!.get(skillId)!;
		expect(before.standing).toBe('unseen');
		await small.answerAll(4, sittingId, () => true);
		const after = (await readStandings(small.database, seen(4))).get(4)!.get(skillId)!;
		expect(after).toMatchObject({ standing: 'secure', answers: CHECK_ITEMS, inferred: null, lastOn: TODAY });
		expect(await openChecks(small.database, seen(4))).toEqual([]);
	});

	it('tell how many were begun when they are taken back; what was answered stays', async () => {
		const [skillId] = skillIds(7);
		const given = await assign([
			{ studentId: 5, skillIds: [skillId] },
			{ studentId: 6, skillIds: [skillId] }
		]);
		const [check] = await openChecks(small.database, seen(5));
		const sittingId = await beginCheck(small.database, check, small.skills, NOW);
		await small.answer(5, sittingId, { response: '1' });
		expect(await withdrawChecks(small.database, specialist, given!.batch, NOW)).toEqual({ withdrawn: 2, begun: 1 });
		expect(await openChecks(small.database, seen(5, 6))).toEqual([]);
	});
});

describe('standings on earlier days', () => {
	it('rest on the answers up to the end of the day, and today’s are those that are kept', async () => {
		const [skillId] = skillIds(8);
		await assign([{ studentId: 7, skillIds: [skillId] }]);
		const [check] = await openChecks(small.database, seen(7));
		const sittingId = await beginCheck(small.database, check, small.skills, NOW);
		await small.answerAll(7, sittingId, () => false);
		const days = [addDays(TODAY, -1), TODAY, addDays(TODAY, 1)];
		const found = await standingsOnDays(small.database, seen(7), days);
		const on = (day: string) => found.get(day)!.get(7)!.get(skillId);
		expect(on(days[0])).toMatchObject({ standing: 'unseen', answers: 0 });
		for (const day of days.slice(1))
			expect(on(day)).toEqual((await readStandings(small.database, seen(7))).get(7)!.get(skillId));
		expect(on(TODAY)!.standing).toBe('gap');
		expect(await standingsOnDays(small.database, [], days)).toEqual(new Map(days.map((day) => [day, new Map()])));
	});
});
