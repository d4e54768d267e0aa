import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { post } from '../../../../tests/formPost';
import { NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import type { DraftLimits } from '../../core/grouping';
import { adoptAction, choicesOf, keepAction } from './draftForm';
import { undoAdoption } from './store/adoptions';
import { draftList, findDraft } from './store/drafts';
import { currentGroups } from './store/groups';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('draft_form');
});
afterAll(() => small.database.close());

const specialist = staffAs('specialist');
const focus = () => String(small.skills[0].id);
interface Group {
	slotId: string;
	focusId: string;
	tier: 2 | 3;
	studentIds: string[];
}
const group = (change: Partial<Group> = {}): Group => ({
	slotId: '1',
	focusId: focus(),
	tier: 2,
	studentIds: ['1', '2', '5'],
	...change
});
const limits = (change: Partial<DraftLimits> = {}): DraftLimits => ({
	sizes: { 2: { minimum: 1, maximum: 6 }, 3: { minimum: 1, maximum: 3 } },
	slotIds: ['1', '2'],
	mostGroups: null,
	keepWorth: 0.1,
	excludedIds: [],
	apart: [],
	together: [],
	...change
});
const board = (groups: Group[], asked: DraftLimits = limits()) => ({
	groups: JSON.stringify(groups),
	limits: JSON.stringify(asked),
	students: '1,2,5,6'
});
const dates = { startsOn: TODAY, endsOn: addDays(TODAY, 27), reviewOn: addDays(TODAY, 24) };
const adopt = (fields: Record<string, string>, query = '?students=1,2,5,6') =>
	post(small, specialist, adoptAction, fields, { query });
const keep = (fields: Record<string, string>, query = '?students=1,2,5,6') =>
	post(small, specialist, keepAction, fields, { query });
const groupsNow = () => currentGroups(small.database, staffAs('specialist'), TODAY);

describe('what an address asks to group', () => {
	it('is read as ids, each once, and nothing else', () => {
		const read = (query: string) => choicesOf(new URL(`http://school.test/${query}`));
		expect(read('?students=3,1,3,x,-4,0,2.5,99999999999&regroup=7&focus=12&kind=mixed')).toEqual({
			kind: 'mixed',
			studentIds: [3, 1],
			regroups: [7],
			focusId: 12
		});
		expect(read('')).toEqual({ kind: 'same need', studentIds: [], regroups: [], focusId: null });
		expect(read(`?students=${Array.from({ length: 900 }, (_, i) => i + 1)}`).studentIds).toHaveLength(400);
	});
});

describe('adopting a board', () => {
	it('makes its groups real under names of their focus and time', async () => {
		const answer = await adopt({ ...board([group()]), ...dates, reason: 'as agreed' });
		expect(answer).toEqual({ adopted: expect.any(Number) });
		expect(await groupsNow()).toMatchObject([
			{
				name: `${small.skills[0].shortName} 09:00`,
				tier: 2,
				kind: 'same need',
				slotId: 1,
				studentIds: [1, 2, 5],
				endsOn: dates.endsOn
			}
		]);
		// The time is not free any more: the same board again is refused, and nothing is doubled.
		expect((await adopt({ ...board([group()]), ...dates, reason: 'again' })).problem).toMatch(
			/not free or does not exist/
		);
		expect(await groupsNow()).toHaveLength(1);
		expect(await undoAdoption(small.database, specialist, answer.adopted as number, NOW)).toBe(true);
		expect(await groupsNow()).toEqual([]);
	});

	it('judges limits itself: whoever sends the board, a broken one takes a reason', async () => {
		const broken: [Group[], DraftLimits][] = [
			[
				[group({ studentIds: ['1'] })],
				limits({ sizes: { 2: { minimum: 3, maximum: 6 }, 3: { minimum: 1, maximum: 3 } } })
			],
			[[group()], limits({ apart: [['1', '2']] })],
			[[group({ studentIds: ['1', '2'] })], limits({ together: [['1', '5']] })],
			// The second class is at lunch when the second slot meets.
			[[group({ slotId: '2', tier: 3, studentIds: ['5'] })], limits()]
		];
		for (const [groups, asked] of broken)
			expect((await adopt({ ...board(groups, asked), ...dates })).problem).toMatch(/^Limits are broken/);
		expect(await groupsNow()).toEqual([]);
	});

	it('is refused for what is not there, cannot be seen, or cannot be read', async () => {
		const reason = 'any';
		const refused: [Record<string, string>, RegExp][] = [
			[{ ...board([group({ studentIds: ['9'] })]), ...dates }, /^The draft names students you cannot see/],
			[{ ...board([group({ slotId: '77' })]), ...dates }, /not free or does not exist/],
			[{ ...board([group({ focusId: '99999' })]), ...dates }, /not free or does not exist/],
			[{ ...board([group(), group({ studentIds: ['6'] })]), ...dates }, /^Two groups share a meeting time/],
			[{ ...board([group()]), groups: '[{]', ...dates }, /^The draft cannot be read/],
			[{ ...board([group()]), limits: '{}', ...dates }, /^The limits cannot be read/],
			[{ ...board([group()]), ...dates, endsOn: TODAY }, /^The groups must end after they start/],
			[{ ...board([group()]), ...dates, startsOn: addDays(TODAY, -40) }, /^Start within two weeks back/]
		];
		for (const [fields, says] of refused) expect((await adopt({ ...fields, reason })).problem).toMatch(says);
		const contradiction = limits({ sizes: { 2: { minimum: 6, maximum: 2 }, 3: { minimum: 1, maximum: 3 } } });
		expect((await adopt({ ...board([group()], contradiction), ...dates, reason })).problem).toMatch(
			/^The limits contradict each other/
		);
		await expect(
			post(small, staffAs('teacher'), adoptAction, { ...board([group()]), ...dates, reason })
		).rejects.toMatchObject({ status: 403 });
		expect(await groupsNow()).toEqual([]);
	});
});

describe('keeping a board', () => {
	it('stores it with its limits, and with a bound that is never under what it is worth', async () => {
		const asked = limits({ mostGroups: 1, excludedIds: ['6'] });
		const answer = await keep({ ...board([group()], asked), name: ' Mondays ', bound: '0' });
		expect(answer.done).toBe('Kept as “Mondays”, beside the other drafts.');
		const [listed] = await draftList(small.database, 1);
		const draft = (await findDraft(small.database, 1, listed.id))!;
		expect(draft).toMatchObject({ name: 'Mondays', limits: asked, choices: { studentIds: [1, 2, 5, 6] } });
		const met = ['1', '2', '5'].reduce(
			(sum, id) => sum + (draft.problem.students.find((one) => one.id === id)!.needs[focus()] ?? 0),
			0
		);
		expect(draft.bound).toBeCloseTo(met, 9);
		expect((await keep({ ...board([group()]), name: '  ', bound: '1' })).problem).toMatch(/^Give the draft a name/);
		expect(await draftList(small.database, 1)).toHaveLength(1);
	});
});
