import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, type SmallSchool } from '../../../../../tests/smallSchool';
import { hashSecret } from '../../auth/passwords';
import { dropSecondFactor, keepSecondFactor, requireSecondFactor } from '../../auth/store/secondFactors';
import { changeSchool, signInStaff, tokenHash } from '../../auth/signIn';
import { changePassword, passwordHashOf, signInHolder, signInsOf } from '../../auth/store/signIns';
import type { Staff } from '../../request';
import { acceptInvitation, invite, setActive, staffInSetup } from './accounts';
import { joinByInvitation, otherSchools } from './otherSchools';

let small: SmallSchool;
const coordinator = staffAs('coordinator');
/** Of school 2, who makes its invitations. */
const there: Staff = { ...staffAs('coordinator', 21), schoolId: 2 };

beforeAll(async () => {
	small = await smallSchool('other_schools');
	const { database } = small;
	await database.run(
		`INSERT INTO account (id, school_id, role, user_name, display_name) VALUES (21, 2, 'coordinator', 'there', 'There')`
	);
	await database.run('UPDATE account SET password_hash = ? WHERE id IN (3, 20)', [await hashSecret('estuary lantern')]);
});
afterAll(() => small.database.close());

let links = 0;
/** The hash of a link that was just made for an account. */
async function linkFor(inviting: Staff, account: number): Promise<Buffer> {
	const hash = tokenHash(`link ${links++}`);
	await invite(small.database, inviting, account, hash, NOW);
	return hash;
}
/** A sign-in of an account by its password, and who holds it. */
async function signIn(id: number) {
	const trying = { address: '10.0.0.1', browser: 'test', held: undefined, browserToken: 'browser' };
	return signInStaff(small.database, { userName: `user${id}`, password: 'estuary lantern' }, trying, NOW);
}
const holder = (token: string) => signInHolder(small.database, tokenHash(token), NOW) as Promise<Staff | null>;
const inSetup = async (id: number) => (await staffInSetup(small.database, 2, NOW)).find((one) => one.id === id)!;

describe('who serves two schools', () => {
	it('comes to the second by its invitation, with one password for both', async () => {
		const { database } = small;
		const home = staffAs('interventionist');
		expect(await otherSchools(database, home)).toEqual([]);
		const { token: old } = (await signIn(20)) as { token: string };
		const link = await linkFor(there, 20);
		expect(await joinByInvitation(database, home, tokenHash('another'), NOW)).toBe(false);
		expect(await joinByInvitation(database, home, link, NOW)).toBe(true);
		expect(await joinByInvitation(database, home, link, NOW)).toBe(false);
		// What could be known there lets nobody in any more, neither there nor here.
		expect(await holder(old)).toBeNull();
		expect(await signIn(20)).toEqual({ refused: 'wrong' });

		const { token } = (await signIn(3)) as { token: string };
		expect(await holder(token)).toMatchObject({ id: 3, schoolId: 1, servesOthers: true });
		const [other, ...more] = await otherSchools(database, home);
		expect(more).toEqual([]);
		expect(other).toEqual({ account: 20, school: 'School 2', role: 'specialist' });
		expect(await changeSchool(database, home, 2, token)).toBeNull();
		const moved = (await changeSchool(database, home, 20, token))!;
		expect(await holder(token)).toBeNull();
		const second = (await holder(moved))!;
		expect(second).toMatchObject({ id: 20, schoolId: 2, role: 'specialist', homeId: 3, servesOthers: true });
		expect(await otherSchools(database, second)).toEqual([{ account: 3, school: 'School 1', role: 'interventionist' }]);
		expect(await inSetup(20)).toMatchObject({ hasPassword: true, isFromOther: true, hasSecondFactor: false });
		// Password, sign-ins and second factor are those of the account that they sign in by.
		expect(await passwordHashOf(database, second)).toBe(await passwordHashOf(database, home));
		expect(await signInsOf(database, second, tokenHash(moved), NOW)).toMatchObject([{ isThis: true }]);
		await requireSecondFactor(database, there, true, NOW);
		expect(await holder(moved)).toMatchObject({ lacksSecondFactor: true });
		await keepSecondFactor(database, second, { secret: 'JBSWY3DPEHPK3PXP', step: 1, codeHashes: [] }, NOW);
		expect(await holder(moved)).not.toHaveProperty('lacksSecondFactor');
		expect(await signIn(3)).toEqual({ codeFor: 3 });
		expect(await dropSecondFactor(database, there, 3, NOW)).toBe(false);
		expect(await inSetup(20)).toMatchObject({ hasSecondFactor: true });
		expect(await changePassword(database, home, await hashSecret('another lantern'), tokenHash('none'), NOW)).toBe(1);
		expect(await holder(moved)).toBeNull();
	});

	it('cannot have two accounts of one school', async () => {
		const { database } = small;
		await database.run(
			`INSERT INTO account (id, school_id, role, user_name, display_name) VALUES (22, 2, 'teacher', 'user22', 'Twice')`
		);
		const ofTwice = await linkFor(there, 22);
		expect(await joinByInvitation(database, staffAs('interventionist'), ofTwice, NOW)).toBe(false);
		expect(await joinByInvitation(database, { ...there, id: 20, homeId: 3 }, ofTwice, NOW)).toBe(false);
		const own = await linkFor(coordinator, 2);
		expect(await joinByInvitation(database, staffAs('interventionist'), own, NOW)).toBe(false);
	});

	it('is shut out of one school and stays in the other, whichever it is', async () => {
		const { database } = small;
		const home = staffAs('interventionist');
		await setActive(database, there, 20, false, NOW);
		expect(await otherSchools(database, home)).toEqual([]);
		await setActive(database, there, 20, true, NOW);
		await setActive(database, coordinator, 3, false, NOW);
		expect(await signIn(3)).toEqual({ refused: 'wrong' });
		expect(await inSetup(20)).toMatchObject({ hasPassword: false, isFromOther: true });
		await setActive(database, coordinator, 3, true, NOW);
		// An invitation of the second school lets the person sign in there alone.
		const anew = await linkFor(there, 20);
		expect(await acceptInvitation(database, anew, await hashSecret('estuary lantern'), NOW)).toBe(true);
		expect(await signIn(20)).toHaveProperty('token');
		expect(await otherSchools(database, home)).toEqual([]);
	});

	it('has to be let in anew at the other school when the first gives another password: one coordinator opens one school', async () => {
		const { database } = small;
		const home = staffAs('interventionist');
		const again = await linkFor(there, 20);
		await joinByInvitation(database, home, again, NOW);
		const reset = await linkFor(coordinator, 3);
		await database.run('UPDATE account SET password_hash = ?, totp_secret = NULL WHERE id = 3', [
			await hashSecret('estuary lantern')
		]);
		const { token } = (await signIn(3)) as { token: string };
		const moved = (await changeSchool(database, home, 20, token))!;
		expect(await holder(moved)).toMatchObject({ id: 20 });
		await acceptInvitation(database, reset, await hashSecret('chosen by another'), NOW);
		expect(await otherSchools(database, home)).toEqual([]);
		expect(await inSetup(20)).toMatchObject({ hasPassword: false, isFromOther: false });
		// Who was signed in there by the password of before is not any more.
		expect(await holder(moved)).toBeNull();
	});
});
