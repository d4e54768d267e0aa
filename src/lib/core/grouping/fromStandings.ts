import { ownOrInferred, type SkillGraph, type StandingNow } from '../mastery';
import { need, readinessFor, type GroupingProblem } from './problem';

/** What a grouping problem is made from. */
interface GroupingInputs {
	students: {
		id: number;
		tier: 1 | 2 | 3;
		classId: number;
		standings: Map<number, StandingNow>;
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
const LEAST_NEED = 0.15;
/** A student brings at most so many focuses into the problem, the strongest. */
const MOST_FOCUSES = 8;

/** What each prerequisite of a skill is to a student. */
function prerequisitesOf(standings: Map<number, StandingNow>, graph: SkillGraph, skillId: number) {
	return (graph.prerequisites.get(skillId) ?? []).map((id) => {
		const now = standings.get(id);
		const state = now ? ownOrInferred(now) : 'unseen';
		return state === 'secure' ? ('met' as const) : state === 'gap' ? ('gap' as const) : ('forming' as const);
	});
}

/** How ready a student is for a skill, 0 to 1; see `readinessFor`. */
export function readiness(standings: Map<number, StandingNow>, graph: SkillGraph, skillId: number): number {
	return readinessFor(prerequisitesOf(standings, graph, skillId));
}

/** Need of a student for each skill that is not secure and can be learned next; see `need`. */
export function needsOf(standings: Map<number, StandingNow>, graph: SkillGraph, tier: 2 | 3): Map<number, number> {
	const needs = graph.skills.flatMap((skillId) => {
		const now = standings.get(skillId);
		if (!now || ownOrInferred(now) === 'secure') return [];
		const value = need(now.probability, prerequisitesOf(standings, graph, skillId), tier);
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
		students: students.map(({ id, tier, classId, standings, currentFocusIds = [], currentGroup }) => {
			const weight = tier === 3 ? 3 : 2;
			const open = [...needsOf(standings, graph, weight)].filter(([skillId]) => !currentFocusIds.includes(skillId));
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
