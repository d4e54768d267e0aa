import katex from 'katex';
import type { Item, PublicItem } from '../core/items';
import { misconceptionById } from '../core/items';

/** Text with formulas as safe HTML: everything is escaped, TeX between dollar signs becomes MathML. */
export function mathHtml(text: string): string {
	return text
		.split('$')
		.map((part, i) =>
			i % 2 ? katex.renderToString(part, { output: 'mathml', throwOnError: false }) : escapeHtml(part)
		)
		.join('');
}

const escapes: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };
const escapeHtml = (text: string) => text.replace(/[&<>"']/g, (character) => escapes[character]);

/** A question ready to show: its texts as HTML. */
export interface ShownItem extends PublicItem {
	stemHtml: string;
	optionsHtml: string[];
}

export function showItem(item: PublicItem): ShownItem {
	const { stem, figure, response } = item;
	return {
		stem,
		figure,
		response,
		stemHtml: mathHtml(stem),
		optionsHtml: 'options' in response ? response.options.map(mathHtml) : []
	};
}

/** A question with its key, for staff and for practice, where feedback is immediate. */
export interface ShownItemWithKey extends ShownItem {
	key: Item['key'];
	expectedErrors: Item['expectedErrors'];
	hintHtml: string;
	solutionHtml: string[];
	misconceptions: { answer: Item['key']; shows: string; attempt: string }[];
}

export function showItemWithKey(item: Item): ShownItemWithKey {
	return {
		...showItem(item),
		key: item.key,
		expectedErrors: item.expectedErrors,
		hintHtml: mathHtml(item.hint),
		solutionHtml: item.solution.map(mathHtml),
		misconceptions: item.expectedErrors.map(({ answer, misconception }) => ({
			answer,
			...misconceptionById(misconception)!
		}))
	};
}
