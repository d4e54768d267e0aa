import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, type SmallSchool } from '../../../../tests/smallSchool';
import { setSignInHours } from '../people/store/classes';
import { addDaysOff } from '../school/store/daysOff';
import { lockedOutOf } from './locks';
import { hashSecret, matchesSecret, passwordProblem } from './passwords';
import { forgetViewer, viewerOf } from './signInCache';
import { network, newToken, signInStaff, signInStudent, signOut, tokenHash, type SignIn } from './signIn';
import { clearSignIns } from './store/clearSignIns';
import { changePassword, endOthers, IDLE_MINUTES, LONGEST_HOURS, signInHolder, signInsOf } from './store/signIns';
import { countTry, endTry, letTryAgain, type Counted } from './store/tries';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('sign_in');
	await small.database.run('UPDATE account SET password_hash = ?', [await hashSecret('right')]);
	await small.database.run('UPDATE student SET pin_hash = ?', [await hashSecret('2468')]);
});
afterAll(() => small.database.close());
beforeEach(async () => {
	await small.database.run('DELETE FROM sign_in_try');
	await small.database.run('DELETE FROM known_browser');
});

const seconds = (count: number) => new Date(NOW.getTime() + count * 1_000);
const minutes = (count: number) => seconds(60 * count);
const tokenOf = (result: SignIn) => ('token' in result ? result.token : '');
const from = (address = '10.0.0.1', more: { held?: string; browserToken?: string } = {}) => ({
	address,
	browser: 'Test',
	held: undefined,
	browserToken: newToken(),
	...more
});
const tryPassword = (password: string, at: Date, trying = from(), userName = 'user10') =>
	signInStaff(small.database, { userName, password }, trying, at);
const tryPin = (pin: string, at = NOW, studentId = 1, trying = from()) =>
	signInStudent(small.database, { studentId, pin }, trying, at);

describe('the hours of a class', () => {
	const coordinator = staffAs('coordinator');
	const set = (hours: { from: string; until: string } | null) =>
		setSignInHours(small.database, coordinator, 1, hours, NOW);
	/** What becomes of a right PIN at a time in UTC; the school is five hours behind. */
	const becomes = async (instant: string) => {
		const result = await tryPin('2468', new Date(instant));
		return 'token' in result ? 'in' : 'refused' in result ? result.refused : '';
	};

	it('let its students in on days of school within them only, whatever the PIN, and others at any time', async () => {
		expect(await set({ from: '08:00', until: '15:30' })).toBeNull();
		expect(await becomes('2026-11-23T12:59:00Z')).toBe('closed');
		expect(await becomes('2026-11-23T13:00:00Z')).toBe('in');
		expect(await becomes('2026-11-23T20:30:00Z')).toBe('closed');
		expect(await becomes('2026-11-22T15:00:00Z')).toBe('closed');
		await addDaysOff(
			small.database,
			coordinator,
			[{ fromOn: '2026-11-24', untilOn: '2026-11-25', name: 'Storm' }],
			NOW
		);
		expect(await becomes('2026-11-24T15:00:00Z')).toBe('closed');
		expect(await tryPin('1357', new Date('2026-11-23T23:00:00Z'))).toEqual({
			refused: 'closed',
			hours: { from: '08:00', until: '15:30' }
		});
		const [other] = await small.database.rows<{ id: number }>(
			'SELECT student_id AS id FROM class_membership WHERE class_id = 2 LIMIT 1'
		);
		expect(await tryPin('2468', new Date('2026-11-23T23:00:00Z'), other.id)).toHaveProperty('token');
		expect(await set(null)).toEqual({ from: '08:00', until: '15:30' });
		expect(await becomes('2026-11-23T23:00:00Z')).toBe('in');
		expect(await setSignInHours(small.database, coordinator, 999, null, NOW)).toBeUndefined();
	});
});

describe('tries to sign in', () => {
	it('that come at once are counted before any is looked at: of 150 PINs one is tried', async () => {
		const pins = Array.from({ length: 150 }, (_, i) => String(2_400 + i));
		const results = await Promise.all(pins.map((pin) => tryPin(pin)));
		expect(results.filter((one) => 'token' in one)).toEqual([]);
		const looked = results.filter((one) => 'refused' in one && one.refused === 'wrong');
		expect(looked.length).toBeLessThanOrEqual(8);
		const others = new Set(results.flatMap((one) => ('refused' in one ? one.refused : [])));
		expect([...others].every((why) => ['wrong', 'locked', 'another is being looked at'].includes(why))).toBe(true);
	});

	it('of one account are looked at one at a time, by all processes together', async () => {
		const subjects = [{ name: 'account of two processes', memoryMs: 60_000, isAlone: true }];
		const seen: Counted[] = [];
		const judge = ([one]: Counted[]) => {
			seen.push(one);
			return one.isLooking || null;
		};
		const refused = await Promise.all([1, 2, 3, 4].map(() => countTry(small.database, subjects, NOW, judge)));
		expect(refused.filter((one) => one === null)).toHaveLength(1);
		expect(seen.map(({ failures }) => failures).sort()).toEqual([0, 1, 1, 1]);
		await endTry(small.database, subjects, false);
		expect(await countTry(small.database, subjects, NOW, judge)).toBeNull();
		// One that was cut off does not keep the others out for long.
		expect(await countTry(small.database, subjects, seconds(29), judge)).toBe(true);
		expect(await countTry(small.database, subjects, seconds(31), judge)).toBeNull();
	});

	it('of a staff account wait longer and longer where they fail, and nowhere else', async () => {
		let at = NOW;
		for (let i = 0; i < 5; i++) expect(await tryPassword('no', at)).toEqual({ refused: 'wrong' });
		expect(await tryPassword('right', at)).toEqual({ refused: 'wait', seconds: 1 });
		for (const wait of [1, 2, 4, 8, 16]) {
			at = new Date(at.getTime() + wait * 1_000);
			expect(await tryPassword('no', at)).toEqual({ refused: 'wrong' });
			expect(await tryPassword('right', at)).toEqual({ refused: 'wait', seconds: 2 * wait });
		}
		expect(await tryPassword('right', at, from('10.0.0.2'))).toHaveProperty('token');
		at = new Date(at.getTime() + 32_000);
		expect(await tryPassword('right', at)).toHaveProperty('token');
		expect(await tryPassword('no', at)).toEqual({ refused: 'wrong' });
		expect(await tryPassword('right', at)).toHaveProperty('token');
	});

	it('of a staff account wait at most a quarter of an hour', async () => {
		await tryPassword('no', NOW);
		await small.database.run('UPDATE sign_in_try SET failures = 40');
		expect(await tryPassword('right', NOW)).toEqual({ refused: 'wait', seconds: 900 });
		expect(await tryPassword('right', minutes(15))).toHaveProperty('token');
	});

	it('from everywhere hold up strangers’ browsers for seconds, and none in which the account has signed in', async () => {
		const own = from('10.0.0.9');
		expect(await tryPassword('right', NOW, own)).toHaveProperty('token');
		for (let i = 0; i < 100; i++)
			expect(await tryPassword('no', NOW, from(`10.1.${i}.1`))).toEqual({ refused: 'wrong' });
		expect(await tryPassword('right', NOW, from('10.0.0.9'))).toEqual({ refused: 'wait', seconds: 30 });
		expect(await tryPassword('right', NOW, { ...own, address: '10.1.3.1' })).toHaveProperty('token');
		expect(await tryPassword('right', seconds(30), from('10.0.0.8'))).toHaveProperty('token');
	});

	it('are counted together however the account is written', async () => {
		for (let i = 0; i < 5; i++) await tryPassword('no', NOW, from(), i % 2 ? 'user3' : 'USER3');
		expect(await tryPassword('right', NOW, from(), 'User3')).toMatchObject({ refused: 'wait' });
	});

	it('from an address that fails and fails are let be for whoever has not failed', async () => {
		for (let student = 1; student <= 8; student++)
			for (let i = 0; i < (student === 8 ? 4 : 8); i++) await tryPin('0000', NOW, student);
		expect(await tryPin('2468', NOW, 8)).toMatchObject({ refused: 'wait' });
		expect(await tryPin('2468', NOW, 8, from('10.0.0.7'))).toHaveProperty('token');
		expect(await tryPassword('right', NOW)).toHaveProperty('token');
		expect(await tryPin('2468', NOW, 9)).toHaveProperty('token');
	});

	it('for an account that nobody has are refused like a wrong password', async () => {
		expect(await tryPassword('right', NOW, from(), 'nobody')).toEqual({ refused: 'wrong' });
		expect(await tryPin('2468', NOW, 4_000)).toEqual({ refused: 'wrong' });
	});

	it('count an address of the sixth version by its network', () => {
		expect(network('2001:db8:1:2:3:4:5:6')).toBe(network('2001:db8:1:2:ffff::1'));
		expect(network('2001:db8::1')).not.toBe(network('2001:db8:0:1::1'));
		expect(network('10.0.0.1')).toBe('10.0.0.1');
	});
});

describe('a student who is locked out', () => {
	const lock = async (studentId: number, at = NOW) => {
		for (let i = 0; i < 8; i++) expect(await tryPin('0000', at, studentId)).toEqual({ refused: 'wrong' });
	};
	const locked = async (at = NOW, staff = staffAs('teacher')) =>
		(await lockedOutOf(small.database, staff, small.school, at)).map(({ id }) => id);

	it('cannot sign in from anywhere until staff who may see the student allow it', async () => {
		await lock(2);
		await lock(6);
		expect(await tryPin('2468', NOW, 2, from('10.9.9.9'))).toEqual({ refused: 'locked' });
		expect(await locked()).toEqual([2]);
		expect(await locked(NOW, staffAs('specialist'))).toEqual([2, 6]);
		expect(await locked(NOW, { ...staffAs('specialist', 20), schoolId: 2 })).toEqual([]);
		expect(await letTryAgain(small.database, staffAs('teacher'), [{ id: 2 }], NOW)).toBe(1);
		expect(await locked()).toEqual([]);
		expect(await tryPin('2468', NOW, 2)).toHaveProperty('token');
	});

	it('can sign in again the next day at the school', async () => {
		await lock(3);
		expect(await tryPin('2468', new Date('2026-11-24T04:59:00Z'), 3)).toEqual({ refused: 'locked' });
		const tomorrow = new Date('2026-11-24T05:01:00Z');
		expect(await locked(tomorrow)).toEqual([]);
		expect(await tryPin('2468', tomorrow, 3)).toHaveProperty('token');
	});
});

describe('a sign-in', () => {
	const holder = (token: string, at: Date) => signInHolder(small.database, tokenHash(token), at);

	it('says who holds it, while it is used', async () => {
		const token = tokenOf(await tryPassword('right', NOW, from(), 'user2'));
		expect(await holder(token, minutes(59))).toMatchObject({ kind: 'staff', id: 2, role: 'specialist', schoolId: 1 });
		expect(await holder(token, minutes(59 + IDLE_MINUTES.staff - 1))).not.toBeNull();
		expect(await holder(token, minutes(59 + 2 * IDLE_MINUTES.staff))).toBeNull();
		const pupil = tokenOf(await tryPin('2468'));
		expect(await holder(pupil, minutes(14))).toMatchObject({ kind: 'student', id: 1, grade: 4 });
		expect(await holder(pupil, minutes(14 + IDLE_MINUTES.student))).toBeNull();
	});

	it('is over after half a day however much it is used', async () => {
		const token = tokenOf(await tryPassword('right', NOW));
		for (let minute = 30; minute < LONGEST_HOURS * 60; minute += 30)
			expect(await holder(token, minutes(minute)), `${minute}`).not.toBeNull();
		expect(await holder(token, minutes(LONGEST_HOURS * 60))).toBeNull();
	});

	it('ends the one that the browser held', async () => {
		const first = tokenOf(await tryPassword('right', NOW));
		const second = tokenOf(await tryPassword('right', NOW, from('10.0.0.1', { held: first })));
		expect(second).not.toBe(first);
		expect(await holder(first, NOW)).toBeNull();
		expect(await holder(second, NOW)).not.toBeNull();
		await signOut(small.database, second);
		expect(await holder(second, NOW)).toBeNull();
	});

	it('of a student who has left the school is none, and no new one begins', async () => {
		const token = tokenOf(await tryPin('2468', NOW, 4));
		await small.database.run(`UPDATE class_membership SET until_on = '2026-11-23' WHERE student_id = 4`);
		expect(await holder(token, NOW)).toBeNull();
		expect(await tryPin('2468', NOW, 4)).toEqual({ refused: 'wrong' });
		await small.database.run(`UPDATE class_membership SET until_on = '2026-11-24' WHERE student_id = 4`);
		expect(await holder(token, NOW)).toMatchObject({ id: 4 });
		await small.database.run('UPDATE class_membership SET until_on = NULL WHERE student_id = 4');
	});

	it('is remembered for seconds only, and forgotten at once by signing out here', async () => {
		const token = tokenOf(await tryPin('2468', NOW, 6));
		const viewer = (second: number) => viewerOf(small.database, token, seconds(second));
		expect(await viewer(0)).toMatchObject({ kind: 'student', id: 6, grade: 4 });
		await signOut(small.database, token);
		expect(await viewer(2)).toMatchObject({ id: 6 });
		expect(await viewer(4)).toBeNull();

		const other = tokenOf(await tryPin('2468', NOW, 7));
		expect(await viewerOf(small.database, other, NOW)).toMatchObject({ id: 7 });
		forgetViewer(other);
		await signOut(small.database, other);
		expect(await viewerOf(small.database, other, NOW)).toBeNull();
		expect(await viewerOf(small.database, 'made up', NOW)).toBeNull();
	});

	it('is kept as hashes only: of passwords argon2id, of tokens SHA-256', async () => {
		expect(await hashSecret('x')).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
		expect(await matchesSecret(await hashSecret('x'), 'y')).toBe(false);
		const token = tokenOf(await tryPassword('right', NOW, from(), 'user2'));
		expect(token.length).toBeGreaterThan(40);
		const rows = await small.database.rows<{ hash: Buffer }>('SELECT token_hash AS hash FROM sign_in');
		expect(rows.some(({ hash }) => hash.equals(tokenHash(token)))).toBe(true);
		expect(rows.some(({ hash }) => hash.toString().includes(token))).toBe(false);
	});
});

describe('one’s own sign-ins', () => {
	it('are listed, and ended one by one, all at once, or by a new password', async () => {
		await small.database.run('DELETE FROM sign_in');
		const staff = staffAs('teacher');
		const tokens = [];
		for (const address of ['10.0.0.1', '10.0.0.2', '10.0.0.3', '10.0.0.4'])
			tokens.push(tokenOf(await tryPassword('right', NOW, from(address))));
		await tryPassword('right', NOW, from(), 'user2');
		const own = tokenHash(tokens[0]);
		const list = () => signInsOf(small.database, staff, own, NOW);
		expect((await list()).map(({ address, isThis }) => [address, Boolean(isThis)])).toEqual([
			['10.0.0.4', false],
			['10.0.0.3', false],
			['10.0.0.2', false],
			['10.0.0.1', true]
		]);
		const [{ id: last }] = await list();
		expect(await endOthers(small.database, staffAs('specialist'), own, last, NOW)).toBe(0);
		expect(await endOthers(small.database, staff, own, last, NOW)).toBe(1);
		expect(await endOthers(small.database, staff, own, (await list()).at(-1)!.id, NOW)).toBe(0);
		expect(await endOthers(small.database, staff, own, 'all', NOW)).toBe(2);
		expect((await list()).map(({ address }) => address)).toEqual(['10.0.0.1']);

		const again = tokenOf(await tryPassword('right', NOW, from('10.0.0.5')));
		expect(await changePassword(small.database, staff, await hashSecret('a new one here'), own, NOW)).toBe(1);
		expect(await signInHolder(small.database, tokenHash(again), NOW)).toBeNull();
		expect(await tryPassword('right', NOW, from('10.0.0.6'))).toEqual({ refused: 'wrong' });
		expect(await tryPassword('a new one here', NOW, from('10.0.0.6'))).toHaveProperty('token');
		await changePassword(small.database, staff, await hashSecret('right'), own, NOW);
	});

	it('want a password that is long, new, and no name', () => {
		const problem = (fresh: string) => passwordProblem(fresh, 'tide tables of old', 'Amina Barros');
		expect(problem('short one')).toMatch(/at least 12/);
		expect(problem('tide tables of old')).toMatch(/is the old one/);
		expect(problem('aaaaaaaaaaaaaaaa')).toMatch(/different characters/);
		expect(problem('Aminabarros2026')).toMatch(/your name/);
		expect(problem('eleven gulls at noon')).toBeNull();
	});
});

describe('what is over', () => {
	it('is cleared away, and nothing else', async () => {
		await small.database.run('DELETE FROM sign_in');
		await tryPassword('right', NOW);
		await tryPassword('no', NOW, from(), 'user3');
		const left = async () =>
			(await small.database.row<object>(
				`SELECT (SELECT COUNT(*) FROM sign_in) AS signIns, (SELECT COUNT(*) FROM sign_in_try) AS tries,
						(SELECT COUNT(*) FROM known_browser) AS browsers`
			)) as Record<string, number>;
		const before = await left();
		expect(before).toMatchObject({ signIns: 1, browsers: 1 });
		expect(await clearSignIns(small.database, minutes(60))).toBe(0);
		expect(await clearSignIns(small.database, minutes(LONGEST_HOURS * 60 + 1))).toBe(1);
		expect(await clearSignIns(small.database, minutes(3 * 24 * 60))).toBe(before.tries);
		expect(await left()).toEqual({ signIns: 0, tries: 0, browsers: 1 });
		expect(await clearSignIns(small.database, minutes(500 * 24 * 60))).toBe(1);
	});
});
