import { needsOf, type NeedInputs } from '../grouping';
import { masteredIn, readyNext, type SkillGraph } from '../mastery';

/** A skill that a student could practice next. */
export interface NextStep {
	skillId: number;
	/** `due`: by the student's grade and term it should be there; `further`: everything due that they are ready for is. */
	why: 'due' | 'further';
}

/**
 * What a student could practice next, best first: what they are ready for, by how much they need it; after that what comes
 * later in teaching order. What waits for them already, and what they have failed often enough, is left out.
 *
 * @param offered whether a skill can be given to this student: there are questions for it, and it does not wait already
 * @returns at most so many; none where nothing is known of the student, or nothing is left
 */
export function nextSteps(
	graph: SkillGraph,
	known: NeedInputs,
	offered: (skillId: number) => boolean,
	most: number
): NextStep[] {
	if (known.standings.size === 0) return [];
	const ready = readyNext(graph, masteredIn(known.standings)).filter(offered);
	const isReady = new Set(ready);
	const due = [...needsOf(graph, known).keys()].filter((skillId) => isReady.has(skillId));
	const further = ready.filter((skillId) => !due.includes(skillId));
	return [
		...due.map((skillId) => ({ skillId, why: 'due' as const })),
		...further.map((skillId) => ({ skillId, why: 'further' as const }))
	].slice(0, most);
}
