import { fullName } from '$lib/core/words';
import Type from 'typebox';
import { addDays, sayDate } from '$lib/core/calendar';
import { refuse, scopeOf, staffAction, staffContext } from '$lib/server/shell/staffPage';
import { visibleAmong } from '$lib/server/people';
import { sayLeaving } from '$lib/core/grouping';
import { adviceFor, decide, openReview, undoDecision, whereTo } from '$lib/server/decide';
import { decidePage } from '$lib/server/decide/decidePage';
import { formCheck, oneOf, id, schoolDate } from '$lib/server/request';

export async function load({ locals, url }) {
	const { staff, school } = await staffContext(locals);
	return decidePage(locals.database, staff, school, await scopeOf(locals, url, staff, school), url);
}

const verdictForm = formCheck(
	Type.Object({
		review: id,
		verdict: oneOf(['continue', 'adjust', 'intensify', 'fade', 'exit']),
		effectiveOn: schoolDate,
		newTier: oneOf([1, 2, 3], { type: 'integer' }),
		group: Type.String({ pattern: '^(stays|leaves|[0-9]{1,10})$' }),
		nextReviewOn: Type.Optional(Type.String({ pattern: '^(\\d{4}-\\d{2}-\\d{2})?$' })),
		note: Type.String({ maxLength: 2_000 })
	})
);
const undoForm = formCheck(Type.Object({ review: id }));

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
		const { own, work, fitting } = await whereTo(database, staff, school, found, student, effectiveOn);
		const isMove = verdict !== 'exit' && /^\d+$/.test(form.group);
		const to = isMove
			? fitting.find(({ id: group, tier }) => String(group) === form.group && tier === newTier)
			: undefined;
		if (isMove && !to) return refuse('That group has no place for the student on that day; choose again');
		const leaves = verdict === 'exit' || form.group !== 'stays';
		const recommendation = (await adviceFor(database, school, [found])).get(review)!;
		const recorded = await decide(
			database,
			staff,
			review,
			{
				verdict,
				effectiveOn,
				newTier,
				leavesGroup: leaves,
				movesTo: to && { groupId: to.id, skillId: to.focusSkillId },
				note,
				nextReviewOn,
				advice: recommendation.advice,
				reasons: recommendation.reasons
			},
			at
		);
		if (!recorded) return refuse('Someone else has just recorded a verdict for this review');
		return {
			done: [
				`${fullName(student)}: ${verdict}, tier ${newTier} from ${sayDate(effectiveOn)}.`,
				to && `Moves to “${to.name}”.`,
				!leaves && own && newTier !== own.tier && `Stays in “${own.name}”, a tier ${own.tier} group.`,
				leaves && sayLeaving([work], to?.focusSkillId)
			]
				.filter(Boolean)
				.join(' '),
			undo: { action: '?/undo', fields: { review: String(review) } }
		};
	}),
	undo: staffAction('decide', undoForm, async ({ staff, database, at, form }) => {
		const undone = await undoDecision(database, staff, form.review, at);
		return undone
			? { done: 'Taken back: tier, group and review are as before.' }
			: refuse('A later verdict, or a change of the new group, builds on this one; take that back first');
	})
};
