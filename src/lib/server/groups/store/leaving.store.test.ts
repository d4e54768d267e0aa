import { oneSkillSet } from '../../../../../tests/oneSkillSet';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import {
	adopt,
	clearGroups,
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
import { openReviews } from '../../decide/store/reviews';
import { decide, NOTHING_MORE, undoDecision, type Decision } from '../../decide/store/verdicts';
import { assignSet } from '../../practice/store/assigning';
import { queuedSets } from '../../practice/store/practice';
import { beginPractice } from '../../sitting/store/practiceSittings';
import { probeSeries, startProbes } from '../../track/store/probes';
import { changeGroup, undoChange } from './groupChanges';
import { currentGroups } from './groups';
import { groupWork } from './leaving';
import { moveStudents } from './moves';

let small: SmallSchool;
/** Two groups on different skills, at different times; and a third on the skill of the first. */
let [one, other, alike]: number[] = [];
beforeAll(async () => {
	small = await smallSchool('leaving');
	await small.database.run(
		`INSERT INTO slot (id, staff_id, days, starts_at, minutes, room) VALUES (3, 2, 31, '13:00', 20, 'Gull')`
	);
});
afterAll(() => small.database.close());

const specialist = staffAs('specialist');
const END = addDays(TODAY, 20);
const LATER = addDays(TODAY, 18);

beforeEach(async () => {
	const { database, skills } = small;
	for (const table of [
		'sitting_item',
		'sitting',
		'practice_set_student',
		'practice_set_skill',
		'practice_set',
		'probe_plan'
	])
		await database.run(`DELETE FROM ${table}`);
	await clearGroups(small);
	const begins = { startsOn: addDays(TODAY, -14), endsOn: END, reviewOn: LATER };
	({
		ids: [one, other, alike]
	} = await adopt(
		small,
		newGroup(small, { ...begins, studentIds: [1, 2] }),
		newGroup(small, { ...begins, slotId: 2, focusSkillId: skills[1].id, studentIds: [3] }),
		newGroup(small, { ...begins, slotId: 3, studentIds: [4] })
	));
	await startProbes(
		database,
		specialist,
		newProbes({ studentIds: [1, 2], skillId: skills[0].id, groupId: one, startsOn: TODAY, goalOn: END }),
		NOW
	);
	const set = { groupId: one, itemCount: 5, opensOn: TODAY, dueOn: addDays(TODAY, 4), studentIds: [1, 2] };
	for (const skill of [skills[4], skills[5]])
		await assignSet(database, specialist, oneSkillSet({ ...set, skillId: skill.id }), NOW);
	// Of a set of its own nothing is touched.
	await assignSet(
		database,
		specialist,
		oneSkillSet({ ...set, groupId: null, skillId: skills[6].id, studentIds: [1] }),
		NOW
	);
	const [first] = await queuedSets(database, seen(1), TODAY);
	await beginPractice(database, seenOne(1), first, skills, NOW);
});

/** What waits for a student, by what it is about. */
async function waiting(studentId: number) {
	const [plans, sets, reviews, groups] = await Promise.all([
		probeSeries(small.database, seen(studentId), small.school),
		queuedSets(small.database, seen(studentId), TODAY),
		openReviews(small.database, seen(studentId)),
		currentGroups(small.database, specialist, TODAY)
	]);
	return {
		probes: plans.map(({ skillId, groupId }) => [skillId, groupId]),
		sets: sets.flatMap(({ skillIds }) => skillIds),
		reviews: reviews.map(({ groupId, dueOn }) => [groupId, dueOn]),
		groups: groups.filter(({ studentIds }) => studentIds.includes(seenOne(studentId))).map(({ id }) => id)
	};
}
const skill = (place: number) => small.skills[place].id;

describe('who leaves a group', () => {
	it('leaves its probes, its practice that is not begun and its reviews with it, and gets them back by undo', async () => {
		const before = await waiting(1);
		expect(before.sets).toEqual([skill(4), skill(5), skill(6)]);
		expect((await groupWork(small.database, one, seen(1))).get(1)).toEqual({
			probes: [skill(0)],
			sets: 1,
			begun: 1,
			reviews: [LATER]
		});
		const others = await waiting(2);
		const change = await changeGroup(
			small.database,
			specialist,
			one,
			{ kind: 'leave', studentIds: [1], on: TODAY },
			'',
			NOW
		);
		expect(await waiting(1)).toEqual({ probes: [], sets: [skill(4), skill(6)], reviews: [], groups: [] });
		expect(await waiting(2)).toEqual(others);
		expect(await undoChange(small.database, specialist, change!, NOW)).toBe(true);
		expect(await waiting(1)).toEqual(before);
	});

	it('moves to another group in one step: there with a review, probes on the same skill going on, and back by one undo', async () => {
		const before = await waiting(1);
		const move = (to: number, skillId: number) =>
			moveStudents(
				small.database,
				specialist,
				{ from: one, to: { groupId: to, skillId }, studentIds: [1], on: TODAY, reviewOn: LATER },
				'fits better',
				NOW
			);
		const changed = await move(other, skill(1));
		expect(await waiting(1)).toEqual({
			probes: [],
			sets: [skill(4), skill(6)],
			reviews: [[other, LATER]],
			groups: [other]
		});
		expect(await move(other, skill(1))).toBeNull();
		expect(await undoChange(small.database, specialist, changed!, NOW)).toBe(true);
		expect(await waiting(1)).toEqual(before);

		const again = await move(alike, skill(0));
		expect(await waiting(1)).toMatchObject({ probes: [[skill(0), alike]], groups: [alike] });
		expect(await undoChange(small.database, specialist, again!, NOW)).toBe(true);
		expect(await waiting(1)).toEqual(before);
	});

	it('is not brought back once something rests on the move', async () => {
		const changed = await moveStudents(
			small.database,
			specialist,
			{ from: one, to: { groupId: other, skillId: skill(1) }, studentIds: [1], on: TODAY, reviewOn: LATER },
			'',
			NOW
		);
		await changeGroup(small.database, specialist, other, { kind: 'rename', name: 'Later', on: TODAY }, '', NOW);
		const then = await waiting(1);
		expect(await undoChange(small.database, specialist, changed!, NOW)).toBe(false);
		expect(await waiting(1)).toEqual(then);
	});
});

describe('a verdict', () => {
	const decision: Decision = {
		verdict: 'intensify',
		effectiveOn: TODAY,
		newTier: 3,
		leavesGroup: true,
		note: '',
		nextReviewOn: addDays(TODAY, 7),
		advice: 'intensify',
		reasons: [],
		decidedOn: TODAY,
		...NOTHING_MORE
	};

	it('that moves a student to another group says when to look again there, and is taken back whole', async () => {
		const before = await waiting(1);
		const [review] = await openReviews(small.database, seen(1));
		const movesTo = { groupId: other, skillId: skill(1) };
		expect(await decide(small.database, specialist, review.id, { ...decision, movesTo }, NOW)).toBe(true);
		expect(await waiting(1)).toEqual({
			probes: [],
			sets: [skill(4), skill(6)],
			reviews: [[other, addDays(TODAY, 7)]],
			groups: [other]
		});
		expect(await undoDecision(small.database, specialist, review.id, NOW)).toBe(true);
		expect(await waiting(1)).toEqual(before);
	});

	it('that lets a student leave ends what the group had waiting, too', async () => {
		const before = await waiting(2);
		const [review] = await openReviews(small.database, seen(2));
		const exit = { ...decision, verdict: 'exit', newTier: 1, nextReviewOn: null } as const;
		expect(await decide(small.database, specialist, review.id, exit, NOW)).toBe(true);
		// What watches over them after the exit belongs to no group.
		expect(await waiting(2)).toEqual({ probes: [[skill(0), null]], sets: [], reviews: [], groups: [] });
		expect(await undoDecision(small.database, specialist, review.id, NOW)).toBe(true);
		expect(await waiting(2)).toEqual(before);
	});
});
