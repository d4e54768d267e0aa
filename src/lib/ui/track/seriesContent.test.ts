import { describe, expect, it } from 'vitest';
import { phaseMarks } from './seriesContent';

const skillName = (id: number) => `skill ${id}`;

describe('phase lines of a series', () => {
	it('names what began on one day once, where it is among the weeks', () => {
		expect(
			phaseMarks(
				[
					{ is: 'group', on: '2026-10-26', name: 'Mornings' },
					{ is: 'tier', on: '2026-10-26', tier: 2 },
					{ is: 'focus', on: '2026-11-09', skillId: 4 },
					{ is: 'verdict', on: '2026-11-09', verdict: 'adjust', change: 'smaller steps' }
				],
				'2026-10-12',
				skillName
			)
		).toEqual([
			{ at: 2, says: 'group begins, tier 2, Oct 26' },
			{ at: 4, says: 'focus: skill 4, smaller steps, Nov 9' }
		]);
	});
});
