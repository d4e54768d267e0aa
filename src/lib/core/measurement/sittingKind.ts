/** What answers were given in. Only practice shows at once whether an answer was right, and why. */
export type SittingKind = 'diagnostic' | 'practice' | 'probe' | 'check';
