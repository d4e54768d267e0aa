import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import {
	adopt,
	clearGroups,
	newGroup,
	NOW,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool,
	seen,
	seenOne
} from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { adoptGroups, adoptionGroups, undoAdoption, type NewGroup } from './adoptions';
import { changeGroup, undoChange } from './groupChanges';
import type { GroupDeed } from './groupDeeds';
import { groupHistory, groupPauses } from './groupHistory';
import { findGroup, groupsOfStudent, groupsOn } from './groups';
import { meetingRecords, recordMeeting } from './meetings';
import { absencesByReason, sessionDaysOf } from './sessionCounts';
import { notesOn, removeNote, writeNote } from '../../people/store/notes';
import { openReviews } from '../../decide/store/reviews';
import { decide, NOTHING_MORE } from '../../decide/store/verdicts';

let small: SmallSchool;
let groupId: number;
beforeAll(async () => {
	small = await smallSchool('group_changes');
});
afterAll(() => small.database.close());

const specialist = staffAs('specialist');
const elsewhere = { ...staffAs('specialist', 20), schoolId: 2 };
const START = addDays(TODAY, -14);
const END = addDays(TODAY, 20);
const group = (change: Partial<NewGroup> = {}) =>
	newGroup(small, { startsOn: START, endsOn: END, reviewOn: END, ...change });

beforeEach(async () => {
	await clearGroups(small);
	({
		ids: [groupId]
	} = await adopt(small, group()));
});

const change = (deed: GroupDeed, reason = '') => changeGroup(small.database, specialist, groupId, deed, reason, NOW);
const groupOn = async (day = TODAY) => (await findGroup(small.database, staffAs('specialist'), groupId, day))!;
const membersOn = async (day: string) =>
	(await groupsOn(small.database, staffAs('specialist'), day, TODAY)).find(({ id }) => id === groupId)?.studentIds ??
	null;

describe('a group through time', () => {
	it('has members who join and leave on days, each to be read at any date', async () => {
		await change({ kind: 'join', studentIds: [5, 1], reviewOn: END, on: TODAY }, 'new in class');
		await change({ kind: 'leave', studentIds: [2], on: addDays(TODAY, 3) });
		expect(await membersOn(addDays(TODAY, -1))).toEqual([1, 2, 3]);
		expect(await membersOn(TODAY)).toEqual([1, 2, 3, 5]);
		expect(await membersOn(addDays(TODAY, 3))).toEqual([1, 3, 5]);
		expect(await membersOn(addDays(START, -1))).toBeNull();
		expect((await openReviews(small.database, seen(5))).map(({ dueOn }) => dueOn)).toEqual([END]);
		const history = await groupHistory(small.database, staffAs('specialist'), groupId, TODAY);
		expect(history.map(({ kind }) => kind)).toEqual(['leave', 'join', 'start']);
		// Who was in it already does not join again.
		expect(history[1]).toMatchObject({ studentIds: [5], reason: 'new in class', by: 'Staff 2' });
		expect(await groupsOfStudent(small.database, 1, seenOne(2))).toMatchObject([
			{ id: groupId, fromOn: START, untilOn: addDays(TODAY, 3) }
		]);
		expect(await groupsOfStudent(small.database, 2, seenOne(2))).toEqual([]);
	});

	it('changes its focus from a day on', async () => {
		const [first, next] = small.skills;
		await change({ kind: 'focus', skillId: next.id, on: TODAY });
		expect((await groupOn(addDays(TODAY, -1))).focusSkillId).toBe(first.id);
		expect((await groupOn(TODAY)).focusSkillId).toBe(next.id);
	});

	it('has one focus a day: the later of two changes counts, and undoing it brings the earlier back', async () => {
		const [, one, other] = small.skills;
		await change({ kind: 'focus', skillId: one.id, on: TODAY });
		expect(await change({ kind: 'focus', skillId: one.id, on: TODAY })).toBeNull();
		const second = (await change({ kind: 'focus', skillId: other.id, on: TODAY }))!;
		expect((await groupOn()).focusSkillId).toBe(other.id);
		await undoChange(small.database, specialist, second, NOW);
		expect((await groupOn()).focusSkillId).toBe(one.id);
	});

	it('does not run on into the time of another group', async () => {
		const next = group({ name: 'Next', startsOn: addDays(END, 3), endsOn: addDays(END, 30), studentIds: [4] });
		await adopt(small, next);
		expect(await change({ kind: 'end', on: addDays(END, 3) })).toBeNull();
		expect((await groupOn()).endsOn).toBe(END);
		expect(await change({ kind: 'end', on: addDays(END, 2) })).not.toBeNull();
	});

	it('pauses until a day, or until it is resumed', async () => {
		await change({ kind: 'pause', untilOn: addDays(TODAY, 7), on: TODAY });
		expect((await groupOn()).pausedUntil).toBe(addDays(TODAY, 7));
		expect((await groupOn(addDays(TODAY, 7))).pausedUntil).toBeNull();
		expect(await change({ kind: 'resume', on: addDays(TODAY, 10) })).toBeNull();
		await change({ kind: 'pause', untilOn: null, on: addDays(TODAY, 8) });
		expect((await groupOn(addDays(TODAY, 15))).pausedUntil).toBe('open');
		await change({ kind: 'resume', on: addDays(TODAY, 12) });
		expect((await groupOn(addDays(TODAY, 15))).pausedUntil).toBeNull();
		expect(await groupPauses(small.database, [groupId])).toHaveLength(2);
	});

	it('ends earlier or later, and its members with it; who left before does not come back', async () => {
		await change({ kind: 'leave', studentIds: [3], on: TODAY });
		await change({ kind: 'end', on: addDays(TODAY, 5) });
		expect(await membersOn(addDays(TODAY, 5))).toEqual([1, 2]);
		expect(await membersOn(addDays(TODAY, 6))).toBeNull();
		await change({ kind: 'end', on: addDays(TODAY, 40) });
		expect(await membersOn(addDays(TODAY, 40))).toEqual([1, 2]);
	});

	it('is as before once a change is undone, the latest first', async () => {
		const before = await groupOn();
		const deeds: GroupDeed[] = [
			{ kind: 'rename', name: 'Other', on: TODAY },
			{ kind: 'focus', skillId: small.skills[1].id, on: TODAY },
			{ kind: 'join', studentIds: [5], reviewOn: END, on: TODAY },
			{ kind: 'leave', studentIds: [1], on: TODAY },
			{ kind: 'pause', untilOn: null, on: TODAY },
			{ kind: 'resume', on: addDays(TODAY, 1) },
			{ kind: 'end', on: addDays(TODAY, 2) }
		];
		const ids: number[] = [];
		for (const deed of deeds) ids.push((await change(deed))!);
		expect(await undoChange(small.database, specialist, ids[0], NOW)).toBe(false);
		expect(await undoChange(small.database, elsewhere, ids.at(-1)!, NOW)).toBe(false);
		for (const id of ids.reverse()) expect(await undoChange(small.database, specialist, id, NOW)).toBe(true);
		expect(await groupOn()).toEqual(before);
		expect(await openReviews(small.database, seen(5))).toEqual([]);
		expect((await groupHistory(small.database, staffAs('specialist'), groupId, TODAY)).map(({ kind }) => kind)).toEqual(
			['start']
		);
	});

	it('cannot be changed from another school, and joining stays when the review it set has a verdict', async () => {
		expect(await changeGroup(small.database, elsewhere, groupId, { kind: 'end', on: TODAY }, '', NOW)).toBeNull();
		const joined = (await change({ kind: 'join', studentIds: [5], reviewOn: END, on: TODAY }))!;
		const [review] = await openReviews(small.database, seen(5));
		await decide(
			small.database,
			specialist,
			review.id,
			{
				verdict: 'continue',
				effectiveOn: TODAY,
				newTier: 1,
				leavesGroup: false,
				note: '',
				nextReviewOn: null,
				advice: 'continue',
				reasons: [],
				decidedOn: TODAY,
				...NOTHING_MORE
			},
			NOW
		);
		expect(await undoChange(small.database, specialist, joined, NOW)).toBe(false);
	});
});

describe('a draft that forms groups anew', () => {
	it('lets a group go on with its members changed, ends another, starts a third, and is taken back whole', async () => {
		const {
			ids: [ending]
		} = await adopt(small, group({ name: 'Ending', slotId: 2, tier: 3, studentIds: [4] }));
		const [old, before] = [await groupOn(), await groupsOn(small.database, staffAs('specialist'), TODAY, TODAY)];
		const startsOn = addDays(TODAY, 1);
		const adopted = await adoptGroups(
			small.database,
			specialist,
			{
				groups: [
					group({ studentIds: [1, 2, 6], startsOn, endsOn: addDays(END, 7), goesOnAs: old }),
					group({ name: 'New', slotId: 2, tier: 3, studentIds: [3], startsOn })
				],
				ends: [{ id: ending, lastDay: TODAY }],
				draftId: null,
				reason: 'tested'
			},
			NOW
		);
		if (!('ids' in adopted)) throw new Error('a slot is taken');
		expect(adopted.ids[0]).toBe(groupId);
		expect(await membersOn(TODAY)).toEqual([1, 2, 3]);
		expect(await membersOn(startsOn)).toEqual([1, 2, 6]);
		expect((await groupOn()).endsOn).toBe(addDays(END, 7));
		expect((await groupHistory(small.database, staffAs('specialist'), adopted.ids[1], TODAY))[0]).toMatchObject({
			kind: 'start',
			reason: 'tested'
		});
		expect(
			(await groupsOn(small.database, staffAs('specialist'), startsOn, TODAY)).map(({ name }) => name).sort()
		).toEqual(['New', 'Rounding']);
		expect((await adoptionGroups(small.database, 1, adopted.id)).sort()).toEqual([...adopted.ids].sort());
		expect(await undoAdoption(small.database, specialist, adopted.id, NOW)).toBe(true);
		expect(await groupsOn(small.database, staffAs('specialist'), TODAY, TODAY)).toEqual(before);
		expect(await adoptionGroups(small.database, 1, adopted.id)).toEqual([]);
	});

	it('goes on as a mixed group with who helps now, and ends on the day that is said', async () => {
		const first = group({ kind: 'mixed', slotId: 2, studentIds: [4, 5, 6], helperIds: [4] });
		const {
			ids: [id]
		} = await adopt(small, first);
		const find = async (day: string) => (await findGroup(small.database, staffAs('specialist'), id, day))!;
		const [startsOn, endsOn] = [addDays(TODAY, 1), addDays(END, -5)];
		const old = await find(TODAY);
		await adopt(small, { ...first, studentIds: [4, 5, 7], helperIds: [5], startsOn, endsOn, goesOnAs: old });
		expect((await find(TODAY)).helperIds).toEqual([4]);
		const after = await find(startsOn);
		expect([...after.studentIds].sort()).toEqual([4, 5, 7]);
		expect(after).toMatchObject({ helperIds: [5], endsOn });
		// Who helped and learns now is reviewed; who helps now is not asked for anew.
		expect(await openReviews(small.database, seen(4))).toHaveLength(1);
	});

	it('changes nothing when a meeting time is taken by then', async () => {
		const before = await groupsOn(small.database, staffAs('specialist'), TODAY, TODAY);
		const adopted = await adoptGroups(
			small.database,
			specialist,
			{
				groups: [group({ name: 'Clash', startsOn: addDays(TODAY, 1) })],
				ends: [],
				draftId: null,
				reason: ''
			},
			NOW
		);
		expect(adopted).toEqual({ takenSlotId: 1 });
		expect(await groupsOn(small.database, staffAs('specialist'), TODAY, TODAY)).toEqual(before);
	});

	it('is not taken back once something rests on it', async () => {
		const adopted = await adopt(small, group({ slotId: 2, tier: 3, studentIds: [4] }));
		await changeGroup(small.database, specialist, adopted.ids[0], { kind: 'pause', untilOn: null, on: TODAY }, '', NOW);
		expect(await undoAdoption(small.database, specialist, adopted.id, NOW)).toBe(false);
	});
});

describe('a meeting', () => {
	const record = (change: object = {}) => ({
		groupId,
		on: TODAY,
		held: true,
		whyNot: null,
		makesUp: null,
		note: 'went well',
		students: [
			{ studentId: 1, present: true, whyAway: null, ticketRight: 2 },
			{ studentId: 2, present: false, whyAway: null, ticketRight: null }
		],
		...change
	});
	const read = async () =>
		(
			await meetingRecords(small.database, staffAs('specialist'), [groupId], {
				from: TODAY,
				until: TODAY,
				today: TODAY
			})
		)[0];

	it('keeps why it was not held, and why somebody was not there', async () => {
		const away = { studentId: 2, present: false, whyAway: 'kept by the class' as const, ticketRight: null };
		const none = await recordMeeting(small.database, specialist, record({ students: [away] }), NOW);
		expect((await read()).students).toEqual([away]);
		const reasons = (from: string) => absencesByReason(small.database, seen(1, 2), [groupId], { from, until: TODAY });
		expect(await reasons(TODAY)).toEqual([{ why: 'kept by the class', times: 1 }]);
		expect(await reasons(addDays(TODAY, 1))).toEqual([]);
		expect(await absencesByReason(small.database, seen(1), [groupId], { from: TODAY, until: TODAY })).toEqual([]);
		await recordMeeting(small.database, specialist, record({ held: false, whyNot: 'testing', students: [] }), NOW);
		expect(await read()).toMatchObject({ held: false, whyNot: 'testing' });
		await recordMeeting(small.database, specialist, none!, NOW);
	});

	it('stands in place of a planned one that it makes up for', async () => {
		const days = async () =>
			(await sessionDaysOf(small.database, seen(1), { ...small.school, today: addDays(TODAY, 1) })).get(
				`1 ${groupId}`
			)!;
		const before = await days();
		const missed = before.findLast(({ is }) => is === 'not held')!;
		const none = await recordMeeting(small.database, specialist, record({ makesUp: missed.on }), NOW);
		const now = await days();
		expect(now.find(({ on }) => on === missed.on)).toEqual({ on: missed.on, is: 'attended' });
		expect(now.length).toBe(before.length);
		await recordMeeting(small.database, specialist, none!, NOW);
	});

	it('is written down with who was there and how the exit ticket went, and put back as it was', async () => {
		expect(await recordMeeting(small.database, elsewhere, record(), NOW)).toBeNull();
		const none = await recordMeeting(small.database, specialist, record(), NOW);
		expect(none).toMatchObject({ students: [], note: '' });
		expect(await read()).toEqual(record());
		const before = await recordMeeting(
			small.database,
			specialist,
			record({ note: '', students: [{ studentId: 1, present: false, whyAway: null, ticketRight: null }] }),
			NOW
		);
		await recordMeeting(small.database, specialist, before!, NOW);
		expect(await read()).toEqual(record());
		await recordMeeting(small.database, specialist, none!, NOW);
		expect(await read()).toBeUndefined();
	});

	it('that was not held counts for nobody', async () => {
		await recordMeeting(small.database, specialist, record({ held: false }), NOW);
		expect(await read()).toMatchObject({ held: false, students: [] });
	});
});

describe('a note', () => {
	it('is read newest first, and taken back by who wrote it only', async () => {
		const write = (text: string) =>
			writeNote(small.database, specialist, { studentId: 1, groupId, on: TODAY, text }, NOW);
		await write('first');
		const id = await write('second');
		expect((await notesOn(small.database, seen(1, 2))).map(({ text, by }) => [text, by])).toEqual([
			['second', 'Staff 2'],
			['first', 'Staff 2']
		]);
		expect(await removeNote(small.database, staffAs('teacher'), id, true, NOW)).toBe(false);
		expect(await removeNote(small.database, specialist, id, false, NOW)).toBe(false);
		expect(await removeNote(small.database, specialist, id, true, NOW)).toBe(true);
		expect(await removeNote(small.database, specialist, id, false, NOW)).toBe(true);
		expect(await notesOn(small.database, seen(1))).toHaveLength(2);
		expect(await removeNote(small.database, specialist, id, true, NOW)).toBe(true);
		expect((await notesOn(small.database, seen(1))).map(({ text }) => text)).toEqual(['first']);
		expect(await notesOn(small.database, [])).toEqual([]);
	});
});
