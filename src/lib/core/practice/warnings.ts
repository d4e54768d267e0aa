import { median } from 'simple-statistics';
import type { StandingNow } from '../mastery';

/** From so many minutes that wait already a student has much to do: a good half hour. */
export const MUCH_WAITING_MINUTES = 35;
/** Below so many minutes nothing is much, whatever others have. Ours: two short sets. */
const LITTLE_WAITING_MINUTES = 10;
/** With so few others in a group there is nothing usual. */
const FEWEST_OTHERS = 2;

/**
 * Why much waits for a student: more than a lesson's time, or more than twice what usually waits in their group (the median
 * of the others). Null where it is not much.
 *
 * @param others minutes that wait for each of the others of the group
 */
export function muchWaiting(minutes: number, others: number[]): 'a lesson' | 'twice the usual' | null {
	if (minutes >= MUCH_WAITING_MINUTES) return 'a lesson';
	if (minutes < LITTLE_WAITING_MINUTES || others.length < FEWEST_OTHERS) return null;
	return minutes > 2 * median(others) ? 'twice the usual' : null;
}
/** Finished sets on one skill under the line, from which on another of the same is no help. */
export const FAILED_OFTEN = 3;
/** First tries right, as a share, under which a set was failed. */
export const FAILED_SHARE = 0.6;

/** What should be known of a student before work is given to them. */
export interface AskedToPractice {
	id: number;
	/** Of work that is open for them, by what its questions usually take. */
	waitingMinutes: number;
	/** Skills of that work. */
	waitingSkills: Set<number>;
	/** By their own answers. */
	standings: Map<number, Pick<StandingNow, 'standing'>>;
	/** By skill: finished sets with less than 60% right at the first try, since the last that was better. */
	failed: Map<number, number>;
	/** Skills they would work on. */
	skills: number[];
	/** Whether they are among those who are looked at. */
	isInScope: boolean;
}

/** What speaks against giving a set to some students. */
export type PracticeWarning = { studentIds: number[] } & (
	| { kind: 'much waiting' }
	| { kind: 'from elsewhere' }
	| { kind: 'secure already' | 'waits already' | 'failed often'; skillId: number }
	| { kind: 'prerequisite is a gap'; skillId: number; prerequisiteId: number }
);

/**
 * What speaks against giving a set to students, each with those of whom it is so.
 *
 * @param prerequisitesOf of a skill, its direct prerequisites
 */
export function practiceWarnings(
	students: AskedToPractice[],
	prerequisitesOf: (skillId: number) => number[]
): PracticeWarning[] {
	const found = new Map<string, PracticeWarning>();
	const warn = (warning: PracticeWarning) => {
		const key = JSON.stringify({ ...warning, studentIds: [] });
		found.set(key, { ...warning, studentIds: [...(found.get(key)?.studentIds ?? []), ...warning.studentIds] });
	};
	for (const student of students) {
		const studentIds = [student.id];
		const standingOf = (skillId: number) => student.standings.get(skillId)?.standing;
		if (!student.isInScope) warn({ kind: 'from elsewhere', studentIds });
		if (student.waitingMinutes >= MUCH_WAITING_MINUTES) warn({ kind: 'much waiting', studentIds });
		for (const skillId of student.skills) {
			if (student.waitingSkills.has(skillId)) warn({ kind: 'waits already', skillId, studentIds });
			if (standingOf(skillId) === 'secure') warn({ kind: 'secure already', skillId, studentIds });
			if ((student.failed.get(skillId) ?? 0) >= FAILED_OFTEN) warn({ kind: 'failed often', skillId, studentIds });
			for (const prerequisiteId of prerequisitesOf(skillId)) {
				// One that the same set brings first is no obstacle.
				if (student.skills.includes(prerequisiteId)) continue;
				if (standingOf(prerequisiteId) === 'gap')
					warn({ kind: 'prerequisite is a gap', skillId, prerequisiteId, studentIds });
			}
		}
	}
	return [...found.values()];
}

/** How a finished set went. */
export interface SetOutcome {
	right: number;
	of: number;
}

/** Whether a set is not finished, or was finished with less than 60% right at the first try. */
export const isBelow = ({
	finishedAt,
	right,
	answered
}: {
	finishedAt: Date | null;
	right: number;
	answered: number;
}): boolean => finishedAt === null || right < FAILED_SHARE * answered;

/** How often a skill was failed since the last set on it that was better. @param outcomes in the order they were finished */
export function failedInARow(outcomes: SetOutcome[]): number {
	const better = outcomes.findLastIndex(({ right, of }) => right >= FAILED_SHARE * of);
	return outcomes.length - 1 - better;
}
