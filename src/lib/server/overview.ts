import { belowCut, cutScores, windowInView, windowPlaces, windowScores } from './screen';
import { addDays, cycleWeek, weekdayBy } from '../core/calendar';
import { fromPoints } from '../core/measurement';
import { supposed, type StandingNow } from '../core/mastery';
import type { Database } from './database';
import { TO_FINISH } from '../core/screening';
import { currentCycle, type School } from './school';
import { currentGroups } from './groups';
import { countLateAnswers, windowSittings } from './sitting';
import type { RosterStudent } from './people';
import { queuedSets, recentResults } from './practice';
import { probeSeries } from './track';
import { decidedReviews, openReviews, tierHistory } from './decide';
import { openChecks } from './gaps';
import { domainList, skillList } from './library';
import { readStandings } from './standing';
import type { Staff } from './request';

export type Leg = 'screen' | 'gaps' | 'groups' | 'practice' | 'track' | 'decide';

/** What waits in each leg, for the students in scope. */
export async function ribbon(database: Database, staff: Staff, school: School, students: RosterStudent[]) {
	const ids = students.map(({ id }) => id);
	const { today } = school;
	const [{ window }, cycle, groups, queued, series, reviews] = await Promise.all([
		windowInView(database, school),
		currentCycle(database, school.id, today),
		currentGroups(database, staff, today),
		queuedSets(database, ids, today),
		probeSeries(database, ids, today),
		openReviews(database, ids)
	]);
	const inScope = new Set(ids);
	let toFinish = 0;
	let below = 0;
	if (window) {
		const cuts = await cutScores(database, school.id, window);
		const gradeOf = new Map<number, number>(students.map(({ id, grade }) => [id, grade]));
		const [places, under] = await Promise.all([
			windowPlaces(database, window, students),
			belowCut(database, window.id, ids, (id) => fromPoints(cuts[gradeOf.get(id)!]))
		]);
		below = under.length;
		toFinish = [...places.values()].filter(({ status }) => TO_FINISH.has(status)).length;
	}
	const groupsInScope = groups.filter(
		(group) => group.startsOn <= today && group.studentIds.some((id) => inScope.has(id))
	).length;
	const dueProbes = series.filter(({ due }) => due).length;
	const dueReviews = reviews.filter(({ dueOn }) => dueOn <= today).length;
	const waiting = new Set(queued.map(({ studentId }) => studentId)).size;
	const legs: { leg: Leg; name: string; waits: string }[] = [
		{ leg: 'screen', name: 'Screen', waits: toFinish ? `${toFinish} to finish` : 'all finished' },
		{ leg: 'gaps', name: 'Gaps', waits: `${below} below the line` },
		{ leg: 'groups', name: 'Groups', waits: `${groupsInScope} ${groupsInScope === 1 ? 'group' : 'groups'}` },
		{ leg: 'practice', name: 'Practice', waits: `${waiting} with work waiting` },
		{ leg: 'track', name: 'Track', waits: `${dueProbes} ${dueProbes === 1 ? 'probe' : 'probes'} to take` },
		{ leg: 'decide', name: 'Decide', waits: `${dueReviews} to review` }
	];
	return { legs, cycle: cycle && { ...cycle, week: cycleWeek(cycle.startsOn, today) } };
}

/** Everything the peek shows of one student. */
export async function peekAt(database: Database, staff: Staff, school: School, student: RosterStudent) {
	const ids = [student.id];
	const { today } = school;
	const { window } = await windowInView(database, school);
	const [
		domains,
		skills,
		standings,
		groups,
		queue,
		checks,
		results,
		series,
		reviews,
		decided,
		tiers,
		scores,
		sittings,
		late
	] = await Promise.all([
		domainList(database, school.id),
		skillList(database, school.id),
		readStandings(database, ids, today),
		currentGroups(database, staff, today),
		queuedSets(database, ids, today),
		openChecks(database, ids),
		recentResults(database, student.id, 4),
		probeSeries(database, ids, today),
		openReviews(database, ids),
		decidedReviews(database, ids),
		tierHistory(database, student.id),
		window ? windowScores(database, window.id, ids) : new Map<number, never[]>(),
		window ? windowSittings(database, window.id, ids) : null,
		countLateAnswers(database, student.id)
	]);
	const nameOf = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	const own = standings.get(student.id)!;
	return {
		student,
		domains: domains.map((domain) => ({
			...domain,
			counts: countStandings(skills.filter(({ domainId }) => domainId === domain.id).map(({ id }) => own.get(id)))
		})),
		groups: groups
			.filter(({ studentIds }) => studentIds.includes(student.id))
			.map(({ id, name, focusSkillId, startsOn }) => ({ id, name, focus: nameOf.get(focusSkillId)!, startsOn })),
		checks: checks.map(({ id, skillIds, answered, dueOn }) => ({
			id,
			skills: skillIds.map((skillId) => nameOf.get(skillId)!),
			answered,
			dueOn
		})),
		queue: queue.map(({ id, skillId, dueOn, answered, itemCount }) => ({
			id,
			skill: nameOf.get(skillId)!,
			dueOn,
			answered: answered ?? 0,
			itemCount
		})),
		results: results.map((result) => ({ ...result, skill: nameOf.get(result.skillId)! })),
		probes: series.map(({ id, skillId, probes, due }) => ({
			id,
			skill: nameOf.get(skillId)!,
			counts: probes.map(({ y }) => y),
			due
		})),
		nextReview: reviews[0]?.dueOn ?? null,
		verdicts: decided
			.slice(0, 3)
			.map(({ id, verdict, effectiveOn, groupName }) => ({ id, verdict: verdict!, effectiveOn, groupName })),
		tiers,
		window: window?.name ?? null,
		scores: scores.get(student.id) ?? [],
		sitting: sittings?.get(student.id) ?? null,
		/** Answers that came after their work was closed. */
		late,
		openGaps: [...own.values()].filter((now) => now.standing === 'gap').length
	};
}

export type PeekContent = Awaited<ReturnType<typeof peekAt>>;

function countStandings(standings: (StandingNow | undefined)[]) {
	const counts = { gap: 0, forming: 0, secure: 0, slipping: 0, unseen: 0, likelyGap: 0 };
	for (const now of standings) {
		counts[now?.standing ?? 'unseen']++;
		if (now && now.standing === 'unseen' && supposed(now) === 'gap') counts.likelyGap++;
	}
	return counts;
}

/** When members of a group are first looked at: on a weekday three days or so before it ends, once they have joined. */
export function firstReview(endsOn: string, joinsOn: string): string {
	return [weekdayBy(addDays(endsOn, -3)), weekdayBy(endsOn)].find((day) => day >= joinsOn) ?? endsOn;
}

/** The day a cycle's groups should end, and their first review. */
export function cycleDates(cycle: { endsOn: string } | null, today: string) {
	const endsOn = cycle && cycle.endsOn > today ? cycle.endsOn : addDays(today, 55);
	return { endsOn, reviewOn: firstReview(endsOn, today) };
}
