import { masteredIn, RATHER_MASTERED, readiness, type SkillGraph, type StandingNow } from '../mastery';
import { need, type GroupingProblem } from './problem';

/** What a grouping problem is made from. */
interface GroupingInputs {
	students: {
		id: number;
		tier: 1 | 2 | 3;
		classId: number;
		standings: Map<number, StandingNow>;
		/** By skill that is due; see `importanceBy`. */
		importance: Map<number, number>;
		/** Focuses of groups that they stay in: no need any more. */
		currentFocusIds?: number[];
		/** The group that they are in and that is formed anew. */
		currentGroup?: { slotId: number; focusSkillId: number };
	}[];
	graph: SkillGraph;
	slots: { id: number; tier: 2 | 3 | null; classIds: number[]; busyStudentIds: number[] }[];
	sizes: GroupingProblem['sizes'];
	pairs: { studentId: number; otherId: number; kind: 'apart' | 'together' }[];
}

/** Needs under this are not worth a group. */
const LEAST_NEED = 0.08;
/** A student brings at most so many focuses into the problem, the strongest. */
const MOST_FOCUSES = 8;

/** What is known of a student's needs: their standings, how much depends on each skill that is due, and their tier. */
export interface NeedInputs {
	standings: Map<number, StandingNow>;
	/** By skill, 0 to 1; what is absent is not due and is no need. */
	importance: Map<number, number>;
	tier: 1 | 2 | 3;
}

/** Need of a student for each skill that is rather not mastered, strongest first; see `need`. */
export function needsOf(graph: SkillGraph, { standings, importance, tier }: NeedInputs): Map<number, number> {
	const mastered = masteredIn(standings);
	const needs = graph.skills.flatMap((skillId) => {
		const now = standings.get(skillId);
		if (!now || now.mastered >= RATHER_MASTERED) return [];
		const value = need(now.mastered, readiness(graph, skillId, mastered), importance.get(skillId) ?? 0, tier);
		return value >= LEAST_NEED ? [[skillId, value] as const] : [];
	});
	return new Map(needs.sort((a, b) => b[1] - a[1]).slice(0, MOST_FOCUSES));
}

/**
 * The grouping problem for chosen students: needs from their standings, free times from what their classes can release
 * and the groups they are already in; the focus of such a group is no need any more. Tier 1 students are grouped as tier 2.
 */
export function problemFromStandings({ students, graph, slots, sizes, pairs }: GroupingInputs): GroupingProblem {
	const chosen = new Set(students.map(({ id }) => id));
	const relevant = pairs.filter(({ studentId, otherId }) => chosen.has(studentId) && chosen.has(otherId));
	const named = (kind: 'apart' | 'together') =>
		relevant
			.filter((pair) => pair.kind === kind)
			.map((pair): [string, string] => [String(pair.studentId), String(pair.otherId)]);
	return {
		students: students.map(({ id, tier, classId, standings, importance, currentFocusIds = [], currentGroup }) => {
			const weight = tier === 3 ? 3 : 2;
			const open = [...needsOf(graph, { standings, importance, tier: weight })].filter(
				([skillId]) => !currentFocusIds.includes(skillId)
			);
			const needs = open.map(([skillId, value]) => [String(skillId), value] as const);
			return {
				id: String(id),
				tier: weight,
				needs: Object.fromEntries(needs),
				...(currentGroup && {
					currentGroup: { slotId: String(currentGroup.slotId), focusId: String(currentGroup.focusSkillId) }
				}),
				available: slots
					.filter((slot) => slot.classIds.includes(classId) && !slot.busyStudentIds.includes(id))
					.map((slot) => String(slot.id))
			};
		}),
		slots: slots.map(({ id, tier }) => (tier ? { id: String(id), tier } : { id: String(id) })),
		sizes,
		apart: named('apart'),
		together: named('together')
	};
}
