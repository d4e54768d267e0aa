import { describe, expect, it } from 'vitest';
import { Decision, type DecisionBasis, type JoinChoice } from './decision.svelte';

const group = (id: number, tier: 2 | 3): JoinChoice => ({
	...{ id, tier, name: `Group ${id}`, focusSkillId: id, focus: `Skill ${id}`, when: 'Mon 9:00', members: 2, places: 1 }
});
const begin = (change: Partial<DecisionBasis> = {}) =>
	new Decision({
		...{ name: 'Ada', tier: 2, advice: 'continue', groupName: 'Tern', own: { tier: 2 } },
		fitting: [group(1, 2), group(2, 3), group(3, 3)],
		dates: { effectiveOn: '2026-11-30', nextReviewOn: '2026-12-18' },
		goal: { right: 14, on: '2026-12-20' },
		...change
	});
const named = (id: number) => `Skill ${id}`;

describe('a decision', () => {
	it('begins with what is advised, and going on where too little is known', () => {
		expect(begin().verdict).toBe('continue');
		expect(begin({ advice: 'not enough yet' }).verdict).toBe('continue');
		const exit = begin({ advice: 'exit' });
		expect([exit.verdict, exit.tier, exit.group]).toEqual(['exit', 1, 'leaves']);
		expect(exit.said(named)).toMatchObject({ leaves: true, joins: null, nextReviewOn: null });
	});

	it('that gives more chooses the group that fits best; another is kept while it is offered', () => {
		const decision = begin({ advice: 'intensify' });
		expect([decision.tier, decision.group]).toEqual([3, '2']);
		expect(decision.said(named).joins).toBe('“Group 2” (Skill 2, Mon 9:00)');
		decision.group = '3';
		expect(decision.joins?.id).toBe(3);
		decision.tier = 2;
		expect([decision.group, decision.joins]).toEqual(['stays', null]);
		decision.group = '3';
		// Not of the tier that is chosen.
		expect(decision.group).toBe('stays');
		decision.choose('intensify');
		expect(decision.group).toBe('2');
		expect(begin({ advice: 'intensify', fitting: [] }).group).toBe('stays');
	});

	it('is said to be against the advice, and says only what is another than now', () => {
		const decision = begin();
		expect(decision.isAsAdvised).toBe(true);
		expect(decision.said(named)).toMatchObject({ goal: null, focus: null, tasks: 0, tellsFamily: false });
		decision.choose('adjust');
		expect(decision.isAsAdvised).toBe(false);
		decision.goalCorrect = 12;
		decision.focus = 7;
		decision.familyTold = '  ';
		decision.tasks.push({ what: ' ', who: 1, due: '2026-12-01' }, { what: 'Call', who: 1, due: '2026-12-01' });
		expect(decision.said(named)).toMatchObject({
			...{ focus: 'Skill 7', tasks: 1, tellsFamily: false },
			goal: { right: 12, on: '2026-12-20' }
		});
	});
});
