/** What came of one run through a set on one of its skills. */
export interface SkillRun {
	setId: number;
	/** The how-manieth run through the set, from 1. */
	attempt: number;
	skillId: number;
	/** First tries, and how many of them were right. */
	answered: number;
	right: number;
	/** Percent right from which on the set is done well. */
	line: number;
}

/** So many runs through one set under its line, or sets on one skill, are too many of the same. */
export const TOO_OFTEN = 3;

/** Why a skill needs something else than more of the same: the runs since the last that reached the line. */
export interface RepeatedFailure {
	why: 'one set' | 'several sets';
	/** Runs through the set, or sets, under the line. */
	times: number;
}

/** Whether a run is under its line. */
export const isUnder = ({ right, answered, line }: Pick<SkillRun, 'right' | 'answered' | 'line'>): boolean =>
	100 * right < line * answered;

/**
 * Whether a student was under the line again and again on a skill: in three runs through one set, or in three sets, since they
 * last reached it.
 *
 * @param runs on one skill, in the order in which they were begun; those without an answer count for nothing
 * @returns null where they were not
 */
export function repeatedFailure(runs: SkillRun[]): RepeatedFailure | null {
	const counted = runs.filter(({ answered }) => answered > 0);
	const since = counted.slice(counted.findLastIndex((run) => !isUnder(run)) + 1);
	const bySet = new Map<number, number>();
	for (const { setId } of since) bySet.set(setId, (bySet.get(setId) ?? 0) + 1);
	if (bySet.size >= TOO_OFTEN) return { why: 'several sets', times: bySet.size };
	const most = Math.max(0, ...bySet.values());
	return most >= TOO_OFTEN ? { why: 'one set', times: most } : null;
}

/** The first and the last run on a skill that have an answer; null for none. */
export function firstToLast<Run extends Pick<SkillRun, 'answered'>>(runs: Run[]): { first: Run; last: Run } | null {
	const counted = runs.filter(({ answered }) => answered > 0);
	return counted.length ? { first: counted[0], last: counted[counted.length - 1] } : null;
}
