import { RATHER_MASTERED, type StandingNow } from '../mastery';

/** Answers of a student's own from which on a skill counts as one from before. */
const ENOUGH_ANSWERS = 2;

/**
 * Skills from before that a few questions of a set are about: those that the student has shown and rather has, the one
 * not seen for longest first.
 *
 * @param standings by skill
 * @param isOffered whether there are questions for a skill, and the set is not about it
 */
export function olderSkills(
	standings: Map<number, Pick<StandingNow, 'mastered' | 'answers' | 'lastOn'>>,
	isOffered: (skillId: number) => boolean,
	most: number
): number[] {
	return [...standings]
		.filter(
			([skillId, now]) =>
				now.lastOn !== null && now.answers >= ENOUGH_ANSWERS && now.mastered >= RATHER_MASTERED && isOffered(skillId)
		)
		.sort(([a, one], [b, other]) => one.lastOn!.localeCompare(other.lastOn!) || a - b)
		.slice(0, most)
		.map(([skillId]) => skillId);
}
