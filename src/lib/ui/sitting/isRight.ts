import { canonicalAnswer, type Answer, type KeyProof, type ResponseSpec } from '$lib/core/items';

const HASH_BYTES = 32;

const toHex = (bytes: Uint8Array) => [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
const fromHex = (hex: string) => Uint8Array.from(hex.match(/../g) ?? [], (byte) => parseInt(byte, 16));

/**
 * PBKDF2 in script, for pages that do not come by https: they have no `crypto.subtle`. Loaded at once, since the server may
 * be away when it is needed.
 */
const inScript = globalThis.crypto?.subtle
	? null
	: Promise.all([import('@noble/hashes/pbkdf2.js'), import('@noble/hashes/sha2.js')]);

async function slowHash(text: string, { salt, iterations }: KeyProof): Promise<string> {
	const [password, saltBytes] = [new TextEncoder().encode(text), fromHex(salt)];
	if (!inScript) {
		const key = await crypto.subtle.importKey('raw', password, 'PBKDF2', false, ['deriveBits']);
		const rules = { name: 'PBKDF2', hash: 'SHA-256', salt: saltBytes, iterations };
		return toHex(new Uint8Array(await crypto.subtle.deriveBits(rules, key, 8 * HASH_BYTES)));
	}
	const [{ pbkdf2Async }, { sha256 }] = await inScript;
	return toHex(await pbkdf2Async(sha256, password, saltBytes, { c: iterations, dkLen: HASH_BYTES }));
}

/** Whether a readable answer is right, by the proof that came with its question. */
export async function isRight(item: { response: ResponseSpec; proof: KeyProof }, answer: Answer): Promise<boolean> {
	return item.proof.hashes.includes(await slowHash(canonicalAnswer(item, answer), item.proof));
}
