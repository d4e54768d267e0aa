import { cutScores } from '../src/lib/server/screen/store/cutScores';
import { addDays, daysBetween, weekday, type SchoolDate } from '../src/lib/core/calendar';
import { importanceBy, problemFromStandings, solveGrouping } from '../src/lib/core/grouping';
import { probeForm } from '../src/lib/core/growth';
import { probePlaces, probeQuestions } from '../src/lib/core/items/probeQuestions';
import { fromPoints } from '../src/lib/core/measurement';
import type { FollowRule } from '../src/lib/core/practice';
import type { RootDatabase } from '../src/lib/server/database/pool';
import { fill } from '../src/lib/server/database/seeding';
import { releasingSlots, type ReleasingSlot } from '../src/lib/server/groups/timetable/store/timetable';
import { windowScores } from '../src/lib/server/screen/store/scores';
import { skillGraph, type Skill } from '../src/lib/server/library/store/skills';
import { readStandings } from '../src/lib/server/standing/standings';
import type { VisibleId } from '../src/lib/server/request/viewer';
import { atHour, type AnswerLog } from './answerLog';
import { CLASSWIDE, SCHOOL_ID, SPECIALIST, type DemoStudent } from './people';
import { checkLevels } from './levelChecks';
import type { PracticeLog } from './practiceLog';
import { holdMeetings } from './reviewMeetings';
import { simulateLearning, tellShare } from './simulatedStudent';
import { type DemoYear, lastSchoolDay } from './timetable';

/** Weeks of probes before the cycle begins, for the baseline. */
const EARLY_WEEKS = 2;
/** Probes are given on Tuesdays. */
const PROBE_DAY = 2;
/** A session teaches as much as so many practiced questions. */
const TAUGHT_A_SESSION = 3;
/** The cycle's weeks up to the demo's today. */
const WEEKS = 5;
/** The week of the demo's today, counted from the first probes. */
const LAST_WEEK = EARLY_WEEKS + WEEKS - 1;

/** Students in tier 2 or 3 for whom nobody has been made responsible yet. */
const NOBODYS = 3;

interface DemoGroup {
	id: number;
	slot: ReleasingSlot;
	skill: Skill;
	/** Codes of what comes before the focus. */
	prerequisites: string[];
	tier: 2 | 3;
	students: DemoStudent[];
}

/** Students whose weeks are told, so that a review meeting has each kind to talk about. */
interface Story {
	/** Questions right of sixteen week by week; the last is taken only if this week's probe day has come. */
	probes: number[];
	attends: number;
	/** Of first tries on the focus elsewhere. */
	share: number;
}
const STORIES: Record<'readyToExit' | 'needsMore' | 'missedSessions', Story> = {
	readyToExit: { probes: [5, 9, 14, 16, 16, 16, 16], attends: 1, share: 0.95 },
	needsMore: { probes: [2, 3, 2, 3, 2, 3, 2], attends: 1, share: 0.15 },
	missedSessions: { probes: [4, 3, 4, 4, 3, 4, 4], attends: 0.2, share: 0.2 }
};

/** What follows a group's sets: staff do it differently. */
const RULES: Partial<FollowRule>[] = [{}, { below: 'half' }, { above: 'next skill' }, { below: 'again' }];

/** Puts students below the line into tiers, and forms groups from the autumn window by the product's own solver. */
export async function formGroups(
	database: RootDatabase,
	students: DemoStudent[],
	skills: Skill[],
	year: DemoYear
): Promise<DemoGroup[]> {
	const ids = students.map(({ id }) => id);
	const cuts = await cutScores(database, SCHOOL_ID, { measure: null, term: year.autumn.term });
	const scores = await windowScores(database, year.autumn.id, ids);
	const tiers = new Map<VisibleId, 2 | 3>();
	for (const { id, grade } of students) {
		const overall = scores.get(id)?.find(({ domainId }) => domainId === 0);
		const below = overall ? fromPoints(cuts[grade]) - overall.theta : 0;
		if (below > 0.1) tiers.set(id, below > 0.75 ? 3 : 2);
	}
	await fill(
		database,
		'tier_interval',
		[...tiers].map(([student_id, tier]) => ({ student_id, tier, from_on: year.cycleStart }))
	);
	const tiered = students.filter(({ id }) => tiers.has(id));
	await fill(
		database,
		'responsibility',
		tiered.slice(0, -NOBODYS).map(({ id }) => ({ student_id: id, account_id: SPECIALIST, from_on: year.cycleStart }))
	);
	// Half of the meeting times stay free for groups that a visitor of the demo forms.
	const slots = (await releasingSlots(database, SCHOOL_ID, year.cycleStart)).filter(({ id }) => id % 8 < 4);
	const standings = await readStandings(database, [...tiers.keys()]);
	const graph = await skillGraph(database, SCHOOL_ID, skills);
	const levels = new Map(skills.map((skill) => [skill.id, skill]));
	const problem = problemFromStandings({
		students: tiered.map(({ id, classId, grade }) => ({
			id,
			classId,
			tier: tiers.get(id)!,
			standings: standings.get(id)!,
			importance: importanceBy(graph, levels, { grade, term: year.autumn.term })
		})),
		graph,
		slots: slots.map((slot) => ({ ...slot, busyStudentIds: [] })),
		sizes: { 2: { minimum: 3, maximum: 6 }, 3: { minimum: 2, maximum: 3 } },
		pairs: []
	});
	// What a whole class lacks is taught to the class, not to a group.
	const classwide = skills.find(({ code }) => code === CLASSWIDE.skillCode)!;
	const ofClass = new Set(
		tiered.filter(({ className }) => className === CLASSWIDE.className).map(({ id }) => String(id))
	);
	for (const { id, needs } of problem.students) if (ofClass.has(id)) delete needs[classwide.id];
	const { groups } = await solveGrouping(problem, { relativeGap: 0.05, timeLimitMs: 120_000 });
	const formed = groups.map((group, g): DemoGroup => {
		const members = group.studentIds.map((id) => students.find((student) => student.id === Number(id))!);
		return {
			id: g + 1,
			slot: slots.find(({ id }) => id === Number(group.slotId))!,
			skill: skills.find(({ id }) => id === Number(group.focusId))!,
			prerequisites: graph.prerequisites.get(Number(group.focusId))!.map((id) => levels.get(id)!.code),
			tier: tiers.get(members[0].id)!,
			students: members
		};
	});
	await writeGroups(database, formed, year);
	return formed;
}

async function writeGroups(database: RootDatabase, groups: DemoGroup[], year: DemoYear): Promise<void> {
	await fill(
		database,
		'small_group',
		groups.map((group) => ({
			id: group.id,
			school_id: SCHOOL_ID,
			name: `${group.skill.shortName} ${group.slot.startsAt}`,
			tier: group.tier,
			focus_skill_id: group.skill.id,
			slot_id: group.slot.id,
			starts_on: year.cycleStart,
			ends_on: year.cycleEnd,
			adopted_by: SPECIALIST,
			adopted_at: atHour(addDays(year.cycleStart, -3), 15)
		}))
	);
	await fill(
		database,
		'group_membership',
		groups.flatMap((group) =>
			group.students.map(({ id }) => ({
				group_id: group.id,
				student_id: id,
				from_on: year.cycleStart,
				until_on: addDays(year.cycleEnd, 1)
			}))
		)
	);
}

/** Lives the cycle up to today: sessions, weekly probes, practice on the focus, and the reviews that come of it. */
export async function liveCycle(
	database: RootDatabase,
	groups: DemoGroup[],
	{ students: others, skills }: { students: DemoStudent[]; skills: Skill[] },
	year: DemoYear,
	today: SchoolDate,
	log: AnswerLog,
	practice: PracticeLog
): Promise<void> {
	const stories = castStories(groups);
	const members = groups.flatMap((group) => group.students.map((student) => ({ group, student })));
	const plans = new Map(members.map(({ student }, i) => [student.id, i + 1]));
	const probesFrom = addDays(year.cycleStart, -7 * EARLY_WEEKS);
	await fill(
		database,
		'probe_plan',
		members.map(({ group, student }) => ({
			id: plans.get(student.id),
			student_id: student.id,
			skill_id: group.skill.id,
			group_id: group.id,
			starts_on: probesFrom,
			goal_on: lastSchoolDay(year),
			...ofForm(probeForm(student.grade)),
			on_day: PROBE_DAY,
			created_by: SPECIALIST
		}))
	);
	for (const { group, student } of members) {
		const story = stories.get(student.id);
		if (!story) continue;
		tellShare(student.hidden, group.skill.code, story.share);
		student.hidden.learning = 0;
	}

	const lived: Lived = { year, today, stories, plans, met: new Map(), attendance: [], notHeld: [] };
	for (let week = 0; week < EARLY_WEEKS + WEEKS; week++) {
		const monday = addDays(probesFrom, 7 * week);
		for (const group of groups) {
			takeProbes(group, week, monday, lived, log);
			if (week < EARLY_WEEKS) continue;
			meet(group, monday, lived);
			practice.assign({
				skillCode: group.skill.code,
				itemCount: week % 2 ? 10 : 5,
				opensOn: monday,
				dueOn: addDays(monday, 4),
				createdBy: group.slot.staffId,
				groupId: group.id,
				students: group.students,
				rule: RULES[group.id % RULES.length],
				finishes: (_, i) => (week < LAST_WEEK || i === 0 ? 'done' : i === 1 ? 'half' : 'not')
			});
		}
	}
	checkLevels(
		members.map(({ group, student }) => ({ student, plan: plans.get(student.id)!, domainId: group.skill.domainId })),
		{ startsOn: probesFrom, goalOn: lastSchoolDay(year), term: year.autumn.term, today },
		skills,
		log
	);
	await fill(database, 'attendance', lived.attendance);
	await fill(database, 'group_meeting', lived.notHeld);
	await holdMeetings(database, {
		members: members.map(({ group, student }) => ({ groupId: group.id, student })),
		others: others.filter(({ id }) => !members.some(({ student }) => student.id === id)),
		needsMore: [...stories].find(([, story]) => story === STORIES.needsMore)![0],
		toldOf: new Set(stories.keys()),
		year,
		today
	});
}

/** The cycle as it is being lived. */
interface Lived {
	year: DemoYear;
	today: SchoolDate;
	stories: Map<number, Story>;
	/** Probe plan by student. */
	plans: Map<number, number>;
	/** What each student was asked in probes. */
	met: Map<number, Set<string>>;
	attendance: Record<string, unknown>[];
	notHeld: Record<string, unknown>[];
}

/** A plan's form, and a goal of seven in eight. */
const ofForm = ({ questions, ofFocus, aWeek }: ReturnType<typeof probeForm>) => ({
	questions,
	of_focus: ofFocus,
	in_two_weeks: 2 * aWeek,
	goal_correct: (7 * questions) / 8
});

/** The probes of a group in a week; some students miss theirs, more of them in the last week, which is not over. */
function takeProbes(
	group: DemoGroup,
	week: number,
	monday: SchoolDate,
	{ stories, plans, met }: Lived,
	log: AnswerLog
): void {
	for (const student of group.students) {
		const story = stories.get(student.id);
		if (!story && student.draw.chance(week === LAST_WEEK ? 0.55 : 0.05)) continue;
		const plan = plans.get(student.id)!;
		const form = probeForm(student.grade);
		const places = probePlaces(group.skill.code, group.prerequisites, form);
		for (let nth = 0; nth < form.aWeek; nth++) {
			const number = week * form.aWeek + nth + 1;
			log.sit(student, {
				kind: 'probe',
				origin: { plan_id: plan, probe_number: number },
				items: probeQuestions(places, plan, number, metBy(met, student.id)).questions,
				from: atHour(addDays(monday, 1 + 2 * nth), 10),
				right: story && form.aWeek === 1 ? story.probes[week] : undefined
			});
		}
	}
}

/** What a student was asked in probes so far. */
function metBy(met: Map<number, Set<string>>, studentId: number): Set<string> {
	let own = met.get(studentId);
	if (!own) met.set(studentId, (own = new Set()));
	return own;
}

/** The sessions of a group in a week, up to today: who was there, and what they learned. */
function meet(group: DemoGroup, monday: SchoolDate, { year, today, stories, attendance, notHeld }: Lived): void {
	for (let day = monday; day < addDays(monday, 7) && day < today; day = addDays(day, 1)) {
		if (!group.slot.days.includes(weekday(day))) continue;
		const why = group.students.some(({ id }) => stories.has(id)) ? null : whyNotHeld(group, day);
		if (why) {
			const recorded = { recorded_by: group.slot.staffId, recorded_at: atHour(day, 15) };
			notHeld.push({ group_id: group.id, on_date: day, held: false, why_not: why, ...recorded });
			continue;
		}
		for (const student of group.students) {
			const present = student.draw.chance(stories.get(student.id)?.attends ?? 0.92);
			attendance.push({ group_id: group.id, student_id: student.id, on_date: day, present });
			if (!present) continue;
			for (let n = 0; n < TAUGHT_A_SESSION; n++)
				simulateLearning(student.draw, student.hidden, group.skill.code, daysBetween(year.startsOn, day));
		}
	}
}

/** One adult is away for some days, and one group loses sessions to what the school does; those of the stories meet. */
function whyNotHeld({ id }: DemoGroup, day: SchoolDate): string | null {
	if (id % 5 === 3) return weekday(day) >= 4 ? 'event' : null;
	return id % 5 === 4 && weekday(day) <= 2 && day.slice(-2) > '08' ? 'adult away' : null;
}

/** Gives the stories to students of different tier 2 groups. */
function castStories(groups: DemoGroup[]): Map<number, Story> {
	const tier2 = groups.filter(({ tier, students }) => tier === 2 && students.every(({ grade }) => grade > 2));
	return new Map(Object.values(STORIES).map((story, i) => [tier2[i % tier2.length].students[i % 3].id, story]));
}
