import { addDays, daysBetween, schoolDateOf, type SchoolDate } from '../../core/calendar';
import { partedBy } from '../../core/collect';
import {
	atStake,
	byStake,
	hasFallen,
	type Level,
	levelsSince,
	type PlanLook,
	type SeriesReading,
	type Stake
} from '../../core/growth';
import type { Sessions } from '../../core/timetable';
import type { Database } from '../database';
import { currentGroups, sessionCounts, type SmallGroup } from '../groups';
import type { RosterStudent } from '../people';
import type { Staff, VisibleId } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { readStandings } from '../standing';
import { skillList } from '../library';
import { seriesReadings } from './readings';
import { exitsSince } from './store/exits';
import { levelsOf } from './store/levelChecks';
import { type RunningPlan, runningPlans } from './store/probes';

/** For so long after a group ended, a student is looked after still. */
const WATCHED_DAYS = 56;

/** A running plan with what it says, as far as a list shows it. */
export interface CasePlan extends RunningPlan {
	lastDaysAgo: number | null;
	reading: SeriesReading | null;
}

/** A group a student is in now, with their sessions in it. */
export interface CaseGroup {
	id: number;
	name: string;
	skillId: number;
	sessions: Sessions | null;
}

/** A student with all that a caseload says of them. */
export interface CaseStudent extends RosterStudent {
	plans: CasePlan[];
	groups: CaseGroup[];
	stakes: Stake[];
}

/** How sure the share to exit must be for probes to be called secure. */
const SECURE = 0.6;

/**
 * Everybody in a scope with what is at stake for them, most first: those in tier 2 or 3, in a group, with probes, or whose group
 * ended in the last eight weeks, then all others.
 */
export async function caseload(database: Database, staff: Staff, school: School, scope: Scope): Promise<CaseStudent[]> {
	const { today } = school;
	const [students, plans, groups, exits] = await Promise.all([
		scope.students(),
		runningPlans(database, scope.roster),
		currentGroups(database, staff, today),
		exitsSince(database, scope.roster, addDays(today, -WATCHED_DAYS))
	]);
	const groupsOf = membersOf(groups);
	const plansOf = partedBy(plans, ({ studentId }) => studentId);
	const exited = new Set(exits.map(({ studentId }) => studentId as number));
	const looked = students.filter(
		({ id, tier }) => tier > 1 || groupsOf(id).length || plansOf(id).length || exited.has(id)
	);
	const ids = looked.map(({ id }) => id);
	const [readings, sessions, standings, skills] = await Promise.all([
		seriesReadings(
			database,
			school,
			plans.flatMap(({ id, lastAt }) => (lastAt ? id : []))
		),
		sessionCounts(database, ids, school),
		exits.length ? readStandings(database, [...new Set(exits.map(({ studentId }) => studentId))]) : null,
		skillList(database, school.id)
	]);
	// Levels are asked about only where probes are secure: elsewhere a fall says nothing more.
	const secure = plans.filter(({ id }) => isSecure(readings.get(id)));
	const levels = await levelsOf(database, [...new Set(secure.map(({ studentId }) => studentId))]);
	const domainOf = new Map(skills.map(({ id, domainId }) => [id, domainId]));
	const slippingOf = partedBy(
		exits.filter(({ studentId, skillId }) => standings?.get(studentId)?.get(skillId)?.standing === 'slipping'),
		({ studentId }) => studentId
	);
	const dayOf = (at: Date) => daysBetween(schoolDateOf(at, school.timeZone), today);
	const known: Known = { plansOf, groupsOf, readings, sessions, slippingOf, levels, domainOf, dayOf, today };
	// Of all others there is nothing to say.
	const isLooked = new Set<VisibleId>(ids);
	const others = students.filter(({ id }) => !isLooked.has(id));
	return [
		...byStake(looked.map((student) => caseOf(student, known))),
		...others.map((student) => ({ ...student, plans: [], groups: [], stakes: [] }))
	];
}

/** What is known of the students of a caseload. */
interface Known {
	plansOf: (studentId: VisibleId) => RunningPlan[];
	groupsOf: (studentId: number) => SmallGroup[];
	readings: Map<number, SeriesReading>;
	sessions: Map<string, Sessions>;
	slippingOf: (studentId: VisibleId) => { skillId: number }[];
	levels: Map<string, Level[]>;
	domainOf: Map<number, number>;
	/** Days since an instant. */
	dayOf: (at: Date) => number;
	today: SchoolDate;
}

function caseOf(student: RosterStudent, known: Known): CaseStudent {
	const { readings, sessions, levels, domainOf, today } = known;
	const plans = known.plansOf(student.id).map((plan) => ({
		...plan,
		lastDaysAgo: plan.lastAt && known.dayOf(plan.lastAt),
		reading: readings.get(plan.id) ?? null
	}));
	const groups = known.groupsOf(student.id).map(({ id, name, focusSkillId }) => ({
		id,
		name,
		skillId: focusSkillId,
		sessions: sessions.get(`${student.id} ${id}`) ?? null
	}));
	const stakes = atStake({
		tier: student.tier,
		groups: groups.map(({ id, skillId, sessions: count }) => ({
			groupId: id,
			skillId,
			planned: count?.planned ?? 0,
			attended: count?.attended ?? 0
		})),
		plans: plans.map((plan) => lookOf(plan, groups, today)),
		slippingAfterExit: known.slippingOf(student.id).map(({ skillId }) => skillId),
		levelFell: plans.flatMap((plan) =>
			fellThough(plan, levels.get(`${student.id} ${domainOf.get(plan.skillId)}`) ?? []) ? plan.skillId : []
		)
	});
	return { ...student, plans, groups, stakes };
}

const isSecure = (reading: SeriesReading | null | undefined) =>
	Boolean(reading) && Math.min(...reading!.look.reached) >= SECURE;

/** Whether the level of the domain has fallen though the plan's probes are secure. */
function fellThough({ reading, startsOn }: CasePlan, levels: Level[]): boolean {
	return isSecure(reading) && hasFallen(levelsSince(levels, startsOn));
}

/** Groups by a student in them. */
function membersOf(groups: SmallGroup[]): (studentId: number) => SmallGroup[] {
	const places = groups.flatMap((group) =>
		group.studentIds.map((studentId) => ({ studentId: studentId as number, group }))
	);
	const placesOf = partedBy(places, ({ studentId }) => studentId);
	return (studentId) => placesOf(studentId).map(({ group }) => group);
}

function lookOf(plan: CasePlan, groups: CaseGroup[], today: string): PlanLook {
	const { id, skillId, groupId, startsOn, goalOn, lastDaysAgo, reading } = plan;
	const lastTwo = reading?.probes.slice(-2) ?? [];
	return {
		planId: id,
		skillId,
		startedDaysAgo: daysBetween(startsOn, today),
		lastProbeDaysAgo: lastDaysAgo,
		lastTwo: lastTwo.length === 2 ? lastTwo : [],
		probes: reading?.probes.length ?? 0,
		sessionsPlanned: groups.find((group) => group.id === groupId)?.sessions?.planned ?? (groupId === null ? null : 0),
		chanceOfGoal: reading?.chanceOfGoal ?? null,
		goalIsOver: goalOn < today,
		kept: plan.afterExit ? (reading?.look.reached ?? [1, 1]) : null
	};
}
