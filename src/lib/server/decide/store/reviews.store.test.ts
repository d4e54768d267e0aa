import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	adopt,
	newGroup,
	newProbes,
	NOW,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool,
	seen,
	seenOne
} from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { fill } from '../../database/seeding';
import { currentGroups } from '../../groups/store/groups';
import { beginProbe } from '../../sitting';
import { probeSeries, startProbes } from '../../track';
import { decidedReviews, openReview, openReviews, tierHistory } from './reviews';
import { decide, NOTHING_MORE, undoDecision, type Decision } from './verdicts';

let small: SmallSchool;
let groupId: number;
const specialist = staffAs('specialist');

beforeAll(async () => {
	small = await smallSchool('reviews');
	await fill(
		small.database,
		'tier_interval',
		[1, 2, 3].map((student_id) => ({ student_id, tier: 2, from_on: '2026-10-26' }))
	);
	({
		ids: [groupId]
	} = await adopt(
		small,
		newGroup(small, { startsOn: '2026-10-26', endsOn: '2026-12-20', studentIds: [1, 2, 3, 4], reviewOn: TODAY })
	));
});
afterAll(() => small.database.close());

const decision = (change: Partial<Decision> = {}): Decision => ({
	verdict: 'exit',
	effectiveOn: TODAY,
	newTier: 1,
	leavesGroup: true,
	note: 'agreed',
	nextReviewOn: null,
	advice: 'exit',
	reasons: [{ is: 'adjusted', times: 1 }],
	decidedOn: TODAY,
	...NOTHING_MORE,
	...change
});
const reviewOf = async (studentId: number) => (await openReviews(small.database, seen(studentId)))[0];
const isMember = async (studentId: number, day = TODAY) =>
	(await currentGroups(small.database, staffAs('specialist'), day))
		.find(({ id }) => id === groupId)!
		.studentIds.includes(seenOne(studentId));

describe('verdicts', () => {
	it('change tier, membership and the next review, and are taken back whole', async () => {
		const review = await reviewOf(1);
		const tiersBefore = await tierHistory(small.database, seenOne(1));
		expect(await openReview(small.database, staffAs('specialist'), review.id, TODAY)).toEqual(review);
		expect(
			await openReview(small.database, { ...staffAs('specialist', 20), schoolId: 2 }, review.id, TODAY)
		).toBeNull();
		expect(await decide(small.database, { ...specialist, schoolId: 9 }, review.id, decision(), NOW)).toBe(false);
		expect(await decide(small.database, specialist, review.id, decision(), NOW)).toBe(true);
		expect(await decide(small.database, specialist, review.id, decision(), NOW)).toBe(false);
		expect(await openReview(small.database, staffAs('specialist'), review.id, TODAY)).toBeNull();
		expect((await tierHistory(small.database, seenOne(1)))[0]).toMatchObject({ tier: 1, fromOn: TODAY, untilOn: null });
		expect(await isMember(1)).toBe(false);
		expect(await isMember(1, addDays(TODAY, -1))).toBe(true);
		expect(await decidedReviews(small.database, seen(1))).toMatchObject([
			{ verdict: 'exit', advice: 'exit', reasons: [{ is: 'adjusted', times: 1 }], note: 'agreed', decidedBy: 'Staff 2' }
		]);
		expect(await undoDecision(small.database, { ...specialist, schoolId: 9 }, review.id, NOW)).toBe(false);
		expect(await undoDecision(small.database, specialist, review.id, NOW)).toBe(true);
		expect(await tierHistory(small.database, seenOne(1))).toEqual(tiersBefore);
		expect(await isMember(1)).toBe(true);
		expect((await openReviews(small.database, seen(1))).some(({ id }) => id === review.id)).toBe(true);
		expect(await decidedReviews(small.database, seen(1))).toEqual([]);
		const log = await small.database.rows<{ action: string }>(
			`SELECT action FROM audit_entry WHERE action LIKE '%decide' ORDER BY id`
		);
		expect(log.map(({ action }) => action)).toEqual(['decide', 'undo decide']);
	});

	it('to exit leave a watch of eight weeks behind, with a probe every second week, until they are taken back', async () => {
		const goal = { skillId: small.skills[0].id, groupId, startsOn: '2026-10-26', goalOn: '2026-12-20' };
		const [plan] = await startProbes(small.database, specialist, newProbes({ ...goal, studentIds: [4] }), NOW);
		const on = async (day: string) => probeSeries(small.database, seen(4), { ...small.school, today: day });
		const review = await reviewOf(4);
		await decide(small.database, specialist, review.id, decision(), NOW);
		const [watch, ...others] = await on(TODAY);
		expect(others).toEqual([]);
		expect(watch).toMatchObject({
			...{ afterExit: true, groupId: null, skillId: goal.skillId, aWeek: 0.5, goalCorrect: 14 },
			...{ startsOn: TODAY, goalOn: addDays(TODAY, 56), numberNow: 1, due: true }
		});
		expect((await on(addDays(TODAY, 13)))[0].numberNow).toBe(1);
		expect((await on(addDays(TODAY, 14)))[0].numberNow).toBe(2);
		expect((await on(addDays(TODAY, 57)))[0].due).toBe(false);
		await small.answerAll(4, await beginProbe(small.database, watch, 1, small.skills, NOW), () => true);
		expect((await on(TODAY))[0]).toMatchObject({ taken: [{ number: 1, week: 0, right: 16 }], due: false });
		expect(await undoDecision(small.database, specialist, review.id, NOW)).toBe(true);
		expect((await on(TODAY)).map(({ id, afterExit }) => [id, afterExit])).toEqual([[plan, false]]);
	});

	it('take effect from their date, not before', async () => {
		const effectiveOn = addDays(TODAY, 10);
		await decide(small.database, specialist, (await reviewOf(2)).id, decision({ effectiveOn }), NOW);
		expect(await isMember(2, addDays(TODAY, 9))).toBe(true);
		expect(await isMember(2, effectiveOn)).toBe(false);
		const [now, before] = await tierHistory(small.database, seenOne(2));
		expect([now.fromOn, before.untilOn]).toEqual([effectiveOn, effectiveOn]);
	});

	it('that keep the tier write no new interval, and set the next review', async () => {
		const tiersBefore = await tierHistory(small.database, seenOne(3));
		const next = addDays(TODAY, 28);
		const { id } = await reviewOf(3);
		await decide(
			small.database,
			specialist,
			id,
			decision({ verdict: 'continue', newTier: 2, leavesGroup: false, nextReviewOn: next }),
			NOW
		);
		expect(await tierHistory(small.database, seenOne(3))).toEqual(tiersBefore);
		expect(await isMember(3)).toBe(true);
		expect(await reviewOf(3)).toMatchObject({ dueOn: next, verdict: null, groupId });
		expect(await undoDecision(small.database, specialist, id, NOW)).toBe(true);
		expect(await openReviews(small.database, seen(3))).toMatchObject([{ id, dueOn: TODAY }]);
	});

	it('raise a student who had no tier yet', async () => {
		await decide(
			small.database,
			specialist,
			(await reviewOf(4)).id,
			decision({ verdict: 'intensify', newTier: 3, leavesGroup: false, nextReviewOn: addDays(TODAY, 14) }),
			NOW
		);
		expect(await tierHistory(small.database, seenOne(4))).toEqual([{ tier: 3, fromOn: TODAY, untilOn: null }]);
	});

	it('cannot be taken back once a later one builds on them', async () => {
		const first = (await decidedReviews(small.database, seen(4)))[0].id;
		const second = (await reviewOf(4)).id;
		const later = new Date(NOW.getTime() + 60_000);
		await decide(small.database, specialist, second, decision(), later);
		expect(await undoDecision(small.database, specialist, first, later)).toBe(false);
		expect(await undoDecision(small.database, specialist, second, later)).toBe(true);
		expect(await undoDecision(small.database, specialist, first, later)).toBe(true);
		expect(await tierHistory(small.database, seenOne(4))).toEqual([]);
	});
});
