import type { Cell } from './cell';
import type { SkillGraph } from './skillGraph';
import type { StandingNow } from './standing';

/** Where a student stands in a part of the skill graph, such as a domain. */
export interface ProgressionPlace {
	/** The skill they stand at: the first in teaching order that they are ready for; null when there is none. */
	at: number | null;
	/** With none: `beyond` when every skill is rather mastered, `before` when something outside comes first. */
	without: 'beyond' | 'before' | null;
}

/** The chance that a student has mastered a skill, by the standings there are; null where nothing is known. */
export const masteredIn =
	(standings: Map<number, Pick<StandingNow, 'mastered'>>) =>
	(skill: number): number | null =>
		standings.get(skill)?.mastered ?? null;

/**
 * Where a student stands among some skills.
 *
 * @param part ids of the skills, in teaching order
 * @param cellOf of a skill what the student's cell says
 */
export function placeIn(
	part: number[],
	cellOf: (skill: number) => Pick<Cell, 'readyNext' | 'isMastered'>
): ProgressionPlace {
	const at = part.find((skill) => cellOf(skill).readyNext) ?? null;
	const isBeyond = part.every((skill) => cellOf(skill).isMastered);
	return { at, without: at !== null ? null : isBeyond ? 'beyond' : 'before' };
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
