import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, smallSchool, type SmallSchool } from '../../../../tests/smallSchool';
import { sessionHolder } from '../store/sessions';
import { hashSecret, matchesSecret } from './passwords';
import { forgetViewer, viewerOf } from './sessionCache';
import { SESSION_HOURS, signInStaff, signInStudent, signOut, tokenHash, type SignIn } from './signIn';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('sign_in');
	await small.database.run('UPDATE account SET password_hash = ?', [await hashSecret('right')]);
	await small.database.run('UPDATE student SET pin_hash = ?', [await hashSecret('2468')]);
});
afterAll(() => small.database.close());

const minutes = (count: number) => new Date(NOW.getTime() + count * 60_000);
const tokenOf = (result: SignIn) => ('token' in result ? result.token : '');
const tryPassword = (password: string, minute: number, user = 'user10') =>
	signInStaff(small.database, user, password, '10.0.0.1', minutes(minute));

describe('signing in', () => {
	it('limits tries of an account and forgets them after a success', async () => {
		for (let i = 0; i < 7; i++) expect(await tryPassword('no', 0)).toEqual({ refused: 'wrong' });
		expect(await tryPassword('right', 0)).toHaveProperty('token');
		for (let i = 0; i < 8; i++) expect(await tryPassword('no', 1)).toEqual({ refused: 'wrong' });
		expect(await tryPassword('right', 1)).toEqual({ refused: 'too many' });
		expect(await tryPassword('right', 17)).toHaveProperty('token');
	});

	it('counts spellings of one account together', async () => {
		for (let i = 0; i < 8; i++) await tryPassword('no', 0, i % 2 ? 'user3' : 'USER3');
		expect(await tryPassword('right', 0, 'User3')).toEqual({ refused: 'too many' });
	});

	it('limits tries of an address across accounts', async () => {
		for (let i = 0; i < 60; i++) await signInStudent(small.database, 1 + (i % 8), '0000', '10.0.0.2', NOW);
		expect(await signInStudent(small.database, 9, '2468', '10.0.0.2', NOW)).toEqual({ refused: 'too many' });
		expect(await signInStudent(small.database, 9, '2468', '10.0.0.3', NOW)).toHaveProperty('token');
	});

	it('refuses an account nobody has like a wrong password', async () => {
		expect(await tryPassword('right', 0, 'nobody')).toEqual({ refused: 'wrong' });
		expect(await signInStudent(small.database, 4_000, '2468', '10.0.0.4', NOW)).toEqual({ refused: 'wrong' });
	});

	it('keeps only hashes: of passwords argon2id, of tokens SHA-256', async () => {
		expect(await hashSecret('x')).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
		expect(await matchesSecret(await hashSecret('x'), 'y')).toBe(false);
		const token = tokenOf(await tryPassword('right', 30, 'user2'));
		expect(token.length).toBeGreaterThan(40);
		const rows = await small.database.rows<{ hash: Buffer }>('SELECT token_hash AS hash FROM session');
		expect(rows.some(({ hash }) => hash.equals(tokenHash(token)))).toBe(true);
		expect(rows.some(({ hash }) => hash.toString().includes(token))).toBe(false);
	});
});

describe('sessions', () => {
	it('say who holds them until they expire or end', async () => {
		const token = tokenOf(await tryPassword('right', 40, 'user2'));
		const holder = (at: Date) => sessionHolder(small.database, tokenHash(token), at);
		expect(await holder(minutes(41))).toMatchObject({ kind: 'staff', id: 2, role: 'specialist', schoolId: 1 });
		expect(await holder(minutes(41 + SESSION_HOURS * 60))).toBeNull();
		await signOut(small.database, token);
		expect(await holder(minutes(42))).toBeNull();
	});

	it('are remembered for seconds only, and forgotten at once by signing out here', async () => {
		const token = tokenOf(await signInStudent(small.database, 6, '2468', '10.0.0.5', minutes(50)));
		const viewer = (seconds: number) =>
			viewerOf(small.database, token, new Date(minutes(50).getTime() + seconds * 1_000));
		expect(await viewer(0)).toMatchObject({ kind: 'student', id: 6, grade: 4 });
		await signOut(small.database, token);
		expect(await viewer(2)).toMatchObject({ id: 6 });
		expect(await viewer(4)).toBeNull();

		const other = tokenOf(await signInStudent(small.database, 7, '2468', '10.0.0.5', minutes(50)));
		expect(await viewerOf(small.database, other, minutes(50))).toMatchObject({ id: 7 });
		forgetViewer(other);
		await signOut(small.database, other);
		expect(await viewerOf(small.database, other, minutes(50))).toBeNull();
		expect(await viewerOf(small.database, 'made up', minutes(50))).toBeNull();
	});
});
