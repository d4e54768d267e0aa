import { plural } from '../../core/words';
import { cycleWeek } from '../../core/calendar';
import type { Database } from '../database';
import { countTasks, dueReviews } from '../decide';
import { countGroups } from '../groups';
import { countRoster, type Roster, type RosterCount } from '../people';
import { withWork } from '../practice';
import type { Staff } from '../request';
import { currentCycle, type School } from '../school';
import { belowTheLine, cutScores, toFinish, windowInView } from '../screen';
import { dueProbes } from '../track';
import type { Scope } from './store/scope';

type Leg = 'screen' | 'gaps' | 'groups' | 'practice' | 'track' | 'decide';

/** What the students of a roster wait for, in one pass over them. */
async function countWaiting(database: Database, school: School, roster: Roster) {
	const { today } = school;
	const { window } = await windowInView(database, school);
	return countRoster(database, roster, {
		unfinished: window ? toFinish(window.id) : NONE,
		below: window ? belowTheLine(window.id, await cutScores(database, school.id, window)) : NONE,
		waiting: withWork(today),
		probes: dueProbes(today),
		reviews: dueReviews(today)
	});
}

/** What each student adds where there is no window. */
const NONE: RosterCount = { sql: '0', values: [] };

/** What waits in each leg, for the students in scope: counted in SQL, so that it costs much the same in any school. */
export async function ribbon(database: Database, staff: Staff, school: School, scope: Pick<Scope, 'key' | 'roster'>) {
	const { roster } = scope;
	const { today } = school;
	const [{ unfinished, below, waiting, probes, reviews }, cycle, groups, tasks] = await Promise.all([
		countWaiting(database, school, roster),
		currentCycle(database, school.id, today),
		countGroups(database, staff, scope.key === 'school' ? null : roster, today),
		countTasks(database, staff, today)
	]);
	// Each count opens just the list that it counts.
	const legs: { leg: Leg; name: string; waits: string; list: string }[] = [
		{
			leg: 'screen',
			name: 'Screen',
			waits: unfinished ? `${unfinished} to finish` : 'all finished',
			list: '/screen/sittings?status=to finish'
		},
		{ leg: 'gaps', name: 'Gaps', waits: `${below} below the line`, list: '/screen?status=below' },
		{ leg: 'groups', name: 'Groups', waits: `${plural(groups, 'group')}`, list: '/groups' },
		{
			leg: 'practice',
			name: 'Practice',
			waits: `${waiting} with work waiting`,
			list: '/practice/queues?queue=waiting'
		},
		{
			leg: 'track',
			name: 'Track',
			waits: `${probes} with probes to take`,
			list: '/track?show=due'
		},
		{
			leg: 'decide',
			name: 'Decide',
			waits: `${reviews} to review${tasks ? `, ${plural(tasks, 'task')}` : ''}`,
			list: '/decide'
		}
	];
	return { legs, cycle: cycle && { ...cycle, week: cycleWeek(cycle.startsOn, today) } };
}
