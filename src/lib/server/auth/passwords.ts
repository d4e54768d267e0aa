import { hash, verify } from '@node-rs/argon2';

/** Argon2id at the memory and time that OWASP's password storage sheet gives as a minimum: 19 MiB, 2 passes. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export function hashSecret(secret: string): Promise<string> {
	return hash(secret, COST);
}

export function matchesSecret(storedHash: string, secret: string): Promise<boolean> {
	return verify(storedHash, secret);
}

const SHORTEST_PASSWORD = 12;

/** What keeps a new password from being one; null when nothing does. */
export function passwordProblem(fresh: string, old: string, displayName: string): string | null {
	if (fresh.length < SHORTEST_PASSWORD) return `The new password has at least ${SHORTEST_PASSWORD} characters`;
	if (fresh === old) return 'The new password is the old one';
	if (new Set(fresh.toLowerCase()).size < 5) return 'The new password needs more than a few different characters';
	const plain = fresh.toLowerCase();
	const isName = displayName
		.toLowerCase()
		.split(/\s+/)
		.some((name) => name.length > 3 && plain.startsWith(name));
	return isName ? 'The new password begins with your name' : null;
}

/** Compared against when there is no such account, so that an unknown name takes as long as a wrong password. */
export const nobodysHash = hashSecret('nobody has this secret');
