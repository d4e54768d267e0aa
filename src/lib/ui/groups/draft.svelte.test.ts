import { beforeEach, describe, expect, it, vi } from 'vitest';
import { usualLimits, type GroupingProblem, type GroupingResult } from '$lib/core/grouping';
import type { GroupingRequest } from '$lib/workers/grouping.worker';

class FakeWorker {
	static last: FakeWorker;
	onmessage: (event: { data: unknown }) => void = () => {};
	posted: GroupingRequest[] = [];
	ended = false;
	constructor() {
		FakeWorker.last = this;
	}
	postMessage(message: GroupingRequest) {
		this.posted.push(message);
	}
	terminate() {
		this.ended = true;
	}
	report(kind: 'progress' | 'done', result: Partial<GroupingResult>) {
		this.onmessage({
			data: { kind, result: { bound: 3, gap: 0.1, unplaced: [], groups: [], objective: 0, ...result } }
		});
	}
}
vi.mock('$lib/workers/grouping.worker?worker', () => ({ default: FakeWorker }));
const { Draft } = await import('./draft.svelte');

const problem: GroupingProblem = {
	students: ['1', '2', '3'].map((id) => ({ id, tier: 2, needs: { x: 0.5, y: 0.25 }, available: ['s', 't'] })),
	slots: [{ id: 's' }, { id: 't' }],
	sizes: { 2: { minimum: 1, maximum: 3 }, 3: { minimum: 1, maximum: 2 } },
	apart: [],
	together: []
};
const one = { objective: 1, groups: [{ slotId: 's', focusId: 'x', studentIds: ['1', '2'] }] };
const two = {
	objective: 1.25,
	groups: [...one.groups, { slotId: 't', focusId: 'y', studentIds: ['3'] }],
	unplaced: []
};
let draft: InstanceType<typeof Draft>;
const board = () => draft.columns.map(({ slotId, chips }) => [slotId, chips.map(({ id }) => id).join('')]);

beforeEach(() => {
	draft = new Draft({ problem });
});

describe('a draft', () => {
	it('poses the problem with the limits as they are set', () => {
		draft.limits.sizes[2].maximum = 2;
		draft.limits.slotIds = ['t'];
		draft.suggest();
		const posed = FakeWorker.last.posted[0].problem as GroupingProblem;
		expect(posed.sizes[2]).toEqual({ minimum: 1, maximum: 2 });
		expect(posed.slots).toEqual([{ id: 't' }]);
		expect(posed.students.every(({ available }) => available.join() === 't')).toBe(true);
		expect(problem.sizes[2].maximum).toBe(3);
	});

	it('follows the best grouping found so far, and says who is left out and why', () => {
		draft.suggest();
		expect(draft.solving).toBe(true);
		FakeWorker.last.report('progress', { ...one, unplaced: [{ studentId: '3', reason: 'No slot is left' }] });
		expect(board()).toEqual([['s', '12']]);
		expect(draft.out).toEqual([{ id: '3' }]);
		expect(draft.reasons.get('3')).toBe('No slot is left');
		FakeWorker.last.report('done', two);
		expect(board()).toEqual([
			['s', '12'],
			['t', '3']
		]);
		expect(draft).toMatchObject({ solving: false, placed: 3, edited: false });
	});

	it('leaves a board that a person has changed alone, while the proof goes on', () => {
		draft.suggest();
		FakeWorker.last.report('progress', one);
		draft.move('1', '');
		FakeWorker.last.report('progress', { ...two, bound: 1.3 });
		expect(board()).toEqual([['s', '2']]);
		expect(draft.result?.bound).toBe(1.3);
	});

	it('moves a student between groups and out of all, losing nobody', () => {
		draft.suggest();
		FakeWorker.last.report('done', two);
		draft.move('1', 't');
		expect(board()).toEqual([
			['s', '2'],
			['t', '31']
		]);
		draft.move('3', '');
		draft.move('3', 's');
		expect(board()).toEqual([
			['s', '23'],
			['t', '1']
		]);
		expect(draft.out).toEqual([]);
		expect(draft.placed).toBe(3);
		expect(draft.worth(draft.columns[0])).toBeCloseTo(1, 12);
	});

	it('says why nothing was found, and can be asked again', () => {
		draft.suggest();
		FakeWorker.last.onmessage({ data: { kind: 'failed', message: 'a pair names students 1 and 9' } });
		expect(draft).toMatchObject({ failure: 'a pair names students 1 and 9', solving: false });
		draft.suggest();
		expect(draft).toMatchObject({ failure: '', solving: true, result: null });
	});

	it('keeps what was found when it is stopped', () => {
		draft.suggest();
		FakeWorker.last.report('progress', one);
		draft.stop();
		expect(FakeWorker.last.ended).toBe(true);
		expect(board()).toEqual([['s', '12']]);
		expect(draft.solving).toBe(false);
	});

	it('poses how many groups may be formed, what staying is worth, who is left out, and who must be apart', () => {
		draft.limits.mostGroups = 1;
		draft.limits.keepWorth = 0.25;
		draft.limits.excludedIds = ['2'];
		draft.limits.apart = [['1', '3']];
		draft.suggest();
		const posed = FakeWorker.last.posted[0].problem as GroupingProblem;
		expect(posed).toMatchObject({ mostGroups: 1, keepWorth: 0.25, apart: [['1', '3']] });
		expect(posed.students.map(({ available }) => available.length)).toEqual([2, 0, 2]);
	});

	it('holds what is proven for true only while limits and students are as they were', () => {
		draft.suggest();
		FakeWorker.last.report('done', two);
		expect(draft.isProven).toBe(true);
		draft.move('1', 't');
		expect(draft.isProven).toBe(true);
		draft.limits.mostGroups = 1;
		expect(draft.isProven).toBe(false);
		draft.limits.mostGroups = null;
		expect(draft.isProven).toBe(true);
		draft.add({ id: '9', tier: 2, needs: { x: 1 }, available: ['s'] }, []);
		expect(draft.isProven).toBe(false);
	});

	it('tells what each place would cost while a student is held, and no more once they are put down', () => {
		draft.suggest();
		FakeWorker.last.report('done', two);
		draft.lift('3');
		expect(draft.costOf('s')).toEqual({ slotId: 's', change: expect.closeTo(0.25, 12), breaks: [] });
		expect(draft.costOf(null)).toMatchObject({ change: expect.closeTo(-0.25, 12) });
		expect(draft.costOf('t')).toBeNull();
		draft.move('3', 's');
		expect(draft.lifted).toBeNull();
		expect(draft.judged.worth).toBeCloseTo(1.5, 12);
	});

	it('asks who was close to another group once the search has ended, and forgets it when the board is changed', () => {
		draft.suggest();
		FakeWorker.last.report('done', two);
		expect(FakeWorker.last.posted[0]).toMatchObject({ kind: 'close calls' });
		FakeWorker.last.onmessage({
			data: { kind: 'close calls', calls: [{ studentId: '3', slotId: 's', loss: 0.05 }] }
		});
		expect(draft.closeCalls).toHaveLength(1);
		expect(FakeWorker.last.ended).toBe(true);
		draft.move('3', '');
		expect(draft.closeCalls).toEqual([]);
	});

	it('tells what one more meeting time would bring for those who have no group', () => {
		draft = new Draft({ problem, openTimes: [{ id: '2 10:05', availableIds: ['2', '3'] }] });
		draft.suggest();
		FakeWorker.last.report('done', one);
		expect(draft.more).toMatchObject([{ slotId: '2 10:05', focusId: 'x', studentIds: ['3'] }]);
		draft.move('3', 's');
		expect(draft.more).toEqual([]);
	});

	it('takes one more student in', () => {
		draft.suggest();
		FakeWorker.last.report('done', two);
		const ann = { id: '9', tier: 3 as const, needs: { x: 1.2 }, available: ['s'] };
		draft.add(ann, []);
		draft.add(ann, []);
		expect(draft.out).toEqual([{ id: '9' }]);
		draft.move('9', 's');
		expect(draft.judged.broken).toContainEqual({ limit: 'mixed tiers', slotId: 's' });
		expect(draft.need('9', 'x')).toBe(1.2);
	});

	it('goes on from a draft that was kept, without those who are gone', () => {
		draft = new Draft({
			problem,
			kept: {
				groups: [
					{ slotId: 's', focusId: 'x', tier: 2, studentIds: ['1', '77'] },
					{ slotId: 'gone', focusId: 'y', tier: 2, studentIds: ['2'] }
				],
				limits: { ...usualLimits(problem), mostGroups: 2 },
				bound: 2
			}
		});
		expect(board()).toEqual([['s', '1']]);
		expect(draft.out.map(({ id }) => id)).toEqual(['2', '3']);
		expect(draft.result).toMatchObject({ objective: 0.5, bound: 2, gap: 0.75 });
		expect(draft.posed.mostGroups).toBe(2);
	});

	it('claims nothing to be proven of a kept draft once something has changed', () => {
		const groups = [{ slotId: 's', focusId: 'x', tier: 2 as const, studentIds: ['1'] }];
		draft = new Draft({ problem, kept: { groups, limits: usualLimits(problem), bound: null } });
		expect(draft.result).toMatchObject({ objective: 0.5, bound: Infinity, gap: 0 });
		expect(draft.isProven).toBe(false);
	});

	it('poses mixed groups on one focus with who can help', () => {
		draft = new Draft({ problem, mixing: { focusId: 'x', helperIds: ['3'] } });
		draft.limits.sizes[2] = { minimum: 2, maximum: 4 };
		draft.suggest();
		const [{ kind, problem: posed }] = FakeWorker.last.posted;
		expect(kind).toBe('mixed');
		expect(posed).toMatchObject({
			size: { minimum: 2, maximum: 4 },
			students: [
				{ need: 0.5, canHelp: false },
				{ need: 0.5, canHelp: false },
				{ need: 0.5, canHelp: true }
			]
		});
		FakeWorker.last.report('done', one);
		expect(draft.judged.broken).toEqual([{ limit: 'helpers', slotId: 's', count: 0, minimum: 1, maximum: 2 }]);
		draft.move('3', 's');
		expect(draft.judged).toEqual({ worth: 1, broken: [] });
	});
});
