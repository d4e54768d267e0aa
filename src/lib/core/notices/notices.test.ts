import { describe, expect, it } from 'vitest';
import { QUIET_SCHOOL } from '../../../../tests/quietSchool';
import { findNotices, type SchoolFacts } from './index';

const found = (change: Partial<SchoolFacts>) => findNotices({ ...QUIET_SCHOOL, ...change });
/** What is said, by rule. */
const said = (change: Partial<SchoolFacts>) => found(change).map(({ rule, says }) => [rule, says]);
const [ida] = QUIET_SCHOOL.people;
const [avocet] = QUIET_SCHOOL.classes;
const winter = { id: 7, name: 'Winter', opensOn: '2026-11-16', closesOn: '2026-12-04', toFinish: 3 };

const asked: SchoolFacts['unexpected'][number] = {
	...{ name: 'sets 3 9 17', asks: 'How many are left?', says: '', path: '/practice/3/results?question=0' },
	found: { why: 'strong students wrong', strong: 8, right: 1, expected: 6.6 }
};

describe('what a coordinator is told', () => {
	it('is nothing of a school where nothing is amiss', () => {
		expect(found({})).toEqual([]);
	});

	it('has a reason and something that can be done, whatever it is', () => {
		const all = found({
			people: [
				{ ...ida, isActive: false, runs: '2 classes' },
				{ ...ida, id: 2, hasPassword: false }
			],
			unsentMails: [{ id: 2, name: 'Bo Lind', address: 'bo@school.example', problem: 'No such mailbox' }],
			classes: [{ ...avocet, adults: 0 }],
			pins: { students: 20, withoutPin: 2 },
			tiered: { students: 5, nobodys: 1 },
			windows: [{ ...winter, closesOn: '2026-11-24' }],
			years: [{ startsOn: '2025-08-20', endsOn: '2026-06-10' }],
			cycles: [],
			keptLongEnough: 1,
			syncTrouble: { on: '2026-11-23', says: 'It was away.' },
			unexpected: [asked],
			atStake: { ...QUIET_SCHOOL.atStake, 'slipping after exit': 1, 'goal unlikely': 4, 'not delivered': 2 },
			overdueReviews: 1,
			lateTasks: [{ who: 'Bo Lind' }, { who: 'Bo Lind' }],
			rosterSince: '2026-11-20'
		});
		expect(new Set(all.map(({ rule }) => rule)).size).toBe(17);
		for (const { says, because, action, degree } of all) {
			expect(says).toMatch(/^[A-Z0-9].*\.$/);
			expect(because).toMatch(/^[A-Z0-9].*\.$/);
			expect(action.path).toMatch(/^\/[a-z]+/);
			expect(action.says).not.toBe('');
			expect(degree).toBeGreaterThan(0);
		}
	});

	it('are those at stake on the caseload, what waits too long, and what was agreed and not done', () => {
		const atStake = { ...QUIET_SCHOOL.atStake, 'slipping after exit': 1, 'goal unlikely': 4 };
		expect(said({ atStake })).toEqual([
			['slippingAfterExit', '1 student is slipping after an exit.'],
			['goalsUnlikely', 'The goals of 4 students are unlikely, though sessions take place.']
		]);
		expect(said({ atStake: { ...QUIET_SCHOOL.atStake, 'not delivered': 2 } })).toEqual([
			['notDelivered', '2 students get fewer than 60% of their planned sessions.']
		]);
		expect(said({ overdueReviews: 2 })).toEqual([
			['reviewsOverdue', '2 reviews were due more than a week ago and are on no agenda.']
		]);
		const [late] = found({ lateTasks: [{ who: 'Bo Lind' }, { who: 'Ida Sol' }, { who: 'Bo Lind' }] });
		expect(late).toMatchObject({ says: '3 tasks agreed at reviews are late.', because: 'With Bo Lind, Ida Sol.' });
	});

	it('are questions whose answers make one doubt them, with what there is to doubt', () => {
		const found = (change: Partial<typeof asked>) =>
			findNotices({ ...QUIET_SCHOOL, unexpected: [{ ...asked, ...change }] })[0];
		expect(found({})).toMatchObject({
			rule: 'unexpectedAnswersGiven',
			about: 'sets 3 9 17',
			says: 'Answers to “How many are left?” are unexpected.',
			because: '7 of 8 students who do well on the rest were wrong at the first try; about 1 would be.',
			degree: 7
		});
		const one = { why: 'one wrong answer' as const, said: '32', students: 6, right: 0 };
		expect(found({ says: '32', found: one }).because).toBe(
			'6 students answered “32”, nobody as the key says, and no wrong idea is known that leads there.'
		);
		expect(found({ asks: 'a'.repeat(200) }).says.length).toBeLessThan(140);
	});

	it('are students in a tier for whom nobody is responsible', () => {
		expect(said({ tiered: { students: 5, nobodys: 2 } })).toEqual([
			['nobodyResponsible', 'Nobody is responsible for 2 students in tier 2 or 3.']
		]);
		expect(found({ tiered: { students: 9, nobodys: 6 } })[0].degree).toBe(6);
	});

	it('is what somebody left behind, but not what an active colleague runs', () => {
		const runs = '1 meeting time and 4 students';
		expect(said({ people: [{ ...ida, runs }] })).toEqual([]);
		expect(said({ people: [{ ...ida, isActive: false, runs }] })).toEqual([
			['leftBehind', 'Ida Sol cannot sign in any more and still has 1 meeting time and 4 students.']
		]);
		expect(said({ people: [{ ...ida, isActive: false }] })).toEqual([]);
	});

	it('are classes without an adult, unless nobody is in them', () => {
		expect(
			said({
				classes: [
					{ ...avocet, adults: 0 },
					{ ...avocet, name: 'Curlew', adults: 0 }
				]
			})
		).toEqual([['classesAlone', 'Avocet and Curlew have no adult.']]);
		expect(said({ classes: [{ ...avocet, students: 0, adults: 0 }] })).toEqual([]);
	});

	it('are missing PINs, once there is a window to sit', () => {
		const pins = { students: 20, withoutPin: 2 };
		expect(said({ pins })).toEqual([]);
		const past = { ...winter, closesOn: '2026-11-20', toFinish: 0 };
		expect(said({ pins, windows: [past] })).toEqual([]);
		const ahead = { ...winter, opensOn: '2026-11-30', toFinish: 0 };
		expect(found({ pins, windows: [ahead] })[0].because).toBe('Winter opens on Mon, Nov 30.');
		expect(said({ pins: { students: 20, withoutPin: 0 }, windows: [ahead] })).toEqual([]);
	});

	it('is a window from two days of school before it closes, while somebody has not finished', () => {
		const on = (today: string, change = {}) => found({ today, windows: [{ ...winter, ...change }] }).length;
		expect([on('2026-12-01'), on('2026-12-02'), on('2026-12-04'), on('2026-12-05')]).toEqual([0, 1, 1, 0]);
		expect(on('2026-12-03', { toFinish: 0 })).toBe(0);
		// It closes on a Monday: the weekend gives no time.
		expect([on('2026-12-02', { closesOn: '2026-12-07' }), on('2026-12-03', { closesOn: '2026-12-07' })]).toEqual([
			0, 1
		]);
	});

	it('is a year that ends, until the next was begun', () => {
		const at = (today: string, yearBegunOn: string | null = null) =>
			found({ today, yearBegunOn, cycles: [] }).map(({ degree }) => degree);
		expect([at('2027-05-19'), at('2027-05-20'), at('2027-06-11')]).toEqual([[], [1], [2]]);
		expect(at('2027-08-21', '2027-08-20')).toEqual([]);
		expect(at('2027-08-21', '2026-08-20')).toEqual([2]);
	});

	it('is a cycle that ends with none after it, but not at the end of the year', () => {
		const at = (today: string) => said({ today }).map(([rule]) => rule);
		expect([at('2026-12-05'), at('2026-12-06')]).toEqual([[], ['cycleEnds']]);
		const later = { number: 3, startsOn: '2027-01-04', endsOn: '2027-02-28' };
		expect(said({ today: '2026-12-06', cycles: [later, ...QUIET_SCHOOL.cycles] })).toEqual([]);
		expect(at('2027-06-01')).toEqual(['yearEnds']);
	});

	it('are students who were kept long enough', () => {
		expect(said({ keptLongEnough: 1 })[0][1]).toBe('1 student who left has been kept long enough.');
		expect(found({ keptLongEnough: 3 })[0]).toMatchObject({ says: expect.stringContaining('have been'), degree: 3 });
	});

	it('is a roster that waits since yesterday or longer', () => {
		expect(said({ rosterSince: '2026-11-23' })).toEqual([]);
		expect(said({ rosterSince: '2026-11-22' })[0][1]).toBe('A roster of Sun, Nov 22 waits to be looked through.');
	});

	it('is a night’s roster that somebody has to look at', () => {
		expect(found({ syncTrouble: { on: '2026-11-23', says: 'It cannot be reached.' } })).toMatchObject([
			{ says: 'The roster of the night to Mon, Nov 23 needs somebody.', because: 'It cannot be reached.' }
		]);
	});

	it('is a letter that was not taken, with what was said of it', () => {
		const letter = { id: 2, name: 'Bo Lind', address: 'bo@school.example', problem: 'No such mailbox.' };
		expect(found({ unsentMails: [letter] })).toMatchObject([
			{
				about: 'account 2',
				says: 'Mail to Bo Lind was not taken.',
				because: 'The mail server says of bo@school.example: No such mailbox.'
			}
		]);
	});

	it('are colleagues who were not invited, by name while they are few', () => {
		const out = (name: string, isInvited = false) => ({ ...ida, name, hasPassword: false, isInvited });
		expect(said({ people: [out('Bo Lind'), out('Cem Ay'), out('Di Roe', true)] })).toEqual([
			['notInvited', 'Bo Lind and Cem Ay cannot sign in yet.']
		]);
		expect(said({ people: ['a', 'b', 'c', 'd', 'e'].map((name) => out(name)) })[0][1]).toBe(
			'5 colleagues cannot sign in yet.'
		);
	});
});
