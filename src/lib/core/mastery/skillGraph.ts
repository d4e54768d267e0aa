/** Skills and which must come first: a directed graph without cycles. */
export interface SkillGraph {
	/** Skill ids in teaching order. */
	skills: number[];
	/** For each skill, its direct prerequisites. */
	prerequisites: Map<number, number[]>;
}

/** @throws RangeError naming the skills of a cycle, or an edge that leads to no skill */
export function makeSkillGraph(skills: number[], edges: { prerequisite: number; skill: number }[]): SkillGraph {
	const prerequisites = new Map<number, number[]>(skills.map((id) => [id, []]));
	for (const { prerequisite, skill } of edges) {
		const list = prerequisites.get(skill);
		if (!list || !prerequisites.has(prerequisite))
			throw new RangeError(`edge ${prerequisite} → ${skill} names no skill`);
		list.push(prerequisite);
	}
	const cycle = findCycle(prerequisites);
	if (cycle) throw new RangeError(`prerequisites go in a circle: ${cycle.join(' → ')}`);
	return { skills, prerequisites };
}

/** The skills of one cycle, or null when there is none (depth-first search, Tarjan 1972). */
export function findCycle<Id>(prerequisites: Map<Id, Id[]>): Id[] | null {
	const done = new Set<Id>();
	const path: Id[] = [];
	const visit = (skill: Id): Id[] | null => {
		if (done.has(skill)) return null;
		const seenAt = path.indexOf(skill);
		if (seenAt >= 0) return [...path.slice(seenAt), skill];
		path.push(skill);
		for (const prerequisite of prerequisites.get(skill) ?? []) {
			const cycle = visit(prerequisite);
			if (cycle) return cycle;
		}
		path.pop();
		done.add(skill);
		return null;
	};
	for (const skill of prerequisites.keys()) {
		const cycle = visit(skill);
		if (cycle) return cycle;
	}
	return null;
}

/**
 * What the student can learn next: skills not yet mastered whose prerequisites all are. In a knowledge space that is
 * the outer fringe of the student's state (Doignon & Falmagne 1985).
 *
 * @param isMastered whether the student's standing on a skill counts as mastered
 * @returns skill ids in teaching order
 */
export function readyNext(graph: SkillGraph, isMastered: (skill: number) => boolean): number[] {
	return graph.skills.filter(
		(skill) => !isMastered(skill) && (graph.prerequisites.get(skill) ?? []).every((one) => isMastered(one))
	);
}
