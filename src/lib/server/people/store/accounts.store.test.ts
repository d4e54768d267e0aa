import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { smallSchool, staffAs, NOW, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { signInStaff, tokenHash } from '../../auth/signIn';
import { hashSecret } from '../../auth/passwords';
import { signInHolder } from '../../auth/store/signIns';
import { accountByUserName } from './people';
import { rosterStudents } from './roster';
import {
	acceptInvitation,
	addAccount,
	changeAccount,
	INVITATION_DAYS,
	invite,
	invitedBy,
	setActive,
	staffInSetup
} from './accounts';
import { addClasses, changeClass, classesInSetup, endClass, setClassAdults } from './classes';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('accounts');
});
afterAll(() => small.database.close());

const coordinator = staffAs('coordinator');
const days = (count: number) => new Date(NOW.getTime() + count * 86_400_000);
const trying = { address: '10.0.0.1', browser: 'test', held: undefined, browserToken: 'browser' };
const signIn = (password: string, at = NOW) => signInStaff(small.database, { userName: 'ada', password }, trying, at);
const person = async (id: number) => (await staffInSetup(small.database, 1, NOW)).find((one) => one.id === id)!;

describe('a colleague', () => {
	it('is invited, chooses a password once, signs in, is shut out at once, and comes back', async () => {
		const { database } = small;
		const account = { userName: 'ada', displayName: 'Ada Carver', role: 'teacher' as const, email: null };
		const id = (await addAccount(database, coordinator, account, NOW))!;
		expect(await addAccount(database, coordinator, account, NOW)).toBeNull();
		expect(await signIn('')).toEqual({ refused: 'wrong' });

		const [first, second] = [tokenHash('first'), tokenHash('second')];
		await invite(database, coordinator, id, first, NOW);
		expect(await invite(database, coordinator, id, second, NOW)).toBe('Ada Carver');
		// A newer invitation ends the older one.
		expect(await invitedBy(database, first, NOW)).toBeNull();
		expect(await invitedBy(database, second, days(INVITATION_DAYS - 1))).toMatchObject({ id, userName: 'ada' });
		expect(await invitedBy(database, second, days(INVITATION_DAYS + 1))).toBeNull();
		expect(await acceptInvitation(database, second, await hashSecret('estuary lantern'), NOW)).toBe(true);
		expect(await acceptInvitation(database, second, await hashSecret('another one'), NOW)).toBe(false);

		const entered = await signIn('estuary lantern', days(0.1));
		const held = tokenHash((entered as { token: string }).token);
		expect(await signInHolder(database, held, days(0.1))).toMatchObject({ id, displayName: 'Ada Carver' });
		expect(await setActive(database, coordinator, id, false, days(0.1))).toBe(true);
		expect(await signInHolder(database, held, days(0.1))).toBeNull();
		expect(await signIn('estuary lantern', days(0.2))).toEqual({ refused: 'wrong' });
		expect(await invite(database, coordinator, id, first, NOW)).toBeNull();
		expect((await person(id)).deactivatedAt).toEqual(days(0.1));
		expect(await setActive(database, coordinator, id, true, NOW)).toBe(true);
		expect(await setActive(database, coordinator, id, true, NOW)).toBe(false);
		expect(await accountByUserName(database, 'ada')).toMatchObject({ id });
	});

	it('gets another role, and only in the own school', async () => {
		const changed = { displayName: 'Staff 3', role: 'specialist' as const, email: 'three@school.test' };
		expect(await changeAccount(small.database, coordinator, 3, changed, NOW)).toMatchObject({
			role: 'interventionist'
		});
		expect(await person(3)).toMatchObject(changed);
		expect(await changeAccount(small.database, coordinator, 20, changed, NOW)).toBeNull();
	});
});

describe('a class', () => {
	const named = async (name: string) =>
		(await classesInSetup(small.database, coordinator, TODAY)).find((one) => one.name === name)!;

	it('is added with a code of its own, once under a name', async () => {
		const added = await addClasses(
			small.database,
			coordinator,
			[
				{ name: 'Knot', grade: 0 },
				{ name: 'Tern', grade: 12 }
			],
			NOW
		);
		expect(added).toEqual({ ids: [expect.any(Number), expect.any(Number)] });
		expect((await named('Knot')).code).toMatch(/^[A-Z2-9]{6}$/);
		expect((await named('Knot')).code).not.toBe((await named('Tern')).code);
		expect(await addClasses(small.database, coordinator, [{ name: 'avocet', grade: 1 }], NOW)).toEqual({
			taken: 'avocet'
		});
		expect(await changeClass(small.database, coordinator, 1, { name: 'Curlew', grade: 4 }, NOW)).toEqual({
			taken: 'Curlew'
		});
	});

	it('counts who is in it, and who cannot sign in yet', async () => {
		await small.database.run('UPDATE student SET pin_hash = NULL WHERE id IN (1, 2)');
		expect(await named('Avocet')).toMatchObject({ students: 4, withoutPin: 2, adults: [{ id: 10, name: 'Staff 10' }] });
	});

	it('is seen by its adults from the day on which they become so', async () => {
		const seenBy = async (id: number) =>
			(await rosterStudents(small.database, { staff: staffAs('teacher', id), today: TODAY })).length;
		expect([await seenBy(10), await seenBy(11)]).toEqual([4, 4]);
		const before = await setClassAdults(small.database, coordinator, 1, [11], { from: TODAY, at: NOW });
		expect(before).toEqual([10]);
		expect([await seenBy(10), await seenBy(11)]).toEqual([0, 8]);
		await setClassAdults(small.database, coordinator, 1, before, { from: TODAY, at: NOW });
		expect([await seenBy(10), await seenBy(11)]).toEqual([4, 4]);
	});

	it('ends only once nobody is in it, and goes on unless its name is taken', async () => {
		const end = (id: number, on: string | null) =>
			endClass(small.database, coordinator, id, on, { today: TODAY, at: NOW });
		const { id } = await named('Knot');
		expect(await end(1, TODAY)).toBe(false);
		expect(await end(id, TODAY)).toBe(true);
		await addClasses(small.database, coordinator, [{ name: 'Knot', grade: 1 }], NOW);
		expect(await end(id, null)).toBe(false);
		const again = (await classesInSetup(small.database, coordinator, TODAY)).filter(({ name }) => name === 'Knot');
		expect(again.map(({ endedOn }) => endedOn)).toEqual([null, TODAY]);
	});
});
