import { hash, verify } from '@node-rs/argon2';

/** Argon2id at the memory and time that OWASP's password storage sheet gives as a minimum: 19 MiB, 2 passes. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export function hashSecret(secret: string): Promise<string> {
	return hash(secret, COST);
}

export function matchesSecret(storedHash: string, secret: string): Promise<boolean> {
	return verify(storedHash, secret);
}

/** Compared against when there is no such account, so that an unknown name takes as long as a wrong password. */
export const nobodysHash = hashSecret('nobody has this secret');
