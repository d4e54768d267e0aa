import { belowCut, cutScores, windowInView, windowPlaces } from '../screen';
import { cycleWeek } from '../../core/calendar';
import { fromPoints } from '../../core/measurement';
import type { Database } from '../database';
import { TO_FINISH } from '../../core/screening';
import { currentCycle, type School } from '../school';
import { currentGroups } from '../groups';
import type { RosterStudent } from '../people';
import { queuedSets } from '../practice';
import { probeSeries } from '../track';
import { openReviews } from '../decide';
import type { Staff } from '../request';

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
		probeSeries(database, ids, school),
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
