import type { StandingNow } from '../src/lib/core/mastery';

/** Levels that go with standings on a skill of difficulty 0. */
const MEANS = { gap: -1, forming: 0.3, secure: 1.5, slipping: 0.2, unseen: 0 };

/** A standing for tests in which only so much of it matters. */
export const standingNow = (
	standing: StandingNow['standing'],
	mastered = 0.5,
	change: Partial<StandingNow> = {}
): StandingNow => ({
	standing,
	inferred: null,
	mastered,
	level: { mean: MEANS[standing], standardError: 0.5 },
	difficulty: 0,
	answers: 8,
	lastOn: null,
	...change
});
