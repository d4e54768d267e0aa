import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeSkillGraph } from '../mastery';
import { ABOVE_STEPS, BELOW_STEPS, followOn, USUAL_FOLLOW, type FinishedRun, type FollowKnown } from './followOn';

// 1 and 2 lead to 3, 3 to 4, and 3 with 5 to 6.
const graph = makeSkillGraph(
	[1, 2, 3, 4, 5, 6],
	[
		{ prerequisite: 1, skill: 3 },
		{ prerequisite: 2, skill: 3 },
		{ prerequisite: 3, skill: 4 },
		{ prerequisite: 3, skill: 6 },
		{ prerequisite: 5, skill: 6 }
	]
);
const standing = (mastered: number) => ({ mastered, answers: 5, lastOn: '2026-11-02' });
const known = (more: Partial<FollowKnown> = {}): FollowKnown => ({
	standings: new Map([
		[1, standing(0.4)],
		[2, standing(0.2)],
		[3, standing(0.6)],
		[5, standing(0.9)]
	]),
	hasOneWaiting: false,
	waiting: new Set(),
	hasItems: () => true,
	failed: () => 0,
	...more
});
const run = (more: Partial<FinishedRun> = {}, rule = {}): FinishedRun => ({
	...{ right: 4, answered: 5, skills: [3], practice: 5, depth: 0 },
	...more,
	rule: { ...USUAL_FOLLOW, ...rule }
});

describe('what follows a finished set', () => {
	it('is nothing above the line and word to a person below it, unless somebody says otherwise', () => {
		expect(followOn(run(), graph, known())).toEqual({ kind: 'nothing' });
		expect(followOn(run({ right: 3 }), graph, known())).toEqual({ kind: 'notice', why: 'below' });
		expect(followOn(run({ right: 3 }, { line: 60 }), graph, known())).toEqual({ kind: 'nothing' });
		expect(followOn(run({ right: 0, answered: 0 }), graph, known()).kind).toBe('notice');
		expect(followOn(run({ right: 0 }, { below: 'nothing' }), graph, known())).toEqual({ kind: 'nothing' });
	});

	it('can be the set once more, while none waits and it is not the third run in a row', () => {
		const once = (depth: number, more?: Partial<FollowKnown>) =>
			followOn(run({ right: 1, depth }, { below: 'again' }), graph, known(more));
		expect(once(0)).toEqual({ kind: 'again' });
		expect(once(1)).toEqual({ kind: 'again' });
		expect(once(2)).toEqual({ kind: 'notice', why: 'two in a row' });
		expect(once(0, { hasOneWaiting: true })).toEqual({ kind: 'notice', why: 'one waits' });
		expect(followOn(run({ right: 4 }, { below: 'again' }), graph, known())).toEqual({ kind: 'nothing' });
	});

	it('above the line can be what builds on it and lacks nothing else', () => {
		const next = (more?: Partial<FollowKnown>) => followOn(run({}, { above: 'next skill' }), graph, known(more));
		expect(next()).toMatchObject({ kind: 'next skill', skills: [4], practice: 5, hasExample: true });
		expect(next({ waiting: new Set([4]) })).toMatchObject({ skills: [6] });
		// 5 is missing too, so that 6 is not next.
		const without = new Map([...known().standings, [5, standing(0.1)]] as const);
		expect(next({ waiting: new Set([4]), standings: without })).toEqual({ kind: 'nothing' });
		expect(next({ hasItems: () => false })).toEqual({ kind: 'nothing' });
	});

	it('above the line can be the same, mixed with some from before', () => {
		expect(followOn(run({}, { above: 'mixed' }), graph, known())).toMatchObject({
			kind: 'mixed',
			skills: [3],
			older: 4
		});
	});

	it('below it can be the prerequisite that is most likely missing, or word where none is', () => {
		const before = (more?: Partial<FollowKnown>) =>
			followOn(run({ right: 1 }, { below: 'prerequisite' }), graph, known(more));
		expect(before()).toMatchObject({ kind: 'prerequisite', skills: [2] });
		expect(before({ failed: (skill) => (skill === 2 ? 3 : 0) })).toMatchObject({ skills: [1] });
		expect(before({ standings: new Map() })).toEqual({ kind: 'notice', why: 'nothing fits' });
	});

	it('below it can be an example and half of the questions, three at least', () => {
		const half = (practice: number) => followOn(run({ right: 1, practice }, { below: 'half' }), graph, known());
		expect(half(10)).toMatchObject({ kind: 'half', skills: [3], practice: 5, hasExample: true });
		expect(half(3)).toMatchObject({ practice: 3 });
	});

	it('is never a second that waits, nor a third in a row, whatever was said', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...ABOVE_STEPS),
				fc.constantFrom(...BELOW_STEPS),
				fc.integer({ min: 0, max: 10 }),
				fc.integer({ min: 0, max: 4 }),
				fc.boolean(),
				(above, below, right, depth, hasOneWaiting) => {
					const found = followOn(
						run({ right, answered: 10, depth }, { above, below }),
						graph,
						known({ hasOneWaiting })
					);
					if (hasOneWaiting || depth >= 2) expect(['nothing', 'notice']).toContain(found.kind);
					// Nobody is told of what went well.
					if (right >= 8) expect(found.kind).not.toBe('notice');
					if (right < 8 && below !== 'nothing') expect(found.kind).not.toBe('nothing');
				}
			)
		);
	});
});
