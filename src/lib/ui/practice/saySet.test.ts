import { describe, expect, it } from 'vitest';
import { NO_VARIATION, USUAL_HOW, USUAL_FOLLOW } from '$lib/core/practice';
import { sayAfterDue, sayDue, sayHow, sayVariation } from './saySet';

describe('a set in words', () => {
	it('says when it is due and what happens then', () => {
		expect(sayDue({ dueOn: null, dueMinute: null })).toBe('no due date');
		expect(sayDue({ dueOn: '2026-12-04', dueMinute: 960 })).toBe('due Fri, Dec 4, 16:00');
		const due = { dueOn: '2026-12-04', dueMinute: null };
		expect(sayAfterDue({ ...due, closes: false })).toContain('After Fri, Dec 4 it stays open');
		expect(sayAfterDue({ ...due, closes: true })).toContain('no answers');
		expect(sayAfterDue({ dueOn: null, dueMinute: null, closes: false })).toContain('stays open until you take it back');
	});

	it.each([
		[{}, ''],
		[{ practice: 6, readAloud: true }, '6 questions; read aloud'],
		[{ practice: 6, families: 'easier' as const, hints: false }, '6 easier questions; no hints'],
		[
			{ families: 'harder' as const, hints: true, readAloud: false, largerType: true },
			'harder questions; hints; not read aloud; larger type'
		],
		[{ largerType: false }, 'usual type']
	])('says what is otherwise for some: %j', (own, said) => {
		expect(sayVariation({ ...NO_VARIATION, ...own })).toBe(said);
	});

	it('says nothing of what is as usual', () => {
		expect(sayHow(USUAL_HOW)).toEqual([]);
		expect(
			sayHow({
				...USUAL_FOLLOW,
				older: 2,
				untilRight: 6,
				ownQuestions: true,
				feedback: 'none',
				hints: false,
				secondTry: false,
				solutions: false,
				pausing: false,
				doneOnly: true
			})
		).toEqual([
			...['until 6 are right at the first try', '2 from before mixed in', 'numbers of their own'],
			...['not told what was right', 'no hints', 'one try each', 'no solutions', 'in one go'],
			'only counts whether it is done'
		]);
	});
});
