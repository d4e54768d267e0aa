import katex from 'katex';
import type { Figure, Given, Item, PublicItem, ShownItem } from '../../core/items';
import { describeAnswer, misconceptionById } from '../../core/items';

/**
 * Text with formulas as safe HTML: everything is escaped, TeX between dollar signs becomes MathML, and what closes a
 * sentence stays on the line of the formula before it.
 */
export function mathHtml(text: string): string {
	const parts = text.split('$');
	return parts
		.map((part, i) => {
			if (i % 2 === 0) return escapeHtml(i === 0 ? part : part.replace(CLOSING, ''));
			const formula = katex.renderToString(part, KATEX);
			const closing = CLOSING.exec(parts[i + 1] ?? '')?.[0];
			return closing ? `<span class="together">${formula}${escapeHtml(closing)}</span>` : formula;
		})
		.join('');
}

/** KaTeX knows no name for the sign of an empty place, ⬚, and draws it all the same. */
const KATEX = { output: 'mathml', throwOnError: false, strict: false } as const;
const CLOSING = /^[.,;:?!%)]+/;
const escapes: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };
const escapeHtml = (text: string) => text.replace(/[&<>"']/g, (character) => escapes[character]);

/**
 * An answer in words, as safe HTML. Formulas in it are our own options and fractions; where a student typed the sign that
 * formulas begin with, nothing is taken for one.
 */
export function answerHtml(item: Pick<Item, 'response'>, answer: Given): string {
	const words = describeAnswer(item, answer);
	const isTyped = [answer].flat().some((part) => typeof part === 'string' && part.includes('$'));
	return isTyped ? escapeHtml(words) : mathHtml(words);
}

export function showItem(item: PublicItem): ShownItem {
	const { stem, figure, response } = item;
	return {
		stem,
		figure,
		response,
		stemHtml: mathHtml(stem),
		optionsHtml: 'options' in response ? response.options.map(mathHtml) : [],
		leftHtml: response.kind === 'match' ? response.left.map(mathHtml) : []
	};
}

/** A question with its key, for staff. */
export interface ShownItemWithKey extends ShownItem {
	key: Item['key'];
	alsoRight?: Item['alsoRight'];
	expectedErrors: Item['expectedErrors'];
	hintHtml: string;
	solutionHtml: string[];
	solutionFigure?: Figure;
	misconceptions: { answer: Item['key']; shows: string; attempt: string }[];
}

export function showItemWithKey(item: Item): ShownItemWithKey {
	return {
		...showItem(item),
		key: item.key,
		alsoRight: item.alsoRight,
		expectedErrors: item.expectedErrors,
		hintHtml: mathHtml(item.hint),
		solutionHtml: item.solution.map(mathHtml),
		solutionFigure: item.solutionFigure,
		misconceptions: item.expectedErrors.map(({ answer, misconception }) => ({
			answer,
			...misconceptionById(misconception)!
		}))
	};
}

/** A question with how it is done; texts as HTML. */
export interface WorkedQuestion {
	stemHtml: string;
	figure?: Figure;
	stepsHtml: string[];
	stepsFigure?: Figure;
}

/** A question with how it is done, or where that is not told, without its steps. */
export const worked = ({ stem, figure, solution, solutionFigure }: Item, withSteps = true): WorkedQuestion => ({
	stemHtml: mathHtml(stem),
	figure,
	stepsHtml: withSteps ? solution.map(mathHtml) : [],
	stepsFigure: withSteps ? solutionFigure : undefined
});
