import { newlyBroken, type BrokenLimit } from './brokenLimit';
import { brokenIn, worthIn } from './limits';
import { indexProblem, valueOf, type Group, type GroupingProblem, type IndexedProblem } from './problem';

/** What moving one student would do to a grouping. */
export interface Move {
	/** The slot they would go to; null for out of all groups. */
	slotId: string | null;
	/** Change of what the grouping is worth, in units of need. */
	change: number;
	/** Limits that are kept now and would be broken. */
	breaks: BrokenLimit[];
}

/** The grouping with a student in the group of one slot, or with null in none; that group must be held. */
export function moved(groups: Group[], studentId: string, slotId: string | null): Group[] {
	return groups.map((group) => {
		const others = group.studentIds.filter((id) => id !== studentId);
		return { ...group, studentIds: group.slotId === slotId ? [...others, studentId] : others };
	});
}

/** What a grouping is worth, and the limits it breaks. */
export type Judge = (groups: Group[]) => { worth: number; broken: BrokenLimit[] };

/** Judges groups of students with the same need; made once for many groupings of a problem. */
export function judgeOf(problem: GroupingProblem): Judge {
	return judgeIn(indexProblem(problem));
}

const judgeIn =
	(problem: IndexedProblem): Judge =>
	(groups) => ({ worth: worthIn(problem, groups), broken: brokenIn(problem, groups) });

/**
 * What each move of a student would cost or bring: to every group that is held, and out of all. Those that break nothing
 * first, then by what they bring; the place where they are now is not among them.
 */
export function movesOf(judge: Judge, groups: Group[], studentId: string): Move[] {
	const held = (some: Group[]) => some.filter(({ studentIds }) => studentIds.length > 0);
	const now = judge(held(groups));
	const isIn = (slotId: string | null) =>
		slotId === null
			? !groups.some(({ studentIds }) => studentIds.includes(studentId))
			: groups.some((group) => group.slotId === slotId && group.studentIds.includes(studentId));
	return [...groups.map(({ slotId }) => slotId), null]
		.filter((slotId) => !isIn(slotId))
		.map((slotId) => {
			const after = judge(held(moved(groups, studentId, slotId)));
			return {
				slotId,
				change: after.worth - now.worth,
				breaks: newlyBroken(after.broken, now.broken)
			};
		})
		.sort((a, b) => a.breaks.length - b.breaks.length || b.change - a.change);
}

/** A student who was nearly put elsewhere. */
export interface CloseCall {
	studentId: string;
	slotId: string;
	/** Need that would be lost by it, from 0. */
	loss: number;
}

/** Students who could sit in another group, with every limit kept, for at most so much less need. Least lost first. */
export function closeCalls(problem: GroupingProblem, groups: Group[], mostLost: number): CloseCall[] {
	const indexed = indexProblem(problem);
	const calls: CloseCall[] = [];
	indexed.source.students.forEach(({ id }, i) => {
		const own = groups.find(({ studentIds }) => studentIds.includes(id));
		if (!own) return;
		const worthIn = ({ slotId, focusId }: Group) =>
			valueOf(
				indexed,
				i,
				problem.slots.findIndex((slot) => slot.id === slotId),
				indexed.focusIds.indexOf(focusId)
			);
		// Only those groups are tried that would be worth nearly as much, and that they need at all.
		const near = groups.filter(
			(group) =>
				group !== own &&
				indexed.needs[i][indexed.focusIds.indexOf(group.focusId)] > 0 &&
				worthIn(own) - worthIn(group) <= mostLost
		);
		if (near.length === 0) return;
		const best = movesOf(judgeIn(indexed), groups, id).find(
			({ slotId, breaks }) => breaks.length === 0 && near.some((group) => group.slotId === slotId)
		);
		if (best?.slotId) calls.push({ studentId: id, slotId: best.slotId, loss: Math.max(0, -best.change) });
	});
	return calls.sort((a, b) => a.loss - b.loss);
}
