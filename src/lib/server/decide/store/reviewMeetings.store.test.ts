import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	adopt,
	newGroup,
	newProbes,
	NOW,
	seen,
	seenOne,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool
} from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { currentGroups } from '../../groups/store/groups';
import { probeSeries, startProbes } from '../../track';
import { findDecisions, type DecisionFilter } from './decisions';
import { agendaOf, orderAgenda, putOnAgenda, takeOffAgenda } from './agendas';
import {
	callOff,
	findReviewMeeting,
	invitedTo,
	noteWhoWasThere,
	planReviewMeeting,
	reviewMeetings,
	undoPlanning
} from './reviewMeetings';
import { decidedReviews, openReviews } from './reviews';
import { countTasks, finishTask, ownTasks } from './tasks';
import { decide, NOTHING_MORE, undoDecision, type Decision } from './verdicts';

let small: SmallSchool;
let [groupId, other] = [0, 0];
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const otherTeacher = staffAs('teacher', 11);
const NEXT_WEEK = addDays(TODAY, 7);
const skill = (i: number) => small.skills[i].id;

beforeAll(async () => {
	small = await smallSchool('review_meetings');
	({
		ids: [groupId]
	} = await adopt(
		small,
		newGroup(small, { startsOn: '2026-10-26', endsOn: '2026-12-20', studentIds: [1, 2, 5], reviewOn: TODAY })
	));
	({
		ids: [other]
	} = await adopt(
		small,
		newGroup(small, {
			...{ startsOn: '2026-10-26', endsOn: '2026-12-20', studentIds: [6, 7], reviewOn: '2026-12-17' },
			...{ slotId: 2, focusSkillId: skill(1) }
		})
	));
	const goal = { groupId, startsOn: '2026-10-26', goalOn: '2026-12-20', skillId: skill(0) };
	await startProbes(small.database, specialist, newProbes({ ...goal, studentIds: [1, 2, 5] }), NOW);
});
afterAll(() => small.database.close());

const reviewOf = async (studentId: number) => (await openReviews(small.database, seen(studentId)))[0];
const steps = async (meeting: number, staff = specialist) =>
	(await agendaOf(small.database, staff, meeting, TODAY)).map(({ studentId }) => studentId as number);
const planned = async (students: number[]) =>
	planReviewMeeting(
		small.database,
		specialist,
		{
			...{ on: TODAY, note: 'library', adults: [1, 10] },
			reviews: await Promise.all(students.map(async (id) => ({ reviewId: (await reviewOf(id)).id })))
		},
		NOW
	);
const decision = (change: Partial<Decision> = {}): Decision => ({
	...{ verdict: 'continue', effectiveOn: TODAY, newTier: 1, leavesGroup: false, note: '', nextReviewOn: NEXT_WEEK },
	...{ advice: 'continue', reasons: [], decidedOn: TODAY },
	...NOTHING_MORE,
	...change
});

describe('a review meeting', () => {
	it('has who is invited, and an agenda in an order, to which anybody can come', async () => {
		const meeting = await planned([1, 5]);
		expect(await findReviewMeeting(small.database, specialist, meeting)).toMatchObject({
			...{ on: TODAY, note: 'library', plannedBy: 'Staff 2', isCalledOff: false, reviews: 2, decided: 0 }
		});
		expect((await invitedTo(small.database, specialist, [meeting])).get(meeting)).toEqual([
			{ id: 1, name: 'Staff 1', wasThere: true },
			{ id: 10, name: 'Staff 10', wasThere: true }
		]);
		expect(await steps(meeting)).toEqual([1, 5]);
		// Somebody in no group, for what is at stake.
		const stake = { is: 'no group' } as const;
		const put = [{ studentId: seenOne(8), groupId: null, raisedBy: stake }];
		expect(await putOnAgenda(small.database, specialist, meeting, put, NOW)).toBe(1);
		const agenda = await agendaOf(small.database, specialist, meeting, TODAY);
		expect(agenda[2]).toMatchObject({ studentId: 8, groupId: null, raisedBy: stake, isDecided: false });
		expect(await reviewOf(8)).toMatchObject({ dueOn: TODAY, groupId: null, groupName: null, meetingId: meeting });
		const [one, two, three] = agenda.map(({ reviewId }) => reviewId);
		expect(await orderAgenda(small.database, specialist, meeting, [three, one, two], NOW)).toBe(true);
		expect(await steps(meeting)).toEqual([8, 1, 5]);
		// Not all of them, or others.
		expect(await orderAgenda(small.database, specialist, meeting, [one, two], NOW)).toBe(false);
		expect(await orderAgenda(small.database, specialist, meeting, [one, two, 99_999], NOW)).toBe(false);
		expect(await takeOffAgenda(small.database, specialist, meeting, one, NOW)).toBe(true);
		expect(await takeOffAgenda(small.database, specialist, meeting, one, NOW)).toBe(false);
		expect(await steps(meeting)).toEqual([8, 5]);
		expect((await reviewOf(1)).meetingId).toBeNull();
		await noteWhoWasThere(small.database, specialist, meeting, [10, 3], NOW);
		expect(
			(await invitedTo(small.database, specialist, [meeting])).get(meeting)!.map(({ id, wasThere }) => [id, wasThere])
		).toEqual([
			[1, false],
			[10, true],
			[3, true]
		]);
	});

	it('is seen by who decides and who is invited, each with the students they see', async () => {
		const meeting = await planned([1, 5]);
		expect(await steps(meeting, teacher)).toEqual([1]);
		expect(await findReviewMeeting(small.database, otherTeacher, meeting)).toBeNull();
		const list = (staff: typeof teacher) =>
			reviewMeetings(small.database, staff, 'from', TODAY, { from: 0, most: 10 }).then(({ meetings }) =>
				meetings.some(({ id }) => id === meeting)
			);
		expect(await list(specialist)).toBe(true);
		expect(await list(teacher)).toBe(true);
		expect(await list(otherTeacher)).toBe(false);
		expect((await reviewMeetings(small.database, specialist, 'before', TODAY, { from: 0, most: 10 })).meetings).toEqual(
			[]
		);
	});

	it('called off leaves its reviews due, and takes place again when that is taken back', async () => {
		const meeting = await planned([1]);
		expect(await callOff(small.database, specialist, meeting, true, NOW)).toBe(true);
		expect((await findReviewMeeting(small.database, specialist, meeting))!.isCalledOff).toBe(true);
		expect(await takeOffAgenda(small.database, specialist, meeting, (await reviewOf(1)).id, NOW)).toBe(false);
		expect(await reviewOf(1)).toMatchObject({ dueOn: TODAY, verdict: null });
		expect(await callOff(small.database, specialist, meeting, false, NOW)).toBe(true);
		expect(await callOff(small.database, specialist, meeting, false, NOW)).toBe(false);
		expect(await steps(meeting)).toEqual([1]);
	});

	it('whose planning is taken back takes the reviews along that were made for it, and no others', async () => {
		const due = await reviewOf(1);
		const first = await planned([5]);
		const made = { studentId: seenOne(3), groupId: null, raisedBy: null };
		const reviews = [{ reviewId: due.id }, made];
		const plan = { on: TODAY, note: '', adults: [1], reviews };
		const meeting = await planReviewMeeting(small.database, specialist, plan, NOW);
		expect(await reviewOf(3)).toMatchObject({ meetingId: meeting });
		expect(await undoPlanning(small.database, specialist, meeting, NOW)).toBe(true);
		expect(await findReviewMeeting(small.database, specialist, meeting)).toMatchObject({
			isCalledOff: true,
			reviews: 0
		});
		expect(await reviewOf(3)).toBeUndefined();
		expect(await reviewOf(1)).toMatchObject({ id: due.id, meetingId: null, verdict: null });
		expect(await steps(first)).toEqual([5]);
		expect(await undoPlanning(small.database, specialist, meeting, NOW)).toBe(false);
	});
});

describe('what is agreed at a meeting', () => {
	it('holds with the verdict and is taken back with it: tasks, goal, the group’s focus, what is done in another way', async () => {
		const meeting = await planned([1]);
		const { id } = await reviewOf(1);
		const plans = () => probeSeries(small.database, seen(1), small.school);
		const before = await plans();
		const agreed = decision({
			...{ verdict: 'adjust', against: 'seen in class', change: 'smaller steps', familyTold: 'A new way.' },
			goal: { planId: before[0].id, goalCorrect: 6, goalOn: '2027-01-15' },
			focusSkillId: skill(3),
			effectiveOn: NEXT_WEEK,
			tasks: [
				{ accountId: 10, what: 'one aloud a day', dueOn: NEXT_WEEK },
				{ accountId: 3, what: 'sit in', dueOn: TODAY }
			]
		});
		expect(await decide(small.database, specialist, id, agreed, NOW)).toBe(true);
		expect((await decidedReviews(small.database, seen(1)))[0]).toMatchObject({
			...{ verdict: 'adjust', against: 'seen in class', change: 'smaller steps', familyTold: 'A new way.' },
			meetingId: meeting
		});
		expect((await ownTasks(small.database, teacher, TODAY)).map(({ what, dueOn }) => [what, dueOn])).toEqual([
			['one aloud a day', NEXT_WEEK]
		]);
		expect(await countTasks(small.database, staffAs('interventionist'), TODAY)).toBe(1);
		// The goal holds at once; the group's focus, and with it the probes, from the day.
		expect((await plans())[0]).toMatchObject({ id: before[0].id, goalCorrect: 6, goalOn: '2027-01-15' });
		const focusOn = async (day: string) =>
			(await currentGroups(small.database, specialist, day)).find((group) => group.id === groupId)!.focusSkillId;
		expect([await focusOn(TODAY), await focusOn(NEXT_WEEK)]).toEqual([skill(0), skill(3)]);
		expect(await undoDecision(small.database, specialist, id, NOW)).toBe(true);
		expect(await plans()).toEqual(before);
		expect(await focusOn(NEXT_WEEK)).toBe(skill(0));
		expect(await ownTasks(small.database, teacher, TODAY)).toEqual([]);
		expect(await reviewOf(1)).toMatchObject({ id, meetingId: meeting, against: '', change: '', familyTold: '' });
	});

	it('probes of a group that is left later run until then', async () => {
		const { id } = await reviewOf(2);
		const running = async (today: string) =>
			(await probeSeries(small.database, seen(2), { ...small.school, today })).length;
		const leaves = decision({ verdict: 'exit', leavesGroup: true, effectiveOn: NEXT_WEEK, nextReviewOn: null });
		expect(await decide(small.database, specialist, id, leaves, NOW)).toBe(true);
		expect((await probeSeries(small.database, seen(2), small.school)).map(({ afterExit }) => afterExit)).toEqual([
			false,
			true
		]);
		// From then on only the watch after the exit.
		expect(await running(NEXT_WEEK)).toBe(1);
		expect(await undoDecision(small.database, specialist, id, NOW)).toBe(true);
		expect(await running(NEXT_WEEK)).toBe(1);
		expect((await probeSeries(small.database, seen(2), small.school)).map(({ afterExit }) => afterExit)).toEqual([
			false
		]);
	});

	it('for somebody in no group leads into one', async () => {
		const put = { studentId: seenOne(4), groupId: null, raisedBy: null };
		await planReviewMeeting(small.database, specialist, { on: TODAY, note: '', adults: [1], reviews: [put] }, NOW);
		const { id } = await reviewOf(4);
		const joins = decision({ verdict: 'intensify', newTier: 2, movesTo: { groupId: other, skillId: skill(1) } });
		expect(await decide(small.database, specialist, id, joins, NOW)).toBe(true);
		const members = async () =>
			(await currentGroups(small.database, specialist, TODAY)).find((group) => group.id === other)!.studentIds;
		expect(await members()).toContain(4);
		expect(await undoDecision(small.database, specialist, id, NOW)).toBe(true);
		expect(await members()).not.toContain(4);
	});
});

describe('tasks', () => {
	it('are done by who has them, or for them by who decides, and that is taken back', async () => {
		const { id } = await reviewOf(1);
		const tasks = [{ accountId: 10, what: 'ask at home', dueOn: NEXT_WEEK }];
		await decide(small.database, specialist, id, decision({ tasks }), NOW);
		const [task] = await ownTasks(small.database, teacher, TODAY);
		expect(await finishTask(small.database, otherTeacher, task.id, true, NOW)).toBe(false);
		expect(await finishTask(small.database, teacher, task.id, true, NOW)).toBe(true);
		expect(await finishTask(small.database, teacher, task.id, true, NOW)).toBe(false);
		expect(await ownTasks(small.database, teacher, TODAY)).toEqual([]);
		expect(await finishTask(small.database, specialist, task.id, false, NOW)).toBe(true);
		expect(await countTasks(small.database, teacher, TODAY)).toBe(1);
	});
});

describe('decisions', () => {
	it('are found by day, verdict, group, adult and whether they are as advised', async () => {
		const any: DecisionFilter = {
			...{ from: null, until: null, verdict: null },
			...{ asAdvised: null, groupId: null, byId: null }
		};
		const find = async (filter: Partial<DecisionFilter>) =>
			(
				await findDecisions(
					small.database,
					{ staff: specialist, today: TODAY },
					{ ...any, ...filter },
					{ from: 0, most: 10 }
				)
			).reviews.map(({ studentId }) => studentId as number);
		const [first] = await find({});
		expect(first).toBe(1);
		expect(await find({ verdict: 'exit' })).toEqual([]);
		expect(await find({ asAdvised: true, groupId, byId: 2, from: TODAY, until: TODAY })).toEqual([1]);
		expect(await find({ asAdvised: false })).toEqual([]);
		expect(await find({ groupId: other })).toEqual([]);
		expect(await find({ byId: 1 })).toEqual([]);
		expect(await find({ from: NEXT_WEEK })).toEqual([]);
		// What cannot be told yet is followed by going on.
		await small.database.run(
			`UPDATE review SET advice = 'not enough yet' WHERE student_id = 1 AND verdict IS NOT NULL`
		);
		expect(await find({ asAdvised: true })).toEqual([1]);
		await small.database.run(`UPDATE review SET advice = 'exit' WHERE student_id = 1 AND verdict IS NOT NULL`);
		expect(await find({ asAdvised: false })).toEqual([1]);
	});
});
