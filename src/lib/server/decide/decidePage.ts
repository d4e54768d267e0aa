import { schoolDayFrom } from '../../core/calendar';
import type { Database } from '../database';
import { currentGroups, nextReview } from '../groups';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import { idIn, numberIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { adviceFor } from './advice';
import { reviewList } from './store/reviews';
import { whereTo } from './whereTo';

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
	const focusOf = (groupId: number) => groups.find((group) => group.id === groupId)?.focusSkillId ?? null;
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
	const wanted = idIn(url, 'review');
	const shown = due.reviews.find(({ id }) => id === wanted);
	const effectiveOn = schoolDayFrom(school.today, school.calendar);
	const student = students.find(({ id }) => id === shown?.studentId);
	const place = shown && student ? await whereTo(database, staff, school, shown, student, effectiveOn) : null;
	return {
		students,
		/** Of the review whose verdict is being recorded: where the student could go, and what leaving ends. */
		form: place && {
			...place,
			dates: { effectiveOn, nextReviewOn: nextReview(place.own?.endsOn ?? null, school) }
		},
		due: advised(due),
		later: advised(later),
		decided
	};
}
