import { setTitle } from '../../core/practice';
import type { Database } from '../database';
import { currentGroups } from '../groups';
import { skillList } from '../library';
import { numberIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { practiceSets } from './store/practice';

/** Sets that are shown at once. */
const SETS_AT_ONCE = 40;

/** Sets that students of a scope were given, the newest first. */
export async function practicePage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const part = { from: numberIn(url, 'sets'), most: SETS_AT_ONCE };
	const [{ sets, total }, skills, groups] = await Promise.all([
		practiceSets(database, scope.roster, part),
		skillList(database, school.id),
		currentGroups(database, staff, school.today)
	]);
	const nameOf = new Map(skills.map(({ id, shortName }) => [id, shortName]));
	return {
		...part,
		total,
		sets: sets.map((set) => ({ ...set, title: setTitle(set, (id) => nameOf.get(id)!) })),
		groupNames: Object.fromEntries(groups.map((group) => [group.id, group.name]))
	};
}
