import { cycleWeek } from '../../core/calendar';
import type { Database } from '../database';
import { countDueReviews } from '../decide';
import { countGroups } from '../groups';
import { countWaiting } from '../practice';
import type { Staff } from '../request';
import { currentCycle, type School } from '../school';
import { countPlaces, cutScores, windowInView } from '../screen';
import { countDueProbes } from '../track';
import type { Scope } from './store/scope';

export type Leg = 'screen' | 'gaps' | 'groups' | 'practice' | 'track' | 'decide';

/** What waits in each leg, for the students in scope: counted in SQL, so that it costs much the same in any school. */
export async function ribbon(database: Database, staff: Staff, school: School, scope: Pick<Scope, 'key' | 'roster'>) {
	const { roster } = scope;
	const { today } = school;
	const [{ toFinish, below }, cycle, groups, waiting, dueProbes, dueReviews] = await Promise.all([
		countWindow(database, school, scope),
		currentCycle(database, school.id, today),
		countGroups(database, staff, scope.key === 'school' ? null : roster, today),
		countWaiting(database, roster),
		countDueProbes(database, roster),
		countDueReviews(database, roster)
	]);
	// Each count opens just the list that it counts.
	const legs: { leg: Leg; name: string; waits: string; list: string }[] = [
		{
			leg: 'screen',
			name: 'Screen',
			waits: toFinish ? `${toFinish} to finish` : 'all finished',
			list: '/screen/sittings?status=to finish'
		},
		{ leg: 'gaps', name: 'Gaps', waits: `${below} below the line`, list: '/screen?status=below' },
		{ leg: 'groups', name: 'Groups', waits: `${groups} ${groups === 1 ? 'group' : 'groups'}`, list: '/groups' },
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

async function countWindow(database: Database, school: School, { roster }: Pick<Scope, 'roster'>) {
	const { window } = await windowInView(database, school);
	if (!window) return { toFinish: 0, below: 0 };
	return countPlaces(database, window.id, roster, await cutScores(database, school.id, window));
}
