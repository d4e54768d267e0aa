import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Item } from '../../core/items';
import { itemFamilies, itemFrom } from '../../core/items/bank';
import { answerHtml, mathHtml, showItem, showItemWithKey } from './presentItem';

describe('text with formulas', () => {
	it('is escaped, whatever it holds', () => {
		fc.assert(
			fc.property(
				fc.string().filter((text) => !text.includes('$')),
				(text) => {
					const html = mathHtml(text);
					expect(html).not.toMatch(/[<>"']/);
					const back = html
						.replaceAll('&lt;', '<')
						.replaceAll('&gt;', '>')
						.replaceAll('&quot;', '"')
						.replaceAll('&#39;', "'")
						.replaceAll('&amp;', '&');
					expect(back).toBe(text);
				}
			)
		);
	});

	it('has TeX as MathML, for the eye and for a screen reader', () => {
		const html = mathHtml('Is $\\frac{1}{2}$ < 1?');
		expect(html).toMatch(/^Is <span class="katex"><math .*<mfrac>.*<\/math><\/span> &lt; 1\?$/s);
	});

	it('does not break on TeX that is none, and lets no markup through it', () => {
		expect(mathHtml('$\\frac{1$')).toContain('frac');
		expect(mathHtml('$<img src=x onerror=alert(1)>$')).not.toContain('<img');
	});
});

describe('an answer in words', () => {
	const typed = { response: { kind: 'text' } } as Pick<Item, 'response'>;

	it('that a student typed is text, never a formula', () => {
		expect(answerHtml(typed, '$\\huge{x}$ <b>')).toBe('$\\huge{x}$ &lt;b&gt;');
		expect(answerHtml(typed, 'seven')).toBe('seven');
	});

	it('that is one of ours may hold formulas', () => {
		const choice = { response: { kind: 'choice', options: ['$\\frac{1}{2}$', '2'] } } as Pick<Item, 'response'>;
		expect(answerHtml(choice, 0)).toContain('<mfrac>');
		expect(answerHtml({ response: { kind: 'fraction' } } as Pick<Item, 'response'>, '1/2')).toContain('<mfrac>');
	});
});

describe('a question ready to show', () => {
	it('gives the key away only where it is asked for, in every family', () => {
		for (const { id } of itemFamilies) {
			const item = itemFrom(id, 11);
			const shown = showItem(item);
			expect(Object.keys(shown).sort(), id).toEqual([
				'figure',
				'leftHtml',
				'optionsHtml',
				'response',
				'stem',
				'stemHtml'
			]);
			const open = showItemWithKey(item);
			expect(open.key).toEqual(item.key);
			expect(open.solutionHtml.length).toBe(item.solution.length);
			expect(open.misconceptions.length).toBe(item.expectedErrors.length);
			for (const { shows } of open.misconceptions) expect(shows.length).toBeGreaterThan(5);
		}
	});

	it('has one text for each option', () => {
		for (const { id } of itemFamilies) {
			const shown = showItem(itemFrom(id, 3));
			expect(shown.optionsHtml.length).toBe('options' in shown.response ? shown.response.options.length : 0);
		}
	});
});
