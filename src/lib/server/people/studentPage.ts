import { setTitle } from '../../core/practice';
import { sayLevel } from '../../core/words';
import { addDays, sayInstant, type SchoolDate } from '../../core/calendar';
import { needsOf } from '../../core/grouping';
import { masteredIn, readyNext, type Standing, type StandingNow } from '../../core/mastery';
import { POINTS_PER_LOGIT, toPoints, workingLevel } from '../../core/measurement';
import type { Database } from '../database';
import { answerHtml, lateAnswers, mathHtml } from '../sitting';
import type { School } from '../school';
import { groupsOfStudent, sessionCounts } from '../groups';
import { notesOn } from './store/notes';
import type { RosterStudent } from './store/roster';
import { sectionsOf } from './store/sections';
import { practicedSince, recentResults } from '../practice';
import { askMeasures, chartedPlans } from '../track';
import { adviceFor, decidedReviews, openReviews, pastSupport, tierHistory } from '../decide';
import { familyLetters } from '../reports';
import { scoreHistory, uncountedWindows } from '../screen';
import { type Domain, domainList, itemsAsked, skillGraph, type Skill, skillList } from '../library';
import { readStandings, schoolImportance, standingsOnDays } from '../standing';

/** Days on which standings of the past are shown, and how many days lie between them. */
const MOMENTS = 7;
const APART = 14;
/** Practice sets whose results are shown. */
const RESULTS = 6;
/** Next steps that are named. */
const STEPS = 3;

/** A score as the page shows it. */
const inPoints = ({ theta, standardError, window, takenOn }: Awaited<ReturnType<typeof scoreHistory>>[number]) => ({
	points: Math.round(toPoints(theta)),
	error: Math.round(POINTS_PER_LOGIT * standardError),
	window,
	takenOn
});

/** A domain with its scores and the student's standings on its skills. */
function domainRow(
	{ id, name }: Domain,
	scores: Awaited<ReturnType<typeof scoreHistory>>,
	skills: Skill[],
	standings: Map<number, StandingNow>,
	ready: Set<number>
) {
	const latest = scores.at(-1) ?? null;
	return {
		id,
		name,
		level: latest && workingLevel(latest.theta),
		scores: scores.map(inPoints),
		skills: skills.map((skill) => ({
			id: skill.id,
			code: skill.code,
			shortName: skill.shortName,
			level: sayLevel(skill),
			now: standings.get(skill.id) ?? null,
			isReady: ready.has(skill.id)
		}))
	};
}

function countStandings(standings: StandingNow[]): { secure: number; between: number; gap: number } {
	const count = (...wanted: Standing[]) => standings.filter(({ standing }) => wanted.includes(standing)).length;
	return { secure: count('secure'), between: count('forming', 'slipping'), gap: count('gap') };
}

/** Everything on one student's page. */
export async function studentPage(database: Database, school: School, student: RosterStudent) {
	const ids = [student.id];
	const days: SchoolDate[] = Array.from({ length: MOMENTS }, (_, i) =>
		addDays(school.today, -APART * (MOMENTS - 1 - i))
	);
	const [domains, skills] = await Promise.all([domainList(database, school.id), skillList(database, school.id)]);
	const [
		graph,
		now,
		past,
		scores,
		uncounted,
		notes,
		groups,
		verdicts,
		tiers,
		late,
		series,
		sessions,
		results,
		reviews,
		sections,
		support,
		letters,
		measures
	] = await Promise.all([
		skillGraph(database, school.id, skills),
		readStandings(database, ids),
		standingsOnDays(database, ids, days.slice(0, -1)),
		scoreHistory(database, student.id),
		uncountedWindows(database, student.id),
		notesOn(database, ids),
		groupsOfStudent(database, school.id, student.id),
		decidedReviews(database, ids),
		tierHistory(database, student.id),
		lateAnswers(database, student.id).then((answers) => itemsAsked(database, answers)),
		chartedPlans(database, school, [student]),
		sessionCounts(database, ids, school),
		recentResults(database, student.id, RESULTS),
		openReviews(database, ids),
		sectionsOf(database, [student], school.today),
		pastSupport(database, student.id),
		familyLetters(database, ids),
		askMeasures(database, school, student)
	]);
	const [advice, practiced] = await Promise.all([
		adviceFor(database, school, reviews),
		practicedSince(
			database,
			student.id,
			series.map(({ startsOn }) => startsOn),
			school
		)
	]);
	const own = now.get(student.id)!;
	const ready = new Set(readyNext(graph, masteredIn(own)));
	const importance = await schoolImportance(database, school, skills, graph);
	const needs = needsOf(graph, {
		standings: own,
		importance: importance(student.grade),
		tier: student.tier
	});
	const skillOf = new Map(skills.map((skill) => [skill.id, skill]));
	const nameOf = (skillId: number) => skillOf.get(skillId)?.shortName ?? '';
	const standingsOn = (day: SchoolDate) => (day === school.today ? own : (past.get(day)?.get(student.id) ?? new Map()));
	return {
		support,
		sections: (sections.get(student.id) ?? []).map((section) => section.name),
		// The most needed first: what is missing, can be learned next, and much depends on.
		steps: [...needs.keys()].slice(0, STEPS).map((skillId) => {
			const { code, shortName, statement } = skillOf.get(skillId)!;
			return { id: skillId, code, shortName, statement, now: own.get(skillId)! };
		}),
		domains: domains.map((domain) => {
			const inDomain = <Of extends { domainId: number }>(all: Of[]) => all.filter((one) => one.domainId === domain.id);
			return domainRow(domain, inDomain(scores), inDomain(skills), own, ready);
		}),
		overall: scores.filter(({ domainId }) => domainId === 0).map(inPoints),
		/** Windows whose answers do not count, and why. */
		uncounted,
		through: days.map((day) => ({ day, ...countStandings([...standingsOn(day).values()]) })),
		late: late.map(({ item, response, skillId, answeredAt, receivedAt, kind, correct, closedBy }) => ({
			kind,
			correct,
			closedBy,
			skill: nameOf(skillId),
			stemHtml: mathHtml(item.stem),
			givenHtml: answerHtml(item, response),
			answeredAt: sayInstant(answeredAt, school.timeZone),
			receivedAt: sayInstant(receivedAt, school.timeZone)
		})),
		notes,
		groups: groups.map((group) => ({
			...group,
			focus: nameOf(group.focusSkillId),
			sessions: sessions.get(`${student.id} ${group.id}`) ?? null
		})),
		probes: series.map((plan, i) => ({ ...plan, practiced: practiced[i], skill: nameOf(plan.skillId) })),
		measures,
		skillNames: Object.fromEntries(skills.map(({ id, shortName }) => [id, shortName])),
		results: results.map((result) => ({ ...result, title: setTitle(result, nameOf) })),
		reviews: reviews.map(({ id, groupName, dueOn }) => ({ id, groupName, dueOn, ...advice.get(id)! })),
		verdicts: verdicts.map(({ id, verdict, effectiveOn, groupName, note, change }) => ({
			id,
			verdict: verdict!,
			effectiveOn,
			groupName,
			note,
			change
		})),
		tiers,
		/** The last that the family was sent; null for nothing yet. */
		letter: letters[0] ?? null
	};
}

export type StudentPage = Awaited<ReturnType<typeof studentPage>>;
