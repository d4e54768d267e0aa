import { sayDay } from '../../core/calendar';
import { sayMeasureSeries } from '../../core/fluency';
import { adviseFrom, LEVEL_SOURCES } from '../../core/growth';
import { masteredIn, ownOrInferred, readyNext } from '../../core/mastery';
import { POINTS_PER_LOGIT, termSaid, toPoints, yearOf } from '../../core/measurement';
import type { Database } from '../database';
import { currentGroups, sessionCounts } from '../groups';
import { slotList } from '../groups/timetable';
import { type Domain, domainList, type Skill, skillGraph, skillList } from '../library';
import { notesOn, type RosterStudent } from '../people';
import type { Staff } from '../request';
import { type School, schoolYears } from '../school';
import { cutScores, scoreHistory } from '../screen';
import { readStandings } from '../standing';
import { askAbout, askMeasures, chartedPlans, circumstancesOf, levelsOf } from '../track';

/** Notes that are shown. */
const NOTES = 4;

/** Points of the last diagnostic or level check in each domain, with the cut score of the student's grade then. */
async function domainLevels(database: Database, school: School, student: RosterStudent, domains: Domain[]) {
	const [scores, levels, years] = await Promise.all([
		scoreHistory(database, student.id),
		levelsOf(database, [student.id]),
		schoolYears(database, school.id)
	]);
	const checks = domains.flatMap(({ id }) =>
		(levels.get(`${student.id} ${id}`) ?? [])
			.filter(({ by }) => by !== 'diagnostic')
			.map(({ by, on, score, standardError }) => ({
				...{ domainId: id, points: score, error: standardError, takenOn: on, window: LEVEL_SOURCES[by] },
				term: termSaid(on, yearOf(on, years))
			}))
	);
	const all = [
		...scores.map(({ theta, standardError, ...score }) => ({
			...score,
			points: toPoints(theta),
			error: POINTS_PER_LOGIT * standardError
		})),
		...checks
	];
	const last = domains.flatMap((domain) => {
		const own = all.filter(({ domainId }) => domainId === domain.id).sort((a, b) => a.takenOn.localeCompare(b.takenOn));
		return own.length ? [{ domain, level: own[own.length - 1] }] : [];
	});
	return Promise.all(
		last.map(async ({ domain, level: { points, error, term, takenOn, window } }) => ({
			domainId: domain.id,
			domain: domain.name,
			points: Math.round(points),
			error: Math.round(error),
			cut: (await cutScores(database, school.id, { measure: null, term }))[student.grade],
			takenOn,
			window
		}))
	);
}

/** Where a student stands on a skill, what is lacking underneath, and what builds on it. */
async function standingAround(database: Database, school: School, student: RosterStudent, skills: Skill[], id: number) {
	const [graph, standings] = await Promise.all([
		skillGraph(database, school.id, skills),
		readStandings(database, [student.id])
	]);
	const own = standings.get(student.id)!;
	const ready = new Set(readyNext(graph, masteredIn(own)));
	const isLacking = (skill: number) => {
		const now = own.get(skill);
		return now !== undefined && ownOrInferred(now) === 'gap';
	};
	return {
		now: own.get(id) ?? null,
		lacking: graph.prerequisites.get(id)!.filter(isLacking),
		builtOn: graph.skills
			.filter((skill) => graph.prerequisites.get(skill)!.includes(id))
			.map((skill) => ({ id: skill, now: own.get(skill) ?? null, isReady: ready.has(skill) }))
	};
}

/**
 * All that is known of a student for a decision about one of their groups.
 *
 * @param groupId null for no group
 */
export async function studentLook(
	database: Database,
	staff: Staff,
	school: School,
	student: RosterStudent,
	groupId: number | null
) {
	const [groups, skills, domains, plans, measures, notes, sessions, times] = await Promise.all([
		currentGroups(database, staff, school.today),
		skillList(database, school.id),
		domainList(database, school.id),
		chartedPlans(database, school, [student]),
		askMeasures(database, school, student),
		notesOn(database, [student.id]),
		sessionCounts(database, [student.id], school),
		slotList(database, school.id, school.today)
	]);
	const group = groups.find(({ id }) => id === groupId) ?? null;
	const time = group && (times.find(({ id }) => id === group.slotId) ?? null);
	const plan = plans.find((one) => one.groupId === groupId && !one.afterExit) ?? null;
	const own = sessions.get(`${student.id} ${groupId}`) ?? null;
	const focusId = group?.focusSkillId ?? plan?.skillId ?? null;
	const focus = skills.find(({ id }) => id === focusId) ?? null;
	const [asked, around, levels] = await Promise.all([
		plan && askAbout(database, school, plan),
		focus && standingAround(database, school, student, skills, focus.id),
		domainLevels(database, school, student, domains)
	]);
	return {
		group: group && { name: group.name, tier: group.tier, startsOn: group.startsOn, time },
		focus: focus && { id: focus.id, name: focus.shortName, code: focus.code, domainId: focus.domainId },
		asked,
		/** Measures that an adult gives week by week, each with what it says. */
		measures: measures.map(({ id, measure, reading, goalOn }) => ({
			id,
			says: sayMeasureSeries(measure, reading, sayDay(goalOn))
		})),
		sessions: own,
		recommendation:
			asked?.recommendation ?? adviseFrom(null, circumstancesOf({ phases: [], levels: [], sessions: own })),
		around,
		levels,
		notes: notes.slice(0, NOTES),
		skills
	};
}
