import { adviseFrom } from '../../core/growth';
import { masteredIn, ownOrInferred, readyNext } from '../../core/mastery';
import { POINTS_PER_LOGIT, toPoints } from '../../core/measurement';
import type { Database } from '../database';
import { currentGroups, sessionCounts } from '../groups';
import { slotList } from '../groups/timetable';
import { type Domain, domainList, type Skill, skillGraph, skillList } from '../library';
import { notesOn, type RosterStudent } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import { cutScores, scoreHistory } from '../screen';
import { readStandings } from '../standing';
import { askAbout, chartedPlans, circumstancesOf } from '../track';

/** Notes that are shown. */
const NOTES = 4;

/** Points of the last diagnostic in each domain, with the cut score of the student's grade then. */
async function domainLevels(database: Database, school: School, student: RosterStudent, domains: Domain[]) {
	const scores = await scoreHistory(database, student.id);
	const last = domains.flatMap((domain) => {
		const own = scores.filter(({ domainId }) => domainId === domain.id);
		return own.length ? [{ domain, score: own[own.length - 1] }] : [];
	});
	return Promise.all(
		last.map(async ({ domain, score }) => ({
			domainId: domain.id,
			domain: domain.name,
			points: Math.round(toPoints(score.theta)),
			error: Math.round(POINTS_PER_LOGIT * score.standardError),
			cut: (await cutScores(database, school.id, { measure: null, term: score.term }))[student.grade],
			takenOn: score.takenOn,
			window: score.window
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
	const [groups, skills, domains, plans, notes, sessions, times] = await Promise.all([
		currentGroups(database, staff, school.today),
		skillList(database, school.id),
		domainList(database, school.id),
		chartedPlans(database, school, [student]),
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
		sessions: own,
		recommendation: asked?.recommendation ?? adviseFrom(null, circumstancesOf({ phases: [], sessions: own })),
		around,
		levels,
		notes: notes.slice(0, NOTES),
		skills
	};
}
