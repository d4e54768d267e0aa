import { weekdayFrom } from '../../core/calendar';
import type { Database } from '../database';
import { currentGroups, fittingGroups, groupWork, nextReview } from '../groups';
import { slotList } from '../groups/timetable';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import { idIn, numberIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { adviceFor } from './advice';
import { reviewList } from './store/reviews';

/** Reviews that are shown at once, of those due, coming and decided. */
const AT_ONCE = { due: 10, later: 20, decided: 20 };
type List = keyof typeof AT_ONCE;

/** Reviews of a scope, each list from the place that the address says, with the rule's advice for those not decided. */
export async function decidePage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const read = async (list: List) => {
		const part = { from: numberIn(url, list), most: AT_ONCE[list] };
		return { ...part, ...(await reviewList(database, scope.roster, list, part)) };
	};
	const [due, later, decided, groups, skills] = await Promise.all([
		read('due'),
		read('later'),
		read('decided'),
		currentGroups(database, staff, school.today),
		skillList(database, school.id)
	]);
	const open = [...due.reviews, ...later.reviews];
	const [advice, students] = await Promise.all([
		adviceFor(database, school, open),
		visibleAmong(
			database,
			staff,
			[...new Set([...open, ...decided.reviews].map(({ studentId }) => studentId))],
			school.today
		)
	]);
	const groupOf = (groupId: number) => groups.find((group) => group.id === groupId);
	const focusOf = (groupId: number) => {
		const focus = groupOf(groupId)?.focusSkillId;
		return skills.find(({ id }) => id === focus)?.shortName ?? '';
	};
	const advised = ({ reviews, ...part }: typeof due) => ({
		...part,
		reviews: reviews.map((review) => ({
			...review,
			focus: focusOf(review.groupId),
			recommendation: advice.get(review.id)!
		}))
	});
	const wanted = idIn(url, 'review');
	const shown = due.reviews.find(({ id }) => id === wanted);
	const effectiveOn = weekdayFrom(school.today);
	return {
		students,
		/** Of the review whose verdict is being recorded: where the student could go, and what leaving ends. */
		form: shown && {
			groupTier: groupOf(shown.groupId)?.tier ?? null,
			work: (await groupWork(database, shown.groupId, [shown.studentId])).get(shown.studentId)!,
			fitting: fittingGroups(
				{ groups, slots: await slotList(database, school.id, school.today) },
				skills,
				students.find(({ id }) => id === shown.studentId)!,
				{ id: shown.groupId, focusSkillId: groupOf(shown.groupId)?.focusSkillId ?? null },
				effectiveOn
			),
			dates: { effectiveOn, nextReviewOn: nextReview(groupOf(shown.groupId)?.endsOn ?? null, school.today) }
		},
		due: advised(due),
		later: advised(later),
		decided
	};
}
