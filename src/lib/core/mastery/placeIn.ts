import { readyNext, type SkillGraph } from './skillGraph';
import { ownOrInferred, type StandingNow } from './standing';

/** Where a student stands in a part of the skill graph, such as a domain. */
export interface ProgressionPlace {
	/** The skill they stand at: the first in teaching order that they are ready for; null when there is none. */
	at: number | null;
	/** All skills of the part that they are ready for. */
	ready: number[];
	/** With none: `beyond` when every skill is secure, `before` when something outside comes first. */
	without: 'beyond' | 'before' | null;
}

/** Whether a skill counts as mastered: secure by answers, or as far as the rest of the picture tells. */
export function isMasteredIn(standings: Map<number, StandingNow>): (skill: number) => boolean {
	return (skill) => {
		const now = standings.get(skill);
		return now !== undefined && ownOrInferred(now) === 'secure';
	};
}

/**
 * Where a student stands among some skills.
 *
 * @param part ids of the skills, in teaching order
 */
export function placeIn(graph: SkillGraph, part: number[], standings: Map<number, StandingNow>): ProgressionPlace {
	const isMastered = isMasteredIn(standings);
	const next = new Set(readyNext(graph, isMastered));
	const ready = part.filter((skill) => next.has(skill));
	const at = ready[0] ?? null;
	return { at, ready, without: at !== null ? null : part.every(isMastered) ? 'beyond' : 'before' };
}

/**
 * Skills in columns along the graph: each stands one column after the last of its prerequisites among them (longest
 * path), so that every edge leads to the right.
 *
 * @param part ids of the skills, in teaching order; that order is kept within a column
 */
export function columnsAlong(graph: SkillGraph, part: number[]): number[][] {
	const within = new Set(part);
	const column = new Map<number, number>();
	const columnOf = (skill: number): number => {
		const known = column.get(skill);
		if (known !== undefined) return known;
		const before = (graph.prerequisites.get(skill) ?? []).filter((one) => within.has(one));
		const found = before.length ? 1 + Math.max(...before.map(columnOf)) : 0;
		column.set(skill, found);
		return found;
	};
	const columns: number[][] = [];
	for (const skill of part) (columns[columnOf(skill)] ??= []).push(skill);
	return columns;
}
