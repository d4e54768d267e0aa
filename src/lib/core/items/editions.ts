import recorded from './editions.json' with { type: 'json' };

/** A family's edition, and a fingerprint of the questions it made then. */
export interface Edition {
	edition: number;
	items: string;
}

const editions: Partial<Record<string, Edition>> = recorded;

/**
 * The edition of a family's questions: raised by `npm run items:editions` whenever a seed gives another question than
 * before. What was asked in an earlier edition is kept as it was asked.
 */
export const editionOf = (familyId: string): number => editions[familyId]?.edition ?? 1;
