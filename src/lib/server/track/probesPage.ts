import { addDays, mondayOf, type SchoolDate } from '../../core/calendar';
import { type LevelPlace, levelCheckDays, probeForm, probeReliability } from '../../core/growth';
import { hasItems } from '../../core/items/bank';
import { formsCarried, probePlaces } from '../../core/items/probeQuestions';
import type { SkillGraph } from '../../core/mastery';
import type { Database } from '../database';
import { currentGroups, cycleDates, type SmallGroup } from '../groups';
import { slotList } from '../groups/timetable';
import { domainList, skillGraph, skillList, type Skill } from '../library';
import type { RosterStudent } from '../people';
import { dayIn, idIn, numberIn, oneIn, type Staff } from '../request';
import { currentCycle, type School } from '../school';
import type { Scope } from '../shell';
import { goalTable, probeItems } from './goalTable';
import { levelChecksToDo } from './store/levelChecks';
import { probeSeries, type ProbeSeries, runningPlans } from './store/probes';

/** How a student's probe of this week is. */
interface WeekLine {
	planId: number;
	student: Pick<RosterStudent, 'id' | 'givenName' | 'familyName' | 'className'>;
	skillId: number;
	questions: number;
	/** Right in each probe of this week that was taken. */
	right: number[];
	/** Whether one is still to take this week. */
	due: boolean;
	/** The last probe before this week's that was missed, by its number; null where none was. */
	missed: number | null;
	/** Whether that one may be made up now. */
	mayMakeUp: boolean;
}

/** A level check that waits for a student. */
interface LevelLine {
	planId: number;
	student: WeekLine['student'];
	domain: string;
	place: LevelPlace;
	/** Null where that is over: what was begun can still be finished. */
	closesOn: SchoolDate | null;
	answered: number;
}

function lineOf(plan: ProbeSeries, student: RosterStudent): WeekLine {
	const weekNow = Math.floor((plan.numberNow - 1) / plan.aWeek);
	const before = weekNow * plan.aWeek;
	const isTaken = (wanted: number) => plan.taken.some(({ number }) => number === wanted);
	return {
		planId: plan.id,
		student,
		skillId: plan.skillId,
		questions: plan.questions,
		right: plan.taken.filter(({ week }) => week === weekNow).map(({ right }) => right),
		due: plan.due,
		missed: before >= 1 && !isTaken(before) ? before : null,
		mayMakeUp: plan.makeUp !== null
	};
}

/** What probes on a skill can carry: equivalent forms without a repeat, and how much one probe of a small group can be relied on. */
function carriedBy(skill: Skill, skills: Skill[], graph: SkillGraph, grade: number) {
	const form = probeForm(grade);
	const before = graph.prerequisites.get(skill.id)!;
	const codes = before.map((id) => skills.find((one) => one.id === id)!.code);
	const items = probeItems(skill, skills, before, grade);
	const difficulty = items.reduce((sum, item) => sum + item.difficulty, 0) / items.length;
	return {
		...form,
		weeks: Math.floor(formsCarried(probePlaces(skill.code, codes, form)) / form.aWeek),
		// Of students who get somewhat fewer than half of them right, as at the beginning.
		...probeReliability(items, difficulty - 0.5)
	};
}

/** What the address asks of the goals of the group that probes are started for. */
function goalsAsked(url: URL, goalOn: SchoolDate) {
	const asked = dayIn(url, 'goalOn');
	return {
		byHand: numberIn(url, 'goal') || USUAL_GOAL,
		ambition: Number(oneIn(url, 'ambition', ['2', '4']) ?? 2),
		goalOn: asked ?? goalOn
	};
}
const USUAL_GOAL = 14;

/** Probes of this week in a scope by the day they are given, and groups some of whose members have none on the focus. */
export async function probesPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const [students, running, skills, groups, cycle] = await Promise.all([
		scope.students(),
		runningPlans(database, scope.roster),
		skillList(database, school.id),
		currentGroups(database, staff, school.today),
		currentCycle(database, school.id, school.today)
	]);
	const graph = await skillGraph(database, school.id, skills);
	const studentOf = new Map<number, RosterStudent>(students.map((student) => [student.id, student]));
	const plans = await probeSeries(database, [...new Set(running.map(({ studentId }) => studentId))], school);
	const has = new Set(running.map(({ studentId, skillId }) => `${studentId} ${skillId}`));
	const monday = mondayOf(school.today);
	const groupOf = new Map(groups.map((group) => [group.id, group]));
	const domainOf = new Map(skills.map(({ id, domainId }) => [id, domainId]));
	const checks = await levelChecksToDo(database, plans, (id) => domainOf.get(id)!, school.today);
	const domains = new Map((await domainList(database, school.id)).map(({ id, name }) => [id, name]));
	const days = [...new Set(plans.map(({ onDay }) => onDay))].sort((a, b) => (a ?? 9) - (b ?? 9));
	const free = groups.flatMap((group) => {
		const members = group.studentIds.flatMap((id) => studentOf.get(id) ?? []);
		const learners = members.filter(
			({ id }) => !has.has(`${id} ${group.focusSkillId}`) && !group.helperIds.includes(id)
		);
		return learners.length ? [{ group, learners }] : [];
	});
	const wanted = idIn(url, 'group');
	const starting = free.find(({ group }) => group.id === wanted);
	const asked = goalsAsked(url, cycleDates(cycle, school).endsOn);
	return {
		due: plans.filter(({ due }) => due).length,
		running: plans.length,
		without: students.filter(({ id }) => !running.some(({ studentId }) => studentId === id)).length,
		skillNames: Object.fromEntries(skills.map(({ id, shortName }) => [id, shortName])),
		days: days.map((day) => ({
			day: day === null ? null : addDays(monday, day - 1),
			groups: parted(
				plans.filter(({ onDay }) => onDay === day),
				groupOf
			).map(({ group, plans: own }) => ({
				id: group?.id ?? null,
				name: group?.name ?? 'in no group',
				lines: own.map((plan) => lineOf(plan, studentOf.get(plan.studentId)!))
			}))
		})),
		levels: checks.map(({ planId, studentId, domainId, place, closesOn, answered }): LevelLine => ({
			...{ planId, place, answered, closesOn: closesOn < school.today ? null : closesOn },
			student: studentOf.get(studentId)!,
			domain: domains.get(domainId)!
		})),
		free: free.map(({ group, learners }) => ({ id: group.id, name: group.name, students: learners.length })),
		starting: starting && (await startOf(database, school, starting, { skills, domains, graph, asked }))
	};
}

/** What starting probes for a group's members takes: their goals, and what the skill's questions can carry. */
async function startOf(
	database: Database,
	school: School,
	{ group, learners }: { group: SmallGroup; learners: RosterStudent[] },
	{
		skills,
		domains,
		graph,
		asked
	}: { skills: Skill[]; domains: Map<number, string>; graph: SkillGraph; asked: ReturnType<typeof goalsAsked> }
) {
	const skill = skills.find(({ id }) => id === group.focusSkillId)!;
	const slot = (await slotList(database, school.id)).find(({ id }) => id === group.slotId);
	const hasQuestions = hasItems(skill.code);
	return {
		...{ id: group.id, name: group.name, skillId: skill.id, skill: skill.shortName, asked },
		onDay: slot?.days[0] ?? null,
		levels: {
			domain: domains.get(skill.domainId)!,
			days: levelCheckDays({ startsOn: school.today, goalOn: asked.goalOn, afterExit: false, levelChecks: true })
		},
		carries: hasQuestions ? carriedBy(skill, skills, graph, learners[0].grade) : null,
		lines: hasQuestions ? await goalTable(database, school, learners, skill.id, asked) : []
	};
}

/** Plans by their groups, in the order of groups; those in none at the end. */
function parted(plans: ProbeSeries[], groupOf: Map<number, SmallGroup>) {
	const parts = new Map<number | null, ProbeSeries[]>();
	for (const plan of plans) {
		const key = plan.groupId !== null && groupOf.has(plan.groupId) ? plan.groupId : null;
		parts.set(key, [...(parts.get(key) ?? []), plan]);
	}
	return [...parts]
		.sort(([a], [b]) => (a === null ? 1 : b === null ? -1 : groupOf.get(a)!.name.localeCompare(groupOf.get(b)!.name)))
		.map(([key, own]) => ({ group: key === null ? null : groupOf.get(key)!, plans: own }));
}
