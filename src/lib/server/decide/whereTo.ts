import type { GroupWork } from '../../core/grouping';
import type { Database } from '../database';
import { fittingGroups, groupsNow, groupWork } from '../groups';
import { skillList } from '../library';
import type { RosterStudent } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import type { Review } from './store/reviews';

/** Where a student can work from a verdict on. */
interface WhereTo {
	/** The group that the review is about; null for none, or where it has ended. */
	own: { name: string; tier: 2 | 3; endsOn: string } | null;
	/** What leaving it ends. */
	work: GroupWork;
	/** Other groups that have a place at a time when the class can spare the student. */
	fitting: ReturnType<typeof fittingGroups>;
}

/** Where the student of a review can work from a day on. */
export async function whereTo(
	database: Database,
	staff: Staff,
	school: School,
	{ groupId }: Pick<Review, 'groupId'>,
	student: RosterStudent,
	on: string
): Promise<WhereTo> {
	const [now, skills, work] = await Promise.all([
		groupsNow(database, staff, school),
		skillList(database, school.id),
		groupId === null ? null : groupWork(database, groupId, [student.id])
	]);
	const own = now.groups.find(({ id }) => id === groupId) ?? null;
	const from = { id: groupId, focusSkillId: own?.focusSkillId ?? null };
	return {
		own: own && { name: own.name, tier: own.tier, endsOn: own.endsOn },
		work: work?.get(student.id) ?? { probes: [], sets: 0, begun: 0, reviews: [] },
		fitting: fittingGroups(now, skills, student, from, on)
	};
}
