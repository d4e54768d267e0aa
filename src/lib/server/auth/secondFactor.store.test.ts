import { generateSync } from 'otplib';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { NOW, smallSchool, staffAs, type SmallSchool } from '../../../../tests/smallSchool';
import { acceptSecret, askForCode, offerSecret, otherCodes, signInByCode } from './secondFactor';
import { newToken } from './signIn';
import { secondFactorOf } from './store/secondFactors';

let small: SmallSchool;
const specialist = staffAs('specialist');
const at = (seconds: number) => new Date(NOW.getTime() + 1_000 * seconds);
const codeOf = (secret: string, when: Date) => generateSync({ secret, epoch: Math.floor(when.getTime() / 1_000) });

beforeAll(async () => {
	small = await smallSchool('second_factor');
});
afterAll(() => small.database.close());
beforeEach(() => small.database.run('DELETE FROM sign_in_try'));

/** Sets a second factor up. @returns its secret and the recovery codes */
async function setUp(when = NOW) {
	const { key, secret } = await offerSecret(small.database, specialist, when);
	const codes = await acceptSecret(small.database, specialist, { key, code: codeOf(secret, when) }, when);
	return { secret, codes: codes! };
}

/** Signs in by a code, after the password. */
async function enter(code: string, when: Date, asked = when) {
	const key = await askForCode(small.database, specialist.id, asked);
	const trying = { address: '10.0.0.1', browser: 'one', held: undefined, browserToken: newToken() };
	const result = await signInByCode(small.database, { key, code }, trying, { at: NOW, world: when });
	return 'token' in result ? 'in' : result.refused;
}

describe('a second factor', () => {
	it('is kept once its first code is right, with recovery codes of which only hashes are kept', async () => {
		const { key, secret } = await offerSecret(small.database, specialist, NOW);
		expect(await acceptSecret(small.database, specialist, { key, code: '000000' }, NOW)).toBeNull();
		expect(
			await acceptSecret(small.database, specialist, { key: `x${key}`, code: codeOf(secret, NOW) }, NOW)
		).toBeNull();
		const late = at(3_600);
		expect(await acceptSecret(small.database, specialist, { key, code: codeOf(secret, late) }, late)).toBeNull();
		const other = staffAs('coordinator');
		expect(await acceptSecret(small.database, other, { key, code: codeOf(secret, NOW) }, NOW)).toBeNull();
		expect(await secondFactorOf(small.database, specialist.id)).toBeNull();
		const codes = (await acceptSecret(small.database, specialist, { key, code: codeOf(secret, NOW) }, NOW))!;
		expect(new Set(codes).size).toBe(10);
		expect(await secondFactorOf(small.database, specialist.id)).toMatchObject({ secret, codes: 10 });
		const kept = await small.database.rows<{ hash: Buffer }>('SELECT code_hash AS hash FROM recovery_code');
		expect(kept.map(({ hash }) => hash.toString())).not.toContain(codes[0].replaceAll(' ', ''));
	});

	it('lets each code in once, from half a minute before to half a minute after', async () => {
		const { secret } = await setUp();
		expect(await enter(codeOf(secret, NOW), NOW)).toBe('wrong');
		expect(await enter(codeOf(secret, at(60)), at(60))).toBe('in');
		expect(await enter(codeOf(secret, at(60)), at(61))).toBe('wrong');
		expect(await enter(codeOf(secret, at(120)), at(150))).toBe('in');
		expect(await enter(codeOf(secret, at(240)), at(210))).toBe('in');
		// One that is right by now, but older than one that was used.
		expect(await enter(codeOf(secret, at(210)), at(210))).toBe('wrong');
		expect(await enter(codeOf(secret, at(400)), at(500))).toBe('wrong');
	});

	it('lets a recovery code in once, however it is typed', async () => {
		const { codes } = await setUp();
		expect(await enter(codes[0].toLowerCase(), NOW)).toBe('in');
		expect(await enter(codes[0], NOW)).toBe('wrong');
		expect(await enter(codes[1].replaceAll(' ', '-'), NOW)).toBe('in');
		expect(await secondFactorOf(small.database, specialist.id)).toMatchObject({ codes: 8 });
		const fresh = (await otherCodes(small.database, specialist, codes[2], NOW))!;
		expect(await enter(codes[3], NOW)).toBe('wrong');
		expect(await enter(fresh[0], NOW)).toBe('in');
	});

	it('is asked for a while after the password only, and by nobody without one', async () => {
		const { codes } = await setUp();
		expect(await enter(codes[0], at(700), NOW)).toBe('too late');
		const trying = { address: '10.0.0.1', browser: 'one', held: undefined, browserToken: newToken() };
		const made = { key: `${specialist.id} ${at(100).getTime()}.`, code: codes[0] };
		expect(await signInByCode(small.database, made, trying, { at: NOW, world: NOW })).toEqual({ refused: 'too late' });
	});

	it('is tried six times in vain and then not looked at for a quarter of an hour, also when many come at once', async () => {
		const { codes } = await setUp();
		const many = await Promise.all(Array.from({ length: 20 }, () => enter('123456', NOW)));
		expect(many.filter((one) => one === 'wrong').length).toBeLessThanOrEqual(6);
		for (let i = 0; i < 6; i++) await enter('123456', NOW);
		expect(await enter(codes[0], NOW)).toBe('wait');
		expect(await enter(codes[0], at(16 * 60))).toBe('in');
	});
});
