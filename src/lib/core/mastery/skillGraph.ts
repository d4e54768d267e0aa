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

/** The chance from which a skill is rather mastered than not. */
export const RATHER_MASTERED = 0.5;

/**
 * What the student can learn next: skills rather not mastered whose prerequisites each rather are. In a knowledge space
 * that is the outer fringe of the student's state (Doignon & Falmagne 1985).
 *
 * @param mastered the chance that a skill is mastered; null where nothing is known
 * @returns skill ids in teaching order
 */
export function readyNext(graph: SkillGraph, mastered: (skill: number) => number | null): number[] {
	const isMastered = (skill: number) => (mastered(skill) ?? 0) >= RATHER_MASTERED;
	return graph.skills.filter((skill) => !isMastered(skill) && (graph.prerequisites.get(skill) ?? []).every(isMastered));
}

/**
 * How ready a student is for a skill: the product of the chances that its prerequisites are mastered; where nothing is
 * known of one, an even chance.
 */
export function readiness(graph: SkillGraph, skill: number, mastered: (skill: number) => number | null): number {
	return (graph.prerequisites.get(skill) ?? []).reduce(
		(product, one) => product * (mastered(one) ?? RATHER_MASTERED),
		1
	);
}

/** The neighborhood of a skill: what leads to it and what it opens, by how many steps away. */
export interface Progression {
	/** `before[0]` are the direct prerequisites, `before[1]` what comes before those, each skill once, nearest first. */
	before: number[][];
	/** `after[0]` are the skills it opens, and so on. */
	after: number[][];
	/** Edges among all of these and the skill itself. */
	edges: { prerequisite: number; skill: number }[];
}

/** Up to so many steps before and after a skill, in teaching order within a step. */
export function progression(graph: SkillGraph, skill: number, steps: number): Progression {
	const opens = new Map<number, number[]>(graph.skills.map((id) => [id, []]));
	for (const [id, list] of graph.prerequisites) for (const one of list) opens.get(one)!.push(id);
	const walk = (next: Map<number, number[]>) => {
		const reached = new Set([skill]);
		const layers: number[][] = [];
		let layer = [skill];
		for (let step = 0; step < steps; step++) {
			const found = new Set(layer.flatMap((id) => next.get(id) ?? []).filter((id) => !reached.has(id)));
			if (found.size === 0) break;
			layer = graph.skills.filter((id) => found.has(id));
			layer.forEach((id) => reached.add(id));
			layers.push(layer);
		}
		return layers;
	};
	const [before, after] = [walk(graph.prerequisites), walk(opens)];
	const shown = new Set([skill, ...before.flat(), ...after.flat()]);
	const edges = [...shown].flatMap((id) =>
		(graph.prerequisites.get(id) ?? [])
			.filter((one) => shown.has(one))
			.map((prerequisite) => ({ prerequisite, skill: id }))
	);
	return { before, after, edges };
}
