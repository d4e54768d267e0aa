import { windowInView, windowScores } from '../screen';
import { ownOrInferred, type StandingNow } from '../../core/mastery';
import { setTitle } from '../../core/practice';
import type { Database } from '../database';
import type { School } from '../school';
import { currentGroupsOf } from '../groups';
import { countLateAnswers, windowSittings } from '../sitting';
import type { RosterStudent } from '../people';
import { queuedSets, recentResults } from '../practice';
import { probeSeries } from '../track';
import { decidedReviews, openReviews, tierHistory } from '../decide';
import { openChecks } from '../gaps';
import { domainList, skillList } from '../library';
import { readStandings } from '../standing';
import type { Staff } from '../request';

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
		readStandings(database, ids),
		currentGroupsOf(database, staff, student.id, today),
		queuedSets(database, ids, today),
		openChecks(database, ids),
		recentResults(database, student.id, 4),
		probeSeries(database, ids, school),
		openReviews(database, ids),
		decidedReviews(database, ids),
		tierHistory(database, student.id),
		window ? windowScores(database, window.id, ids) : new Map<number, never[]>(),
		window ? windowSittings(database, window.id, ids) : null,
		countLateAnswers(database, student.id)
	]);
	const nameOf = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	const own = standings.get(student.id)!;
	const titleOf = (set: { name: string | null; skillIds: number[] }) => setTitle(set, (id) => nameOf.get(id)!);
	return {
		student,
		domains: domains.map((domain) => ({
			...domain,
			counts: countStandings(skills.filter(({ domainId }) => domainId === domain.id).map(({ id }) => own.get(id)))
		})),
		groups: groups.map(({ id, name, focusSkillId, startsOn }) => ({
			id,
			name,
			focus: nameOf.get(focusSkillId)!,
			startsOn
		})),
		checks: checks.map(({ id, skillIds, answered, dueOn }) => ({
			id,
			skills: skillIds.map((skillId) => nameOf.get(skillId)!),
			answered,
			dueOn
		})),
		queue: queue.map((set) => ({
			id: set.id,
			title: titleOf(set),
			dueOn: set.dueOn,
			dueMinute: set.dueMinute,
			answered: set.answered ?? 0,
			itemCount: set.itemCount
		})),
		results: results.map((result) => ({ ...result, title: titleOf(result) })),
		probes: series.map(({ id, skillId, taken, questions, due }) => ({
			id,
			skill: nameOf.get(skillId)!,
			counts: taken.map(({ right }) => right),
			questions,
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
		if (now && now.standing === 'unseen' && ownOrInferred(now) === 'gap') counts.likelyGap++;
	}
	return counts;
}
