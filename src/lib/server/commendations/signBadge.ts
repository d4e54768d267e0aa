import { createHash } from 'node:crypto';
import { calculateJwkThumbprintUri, exportJWK, generateKeyPair, importJWK, type JWK, SignJWT } from 'jose';
import { openBadge } from '../../core/commendations';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import type { RosterStudent } from '../people';
import type { School } from '../school';
import { badgeKey, type BadgeKey, keepBadgeKey } from './store/badgeKeys';
import type { Commendation } from './store/commendations';

/** What Open Badges 3.0 asks every verifier to know. */
const ALGORITHM = 'RS256';

/** The school's key, made at its first badge. */
async function keyOf(database: Database, schoolId: number, at: Date): Promise<BadgeKey> {
	const kept = await badgeKey(database, schoolId);
	if (kept) return kept;
	const { publicKey, privateKey } = await generateKeyPair(ALGORITHM, { extractable: true });
	const [open, secret] = await Promise.all([exportJWK(publicKey), exportJWK(privateKey)]);
	await keepBadgeKey(database, schoolId, { publicKey: JSON.stringify(open), privateKey: JSON.stringify(secret) }, at);
	return (await badgeKey(database, schoolId))!;
}

/**
 * A commendation as a signed Open Badges 3.0 credential: a compact JWS (RFC 7515) with the public key in its header. The issuer is
 * known by the thumbprint of that key (RFC 9278), the student by a salted hash of their name.
 */
export async function signBadge(
	database: Database,
	school: Pick<School, 'id' | 'name'>,
	student: Pick<RosterStudent, 'givenName' | 'familyName'>,
	{ uuid, kind, said, sentence, givenAt }: Commendation,
	at: Date
): Promise<string> {
	const { publicKey, privateKey } = await keyOf(database, school.id, at);
	const jwk = JSON.parse(publicKey) as JWK;
	const issuer = await calculateJwkThumbprintUri(jwk);
	const hash = createHash('sha256').update(fullName(student)).update(uuid).digest('hex');
	const badge = openBadge({
		...{ uuid, kind, said, sentence, givenAt, issuer },
		school: school.name,
		identity: { hash, salt: uuid }
	});
	return new SignJWT({ ...badge })
		.setProtectedHeader({ alg: ALGORITHM, typ: 'JWT', jwk })
		.setIssuer(issuer)
		.setJti(badge.id)
		.setSubject(`${badge.id}#student`)
		.setNotBefore(givenAt)
		.sign(await importJWK(JSON.parse(privateKey) as JWK, ALGORITHM));
}
