import { plural } from '../../core/words';
import { cycleWeek } from '../../core/calendar';
import type { Database } from '../database';
import { countTasks, dueReviews } from '../decide';
import { countGroups } from '../groups';
import { countRoster, type Roster } from '../people';
import { withWork } from '../practice';
import type { Staff } from '../request';
import { currentCycle, type School } from '../school';
import { belowTheLine, cutScores, toFinish, windowInView } from '../screen';
import { dueProbes } from '../track';
import type { Scope } from './store/scope';

type Leg = 'screen' | 'gaps' | 'groups' | 'practice' | 'track' | 'decide';

/** How many students of a roster the window in view waits for, and how many are below its line. */
async function countWindow(database: Database, school: School, roster: Roster) {
	const { window } = await windowInView(database, school);
	if (!window) return { unfinished: 0, below: 0 };
	return countRoster(database, roster, {
		unfinished: toFinish(window.id),
		below: belowTheLine(window.id, await cutScores(database, school.id, window))
	});
}

/** What the students of a roster wait for, in one pass over them. */
const countWaiting = (database: Database, { today }: School, roster: Roster) =>
	countRoster(database, roster, { waiting: withWork(today), probes: dueProbes(today), reviews: dueReviews(today) });

/** What waits in each leg, for the students in scope: counted in SQL, so that it costs much the same in any school. */
export async function ribbon(database: Database, staff: Staff, school: School, scope: Pick<Scope, 'key' | 'roster'>) {
	const { roster } = scope;
	const { today } = school;
	const [{ unfinished, below }, { waiting, probes, reviews }, cycle, groups, tasks] = await Promise.all([
		countWindow(database, school, roster),
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
