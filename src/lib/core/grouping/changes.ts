import { needMet } from './limits';
import type { Group, GroupingProblem } from './problem';

/** What has changed for a draft since it was kept. */
export interface DraftChange {
	studentId: string;
	focusId: string;
	/** Need for the focus of their group, then and now. */
	before: number;
	now: number;
	/** What they need most now, where that is another focus by more than is changed by chance; else null. */
	rather: string | null;
}

/** Needs closer than this are the same. */
const SAME = 0.1;

/** Students of a draft whose need for the focus of their group is another one by now; the largest loss first. */
export function changesSince(then: GroupingProblem, now: GroupingProblem, groups: Group[]): DraftChange[] {
	const needsIn = (problem: GroupingProblem) => new Map(problem.students.map(({ id, needs }) => [id, needs]));
	const [old, fresh] = [needsIn(then), needsIn(now)];
	return groups
		.flatMap(({ focusId, studentIds }) =>
			studentIds.map((studentId) => {
				const needs = fresh.get(studentId) ?? {};
				const [before, after] = [old.get(studentId)?.[focusId] ?? 0, needs[focusId] ?? 0];
				const [most, value] = Object.entries(needs).sort((a, b) => b[1] - a[1])[0] ?? [null, 0];
				return {
					studentId,
					focusId,
					before,
					now: after,
					rather: most !== null && most !== focusId && value > after + SAME ? most : null
				};
			})
		)
		.filter(({ before, now: after }) => Math.abs(after - before) >= SAME)
		.sort((a, b) => a.now - a.before - (b.now - b.before));
}

/** A draft in figures, to stand beside others. */
interface DraftFigures {
	groups: number;
	students: number;
	/** Sum of needs met. */
	needMet: number;
	/** Share by which no grouping could be worth more, 0 to 1. */
	gap: number;
	/** Students who are in a group now and would not go on in it. */
	moved: number;
	/** Minutes of staff time a week. */
	staffMinutes: number;
}

/**
 * @param proven what the grouping is worth, and the most that any could be
 * @param minutesOf minutes a week that a slot takes of its staff
 * @param current groups there are now
 */
export function draftFigures(
	problem: GroupingProblem,
	groups: Group[],
	{ worth, bound }: { worth: number; bound: number },
	minutesOf: (slotId: string) => number,
	current: Group[]
): DraftFigures {
	const held = groups.filter(({ studentIds }) => studentIds.length > 0);
	const goesOn = ({ focusId, slotId }: Group, studentId: string) =>
		held.some((group) => group.focusId === focusId && group.slotId === slotId && group.studentIds.includes(studentId));
	const placed = new Set(held.flatMap(({ studentIds }) => studentIds));
	return {
		groups: held.length,
		students: placed.size,
		needMet: needMet(problem, held),
		gap: bound > 0 ? Math.max(0, (bound - worth) / bound) : 0,
		moved: new Set(current.flatMap((group) => group.studentIds.filter((id) => !goesOn(group, id)))).size,
		staffMinutes: held.reduce((sum, { slotId }) => sum + minutesOf(slotId), 0)
	};
}
