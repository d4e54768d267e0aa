import { describe, expect, it } from 'vitest';
import { describeAnswer, type Item } from '..';
import { familiesFor, itemFamilies, itemFrom } from '../bank';
import { shippedFramework } from '../../../../../framework/shipped';
import { inWords } from '../text';

const SEEDS = Array.from({ length: 60 }, (_, seed) => seed);
const drawn = new Map(itemFamilies.map(({ id }) => [id, SEEDS.map((seed) => itemFrom(id, seed))]));
const skills = shippedFramework().skills;

/** The words of an answer, if they are few enough to be given away by a hint. */
function tellingWords({ response, key }: Item): string[] {
	switch (response.kind) {
		case 'number':
		case 'text':
		case 'expression':
			return [String(key)];
		case 'fraction':
			return [describeAnswer({ response }, key)];
		case 'fill':
			return key as string[];
		case 'choice':
			return [response.options[key as number]];
		default:
			return [];
	}
}

const plain = (text: string) => inWords(text).replaceAll(',', '').replaceAll('\u2212', '-').toLowerCase();
/** Whether a text holds words as they stand, and not as a part of others. */
function holds(text: string, words: string): boolean {
	const escaped = plain(words).replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
	return new RegExp(`(^|[^\\w.])${escaped}($|[^\\w.]|\\.(?!\\d))`).test(plain(text));
}

describe('hints', () => {
	it('do not give the answer away, but where it happens to be a number of the question', () => {
		for (const [id, items] of drawn) {
			const telling = items.filter((item) => tellingWords(item).length);
			const given = telling.filter((item) => tellingWords(item).some((words) => holds(item.hint, words)));
			expect(given.length, `${id}: ${given[0]?.hint}`).toBeLessThanOrEqual(telling.length / 3);
		}
	});
});

describe('texts', () => {
	it('are told in short sentences: 26 words at most, 18 in the first two grades', () => {
		const gradeOf = new Map(skills.map(({ code, grade }) => [code, grade]));
		for (const [id, items] of drawn) {
			const most = gradeOf.get(items[0].skillCode)! <= 2 ? 18 : 26;
			for (const { stem, hint, solution } of items)
				for (const text of [stem, hint, ...solution]) {
					const sentences = text
						.replaceAll(/\$[^$]*\$/g, 'x')
						.replaceAll(/([ap])\.m\./g, '$1m')
						.split(/(?<=[.?!:])\s/);
					for (const sentence of sentences)
						expect(sentence.split(/\s+/).length, `${id}: ${sentence}`).toBeLessThanOrEqual(most);
				}
		}
	});

	it('ask something: every question ends with a question mark, or says what to do', () => {
		for (const [id, items] of drawn)
			for (const { stem } of items)
				expect(stem, id).toMatch(
					/\?|Fill in|Mark|Put|Match|Build|Shade|Set the clock|Plot|Type|Write|Solve|Work out|Divide|Round|Multiply out/
				);
	});
});

describe('wrong ideas', () => {
	it('are behind nearly all wrong options, and are known for every family but those that match', () => {
		let named = 0;
		let wrong = 0;
		for (const [id, items] of drawn) {
			const kinds = new Set(items.map(({ response }) => response.kind));
			if (!kinds.has('match'))
				expect(
					items.some(({ expectedErrors }) => expectedErrors.length),
					id
				).toBe(true);
			for (const { response, expectedErrors } of items) {
				if (response.kind !== 'choice') continue;
				named += expectedErrors.length;
				wrong += response.options.length - 1;
			}
		}
		expect(named / wrong).toBeGreaterThan(0.95);
	});
});

describe('a skill', () => {
	it('with several families asks in several ways: most of them in more than one kind of response', () => {
		const several = skills.filter(({ code }) => familiesFor(code).length > 1);
		const ways = several.filter(
			({ code }) => new Set(familiesFor(code).map(({ id }) => drawn.get(id)![0].response.kind)).size > 1
		);
		expect(ways.length / several.length).toBeGreaterThan(0.5);
	});

	it('never asks the same question by two of its families', () => {
		for (const { code } of skills) {
			const faces = familiesFor(code).flatMap(({ id }) => [
				...new Set(drawn.get(id)!.map(({ stem, figure, response }) => JSON.stringify([stem, figure, response])))
			]);
			expect(new Set(faces).size, code).toBe(faces.length);
		}
	});
});
