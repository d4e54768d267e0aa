import { indexProblem, type GroupingProblem } from './problem';

/** What a person sets before groups are suggested, on top of who is free when and needs what. */
export interface DraftLimits {
	sizes: GroupingProblem['sizes'];
	/** Meeting times that may be used. */
	slotIds: string[];
	/** How many groups may be formed; null for as many as there are times. */
	mostGroups: number | null;
	/** What leaving a student in their group is worth, in units of need. */
	keepWorth: number;
	/** Students who are left out of the search. */
	excludedIds: string[];
	apart: [string, string][];
	together: [string, string][];
}

/** What staying is worth unless somebody says otherwise. */
const USUAL_KEEP_WORTH = 0.1;

/** The limits that a draft begins with: those of the problem, with every time and every student. */
export const usualLimits = ({ sizes, slots, apart, together }: GroupingProblem): DraftLimits => ({
	sizes: structuredClone(sizes),
	slotIds: slots.map(({ id }) => id),
	mostGroups: null,
	keepWorth: USUAL_KEEP_WORTH,
	excludedIds: [],
	apart: structuredClone(apart),
	together: structuredClone(together)
});

/** The problem within limits. Times and students that are there no more are passed over. */
export function withLimits(problem: GroupingProblem, limits: DraftLimits): GroupingProblem {
	const may = new Set(limits.slotIds);
	const out = new Set(limits.excludedIds);
	const known = new Set(problem.students.map(({ id }) => id));
	const amongKnown = (pairs: [string, string][]) => pairs.filter((pair) => pair.every((id) => known.has(id)));
	return {
		...problem,
		sizes: limits.sizes,
		slots: problem.slots.filter(({ id }) => may.has(id)),
		students: problem.students.map((student) => ({
			...student,
			available: out.has(student.id) ? [] : student.available.filter((id) => may.has(id))
		})),
		apart: amongKnown(limits.apart),
		together: amongKnown(limits.together),
		...(limits.mostGroups === null ? {} : { mostGroups: limits.mostGroups }),
		keepWorth: limits.keepWorth
	};
}

/** Whether two problems ask the same, so that what was proven of one holds of the other. @throws as `indexProblem` does */
export function isSameProblem(one: GroupingProblem, other: GroupingProblem): boolean {
	const asked = (problem: GroupingProblem) => {
		const { source: _, ...rest } = indexProblem(problem);
		return JSON.stringify([
			rest,
			problem.students.map(({ id }) => id),
			problem.slots.map(({ id }) => id),
			problem.sizes
		]);
	};
	return asked(one) === asked(other);
}
