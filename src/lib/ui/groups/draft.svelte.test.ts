import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { GroupingProblem, GroupingResult } from '$lib/core/grouping';

class FakeWorker {
	static last: FakeWorker;
	onmessage: (event: { data: unknown }) => void = () => {};
	posted: { problem: GroupingProblem; timeLimitMs: number }[] = [];
	ended = false;
	constructor() {
		FakeWorker.last = this;
	}
	postMessage(message: { problem: GroupingProblem; timeLimitMs: number }) {
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
	draft = new Draft(problem);
});

describe('a draft', () => {
	it('poses the problem with the limits as they are set', () => {
		draft.sizes[2].maximum = 2;
		draft.chosenSlots = ['t'];
		draft.suggest();
		const [{ problem: posed }] = FakeWorker.last.posted;
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
		expect(FakeWorker.last.ended).toBe(true);
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
});
