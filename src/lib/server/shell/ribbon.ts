import { belowCut, cutScores, windowInView, windowPlaces } from '../screen';
import { cycleWeek } from '../../core/calendar';
import type { Database } from '../database';
import { TO_FINISH } from '../../core/screening';
import { currentCycle, type School } from '../school';
import { currentGroups, groupsInScope } from '../groups';
import type { Scope } from './store/scope';
import { queuedSets } from '../practice';
import { probeSeries } from '../track';
import { openReviews } from '../decide';
import type { Staff } from '../request';

export type Leg = 'screen' | 'gaps' | 'groups' | 'practice' | 'track' | 'decide';

/** What waits in each leg, for the students in scope. */
export async function ribbon(database: Database, staff: Staff, school: School, scope: Scope) {
	const { students } = scope;
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
	let toFinish = 0;
	let below = 0;
	if (window) {
		const cuts = await cutScores(database, school.id, window);
		const gradeOf = new Map<number, number>(students.map(({ id, grade }) => [id, grade]));
		const [places, under] = await Promise.all([
			windowPlaces(database, window, students),
			belowCut(database, window.id, ids, (id) => cuts[gradeOf.get(id)!])
		]);
		below = under.length;
		toFinish = [...places.values()].filter(({ status }) => TO_FINISH.has(status)).length;
	}
	const groupCount = groupsInScope(groups, scope).length;
	const dueProbes = series.filter(({ due }) => due).length;
	const dueReviews = reviews.filter(({ dueOn }) => dueOn <= today).length;
	const waiting = new Set(queued.map(({ studentId }) => studentId)).size;
	// Each count opens just the list that it counts.
	const legs: { leg: Leg; name: string; waits: string; list: string }[] = [
		{
			leg: 'screen',
			name: 'Screen',
			waits: toFinish ? `${toFinish} to finish` : 'all finished',
			list: '/screen/sittings?status=to finish'
		},
		{ leg: 'gaps', name: 'Gaps', waits: `${below} below the line`, list: '/screen?status=below' },
		{ leg: 'groups', name: 'Groups', waits: `${groupCount} ${groupCount === 1 ? 'group' : 'groups'}`, list: '/groups' },
		{ leg: 'practice', name: 'Practice', waits: `${waiting} with work waiting`, list: '/practice?queue=waiting' },
		{
			leg: 'track',
			name: 'Track',
			waits: `${dueProbes} ${dueProbes === 1 ? 'probe' : 'probes'} to take`,
			list: '/track?show=due'
		},
		{ leg: 'decide', name: 'Decide', waits: `${dueReviews} to review`, list: '/decide' }
	];
	return { legs, cycle: cycle && { ...cycle, week: cycleWeek(cycle.startsOn, today) } };
}
