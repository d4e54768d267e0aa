import { addDays, schoolDayFrom } from '../../core/calendar';
import type { Database } from '../database';
import { nextReview } from '../groups';
import { adultsWhoSee, type RosterStudent } from '../people';
import { familyLetters } from '../reports';
import type { Staff } from '../request';
import type { School } from '../school';
import { adviceAfterNext } from '../track';
import { decidedReviews, type Review } from './store/reviews';
import { tasksFor } from './store/tasks';
import { tierRule } from './store/tierRules';
import { studentLook } from './studentLook';
import { whereTo } from './whereTo';

/** All that is looked at when one review is decided, and what can be decided. */
export async function reviewStep(
	database: Database,
	staff: Staff,
	school: School,
	review: Review,
	student: RosterStudent
) {
	const effectiveOn = schoolDayFrom(school.today, school.calendar);
	const [look, decided, tasks, place, adults, { rule }, letters] = await Promise.all([
		studentLook(database, staff, school, student, review.groupId),
		decidedReviews(database, [student.id]),
		tasksFor(database, [student.id]),
		whereTo(database, staff, school, review, student, effectiveOn),
		adultsWhoSee(database, staff, student.id, school.today),
		tierRule(database, school.id),
		familyLetters(database, [student.id])
	]);
	const { group, focus, asked, measures, sessions, recommendation, around, levels, notes, skills } = look;
	const next = asked ? await adviceAfterNext(database, school, asked.plan) : [];
	const last = decided.find(({ id }) => id !== review.id) ?? null;
	return {
		...{ review, student, focus, asked, measures, sessions, recommendation, next, around, notes, last },
		group: group && { ...group, minutes: group.time?.minutes ?? null },
		level: levels.find(({ domainId }) => domainId === focus?.domainId) ?? null,
		/** The last that the family was sent; null for nothing yet. */
		letter: letters[0] ?? null,
		/** Of the last verdict, of this one, and what was asked for since the last. */
		tasks: tasks.filter(
			({ reviewId, dueOn }) =>
				(reviewId === null && dueOn >= (last?.effectiveOn ?? '')) || reviewId === last?.id || reviewId === review.id
		),
		skillNames: Object.fromEntries(skills.map(({ id, shortName }) => [id, shortName])),
		form: {
			...place,
			dates: {
				effectiveOn,
				nextReviewOn: nextReview(place.own?.endsOn ?? null, school, rule.leastWeeks),
				/** Between which the school looks again. */
				soonest: addDays(school.today, 7 * rule.leastWeeks),
				latest: addDays(school.today, 7 * rule.mostWeeks)
			},
			adults
		}
	};
}
