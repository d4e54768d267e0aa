import { describe, expect, it } from 'vitest';
import { misconceptions } from '..';
import { itemFamilies, itemFrom } from '../../bank';
import { describeAnswer } from '../../check';
import { forStudents } from '.';

const said = Object.entries(forStudents);
const words = (text: string) => text.match(/[\p{L}\p{N}’]+/gu) ?? [];
/** Of a sentence or two, each by itself. */
const sentences = (text: string) => text.match(/[^.?]+[.?]”?/g) ?? [];

/** Wrong ideas that are met in questions of grades K to 2. */
const early = new Set(
	itemFamilies
		.filter(({ skillCode }) => /^[A-Z][K012]/.test(skillCode))
		.flatMap(({ id }) => Array.from({ length: 40 }, (_, seed) => itemFrom(id, seed)))
		.flatMap(({ expectedErrors }) => expectedErrors.map(({ misconception }) => misconception as string))
);

describe('what students are told about a wrong idea', () => {
	it('is there for each idea of the catalog, and for no other', () => {
		expect(said.map(([id]) => id).sort()).toEqual(Object.keys(misconceptions).sort());
	});

	it('is not the sentence that staff are given', () => {
		for (const [id, text] of said) expect(text, id).not.toBe(misconceptions[id as keyof typeof misconceptions].attempt);
	});

	it('is a sentence or two, short enough to be read alone', () => {
		for (const [id, text] of said) {
			expect(text, id).toMatch(/^[A-Z−“].*[.?]$/);
			expect(sentences(text).length, id).toBeLessThanOrEqual(2);
			for (const sentence of sentences(text))
				expect(words(sentence).length, `${id}: ${sentence}`).toBeLessThanOrEqual(18);
			expect(text.length, id).toBeLessThanOrEqual(110);
		}
	});

	it('has short words where grades K to 2 meet the idea', () => {
		expect(early.size).toBeGreaterThan(40);
		for (const [id, text] of said.filter(([id]) => early.has(id)))
			for (const word of words(text)) expect(word.length, `${id}: ${word}`).toBeLessThanOrEqual(9);
	});

	it('never scolds', () => {
		for (const [id, text] of said)
			expect(text, id).not.toMatch(/\b(wrong|mistake|careless|easy|simply count|should have)\b/i);
	});

	it('does not give the answer away', () => {
		let checked = 0;
		for (const { id } of itemFamilies)
			for (let seed = 0; seed < 40; seed++) {
				const item = itemFrom(id, seed);
				const key = describeAnswer(item, item.key);
				// An example of its own may meet the key by chance where that is a number of one or two digits.
				if (key.length < 4) continue;
				for (const { misconception } of item.expectedErrors) {
					checked++;
					expect(forStudents[misconception].includes(key), `${misconception}, ${id} ${seed}: ${key}`).toBe(false);
				}
			}
		expect(checked).toBeGreaterThan(1000);
	});
});
