import { createCipheriv, createDecipheriv, hkdfSync, randomBytes } from 'node:crypto';
import type { Database } from '../database';
import { signingKey } from './store/signingKey';

/** Bytes of the nonce and of the tag (AES-256 in Galois/Counter Mode, NIST SP 800-38D). */
const [NONCE, TAG] = [12, 16];

const keyOf = async (database: Database) =>
	Buffer.from(hkdfSync('sha256', await signingKey(database), '', 'sealed secrets', 32));

/** A secret as it is stored that has to be told to others later: nobody reads it who has not the signing key as well. */
export async function seal(database: Database, secret: string): Promise<Buffer> {
	const nonce = randomBytes(NONCE);
	const cipher = createCipheriv('aes-256-gcm', await keyOf(database), nonce);
	return Buffer.concat([nonce, cipher.update(secret, 'utf8'), cipher.final(), cipher.getAuthTag()]);
}

/** @throws Error for what was not sealed here, or was changed since */
export async function unseal(database: Database, sealed: Buffer): Promise<string> {
	const decipher = createDecipheriv('aes-256-gcm', await keyOf(database), sealed.subarray(0, NONCE));
	decipher.setAuthTag(sealed.subarray(-TAG));
	return Buffer.concat([decipher.update(sealed.subarray(NONCE, -TAG)), decipher.final()]).toString('utf8');
}
