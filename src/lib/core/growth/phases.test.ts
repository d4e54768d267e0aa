import { describe, expect, it } from 'vitest';
import { adjustmentsTried, type Phase, phaseWeeks } from './phases';

const taken = [
	{ week: 0, on: '2026-10-06' },
	{ week: 1, on: '2026-10-13' },
	{ week: 3, on: '2026-10-27' }
];

describe('phases', () => {
	it('begin before the first probe that was taken on their day or later', () => {
		expect(phaseWeeks([{ on: '2026-10-13' }], taken)).toEqual([1]);
		expect(phaseWeeks([{ on: '2026-10-14' }, { on: '2026-10-20' }], taken)).toEqual([3]);
	});

	it('are none where no probe followed yet, or none came before', () => {
		expect(phaseWeeks([{ on: '2026-10-28' }, { on: '2026-10-01' }], taken)).toEqual([]);
		expect(phaseWeeks([{ on: '2026-10-13' }], [])).toEqual([]);
	});

	it('count as adjustments where the plan was changed for what the probes said, once a day', () => {
		const phases: Phase[] = [
			{ is: 'group', on: '2026-10-05', name: 'Mornings' },
			{ is: 'tier', on: '2026-10-05', tier: 2 },
			{ is: 'verdict', on: '2026-10-20', verdict: 'adjust', change: '' },
			{ is: 'focus', on: '2026-10-20', skillId: 4 },
			{ is: 'verdict', on: '2026-11-01', verdict: 'fade', change: '' }
		];
		expect(adjustmentsTried(phases)).toBe(1);
		expect(adjustmentsTried([...phases, { is: 'focus', on: '2026-11-03', skillId: 5 }])).toBe(2);
		expect(adjustmentsTried([])).toBe(0);
	});
});
