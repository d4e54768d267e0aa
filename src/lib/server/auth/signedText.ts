import { createHmac, timingSafeEqual } from 'node:crypto';
import type { Database } from '../database';
import { signingKey } from './store/signingKey';

let key: Promise<Buffer> | null = null;

/** The key stays the same while the process runs. */
function keyOf(database: Database): Promise<Buffer> {
	key ??= signingKey(database).catch((problem) => {
		key = null;
		throw problem;
	});
	return key;
}

const signature = (secret: Buffer, purpose: string, text: string) =>
	createHmac('sha256', secret).update(`${purpose}\n${text}`).digest();

/**
 * Signs texts for a purpose, so that what comes back is known to have been given out here: `text.signature`.
 *
 * const [sign] = await signer(database, 'student to sign in'); sign('12 1764000000000')
 */
export async function signer(database: Database, purpose: string): Promise<(text: string) => string> {
	const secret = await keyOf(database);
	return (text) => `${text}.${signature(secret, purpose, text).toString('base64url')}`;
}

/** The text that was signed for a purpose; null for what was not. */
export async function signedText(database: Database, purpose: string, signed: string): Promise<string | null> {
	const dot = signed.lastIndexOf('.');
	const text = signed.slice(0, Math.max(dot, 0));
	const given = Buffer.from(signed.slice(dot + 1), 'base64url');
	const wanted = signature(await keyOf(database), purpose, text);
	return dot > 0 && given.length === wanted.length && timingSafeEqual(given, wanted) ? text : null;
}
