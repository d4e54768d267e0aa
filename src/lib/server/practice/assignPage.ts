import { addDays, cycleWeek, mondayOf, schoolDayBy, schoolDayFrom, type SchoolDate } from '../../core/calendar';
import { needsOf } from '../../core/grouping';
import { hasItems } from '../../core/items/bank';
import type { SkillGraph, StandingNow } from '../../core/mastery';
import {
	failedInARow,
	minutesOf,
	MOST_PICKED,
	practiceWarnings,
	USUAL_HOW,
	type AskedToPractice
} from '../../core/practice';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import type { SmallGroup } from '../groups';
import { slotList } from '../groups/timetable';
import { domainList, materialsFor, type Skill, sampleItems, skillGraph, skillList } from '../library';
import { accommodations, NO_ACCOMMODATION } from '../people';
import { idsIn, textIn } from '../request';
import { currentCycle, type School } from '../school';
import { scopeChoices } from '../shell';
import { readStandings, schoolImportance, type Standings } from '../standing';
import { nextStepsFor } from './nextStepsFor';
import { practiceDue } from './practiceDates';
import { type Asked, receivers, type Receivers } from './receivers';
import { questionMs } from './setLengths';
import { comingMeetings } from './comingMeetings';
import { setOutcomes } from './store/outcomes';
import { queuedSets } from './store/practice';
import { usualChoices } from './store/usualChoices';
import { waitingMs } from './waitingTime';

/** Skills that are offered by what the students need. */
const OFFERED = 6;
/** Skills that an address can name. */
const MOST_NAMED = MOST_PICKED;
/** How far back (days) results say that a skill was failed. */
const REMEMBERED = 120;

/** Everything on the page on which practice is assigned; null for a group or student that is none. */
export async function assignPage(asked: Asked) {
	const { database, staff, school, url, scope } = asked;
	const found = await receivers(asked);
	if (!found) return null;
	const { students } = found;
	const ids = students.map(({ id }) => id);
	const [all, domains, standings, queued, outcomes, help, usual, choices, inScope] = await Promise.all([
		skillList(database, school.id),
		domainList(database, school.id),
		readStandings(database, ids),
		queuedSets(database, ids, school.today),
		setOutcomes(database, ids, addDays(school.today, -REMEMBERED)),
		accommodations(database, ids),
		usualChoices(database, staff),
		scopeChoices(database, staff, school.today),
		scope.students()
	]);
	const skills = all.filter(({ code }) => hasItems(code));
	const codeOf = new Map(all.map(({ id, code }) => [id, code]));
	const ofStudent = new Map(ids.map((id) => [id, queued.filter(({ studentId }) => studentId === id)]));
	const waiting = new Map(
		[...ofStudent].map(([id, sets]) => [
			id,
			{ skills: new Set(sets.flatMap(({ skillIds }) => skillIds)), ms: waitingMs(sets, codeOf) }
		])
	);
	const graph = await skillGraph(database, school.id, all);
	const isOwnStep = textIn(url, 'own', 3) === 'yes';
	const waitingSkills = new Map([...waiting].map(([id, own]) => [id, own.skills]));
	const known = { standings, waiting: waitingSkills, outcomes };
	const steps = isOwnStep ? await nextStepsFor(database, school, all, graph, students, known) : null;
	const wanted = idsIn(url, 'skill', MOST_NAMED).filter((id) => skills.some((skill) => skill.id === id));
	const offered = isOwnStep ? [] : await neededMost(database, school, all, graph, found, standings);
	const chosen = isOwnStep ? [] : wanted.length ? wanted : [offered[0] ?? skills[0].id];
	const own = await Promise.all(chosen.map((id) => materialsFor(database, school.id, id)));
	const scopeIds = new Set(inScope.map(({ id }) => id as number));
	const facts: AskedToPractice[] = students.map(({ id }) => ({
		id,
		waitingMinutes: waiting.get(id)!.ms / 60_000,
		waitingSkills: waitingSkills.get(id)!,
		standings: standings.get(id)!,
		failed: new Map([...outcomes.get(id)!].map(([skillId, list]) => [skillId, failedInARow(list)])),
		skills: steps ? [] : chosen,
		// A group or student that was asked for is meant, whoever is looked at.
		isInScope: found.group !== null || /^(group|student)/.test(textIn(url, 'for', 8)) || scopeIds.has(id)
	}));
	const sampled = chosen[0] ?? [...(steps?.values() ?? [])].find((list) => list.length)?.[0].skillId ?? skills[0].id;
	return {
		who: { label: found.label, rule: found.rule, groupId: found.group?.id ?? null },
		isOwnStep,
		students: students.map(({ id, className, ...student }) => {
			const { readAloud, largerType } = help.get(id) ?? NO_ACCOMMODATION;
			return {
				id: id as number,
				name: fullName(student),
				className,
				readAloud,
				largerType,
				waitingMinutes: waiting.get(id)!.ms ? minutesOf(waiting.get(id)!.ms) : 0,
				now: chosen.map((skillId) => shortly(standings.get(id)!, skillId)),
				steps: (steps?.get(id) ?? []).map(({ skillId, why }) => ({
					skillId,
					why,
					now: shortly(standings.get(id)!, skillId),
					last: outcomes.get(id)!.get(skillId)?.at(-1) ?? null
				}))
			};
		}),
		domains: domains.map(({ id, name }) => ({ id, name })),
		skills: skills.map(({ id, domainId, code, shortName, grade, term, statement }) => ({
			id,
			domainId,
			code,
			shortName,
			grade,
			term,
			ms: questionMs(code),
			statement: chosen.includes(id) ? statement : ''
		})),
		chosen,
		offered,
		/** What the school keeps with the chosen skills, that a set can begin with. */
		materials: own.flat().map(({ id, title }) => ({ id, title })),
		/** What the group works on. */
		focusId: found.group?.focusSkillId ?? null,
		warnings: practiceWarnings(facts, (skillId) => graph.prerequisites.get(skillId) ?? []),
		samples: sampleItems(codeOf.get(sampled)!),
		sampled,
		usual: usual ?? { how: USUAL_HOW, practice: 5, hasChecks: false, hasExample: false },
		dates: { opensOn: school.today, dueOn: practiceDue(school, found.group?.endsOn ?? null) },
		...(await timesOf(database, school, found.group)),
		// Classes and groups to choose from.
		choices: choices.filter(({ kind }) => kind === 'Classes' || kind === 'Groups')
	};
}

/** What is shown of a standing: it, what is inferred, and from how many answers. */
function shortly(standings: Map<number, StandingNow>, skillId: number) {
	const now = standings.get(skillId);
	return now ? { standing: now.standing, inferred: now.inferred, answers: now.answers } : null;
}

/** Skills with questions that some students need most together; a group's own focus before all. */
async function neededMost(
	database: Database,
	school: School,
	skills: Skill[],
	graph: SkillGraph,
	{ group, students }: Receivers,
	standings: Standings
): Promise<number[]> {
	const importance = await schoolImportance(database, school, skills, graph);
	const practiced = new Set(skills.filter(({ code }) => hasItems(code)).map(({ id }) => id));
	const total = new Map<number, number>();
	for (const { id, grade } of students) {
		const needs = { standings: standings.get(id)!, importance: importance(grade), tier: 2 as const };
		for (const [skillId, value] of needsOf(graph, needs)) total.set(skillId, (total.get(skillId) ?? 0) + value);
	}
	const needed = [...total].sort((a, b) => b[1] - a[1]).map(([skillId]) => skillId);
	const first = group ? [group.focusSkillId] : [];
	return [...new Set([...first, ...needed])].filter((skillId) => practiced.has(skillId)).slice(0, OFFERED);
}

/** Days that a set can be due by: those of a group's coming meetings, the week's last, and how far the cycle goes. */
async function timesOf(database: Database, school: School, group: SmallGroup | null) {
	const { today, calendar } = school;
	const cycle = await currentCycle(database, school.id, today);
	const slot = group && (await slotList(database, school.id)).find(({ id }) => id === group.slotId);
	const endOfWeek = schoolDayBy(addDays(mondayOf(schoolDayFrom(today, calendar)), 6), calendar);
	return {
		meetings: group ? await comingMeetings(database, school, group) : [],
		startsAt: slot?.startsAt ?? null,
		endOfWeek,
		cycle: cycle && { endsOn: cycle.endsOn as SchoolDate, weeksLeft: cycleWeek(today, cycle.endsOn) }
	};
}
