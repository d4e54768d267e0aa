/**
 * What answers were given in. A `level` check asks one domain, adaptively; `practice` was given; `review` asks what was once secure again, and `free` is practice
 * that the student chose. Only these three show at once whether an answer was right, and why.
 */
export const SITTING_KINDS = ['diagnostic', 'practice', 'probe', 'level', 'check', 'review', 'free'] as const;
export type SittingKind = (typeof SITTING_KINDS)[number];

const PRACTICE_KINDS: readonly SittingKind[] = ['practice', 'review', 'free'];

export const isPracticeKind = (kind: SittingKind): boolean => PRACTICE_KINDS.includes(kind);
