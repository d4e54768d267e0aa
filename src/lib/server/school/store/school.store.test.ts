import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { groupsNow } from '../../groups/joining';
import { currentCycle, cycleList, planCycle, removeCycle } from './cycles';
import { addDaysOff, daysOff, removeDaysOff } from './daysOff';
import { changeProfile, schoolProfile } from './profile';
import { findSchool } from './school';
import { changeTierPlans, tierPlans } from './tierPlans';
import { planYear, schoolYears } from './years';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('school');
});
afterAll(() => small.database.close());
const coordinator = staffAs('coordinator');

describe('what a school says of itself', () => {
	it('is changed with what it said before, and moves today with the time zone', async () => {
		const before = await schoolProfile(small.database, 1);
		expect(before).toMatchObject({ schoolDays: [1, 2, 3, 4, 5], firstGrade: 1, lastGrade: 8, pinLength: 4 });
		const changed = { ...before, name: 'Estuary', schoolDays: [1, 3, 5], timeZone: 'Asia/Tokyo', firstGrade: 0 };
		expect(await changeProfile(small.database, coordinator, changed, NOW)).toEqual(before);
		expect(await schoolProfile(small.database, 1)).toEqual(changed);
		expect((await findSchool(small.database, 1, new Date('2026-11-23T16:00:00Z'))).today).toBe('2026-11-24');
		await changeProfile(small.database, coordinator, before, NOW);
		expect((await schoolProfile(small.database, 2)).name).toBe('School 2');
	});
});

describe('the school’s calendar', () => {
	it('takes today from the school’s time zone', async () => {
		expect((await findSchool(small.database, 1, new Date('2026-11-24T03:00:00Z'))).today).toBe('2026-11-23');
		await expect(findSchool(small.database, 99, NOW)).rejects.toThrow('99');
	});

	it('finds the cycle of a day, the last one after its end, none before the first', async () => {
		expect(await currentCycle(small.database, 1, TODAY)).toMatchObject({ number: 2, endsOn: '2026-12-20' });
		expect(await currentCycle(small.database, 1, '2027-03-01')).toMatchObject({ number: 2 });
		expect(await currentCycle(small.database, 1, '2026-10-25')).toBeNull();
	});

	it('plans cycles that do not lie across each other, and changes and removes them', async () => {
		const plan = (id: number | null, startsOn: string, weeks = 8) =>
			planCycle(small.database, coordinator, id, { number: 3, startsOn, weeks }, NOW);
		expect(await plan(null, '2026-12-14')).toMatchObject({ number: 2 });
		expect(await plan(null, '2026-12-21')).toBeNull();
		const [newest] = await cycleList(small.database, 1);
		expect(newest).toMatchObject({ startsOn: '2026-12-21', endsOn: '2027-02-14' });
		expect(await plan(newest.id, '2027-01-04', 6)).toBeNull();
		expect((await cycleList(small.database, 1)).map(({ startsOn }) => startsOn)).toEqual(['2027-01-04', '2026-10-26']);
		expect(await removeCycle(small.database, coordinator, newest.id, NOW)).toMatchObject({ weeks: 6 });
		expect(await removeCycle(small.database, coordinator, newest.id, NOW)).toBeNull();
	});

	it('plans years that do not lie across each other', async () => {
		const year = { startsOn: '2026-08-24', endsOn: '2027-06-11', winterOn: '2026-12-01', springOn: null };
		expect(await planYear(small.database, coordinator, null, year, NOW)).toBeNull();
		const next = { ...year, startsOn: '2027-06-01', endsOn: '2028-06-09', winterOn: null };
		expect(await planYear(small.database, coordinator, null, next, NOW)).toEqual(year);
		const moved = { ...year, startsOn: '2026-08-31' };
		expect(await planYear(small.database, coordinator, year.startsOn, moved, NOW)).toBeNull();
		expect(await schoolYears(small.database, 1)).toEqual([moved]);
	});

	it('has days off ahead, each once, which can be taken away and put back', async () => {
		const breaks = [
			{ fromOn: '2026-12-21', untilOn: '2027-01-04', name: 'Winter break' },
			{ fromOn: '2026-11-26', untilOn: '2026-11-28', name: 'Harvest' }
		];
		expect(await addDaysOff(small.database, coordinator, [...breaks, breaks[0]], NOW)).toHaveLength(2);
		expect(await addDaysOff(small.database, coordinator, breaks, NOW)).toEqual([]);
		const ahead = await daysOff(small.database, 1, TODAY);
		expect(ahead.map(({ name }) => name)).toEqual(['Harvest', 'Winter break']);
		expect(await daysOff(small.database, 1, '2026-11-28')).toHaveLength(1);
		expect(await removeDaysOff(small.database, coordinator, [ahead[0].id], NOW)).toEqual([ahead[0]]);
		expect(await removeDaysOff(small.database, coordinator, [ahead[0].id], NOW)).toEqual([]);
	});
});

describe('what a school plans for its tiers', () => {
	it('is as shipped until it says otherwise, and is what groups are held to', async () => {
		const shipped = await tierPlans(small.database, 1);
		expect(shipped).toEqual({
			2: { size: { minimum: 3, maximum: 6 }, minutesAWeek: 90 },
			3: { size: { minimum: 1, maximum: 3 }, minutesAWeek: 120 }
		});
		const own = { ...shipped, 2: { size: { minimum: 2, maximum: 4 }, minutesAWeek: 60 } };
		expect(await changeTierPlans(small.database, coordinator, own, NOW)).toEqual(shipped);
		const school = await findSchool(small.database, 1, NOW);
		expect((await groupsNow(small.database, staffAs('specialist'), school)).plans).toEqual(own);
		expect(await tierPlans(small.database, 2)).toEqual(shipped);
	});
});
