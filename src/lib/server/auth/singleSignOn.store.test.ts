import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { CLIENT, serveIdentities, type RunningProvider } from '../../../../standins/identityProvider/server';
import { NOW, smallSchool, staffAs, type SmallSchool } from '../../../../tests/smallSchool';
import { accountByUserName, studentPin } from '../people';
import { setSignInHours } from '../people/store/classes';
import { tokenHash } from './signIn';
import { beginSingleSignOn, endSingleSignOn, provider, type Provider } from './singleSignOn';
import { isSingleSignOnUsed, setSingleSignOn } from './store/singleSignOns';

let small: SmallSchool;
let service: RunningProvider;
let by: Provider;
const coordinator = staffAs('coordinator');
const BACK = 'http://127.0.0.1:9/sign-in/single/done';
const trying = { address: '10.0.0.1', browser: 'one', held: undefined };
const people = ['t-10', 's-1', 's-2', 'nobody', 'both'].map((id) => ({ id, name: `Person ${id}` }));

beforeAll(async () => {
	small = await smallSchool('single_sign_on');
	service = await serveIdentities(people);
	process.env.ORDERLY_STANDINS = 'yes';
	process.env.ORDERLY_OIDC_ISSUER = service.issuer;
	process.env.ORDERLY_OIDC_CLIENT = CLIENT.id;
	process.env.ORDERLY_OIDC_SECRET = CLIENT.secret;
	by = provider()!;
	const { database } = small;
	await database.run(`UPDATE account SET sourced_id = 't-10' WHERE id = 10`);
	await database.run(`UPDATE student SET sourced_id = CONCAT('s-', id) WHERE school_id = 1`);
	await database.run(`UPDATE account SET sourced_id = 'both' WHERE id = 11`);
	await database.run(`UPDATE student SET sourced_id = 'both' WHERE id = 8`);
});
afterAll(async () => {
	for (const name of ['ORDERLY_STANDINS', 'ORDERLY_OIDC_ISSUER', 'ORDERLY_OIDC_CLIENT', 'ORDERLY_OIDC_SECRET'])
		delete process.env[name];
	await service.stop();
	await small.database.close();
});

/** As a browser does: to the provider, where somebody says who they are, and back. */
async function comeBack(person: string) {
	const begun = (await beginSingleSignOn(small.database, by, BACK, NOW))!;
	const choose = new URL(begun.address.replace('/authorize', '/choose'));
	choose.searchParams.set('person', person);
	const reply = await fetch(choose, { redirect: 'manual' });
	return { kept: begun.kept, address: new URL(reply.headers.get('location')!) };
}
async function signIn(person: string, at = NOW) {
	const { kept, address } = await comeBack(person);
	return endSingleSignOn(small.database, by, address, kept, trying, at);
}
/** Whom a sign-in is of. */
const holderOf = (token: string) =>
	small.database.row('SELECT account_id AS account, student_id AS student FROM sign_in WHERE token_hash = ?', [
		tokenHash(token)
	]);

describe('signing in with an identity provider', () => {
	it('is nobody’s while the school has not said so', async () => {
		expect(await signIn('t-10')).toEqual({ refused: 'not known' });
		expect(await isSingleSignOnUsed(small.database)).toBe(false);
		expect(await setSingleSignOn(small.database, coordinator, 'beside', NOW)).toBe('off');
		expect(await isSingleSignOnUsed(small.database)).toBe(true);
	});

	it('is for staff and students whom the roster knows by that id, and nobody else', async () => {
		for (const [person, holder] of [
			['t-10', { account: 10, student: null }],
			['s-1', { account: null, student: 1 }]
		] as const) {
			const outcome = await signIn(person);
			expect(await holderOf((outcome as { token: string }).token)).toEqual(holder);
		}
		expect(await signIn('nobody')).toEqual({ refused: 'not known' });
		// One id that is two people’s is nobody’s.
		expect(await signIn('both')).toEqual({ refused: 'not known' });
		await small.database.run('UPDATE account SET deactivated_at = ? WHERE id = 10', [NOW]);
		expect(await signIn('t-10')).toEqual({ refused: 'not known' });
		await small.database.run('UPDATE account SET deactivated_at = NULL WHERE id = 10');
		await small.database.run(`UPDATE class_membership SET until_on = '2026-11-01' WHERE student_id = 2`);
		expect(await signIn('s-2')).toEqual({ refused: 'not known' });
	});

	it('knows who went out in a roster of ours by the id they went out with', async () => {
		await small.database.run('UPDATE account SET sourced_id = NULL WHERE id = 10');
		const { key } = (await small.database.row<{ key: string }>('SELECT roster_key AS `key` FROM school WHERE id = 1'))!;
		people.push({ id: `${key}-adult-10`, name: 'Out and back' }, { id: `${key}-student-10`, name: 'Of another kind' });
		const outcome = await signIn(`${key}-adult-10`);
		expect(await holderOf((outcome as { token: string }).token)).toEqual({ account: 10, student: null });
		expect(await signIn(`${key}-student-10`)).toEqual({ refused: 'not known' });
		await small.database.run(`UPDATE account SET sourced_id = 't-10' WHERE id = 10`);
	});

	it('keeps to the hours of a class, and asks for a second factor where there is one', async () => {
		await setSignInHours(small.database, coordinator, 1, { from: '04:00', until: '05:00' }, NOW);
		expect(await signIn('s-1')).toEqual({ refused: 'closed', hours: { from: '04:00', until: '05:00' } });
		await setSignInHours(small.database, coordinator, 1, null, NOW);
		await small.database.run(`UPDATE account SET totp_secret = 'x' WHERE id = 10`);
		expect(await signIn('t-10')).toEqual({ codeKey: expect.any(String) });
		await small.database.run('UPDATE account SET totp_secret = NULL WHERE id = 10');
	});

	it('is refused what another browser began, what came twice or late, and what was made up', async () => {
		const { database } = small;
		const [mine, theirs] = [await comeBack('s-1'), await comeBack('s-1')];
		const end = (address: URL, kept: string, at = NOW) => endSingleSignOn(database, by, address, kept, trying, at);
		expect(await end(theirs.address, mine.kept)).toEqual({ refused: 'failed' });
		expect(await end(mine.address, `${mine.kept}x`)).toEqual({ refused: 'failed' });
		expect(await end(mine.address, '')).toEqual({ refused: 'failed' });
		expect(await end(mine.address, mine.kept, new Date(NOW.getTime() + 11 * 60_000))).toEqual({ refused: 'failed' });
		expect(await end(mine.address, mine.kept)).toEqual({ token: expect.any(String) });
		expect(await end(mine.address, mine.kept)).toEqual({ refused: 'failed' });
		const denied = new URL(theirs.address);
		denied.searchParams.delete('code');
		denied.searchParams.set('error', 'access_denied');
		expect(await end(denied, theirs.kept)).toEqual({ refused: 'failed' });
	});

	it('goes on after the provider has changed its key, and believes no other key', async () => {
		expect(await signIn('s-1')).toHaveProperty('token');
		await service.rotateKey();
		expect(await signIn('s-1')).toHaveProperty('token');
		// Another provider that says it is this one.
		const other = await serveIdentities(people);
		const begun = (await beginSingleSignOn(small.database, { ...by, issuer: other.issuer }, BACK, NOW))!;
		expect(new URL(begun.address).origin).toBe(other.issuer);
		const choose = new URL(begun.address.replace('/authorize', '/choose'));
		choose.searchParams.set('person', 's-1');
		const reply = await fetch(choose, { redirect: 'manual' });
		const address = new URL(reply.headers.get('location')!);
		expect(await endSingleSignOn(small.database, by, address, begun.kept, trying, NOW)).toEqual({ refused: 'failed' });
		await other.stop();
	});

	it('says so where the provider does not answer', async () => {
		const away = { ...by, issuer: 'http://127.0.0.1:9' };
		expect(await beginSingleSignOn(small.database, away, BACK, NOW)).toBeNull();
		expect(await signIn('s-1')).toHaveProperty('token');
	});

	it('instead of passwords lets none and no PIN in, but for whom no roster knows', async () => {
		const { database } = small;
		await database.run(`UPDATE account SET password_hash = 'hash' WHERE id IN (10, 12)`);
		await setSingleSignOn(database, coordinator, 'instead', NOW);
		expect((await accountByUserName(database, 'user10'))!.passwordHash).toBeNull();
		expect((await studentPin(database, 1, NOW))!.pinHash).toBeNull();
		expect((await accountByUserName(database, 'user1'))!.passwordHash).not.toBeNull();
		// A coordinator keeps the password, for when the provider is away.
		await database.run(`UPDATE account SET sourced_id = 't-1' WHERE user_name = 'user1'`);
		expect((await accountByUserName(database, 'user1'))!).toMatchObject({
			role: 'coordinator',
			passwordHash: expect.any(String)
		});
		expect(await signIn('t-10')).toHaveProperty('token');
		await setSingleSignOn(database, coordinator, 'off', NOW);
		expect((await accountByUserName(database, 'user10'))!.passwordHash).toBe('hash');
	});
});
