import { describe, expect, it } from 'vitest';
import { figureInWords, misconceptions, type Figure } from '.';
import { itemFamilies, itemFrom } from './bank';

describe('figures in words', () => {
	it.each<[Figure, string]>([
		[{ kind: 'grid', rows: 1, columns: 5, shaded: 2 }, 'A strip of 5 equal parts. 2 of them are shaded.'],
		[{ kind: 'grid', rows: 3, columns: 4, shaded: 7 }, 'A rectangle of 3 rows of 4 equal parts. 7 of them are shaded.'],
		[{ kind: 'coins', cents: [25, 10, 1] }, 'Coins: quarter, dime, penny.'],
		[
			{ kind: 'clock', hour: 4, minute: 0 },
			'A clock. The short hand is at 4. The long hand points at minute mark 0, at the number 12.'
		],
		[
			{ kind: 'clock', hour: 4, minute: 17 },
			'A clock. The short hand is past 4. The long hand points at minute mark 17.'
		],
		[{ kind: 'jumps', stops: ['3', '5', '9'], jumps: ['2', '4'] }, 'Jumps on a line: from 3 2 to 5, then 4 to 9.'],
		[
			{ kind: 'scale', of: 'jug', to: 500, step: 50, value: 125, unit: 'milliliters' },
			'A jug with a mark every 50 milliliters. It reads between 100 and 150.'
		],
		[
			{ kind: 'crossing', degrees: 40, labels: ['40°', '', 'x', ''] },
			'Two lines cross. right angle 40°. left angle x.'
		],
		[
			{ kind: 'plane', from: 0, to: 5, points: [{ label: 'A', x: 1, y: 2 }], segments: [[0, 0, 1, 2]] },
			'Point A is at 1 across and 2 up. A line goes from (0, 0) to (1, 2).'
		]
	])('%j', (figure, words) => {
		expect(figureInWords(figure)).toBe(words);
	});

	it('do not give the answer of a scale to read away', () => {
		for (const id of ['read-jug', 'read-weight'])
			for (let seed = 0; seed < 40; seed++) {
				const item = itemFrom(id, seed);
				expect(figureInWords(item.figure!).match(/It reads .*/)![0]).not.toContain(` ${String(item.key)}.`);
			}
	});
});

describe('the catalog of wrong ideas', () => {
	it('has at least 80, each with what it shows and what to try, and no two told alike', () => {
		const all = Object.values(misconceptions);
		expect(all.length).toBeGreaterThanOrEqual(80);
		for (const { shows, attempt } of all) {
			expect(shows).toMatch(/^[A-Z].*\.$/);
			expect(attempt).toMatch(/^[A-Z“].*[.?!”]$/);
		}
		expect(new Set(all.map(({ shows }) => shows)).size).toBe(all.length);
	});

	it('holds no idea that never shows itself in an answer', () => {
		const shown = new Set(['notCollected']);
		for (const { id } of itemFamilies)
			for (let seed = 0; seed < 60; seed++)
				for (const { misconception } of itemFrom(id, seed).expectedErrors) shown.add(misconception);
		expect(
			Object.keys(misconceptions)
				.filter((id) => !shown.has(id))
				.join()
		).toBe('');
	});
});
