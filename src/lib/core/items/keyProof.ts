import { canonicalAnswer } from './check';
import type { Item } from './item';

/**
 * Tells whether an answer is right without saying which would be: the hashes of all that say the same as the key, each
 * written in its canonical way. They are slow (PBKDF2 with SHA-256, RFC 8018), so that looking through all answers takes
 * a while; where there are only few, as among options, that while is short (docs/security.md).
 */
export interface KeyProof {
	/** Hexadecimal, another one for each item. */
	salt: string;
	iterations: number;
	/** Hexadecimal. */
	hashes: string[];
}

/** Right answers to an item, each once, as a proof hashes them. */
export function canonicalKeys(item: Pick<Item, 'response' | 'key' | 'alsoRight'>): string[] {
	return [...new Set([item.key, ...(item.alsoRight ?? [])].map((right) => canonicalAnswer(item, right)))];
}
