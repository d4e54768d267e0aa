/** How much a school wants a domain to count when groups are formed, and what that multiplies importance by. */
export const EMPHASES = { full: 1, less: 0.6, none: 0 } as const;
export type Emphasis = keyof typeof EMPHASES;

/** Codes of domains that count less until a school says otherwise: measurement, shapes, and data. */
const LESS = new Set(['M', 'S', 'D']);

/**
 * The emphasis that ships: whole numbers, fractions with ratios, and patterns with algebra count in full, since most of
 * what is taught in later grades builds on them; measurement, shapes and data count less. A domain that is not ours counts
 * in full, since nothing is known of it.
 */
export const usualEmphasis = (domainCode: string): Emphasis => (LESS.has(domainCode) ? 'less' : 'full');
