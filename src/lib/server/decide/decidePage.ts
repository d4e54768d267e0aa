import type { Database } from '../database';
import { currentGroups } from '../groups';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import { numberIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { adviceFor } from './advice';
import { reviewList } from './store/reviews';
import { ownTasks } from './store/tasks';

/** Reviews that are shown at once, of those due and coming. */
const AT_ONCE = { due: 20, later: 20 };
type List = keyof typeof AT_ONCE;

/** Open reviews of a scope, each list from the place that the address says, with the rules' advice, and the tasks of who asks. */
export async function decidePage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const read = async (list: List) => {
		const part = { from: numberIn(url, list), most: AT_ONCE[list] };
		return { ...part, ...(await reviewList(database, scope.roster, list, part)) };
	};
	const [due, later, groups, skills, tasks] = await Promise.all([
		read('due'),
		read('later'),
		currentGroups(database, staff, school.today),
		skillList(database, school.id),
		ownTasks(database, staff, school.today)
	]);
	const open = [...due.reviews, ...later.reviews];
	const [advice, students] = await Promise.all([
		adviceFor(database, school, open),
		visibleAmong(database, staff, [...new Set(open.map(({ studentId }) => studentId))], school.today)
	]);
	const focusOf = (groupId: number | null) => groups.find((group) => group.id === groupId)?.focusSkillId ?? null;
	const nameOf = (skillId: number | null) => skills.find(({ id }) => id === skillId)?.shortName ?? '';
	const advised = ({ reviews, ...part }: typeof due) => ({
		...part,
		reviews: reviews.map((review) => ({
			...review,
			focus: nameOf(focusOf(review.groupId)),
			focusSkillId: focusOf(review.groupId),
			recommendation: advice.get(review.id)!
		}))
	});
	return {
		students,
		/** What the person who asks has to do. */
		tasks,
		due: advised(due),
		later: advised(later)
	};
}
