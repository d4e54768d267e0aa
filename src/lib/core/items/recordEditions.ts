import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import type { Edition } from './editions';
import { makeItem, type ItemFamily } from './family';

/** Seeds whose questions stand for all of a family's. */
const SEEDS = 120;

/** What all questions of a family come to: another as soon as one of them differs in anything but its edition. */
export function fingerprint(family: ItemFamily): string {
	const items = Array.from({ length: SEEDS }, (_, seed) => ({ ...makeItem(family, seed), edition: 0 }));
	return bytesToHex(sha256(new TextEncoder().encode(JSON.stringify(items)))).slice(0, 16);
}

/**
 * The editions of families as they are now: the next one for each whose questions are no longer those that were recorded.
 * Families that have left the bank stay, so that none comes back under an edition that was used.
 */
export function nextEditions(families: ItemFamily[], recorded: Record<string, Edition>): Record<string, Edition> {
	const next = { ...recorded };
	for (const family of families) {
		const items = fingerprint(family);
		const before = recorded[family.id];
		if (before?.items !== items) next[family.id] = { edition: (before?.edition ?? 0) + 1, items };
	}
	return Object.fromEntries(Object.entries(next).sort(([a], [b]) => (a < b ? -1 : 1)));
}
