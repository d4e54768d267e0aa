import { createHash, createPublicKey, type JsonWebKey } from 'node:crypto';
import jwt from 'jsonwebtoken';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	newProbes,
	NOW,
	seen,
	seenOne,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool
} from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { beginProbe } from '../sitting';
import { probeSeries, startProbes } from '../track';
import { proposalsFor } from './proposals';
import { signBadge } from './signBadge';
import { commendationsOf, commendedStudent, giveCommendation, takeBackCommendation } from './store/commendations';

let small: SmallSchool;
const [specialist, teacher] = [staffAs('specialist'), staffAs('teacher')];
const reason = { kind: 'effort', is: 'in a row', sessions: 4, missed: 2 } as const;
const given = { kind: 'effort' as const, reason, said: 'You were there.', sentence: 'I saw how you came back.' };
const student = { id: seenOne(1), givenName: 'Given1', familyName: 'Family1' };

beforeAll(async () => {
	small = await smallSchool('commendations');
});
afterAll(() => small.database.close());

describe('a commendation', () => {
	it('is kept with its words, read by whom it concerns, and taken back by who may', async () => {
		const { database } = small;
		const id = await giveCommendation(database, specialist, { ...given, studentId: 1 }, NOW);
		expect(await commendationsOf(database, seen(1, 2))).toMatchObject([
			{ id, studentId: 1, ...given, givenBy: 'Staff 2', givenAt: NOW }
		]);
		expect(await commendationsOf(database, seen(1), new Date(NOW.getTime() + 1))).toEqual([]);
		expect(await commendedStudent(database, specialist, id)).toBe(1);
		expect(await commendedStudent(database, { ...specialist, schoolId: 2 }, id)).toBeNull();
		expect(await takeBackCommendation(database, teacher, id, NOW)).toBe(false);
		expect(await takeBackCommendation(database, specialist, id, NOW)).toBe(true);
		expect(await takeBackCommendation(database, specialist, id, NOW)).toBe(false);
		expect(await commendationsOf(database, seen(1))).toEqual([]);
		await expect(giveCommendation(database, specialist, { ...given, studentId: 9 }, NOW)).rejects.toThrow();
	});
});

describe('a badge', () => {
	it('is verified by another library with the key in its header, and by nothing that was changed', async () => {
		const { database, school } = small;
		await giveCommendation(database, specialist, { ...given, studentId: 1 }, NOW);
		const [one] = await commendationsOf(database, seen(1));
		const badge = await signBadge(database, school, student, one, NOW);
		const { header, payload } = jwt.decode(badge, { complete: true })!;
		const { jwk } = header as unknown as { jwk: JsonWebKey };
		expect(header).toMatchObject({ alg: 'RS256', typ: 'JWT' });
		expect(Object.keys(jwk).sort()).toEqual(['e', 'kty', 'n']);
		const key = createPublicKey({ key: jwk, format: 'jwk' });
		const clockTimestamp = Math.ceil(NOW.getTime() / 1_000) + 1;
		const verified = jwt.verify(badge, key, { algorithms: ['RS256'], clockTimestamp });
		expect(verified).toEqual(payload);
		expect(verified).toMatchObject({
			type: ['VerifiableCredential', 'OpenBadgeCredential'],
			jti: `urn:uuid:${one.uuid}`,
			id: `urn:uuid:${one.uuid}`,
			validFrom: NOW.toISOString(),
			issuer: { name: 'School 1' }
		});
		expect((verified as { iss: string }).iss).toMatch(/^urn:ietf:params:oauth:jwk-thumbprint:sha-256:/);
		const { credentialSubject } = verified as unknown as {
			credentialSubject: { identifier: { identityHash: string; salt: string }[] };
		};
		const [{ identityHash, salt }] = credentialSubject.identifier;
		expect(identityHash).toBe(`sha256$${createHash('sha256').update(`Given1 Family1${salt}`).digest('hex')}`);
		const [head, body, signature] = badge.split('.');
		const other = Buffer.from(Buffer.from(body, 'base64url').toString().replace('came back', 'went away')).toString(
			'base64url'
		);
		expect(() => jwt.verify([head, other, signature].join('.'), key, { clockTimestamp })).toThrow(/signature/);
	});

	it('of the same school is always signed with the same key, however many ask at once', async () => {
		const [one] = await commendationsOf(small.database, seen(1));
		await small.database.run('DELETE FROM badge_key');
		const badges = await Promise.all([1, 2, 3].map(() => signBadge(small.database, small.school, student, one, NOW)));
		expect(new Set(badges).size).toBe(1);
	});
});

describe('what is proposed', () => {
	it('follows from the student’s own week: probes whose level rose by more than their errors, once', async () => {
		const { database, school } = small;
		await startProbes(
			database,
			specialist,
			newProbes({
				studentIds: [5],
				skillId: small.skills[5].id,
				groupId: null,
				startsOn: TODAY,
				goalOn: addDays(TODAY, 70)
			}),
			NOW
		);
		for (const [week, right] of [2, 9, 14, 16, 16].entries()) {
			const day = addDays(TODAY, 7 * week);
			const [plan] = await probeSeries(database, seen(5), { ...school, today: day });
			const at = new Date(`${day}T15:00:00Z`);
			const sitting = await beginProbe(database, plan, week + 1, small.skills, at);
			await small.answerAll(5, sitting, (position) => position < right, 9_000, at);
		}
		const later = { ...school, today: addDays(TODAY, 28) };
		const at = new Date(`${later.today}T18:00:00Z`);
		const students = [
			{ ...student, id: seenOne(5), grade: 4, className: 'Curlew', classId: 2, tier: 2 as const }
		] as never;
		const [{ proposals }] = await proposalsFor(database, later, students, at);
		const risen = proposals.find(({ is }) => is === 'risen')!;
		expect(risen).toMatchObject({ kind: 'growth', skillId: small.skills[5].id, of: 16 });
		await giveCommendation(database, specialist, { ...given, kind: 'growth', reason: risen, studentId: 5 }, at);
		const [after] = await proposalsFor(database, later, students, at);
		expect(after.proposals.filter(({ kind }) => kind === 'growth')).toEqual([]);
	});
});
