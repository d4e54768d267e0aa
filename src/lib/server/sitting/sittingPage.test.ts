import { describe, expect, it } from 'vitest';
import { itemFamilies, itemFrom, makeItem } from '../../core/items/bank';
import { askedItem, spokenText } from './sittingPage';

describe('what is read aloud', () => {
	it('is the question in words, then its options by letter', () => {
		expect(
			spokenText({
				stem: 'Which is $\\frac{1}{2}$?',
				response: { kind: 'choice', options: ['$0.5$', '$\\frac{2}{3}$'] }
			})
		).toBe('Which is 1 over 2? A: 0.5. B: 2 over 3.');
	});

	it('holds no sign of a formula, for any family', () => {
		for (const family of itemFamilies) {
			for (const seed of [1, 2, 3]) expect(spokenText(makeItem(family, seed)), family.id).not.toMatch(/[$\\{}^]/);
		}
	});
});

describe('a question of a diagnostic', () => {
	it('travels without key, hint or solution', () => {
		for (const { id } of itemFamilies) {
			const told = JSON.stringify(askedItem({ position: 0, item: itemFrom(id, 7) }));
			expect(told, id).not.toMatch(/"(key|alsoRight|expectedErrors|hint|solution|solutionFigure|misconceptions)":/);
		}
	});
});
