import type { SkillGraph, StandingNow } from '../mastery';
import { needsOf, type NeedInputs } from './fromStandings';

/** Under so many answers a standing is thin. */
const FEW_ANSWERS = 4;

/** Whether nothing, or too little, stands behind a standing for a group to rest on. */
export function isThin(now: Pick<StandingNow, 'answers' | 'inferred'> | undefined): boolean {
	return !now || now.inferred !== null || now.answers < FEW_ANSWERS;
}

/**
 * Skills worth a short check before groups are formed: those a student seems to need although little evidence says so.
 * A group rests most on the strongest needs, so these come first.
 *
 * @param most skills for one student, at most
 */
export function skillsToCheck(graph: SkillGraph, inputs: NeedInputs, most: number): number[] {
	return [...needsOf(graph, inputs).keys()].filter((skillId) => isThin(inputs.standings.get(skillId))).slice(0, most);
}
