import { checkGain, type SkillGraph, type StandingNow } from '../mastery';
import { needsOf, type NeedInputs } from './fromStandings';

/** Under so many answers a standing is thin. */
const FEW_ANSWERS = 4;

/** Whether nothing, or too little, stands behind a standing for a group to rest on. */
export function isThin(now: Pick<StandingNow, 'answers' | 'inferred'> | undefined): boolean {
	return !now || now.inferred !== null || now.answers < FEW_ANSWERS;
}

/**
 * Skills worth a short check before groups are formed: those a student seems to need although little evidence says so. First
 * come those of which a check would most lessen the loss of deciding wrongly: what is at stake (ready for it, much depends on
 * it) times the chance of a wrong decision that it takes away.
 *
 * @param most skills for one student, at most
 * @param questions that a check asks on a skill
 */
export function skillsToCheck(
	graph: SkillGraph,
	inputs: NeedInputs,
	{ most, questions }: { most: number; questions: number }
): number[] {
	return [...needsOf(graph, inputs)]
		.flatMap(([skillId, value]) => {
			const now = inputs.standings.get(skillId)!;
			const stake = value / (1 - now.mastered);
			return isThin(now) ? [{ skillId, gain: stake * checkGain(now.level, now.difficulty, questions) }] : [];
		})
		.sort((a, b) => b.gain - a.gain)
		.slice(0, most)
		.map(({ skillId }) => skillId);
}
