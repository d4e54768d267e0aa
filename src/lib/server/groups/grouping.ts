import {
	judgeMixed,
	judgeOf,
	mixedFrom,
	needsOf,
	problemFromStandings,
	withLimits,
	type DraftLimits,
	type GroupingProblem,
	type Judge
} from '../../core/grouping';
import { openTimes, overlaps, releases } from '../../core/timetable';
import { sayMeeting } from '../../core/calendar';
import { masteredIn, readiness, shareBand, type SkillGraph, type StandingNow } from '../../core/mastery';
import type { Database } from '../database';
import { tierPlans, type School } from '../school';
import type { DraftChoices } from './store/drafts';
import { currentGroups, studentPairs, type SmallGroup } from './store/groups';
import { type RosterStudent, staffList, visibleAmong } from '../people';
import { type Skill, skillGraph, skillList } from '../library';
import { readStandings, schoolImportance } from '../standing';
import { type ReleasingSlot, releasingSlots, type Slot } from './timetable';
import type { Staff } from '../request';

/** Of mixed groups, helpers counted. */
const MIXED_SIZE = { minimum: 3, maximum: 5 };
/** Students who can be grouped in one go. */
export const MOST_GROUPED = 400;

/** Why a student needs a focus as much as they do. */
export interface NeedWhy {
	/** The share of first tries that they get right, with its 80% band. */
	share: { value: number; lower: number; upper: number };
	/** The chance that all that comes before it is mastered. */
	readiness: number;
	answers: number;
	standing: StandingNow['standing'];
	inferred: StandingNow['inferred'];
}

/** A meeting time that nobody holds yet, with who could come. */
interface OpenTime {
	id: string;
	label: string;
	availableIds: string[];
}

/** Everything that groups are suggested from. */
interface GroupingSetting {
	problem: GroupingProblem;
	students: RosterStudent[];
	/** Free meeting times. */
	slots: ReleasingSlot[];
	skills: Skill[];
	/** By student, then focus. */
	why: Record<string, Record<string, NeedWhy>>;
	openTimes: OpenTime[];
	/** Groups there are and that are formed anew. */
	regrouped: SmallGroup[];
	/** By student: names of groups that they stay in whatever is adopted. */
	alsoIn: Record<string, string[]>;
	/** Of mixed groups: who has the focus secure. */
	helperIds: string[];
	/** By skill: how many of the students have it secure. */
	secure: Record<number, number>;
}

/** The students that a person may see of those chosen, the free meeting times, and what each student needs. */
export async function groupingFor(
	database: Database,
	staff: Staff,
	school: School,
	{ kind, studentIds, regroups, focusId }: DraftChoices
): Promise<GroupingSetting> {
	const [skills, groups, slots, pairs, plans] = await Promise.all([
		skillList(database, school.id),
		currentGroups(database, staff, school.today),
		releasingSlots(database, school.id, school.today),
		studentPairs(database, school.id),
		tierPlans(database, school.id)
	]);
	const regrouped = groups.filter(({ id }) => regroups.includes(id));
	const staying = groups.filter(({ id }) => !regroups.includes(id));
	const wanted = [...new Set([...studentIds, ...regrouped.flatMap((group) => group.studentIds)])];
	const students = await visibleAmong(database, staff, wanted.slice(0, MOST_GROUPED), school.today);
	const graph = await skillGraph(database, school.id, skills);
	const [importance, standings, groupStaff] = await Promise.all([
		schoolImportance(database, school, skills, graph),
		readStandings(
			database,
			students.map(({ id }) => id)
		),
		staffList(database, school.id, ['specialist', 'interventionist'])
	]);
	const free = slots.filter((slot) => !staying.some((group) => group.slotId === slot.id));
	const busyAt = busyIn(staying, slots);
	const problem = problemFromStandings({
		students: students.map((student) => ({
			...student,
			standings: standings.get(student.id)!,
			importance: importance(student.grade),
			currentFocusIds: staying
				.filter((group) => group.studentIds.includes(student.id))
				.map(({ focusSkillId }) => focusSkillId),
			currentGroup: regrouped.find((group) => group.studentIds.includes(student.id))
		})),
		graph,
		slots: free.map((slot) => ({ ...slot, busyStudentIds: [...busyAt(slot), ...slot.keptIds] })),
		sizes: { 2: plans[2].size, 3: plans[3].size },
		pairs
	});
	const isSecure = (student: RosterStudent, skillId: number) =>
		standings.get(student.id)!.get(skillId)?.standing === 'secure';
	return {
		problem: kind === 'mixed' && focusId !== null ? onOneFocus(problem, focusId, standings) : problem,
		students,
		slots: free,
		skills,
		why: Object.fromEntries(
			students.map((student) => [
				student.id,
				whyOf(student, standings.get(student.id)!, importance(student.grade), graph)
			])
		),
		openTimes: timesNobodyHolds(slots, groupStaff, students, busyAt),
		regrouped,
		alsoIn: Object.fromEntries(
			students.map(({ id }) => [id, staying.filter((group) => group.studentIds.includes(id)).map(({ name }) => name)])
		),
		secure: Object.fromEntries(
			skills.map(({ id }) => [id, students.filter((student) => isSecure(student, id)).length])
		),
		helperIds:
			kind === 'mixed' && focusId !== null
				? students.filter((student) => isSecure(student, focusId)).map(({ id }) => String(id))
				: []
	};
}

/** The limits that a draft breaks; see `brokenLimits` and `judgeMixed` in core. */
export function judgeDraft(
	{ problem, helperIds }: Pick<GroupingSetting, 'problem' | 'helperIds'>,
	{ kind, focusId }: Pick<DraftChoices, 'kind' | 'focusId'>,
	limits: DraftLimits
): Judge {
	const posed = withLimits(problem, limits);
	return kind === 'mixed' && focusId !== null
		? judgeMixed(mixedFrom(posed, String(focusId), helperIds))
		: judgeOf(posed);
}

/** Meeting times that somebody could hold and nobody does. */
function timesNobodyHolds(
	slots: ReleasingSlot[],
	staff: { id: number; displayName: string }[],
	students: RosterStudent[],
	busyAt: (time: ReleasingSlot) => number[]
): OpenTime[] {
	return openTimes(slots, []).flatMap((time) => {
		const holders = staff.filter(({ id }) => !slots.some((slot) => slot.staffId === id && overlaps(slot, time)));
		if (holders.length === 0) return [];
		const busy = new Set(busyAt(time));
		return [
			{
				id: `${time.days.join('')} ${time.startsAt} ${time.minutes}`,
				label: `${sayMeeting(time)}, ${holders.map(({ displayName }) => displayName).join(' or ')}`,
				availableIds: students
					.filter((student) => releases(time, student) && !busy.has(student.id))
					.map(({ id }) => String(id))
			}
		];
	});
}

/** Who sits in a group that stays at a time. */
function busyIn(groups: SmallGroup[], slots: Slot[]): (time: Slot) => number[] {
	const byId = new Map(slots.map((slot) => [slot.id, slot]));
	return (time) =>
		groups
			.filter(({ slotId }) => byId.has(slotId) && overlaps(time, byId.get(slotId)!))
			.flatMap(({ studentIds }) => studentIds);
}

/** The problem of mixed groups: one focus; who does not have it secure needs it by how likely they do not know it. */
function onOneFocus(
	problem: GroupingProblem,
	focusId: number,
	standings: Map<number, Map<number, StandingNow>>
): GroupingProblem {
	return {
		...problem,
		sizes: { ...problem.sizes, 2: MIXED_SIZE },
		students: problem.students.map((student) => {
			const now = standings.get(Number(student.id))!.get(focusId);
			const value = now && now.standing !== 'secure' ? 1 - now.mastered : 0;
			return { ...student, tier: 2, needs: value > 0 ? { [focusId]: value } : {} };
		})
	};
}

function whyOf(
	student: RosterStudent,
	standings: Map<number, StandingNow>,
	importance: Map<number, number>,
	graph: SkillGraph
) {
	const why: Record<string, NeedWhy> = {};
	const inputs = { standings, importance, tier: student.tier };
	for (const skillId of needsOf(graph, inputs).keys()) {
		const { level, difficulty, answers, standing, inferred } = standings.get(skillId)!;
		why[skillId] = {
			share: shareBand(level, difficulty),
			readiness: readiness(graph, skillId, masteredIn(standings)),
			answers,
			standing,
			inferred
		};
	}
	return why;
}
