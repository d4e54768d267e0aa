import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import type { FoundNotice } from '../../core/notices';
import { keepRecurring } from '../jobs/store/jobs';
import { workJob } from '../jobs/workJob';
import { setActive } from '../people/store/accounts';
import { setClassAdults } from '../people/store/classes';
import { noticesFor } from './noticesFor';
import { refreshNotices } from './refreshNotices';
import { keepNotices, markSeen, putOff, setDone } from './store/notices';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('notices');
});
afterAll(() => small.database.close());
beforeEach(() => small.database.run('DELETE FROM notice'));

const coordinator = staffAs('coordinator');
const specialist = staffAs('specialist');
const ropes: FoundNotice = {
	rule: 'tried',
	about: 'ropes',
	audience: 'form groups',
	place: '/groups',
	says: 'Two ropes are loose.',
	because: 'It was seen.',
	action: { says: 'Look', path: '/groups' },
	degree: 2
};
const keep = (...found: FoundNotice[]) => keepNotices(small.database, 1, found, NOW);
const of = (staff = coordinator, school = small.school) => noticesFor(small.database, staff, school);
const theOne = async () => (await of()).now[0];

describe('a notice', () => {
	it('is told to whoever may do something about it, of that school, until it is not so any more', async () => {
		await keep(ropes, { ...ropes, about: 'sails', audience: 'set up the school', says: 'No sails.' });
		expect((await of()).now.map(({ says }) => says).sort()).toEqual(['No sails.', 'Two ropes are loose.']);
		expect((await of(specialist)).now.map(({ says }) => says)).toEqual(['Two ropes are loose.']);
		expect((await of(staffAs('teacher'))).now).toEqual([]);
		expect((await of({ ...coordinator, schoolId: 2 })).now).toEqual([]);
		await keep({ ...ropes, says: 'Two ropes are still loose.' });
		expect(await of()).toMatchObject({
			now: [{ says: 'Two ropes are still loose.', since: NOW }],
			later: [],
			done: []
		});
		await keep();
		expect(await of()).toEqual({ now: [], later: [], done: [] });
	});

	it('is new to each person until they have seen it', async () => {
		await keep(ropes);
		await markSeen(small.database, coordinator, [(await theOne()).id], NOW);
		expect([(await of()).now[0].isSeen, (await of(specialist)).now[0].isSeen]).toEqual([true, false]);
	});

	it('is put off by one person up to a day', async () => {
		await keep(ropes);
		const { id } = await theOne();
		expect(await putOff(small.database, coordinator, id, '2026-11-30', NOW)).toBe(true);
		expect(await of()).toMatchObject({ now: [], later: [{ laterUntil: '2026-11-30' }] });
		expect((await of(specialist)).now).toHaveLength(1);
		expect((await of(coordinator, { ...small.school, today: '2026-11-30' })).now).toHaveLength(1);
		await putOff(small.database, coordinator, id, null, NOW);
		expect((await of()).now).toHaveLength(1);
	});

	it('is done with by one for all, until it gets worse', async () => {
		await keep(ropes);
		const { id } = await theOne();
		expect(await setDone(small.database, specialist, id, true, NOW)).toBe(true);
		expect(await of()).toMatchObject({ now: [], done: [{ doneBy: 'Staff 2' }] });
		await keep({ ...ropes, degree: 1 });
		expect((await of()).now).toEqual([]);
		await keep({ ...ropes, degree: 3 });
		expect(await of()).toMatchObject({ now: [{ isSeen: false }], done: [] });
	});

	it('cannot be put off or done with by who is not told it', async () => {
		await keep(ropes);
		const { id } = await theOne();
		for (const staff of [staffAs('teacher'), { ...coordinator, schoolId: 2 }]) {
			expect(await putOff(small.database, staff, id, TODAY, NOW)).toBe(false);
			expect(await setDone(small.database, staff, id, true, NOW)).toBe(false);
		}
		expect((await of()).now).toHaveLength(1);
	});

	it('that is over for a season is forgotten', async () => {
		await keep(ropes);
		await keep();
		await keepNotices(small.database, 1, [], new Date(NOW.getTime() + 91 * 86_400_000));
		expect(await small.database.rows('SELECT id FROM notice')).toEqual([]);
	});
});

describe('looking through a school', () => {
	const rules = async () => (await of()).now.map(({ rule }) => rule).sort();

	it('finds what there is, and no more once it was seen to', async () => {
		const { database, school } = small;
		await refreshNotices(database, school, NOW);
		const before = await rules();
		await setClassAdults(database, coordinator, 1, [], { from: TODAY, at: NOW });
		await setActive(database, coordinator, 11, false, NOW);
		await refreshNotices(database, school, NOW);
		expect((await rules()).filter((rule) => !before.includes(rule))).toEqual(['classesAlone', 'leftBehind']);
		const [alone] = (await of()).now.filter(({ rule }) => rule === 'classesAlone');
		expect(alone).toMatchObject({ says: 'Avocet has no adult.', because: expect.stringContaining('4 students') });
		await setClassAdults(database, coordinator, 1, [10], { from: TODAY, at: NOW });
		await setActive(database, coordinator, 11, true, NOW);
		await refreshNotices(database, school, NOW);
		expect(await rules()).toEqual(before);
	});

	it('is recurring work, for every school', async () => {
		const { database } = small;
		await keepRecurring(database, NOW);
		await database.run(`UPDATE job SET due_at = '2030-01-01' WHERE kind <> 'find notices'`);
		await database.run('DELETE FROM class_adult WHERE class_id = 3');
		expect(await workJob(database, () => NOW)).toBe(true);
		const found = await database.rows<{ schoolId: number }>(
			`SELECT school_id AS schoolId FROM notice WHERE rule = 'classesAlone'`
		);
		expect(found).toEqual([{ schoolId: 2 }]);
		const job = await database.row<{ state: string; result: string }>(
			`SELECT state, result FROM job WHERE kind = 'find notices'`
		);
		expect([job!.state, JSON.parse(job!.result)]).toEqual(['waiting', { schools: 2 }]);
	});
});
