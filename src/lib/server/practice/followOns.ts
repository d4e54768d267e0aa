import { addDays, schoolDayFrom } from '../../core/calendar';
import { hasItems } from '../../core/items/bank';
import { failedInARow, followOn, isPastDue, shareOut, USUAL_HOW, type FollowOn } from '../../core/practice';
import type { RootDatabase } from '../database';
import { skillGraph, skillList } from '../library';
import { findSchool, type School } from '../school';
import { readStandings } from '../standing';
import { givenTo, type NewSet } from './store/assigning';
import { hasFollowOnWaiting, letFollow, waitingRuns, type WaitingRun } from './store/followOns';
import { setOutcomes } from './store/outcomes';
import { queuedSets } from './store/practice';
import { setForStudent, type SetForStudent } from './store/setContent';

/** Runs that one job looks at; what is left comes with the next. */
const AT_ONCE = 500;
/** Days in which what follows is due. */
const DUE_DAYS = 7;
/** Days of finished sets that say whether a skill was failed again and again. */
const LOOKED_BACK = 60;

/** Says of runs that have ended what follows, and lets it follow. @returns how many runs were looked at */
export async function makeFollowOns(database: RootDatabase, at: Date): Promise<number> {
	const runs = await waitingRuns(database, AT_ONCE);
	const taught = new Map<number, ReturnType<typeof schoolTaught>>();
	for (const run of runs) {
		if (!taught.has(run.schoolId)) taught.set(run.schoolId, schoolTaught(database, run.schoolId, at));
		const { school, graph, codeOf } = await taught.get(run.schoolId)!;
		const set = await setForStudent(database, run.setId, run.studentId);
		if (!set) {
			// They were taken from the set since.
			await letFollow(database, run, { kind: 'nothing' }, { set: null, dueOn: null }, at);
			continue;
		}
		const skills = set.skills.map(({ skillId }) => skillId);
		const ids = [run.studentId];
		const [standings, outcomes, queued, hasOneWaiting] = await Promise.all([
			readStandings(database, ids),
			setOutcomes(database, ids, addDays(school.today, -LOOKED_BACK)),
			queuedSets(database, ids, school.today),
			hasFollowOnWaiting(database, run.studentId)
		]);
		const { right, answered, depth } = run;
		const practice = set.variation.practice ?? set.skills.reduce((sum, skill) => sum + skill.practice, 0);
		const what = followOn({ right, answered, depth, skills, practice, rule: set.how }, graph, {
			hasOneWaiting,
			standings: standings.get(run.studentId)!,
			waiting: new Set(queued.flatMap(({ skillIds }) => skillIds)),
			hasItems: (skillId) => hasItems(codeOf.get(skillId) ?? ''),
			failed: (skillId) => failedInARow(outcomes.get(run.studentId)?.get(skillId) ?? [])
		});
		const isOver = isPastDue(set.due, { day: school.today, minute: school.minute });
		const given = { set: newSetFor(run, set, what, school), dueOn: isOver ? dueInAWeek(school) : null };
		await letFollow(database, run, what, given, at);
	}
	return runs.length;
}

async function schoolTaught(database: RootDatabase, schoolId: number, at: Date) {
	const [school, skills] = await Promise.all([findSchool(database, schoolId, at), skillList(database, schoolId)]);
	const graph = await skillGraph(database, schoolId, skills);
	return { school, graph, codeOf: new Map(skills.map(({ id, code }) => [id, code])) };
}

const dueInAWeek = ({ today, calendar }: School) => schoolDayFrom(addDays(today, DUE_DAYS), calendar);

/** What follows as a set: with the usual help and the rule of the one before it, due in a week. */
function newSetFor(run: WaitingRun, { how }: SetForStudent, what: FollowOn, school: School): NewSet | null {
	if (!('skills' in what)) return null;
	const { skills, practice, older, hasExample } = what;
	const shares = shareOut(
		practice,
		skills.map(() => 1)
	);
	return {
		name: null,
		groupId: run.groupId,
		isOwnStep: false,
		skills: skills
			.map((skillId, i) => ({ skillId, practice: shares[i], checks: 0, hasExample }))
			.filter((skill) => skill.practice > 0),
		how: { ...USUAL_HOW, line: how.line, above: how.above, below: how.below, older },
		dates: {
			opensOn: school.today,
			opensMinute: null,
			dueOn: dueInAWeek(school),
			dueMinute: null,
			closes: false
		},
		students: givenTo([run.studentId]),
		follows: { setId: run.setId, depth: run.depth + 1 }
	};
}
