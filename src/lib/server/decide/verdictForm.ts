import Type from 'typebox';
import { addDays } from '../../core/calendar';
import { isAsAdvised, sayDecision, VERDICTS } from '../../core/growth';
import { sayLeaving } from '../../core/grouping';
import { fullName } from '../../core/words';
import { skillList } from '../library';
import { adultsWhoSee, visibleAmong } from '../people';
import { formCheck, id, oneOf, schoolDate, type Staff } from '../request';
import type { School } from '../school';
import { refuse, staffAction } from '../shell/staffPage';
import { probeSeries } from '../track';
import type { Database } from '../database';
import { adviceFor } from './advice';
import { openReview, type Review } from './store/reviews';
import { type Agreement, decide, undoDecision } from './store/verdicts';
import { whereTo } from './whereTo';

/** Tasks that one verdict can give out. */
export const MOST_TASKS = 4;
const optionalDate = Type.Optional(Type.String({ pattern: '^(20\\d{2}-\\d{2}-\\d{2})?$' }));
const lines = (maxLength: number) => Type.Array(Type.String({ maxLength }), { maxItems: MOST_TASKS, default: [] });

const verdictForm = formCheck(
	Type.Object({
		review: id,
		verdict: oneOf(VERDICTS),
		effectiveOn: schoolDate,
		newTier: oneOf([1, 2, 3], { type: 'integer' }),
		group: Type.String({ pattern: '^(stays|leaves|[0-9]{1,10})$' }),
		nextReviewOn: optionalDate,
		note: Type.String({ maxLength: 2_000 }),
		against: Type.String({ maxLength: 500, default: '' }),
		change: Type.String({ maxLength: 120, default: '' }),
		/** What the group works on from then on; 0 for what it works on now. */
		focus: Type.Integer({ minimum: 0, maximum: 4_294_967_295, default: 0 }),
		/** Questions right of the weekly probes; 0 for the goal as it is. */
		goalCorrect: Type.Integer({ minimum: 0, maximum: 40, default: 0 }),
		goalOn: optionalDate,
		/** One line a task: what, who (0 for none) and until when. */
		taskWhat: lines(200),
		taskWho: Type.Array(Type.Integer({ minimum: 0, maximum: 4_294_967_295 }), { maxItems: MOST_TASKS, default: [] }),
		taskDue: lines(10),
		familyTold: Type.String({ maxLength: 1_000, default: '' })
	})
);
type VerdictFields = Extract<ReturnType<typeof verdictForm>, { value: unknown }>['value'];
const undoForm = formCheck(Type.Object({ review: id }));

/** What is agreed beside tier and group, from the form; or what is wrong with it. */
async function agreementIn(
	database: Database,
	staff: Staff,
	school: School,
	review: Review,
	form: VerdictFields
): Promise<Agreement | { problem: string }> {
	const { taskWhat, taskWho, taskDue } = form;
	const written = taskWhat.flatMap((what, i) => (what.trim() ? i : []));
	const adults = await adultsWhoSee(database, staff, review.studentId, school.today);
	for (const i of written) {
		if (!adults.some((adult) => adult.id === taskWho[i]))
			return { problem: 'Say who does each task: somebody who may see the student' };
		if (!/^20\d{2}-\d{2}-\d{2}$/.test(taskDue[i] ?? '') || taskDue[i] < school.today)
			return { problem: 'Say until when each task is done: a day from today on' };
	}
	if (form.focus && !(await skillList(database, school.id)).some((skill) => skill.id === form.focus))
		return { problem: 'There is no such skill' };
	let goal: Agreement['goal'] = null;
	if (form.goalCorrect) {
		const plans = await probeSeries(database, [review.studentId], school);
		const plan = plans.find(({ groupId }) => groupId === review.groupId);
		const goalOn = form.goalOn || plan?.goalOn;
		if (!plan || !goalOn) return { problem: 'There are no weekly probes to set a goal for' };
		if (form.goalCorrect !== plan.goalCorrect || goalOn !== plan.goalOn)
			goal = { planId: plan.id, goalCorrect: form.goalCorrect, goalOn };
		if (form.goalCorrect > plan.questions) return { problem: `A probe has ${plan.questions} questions` };
		if (goal && (goalOn <= school.today || goalOn > addDays(school.today, 365)))
			return { problem: 'The goal’s day lies ahead, within a year' };
	}
	return {
		against: form.against.trim(),
		change: form.change.trim(),
		focusSkillId: form.focus || null,
		goal,
		tasks: written.map((i) => ({ accountId: taskWho[i], what: taskWhat[i].trim(), dueOn: taskDue[i] })),
		familyTold: form.familyTold.trim()
	};
}

/** What is wrong with the days of a verdict; null where nothing is. */
function wrongDays({ today }: School, { verdict, effectiveOn }: VerdictFields, nextReviewOn: string | null) {
	if (effectiveOn < addDays(today, -7) || effectiveOn > addDays(today, 60))
		return 'A verdict takes effect within a week back and two months ahead';
	if (verdict !== 'exit' && !nextReviewOn) return 'Say when to look again; only an exit needs no next review';
	return nextReviewOn && nextReviewOn <= today ? 'The next review lies ahead' : null;
}

/** The form action that records a verdict with all that follows from it. */
export const verdictAction = staffAction('decide', verdictForm, async ({ staff, school, database, at, form }) => {
	const { review, verdict, effectiveOn, newTier, note } = form;
	const nextReviewOn = verdict === 'exit' ? null : form.nextReviewOn || null;
	const wrong = wrongDays(school, form, nextReviewOn);
	if (wrong) return refuse(wrong);
	const found = await openReview(database, staff, review, school.today);
	if (!found) return refuse('This review has a verdict already, or is not yours');
	const [student] = await visibleAmong(database, staff, [found.studentId], school.today);
	const { own, work, fitting } = await whereTo(database, staff, school, found, student, effectiveOn);
	const isMove = verdict !== 'exit' && /^\d+$/.test(form.group);
	const to = isMove
		? fitting.find(({ id: group, tier }) => String(group) === form.group && tier === newTier)
		: undefined;
	if (isMove && !to) return refuse('That group has no place for the student on that day; choose again');
	const leaves = found.groupId !== null && (verdict === 'exit' || form.group !== 'stays');
	const { advice, reasons } = (await adviceFor(database, school, [found])).get(review)!;
	const agreed = await agreementIn(database, staff, school, found, form);
	if ('problem' in agreed) return refuse(agreed.problem);
	if (!isAsAdvised(verdict, advice) && !agreed.against)
		return refuse(`The advice is “${advice}”: say in a few words why ${verdict} is right here`);
	if (agreed.focusSkillId && (leaves || !own))
		return refuse('Only a group that the student stays in gets another focus');
	const recorded = await decide(
		database,
		staff,
		review,
		{
			...{ verdict, effectiveOn, newTier, note, nextReviewOn, advice, reasons },
			...agreed,
			leavesGroup: leaves,
			movesTo: to && { groupId: to.id, skillId: to.focusSkillId },
			decidedOn: school.today
		},
		at
	);
	if (!recorded) return refuse('Someone else has just recorded a verdict for this review');
	const skills = await skillList(database, school.id);
	const said = sayDecision({
		...{ verdict, effectiveOn, leaves, nextReviewOn, change: agreed.change },
		name: fullName(student),
		tier: { now: student.tier, then: newTier },
		group: found.groupName && `“${found.groupName}”`,
		joins: to ? `“${to.name}”` : null,
		focus: skills.find((skill) => skill.id === agreed.focusSkillId)?.shortName ?? null,
		goal: agreed.goal && { right: agreed.goal.goalCorrect, on: agreed.goal.goalOn },
		tasks: agreed.tasks.length,
		tellsFamily: Boolean(agreed.familyTold)
	});
	return {
		done: [
			said,
			!leaves && own && newTier !== own.tier && `“${own.name}” is a tier ${own.tier} group.`,
			leaves && sayLeaving([work], to?.focusSkillId)
		]
			.filter(Boolean)
			.join(' '),
		undo: { action: '?/undo', fields: { review: String(review) } }
	};
});

/** The form action that takes a verdict back, with all that followed from it. */
export const undoVerdictAction = staffAction('decide', undoForm, async ({ staff, database, at, form }) => {
	const undone = await undoDecision(database, staff, form.review, at);
	return undone
		? { done: 'Taken back: tier, group, probes, practice, tasks and review are as before.' }
		: refuse('A later verdict, or a change of the new group, builds on this one; take that back first');
});
