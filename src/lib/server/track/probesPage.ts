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
import { type ProbeSeries, type RunningPlan, runningPlans, seriesOfPlans } from './store/probes';

/** Plans, and level checks, that are shown at once. */
const AT_ONCE = 80;

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
	const groupOf = new Map(groups.map((group) => [group.id, group]));
	const domainOf = new Map(skills.map(({ id, domainId }) => [id, domainId]));
	const checks = await levelChecksToDo(database, running, (id) => domainOf.get(id)!, school.today);
	const domains = new Map((await domainList(database, school.id)).map(({ id, name }) => [id, name]));
	const week = byDayAndGroup(running, groupOf);
	const part = { from: numberIn(url, 'plans'), most: AT_ONCE, total: running.length };
	const levelPart = { from: numberIn(url, 'levels'), most: AT_ONCE, total: checks.length };
	const shown = week.flatMap(({ plans }) => plans).slice(part.from, part.from + part.most);
	const series = await seriesOfPlans(
		database,
		school,
		shown.map(({ id }) => id)
	);
	const seriesOf = new Map(series.map((plan) => [plan.id, plan]));
	const lines = week.flatMap(({ plans, ...part }) => {
		const own = plans.flatMap(({ id }) => seriesOf.get(id) ?? []);
		return own.length ? [groupLines(part, plans, own, studentOf)] : [];
	});
	const free = groupsWithout(groups, studentOf, running);
	const wanted = idIn(url, 'group');
	const starting = free.find(({ group }) => group.id === wanted);
	const asked = goalsAsked(url, cycleDates(cycle, school).endsOn);
	return {
		due: running.filter(({ due }) => due).length,
		running: running.length,
		without: students.length - new Set(running.map(({ studentId }) => studentId)).size,
		skillNames: Object.fromEntries(skills.map(({ id, shortName }) => [id, shortName])),
		part,
		/** What is shown of them, by day and group. */
		days: [...new Set(lines.map(({ day }) => day))].map((day) => ({
			day: day === null ? null : addDays(mondayOf(school.today), day - 1),
			groups: lines.filter((one) => one.day === day)
		})),
		levelPart,
		levels: checks
			.slice(levelPart.from, levelPart.from + levelPart.most)
			.map(({ planId, studentId, domainId, place, closesOn, answered }): LevelLine => ({
				...{ planId, place, answered, closesOn: closesOn < school.today ? null : closesOn },
				student: studentOf.get(studentId)!,
				domain: domains.get(domainId)!
			})),
		free: free.map(({ group, learners }) => ({ id: group.id, name: group.name, students: learners.length })),
		starting: starting && (await startOf(database, school, starting, { skills, domains, graph, asked }))
	};
}

/** What is shown of a group on a day. */
const groupLines = (
	{ day, group }: { day: number | null; group: SmallGroup | null },
	plans: RunningPlan[],
	shown: ProbeSeries[],
	studentOf: Map<number, RosterStudent>
) => ({
	day,
	id: group?.id ?? null,
	name: group?.name ?? 'in no group',
	due: plans.filter(({ due }) => due).length,
	lines: shown.map((plan) => lineOf(plan, studentOf.get(plan.studentId)!))
});

/** Groups with members in scope who learn there and have no probes on the focus. */
function groupsWithout(groups: SmallGroup[], studentOf: Map<number, RosterStudent>, running: RunningPlan[]) {
	const has = new Set(running.map(({ studentId, skillId }) => `${studentId} ${skillId}`));
	return groups.flatMap((group) => {
		const members = group.studentIds.flatMap((id) => studentOf.get(id) ?? []);
		const learners = members.filter(
			({ id }) => !has.has(`${id} ${group.focusSkillId}`) && !group.helperIds.includes(id)
		);
		return learners.length ? [{ group, learners }] : [];
	});
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

/** Plans by the day they are given, those of any day at the end, and by group, in the order of names; those in none at the end. */
function byDayAndGroup(plans: RunningPlan[], groupOf: Map<number, SmallGroup>) {
	const ofGroup = ({ groupId }: RunningPlan) => groupOf.get(groupId ?? 0);
	const inOrder = [...plans].sort((a, b) => {
		const [one, other] = [ofGroup(a), ofGroup(b)];
		return (
			(a.onDay ?? 9) - (b.onDay ?? 9) ||
			Number(!one) - Number(!other) ||
			(one?.name ?? '').localeCompare(other?.name ?? '') ||
			(one?.id ?? 0) - (other?.id ?? 0)
		);
	});
	const parts: { day: number | null; group: SmallGroup | null; plans: RunningPlan[] }[] = [];
	for (const plan of inOrder) {
		const group = ofGroup(plan) ?? null;
		const before = parts[parts.length - 1];
		if (before && before.day === plan.onDay && before.group === group) before.plans.push(plan);
		else parts.push({ day: plan.onDay, group, plans: [plan] });
	}
	return parts;
}
