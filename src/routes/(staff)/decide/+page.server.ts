import { addDays, weekdayBy } from '$lib/core/calendar';
import type { Verdict } from '$lib/core/growth';
import { refuse, scopeOf, staffAction, staffContext } from '$lib/server/shell/staffPage';
import { currentGroups } from '$lib/server/groups';
import { visibleAmong } from '$lib/server/people';
import { adviceFor, decide, decidedReviews, openReview, openReviews, undoDecision } from '$lib/server/decide';
import { skillList } from '$lib/server/library';
import { formCheck, id, schoolDate } from '$lib/server/request';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	const scope = await scopeOf(locals, url, staff, school);
	const students = await scope.students();
	const ids = students.map((student) => student.id);
	const [open, decided, groups, skills] = await Promise.all([
		openReviews(locals.database, ids),
		decidedReviews(locals.database, ids),
		currentGroups(locals.database, staff, school.today),
		skillList(locals.database, school.id)
	]);
	const advice = await adviceFor(locals.database, school, open);
	const focusOf = (groupId: number) =>
		skills.find(({ id: skillId }) => skillId === groups.find((group) => group.id === groupId)?.focusSkillId)
			?.shortName ?? '';
	const withAdvice = open.map((review) => ({
		...review,
		focus: focusOf(review.groupId),
		recommendation: advice.get(review.id)!
	}));
	const reviewed = new Set<number>([...open, ...decided].map(({ studentId }) => studentId));
	return {
		students: students.filter((student) => reviewed.has(student.id)),
		due: withAdvice.filter(({ dueOn }) => dueOn <= school.today),
		later: withAdvice.filter(({ dueOn }) => dueOn > school.today),
		decided,
		dates: { effectiveOn: school.today, nextReviewOn: weekdayBy(addDays(school.today, 28)) }
	};
}

const verdictForm = formCheck<{
	review: number;
	verdict: Verdict;
	effectiveOn: string;
	newTier: 1 | 2 | 3;
	leavesGroup?: string;
	nextReviewOn?: string;
	note: string;
}>({
	type: 'object',
	properties: {
		review: id,
		verdict: { enum: ['continue', 'adjust', 'intensify', 'fade', 'exit'] },
		effectiveOn: schoolDate,
		newTier: { type: 'integer', enum: [1, 2, 3] },
		leavesGroup: { type: 'string', maxLength: 10 },
		nextReviewOn: { type: 'string', pattern: '^(\\d{4}-\\d{2}-\\d{2})?$' },
		note: { type: 'string', maxLength: 2_000 }
	},
	required: ['review', 'verdict', 'effectiveOn', 'newTier', 'note']
});
const undoForm = formCheck<{ review: number }>({ type: 'object', properties: { review: id }, required: ['review'] });

export const actions = {
	verdict: staffAction('decide', verdictForm, async ({ staff, school, database, at, form }) => {
		const { review, verdict, effectiveOn, newTier, note } = form;
		const nextReviewOn = verdict === 'exit' ? null : form.nextReviewOn || null;
		if (effectiveOn < addDays(school.today, -7) || effectiveOn > addDays(school.today, 60))
			return refuse('A verdict takes effect within a week back and two months ahead');
		if (verdict !== 'exit' && !nextReviewOn) return refuse('Say when to look again; only an exit needs no next review');
		if (nextReviewOn && nextReviewOn <= school.today) return refuse('The next review lies ahead');
		const found = await openReview(database, staff, review, school.today);
		if (!found) return refuse('This review has a verdict already, or is not yours');
		const [student] = await visibleAmong(database, staff, [found.studentId], school.today);
		const recommendation = (await adviceFor(database, school, [found])).get(review)!;
		const recorded = await decide(
			database,
			staff,
			review,
			{
				verdict,
				effectiveOn,
				newTier,
				leavesGroup: verdict === 'exit' || form.leavesGroup === 'on',
				note,
				nextReviewOn,
				advice: recommendation.advice,
				reasons: recommendation.reasons
			},
			at
		);
		if (!recorded) return refuse('Someone else has just recorded a verdict for this review');
		return {
			done: `${student.givenName} ${student.familyName}: ${verdict}, tier ${newTier} from ${effectiveOn}.`,
			undo: { action: '?/undo', fields: { review: String(review) } }
		};
	}),
	undo: staffAction('decide', undoForm, async ({ staff, database, at, form }) => {
		const undone = await undoDecision(database, staff, form.review, at);
		return undone
			? { done: 'Taken back: tier, group and review are as before.' }
			: refuse('A later verdict builds on this one; take that back first');
	})
};
