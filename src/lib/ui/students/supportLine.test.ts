import { describe, expect, it } from 'vitest';
import { layOutSupport } from './supportLine';

const TODAY = '2026-11-23';

describe('the line of a student’s support', () => {
	it('is none where there was none', () => {
		expect(layOutSupport({ tiers: [], groups: [], verdicts: [] }, TODAY)).toBeNull();
		expect(
			layOutSupport({ tiers: [], groups: [], verdicts: [{ verdict: 'exit', effectiveOn: null, change: '' }] }, TODAY)
		).toBeNull();
	});

	it('has everything at its place between the first day and the last', () => {
		const line = layOutSupport(
			{
				tiers: [
					{ tier: 3, fromOn: '2026-10-26', untilOn: null },
					{ tier: 2, fromOn: '2026-08-17', untilOn: '2026-10-26' }
				],
				groups: [
					{ name: 'Late', fromOn: '2026-10-26', untilOn: '2026-12-21' },
					{ name: 'Early', fromOn: '2026-08-17', untilOn: '2026-10-26' },
					{ name: 'Beside', fromOn: '2026-11-02', untilOn: '2026-12-21' }
				],
				verdicts: [
					{ verdict: 'adjust', effectiveOn: '2026-11-09', change: 'smaller steps' },
					{ verdict: 'intensify', effectiveOn: '2026-10-26', change: '' }
				]
			},
			TODAY
		)!;
		const [three, two] = line.tiers;
		expect(two).toMatchObject({ tier: 2, from: 0 });
		expect(three.from).toBeCloseTo(two.width, 12);
		expect(three.from + three.width).toBe(1);
		// One after the other shares a row; what runs beside has its own.
		expect(line.groups.map((row) => row.map(({ says }) => says))).toEqual([['Early', 'Late'], ['Beside']]);
		expect(line.marks.map(({ says, row }) => [says, row])).toEqual([
			['intensify, Oct 26', 0],
			['adjust: smaller steps, Nov 9', 1]
		]);
		expect(line.marks[0].at).toBeCloseTo(three.from, 12);
		expect(line.months.map(({ says }) => says)).toEqual(['Sep', 'Oct', 'Nov', 'Dec']);
		expect(line.today).toBeGreaterThan(line.marks[1].at);
	});

	it('is three months long at least, so that a new student has one', () => {
		const line = layOutSupport(
			{ tiers: [{ tier: 2, fromOn: '2026-11-20', untilOn: null }], groups: [], verdicts: [] },
			TODAY
		)!;
		expect(line.tiers[0].from).toBeGreaterThan(0.9);
		expect(line.months.length).toBeGreaterThan(1);
	});
});
