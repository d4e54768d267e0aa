import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { check } from './check';
import { choiceItem, makeItem, numberChoice, orderItem, severalItem, type ItemFamily } from './family';
import type { Item } from './item';
import { misconceptionById, misconceptions } from './misconceptions';

const common = { stem: 'Which?', hint: 'Look.', solution: ['So.'] };
const asItem = (make: ItemFamily['make'], seed = 1): Item => makeItem({ id: 'try', skillCode: 'X01', make }, seed);

describe('an item with options', () => {
	it('shows each text once, at most three wrong ones, and keeps the right one', () => {
		fc.assert(
			fc.property(
				fc.nat(),
				fc.array(fc.constantFrom('a', 'b', 'c', 'd', 'e', 'right'), { maxLength: 8 }),
				(seed, texts) => {
					const item = choiceItem(seededRandom(seed), {
						...common,
						right: 'right',
						wrong: texts.map((text) => [text, null])
					});
					const { options } = item.response as { options: string[] };
					expect(new Set(options).size).toBe(options.length);
					expect(options.length).toBe(1 + Math.min(3, new Set(texts.filter((text) => text !== 'right')).size));
					expect(options[item.key as number]).toBe('right');
				}
			)
		);
	});

	it('carries the misconception behind the option that is chosen', () => {
		const item = asItem(({ random }) =>
			choiceItem(random, {
				...common,
				right: '12',
				wrong: [
					['7', 'addInsteadMultiply'],
					['13', 'oneGroupOff'],
					['1', null]
				]
			})
		);
		const { options } = item.response as { options: string[] };
		expect(check(item, options.indexOf('7')).misconception).toBe('addInsteadMultiply');
		expect(check(item, options.indexOf('1')).misconception).toBeNull();
	});

	it('shows no negative number where the answer is none', () => {
		const item = numberChoice(seededRandom(4), {
			...common,
			key: 3,
			wrong: [
				[-3, 'takeInsteadAdd'],
				[5, 'addInsteadTake']
			]
		});
		expect((item.response as { options: string[] }).options.sort()).toEqual(['3', '5']);
	});
});

describe('an item with several right options', () => {
	const item = asItem(({ random }) =>
		severalItem(random, {
			...common,
			options: [
				{ text: '2', right: true },
				{ text: '4', right: true },
				{ text: '5', right: false, misconception: 'oneGroupOff' },
				{ text: '9', right: false }
			]
		})
	);
	const { options } = item.response as { options: string[] };
	const marked = (...texts: string[]) => texts.map((text) => options.indexOf(text));

	it('is right only with all of them and no other, in any order', () => {
		expect(check(item, marked('4', '2')).correct).toBe(true);
		for (const texts of [['2'], ['2', '4', '9'], ['5', '9']]) expect(check(item, marked(...texts)).correct).toBe(false);
		expect(check(item, []).readable).toBe(false);
	});

	it('names the idea that marks one too many', () => {
		expect(check(item, marked('5', '2', '4')).misconception).toBe('oneGroupOff');
		expect(check(item, marked('9', '2', '4')).misconception).toBeNull();
	});
});

describe('an item to be put in order', () => {
	it('never starts in the right order', () => {
		for (let seed = 0; seed < 300; seed++) {
			const { key } = orderItem(seededRandom(seed), { ...common, sorted: ['1', '2', '3'], direction: 'least first' });
			expect(key).not.toEqual([0, 1, 2]);
		}
	});
});

describe('a family', () => {
	it('turns through its range without a repeat in ten', () => {
		const family: ItemFamily = {
			id: 'turn',
			skillCode: 'X01',
			make: ({ turning }) => ({
				...common,
				response: { kind: 'number' },
				key: String(turning(5, 16)),
				expectedErrors: []
			})
		};
		const keys = Array.from({ length: 40 }, (_, seed) => makeItem(family, seed).key);
		for (let i = 0; i + 10 <= keys.length; i++) expect(new Set(keys.slice(i, i + 10)).size).toBe(10);
		expect(keys.every((key) => Number(key) >= 5 && Number(key) <= 16)).toBe(true);
	});

	it('drops errors that are right, cannot be read, or repeat another', () => {
		const item = asItem(() => ({
			...common,
			response: { kind: 'number' },
			key: '6',
			expectedErrors: [
				{ answer: '6.0', misconception: 'oneGroupOff' },
				{ answer: 'NaN', misconception: 'noCarry' },
				{ answer: '5', misconception: 'addInsteadTake' },
				{ answer: '10/2', misconception: 'noRegroup' }
			]
		}));
		expect(item.expectedErrors).toEqual([{ answer: '5', misconception: 'addInsteadTake' }]);
	});
});

describe('the catalog of misconceptions', () => {
	it('says for each what it looks like and what to try, in sentences', () => {
		for (const [id, { shows, attempt }] of Object.entries(misconceptions)) {
			for (const text of [shows, attempt]) expect(text, id).toMatch(/^[A-Z].{8,}[.?]$/);
			expect(misconceptionById(id)).toEqual({ shows, attempt });
		}
	});

	it('has nothing for ids it does not hold, not even an object’s own', () => {
		expect(misconceptionById('toString')).toBeNull();
		expect(misconceptionById('')).toBeNull();
	});
});
