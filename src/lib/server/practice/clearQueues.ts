import type { Database } from '../database';
import { idsCounted, type RosterStudent } from '../people';
import type { School } from '../school';
import { belowTheLine, cutScores, windowInView } from '../screen';
import type { Scope } from '../shell';
import { gapCounts } from '../standing';
import { withWork } from './store/waiting';

/** Students of a scope with nothing to do though gaps are open. */
export interface ClearQueues {
	/** In tiers 2 and 3, or below the line. */
	pressing: RosterStudent[];
	all: RosterStudent[];
}

/** Students of a scope with nothing to do though gaps are open: those of tiers 2 and 3 and below the line, and all. */
export async function clearQueues(database: Database, school: School, scope: Scope): Promise<ClearQueues> {
	const students = await scope.students();
	const { window } = await windowInView(database, school);
	const [waiting, gaps, below] = await Promise.all([
		idsCounted(database, scope.roster, withWork(school.today)),
		gapCounts(
			database,
			students.map(({ id }) => id)
		),
		window
			? idsCounted(database, scope.roster, belowTheLine(window.id, await cutScores(database, school.id, window)))
			: new Set<number>()
	]);
	const all = students.filter(({ id }) => !waiting.has(id) && gaps.get(id)! > 0);
	return { all, pressing: all.filter(({ id, tier }) => tier > 1 || below.has(id)) };
}
