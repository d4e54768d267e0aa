import type { SkillGraph } from './skillGraph';

/** Prerequisites that lead from a gap down to where it begins. */
export interface CauseChain {
	/** Skill ids, from the direct prerequisite down to the root: a skill not mastered whose prerequisites all are. */
	skills: number[];
	/** How well the chain explains the gap, 0 to 1: the product of the chances that its skills are not known. */
	strength: number;
}

/**
 * Why a skill is a gap: chains of prerequisites that are not mastered either, each from the skill down to a root that can
 * be worked on now, strongest first. A root is met once, by the strongest way down to it.
 *
 * A skill can be known only when all that comes before it is (the surmise relation, Doignon & Falmagne 1985), so that
 * each unmastered prerequisite explains the gap as far as it is likely not to be known.
 *
 * @param isMastered whether the student's standing on a skill counts as mastered
 * @param known P(known) of a skill, 0 to 1
 * @returns none when every prerequisite is mastered: the skill itself can be worked on
 */
export function rootCauses(
	graph: SkillGraph,
	skill: number,
	isMastered: (skill: number) => boolean,
	known: (skill: number) => number
): CauseChain[] {
	const missing = (id: number) => (graph.prerequisites.get(id) ?? []).filter((one) => !isMastered(one));
	/** The strongest way down from a skill to each root below it, the skill itself left out. */
	const waysDown = new Map<number, Map<number, CauseChain>>();
	const waysFrom = (id: number): Map<number, CauseChain> => {
		const done = waysDown.get(id);
		if (done) return done;
		const ways = new Map<number, CauseChain>();
		for (const prerequisite of missing(id)) {
			const lack = 1 - known(prerequisite);
			const further = waysFrom(prerequisite);
			const chains = further.size ? [...further.values()] : [{ skills: [], strength: 1 }];
			for (const chain of chains) {
				const root = chain.skills.at(-1) ?? prerequisite;
				const way = { skills: [prerequisite, ...chain.skills], strength: lack * chain.strength };
				if (way.strength > (ways.get(root)?.strength ?? -1)) ways.set(root, way);
			}
		}
		waysDown.set(id, ways);
		return ways;
	};
	return [...waysFrom(skill).values()].sort((a, b) => b.strength - a.strength || a.skills.length - b.skills.length);
}
