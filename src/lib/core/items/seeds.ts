/**
 * Which seeds questions are made from, by what they are asked in. The ranges cannot meet, so that no probe, sample or
 * practice shows a question that a diagnostic asks: the same family with the same seed is the same question, word for word.
 */
const WIDTHS = {
	/** From here up, one set of a skill after another; the first hundred are left to tests. */
	practice: 500_000_000,
	sample: 1_000_000,
	warmUp: 1_000_000,
	form: 500_000_000,
	probe: 500_000_000,
	check: 500_000_000,
	adaptive: 2_000_000_000,
	older: 200_000_000,
	paper: 80_000_000,
	own: 12_000_000,
	paperForm: 1_000
};

export type SeedUse = keyof typeof WIDTHS;

const FIRST = 100;

/** Where each range begins and ends (the end is no part of it); all fit into 32 bits without a sign. */
export const SEED_RANGES = Object.fromEntries(
	Object.entries(WIDTHS).map(([use, width], i, all) => {
		const from = FIRST + all.slice(0, i).reduce((sum, [, before]) => sum + before, 0);
		return [use, { from, until: from + width }];
	})
) as Record<SeedUse, { from: number; until: number }>;

/** A place of a range; beyond its end it begins again. */
const seedOf = (use: SeedUse, place: number): number => SEED_RANGES[use].from + (place % WIDTHS[use]);

/** The first of the seeds of a practice set that is the first of its skill. */
export const FIRST_PRACTICE_SEED = SEED_RANGES.practice.from;

/** The first seed of the samples of any skill. */
export const SAMPLE_SEED = SEED_RANGES.sample.from;

/** Seeds of the practice before a diagnostic. */
export const warmUpSeed = (place: number): number => seedOf('warmUp', place);

/** The first seed of a window's fixed form; windows and attempts are far enough apart to share no question. */
export const formSeed = (windowId: number, attempt: number): number =>
	seedOf('form', windowId * 10_000 + attempt * 1_000);

/** Seeds that are a plan's own. */
const SEEDS_OF_PLAN = 1_000;

/** The seeds that a plan's probe can draw from, the first of them first: all of the plan's, each probe from another on. */
export function probeSeeds(planId: number, number: number): number[] {
	const first = seedOf('probe', planId * SEEDS_OF_PLAN);
	return Array.from({ length: SEEDS_OF_PLAN }, (_, i) => first + ((number * 37 + i) % SEEDS_OF_PLAN));
}

/** The seeds that paper forms of probes are drawn from, whatever their skill; each form from another on. */
export function paperFormSeeds(form: number): number[] {
	const { from, until } = SEED_RANGES.paperForm;
	return Array.from({ length: until - from }, (_, i) => from + ((form * 37 + i) % (until - from)));
}

/** The first seed of a check. */
export const checkSeed = (checkId: number): number => seedOf('check', checkId * CHECK_ITEMS);

/** The seed of one question of an adaptive sitting. */
export const adaptiveSeed = (sittingId: number, position: number): number =>
	seedOf('adaptive', sittingId * 50 + position);

/** The first seed of the questions from before that a practice set mixes in: eight of its own. */
export const olderSeed = (setId: number): number => seedOf('older', setId * 8);

/**
 * The first seed of a version of a practice set on paper, other than that on screen; `version` from 1. They are a prime
 * apart, since families turn by the seed.
 */
export const paperSeed = (setId: number, version: number): number => seedOf('paper', (setId * 4 + version) * 131);

/**
 * The seed of the question that a student meets as the n-th of a skill, when they review it or choose it themselves.
 * `asked` counts all their answers on it, so that nothing is asked again.
 */
export const ownSeed = (studentId: number, asked: number): number => seedOf('own', studentId * 997 + asked);

/** Questions on each skill of a check. */
export const CHECK_ITEMS = 5;
