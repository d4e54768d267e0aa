import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { check } from './check';
import {
	choiceItem,
	clockItem,
	expressionItem,
	fillItem,
	fractionItem,
	lineItem,
	makeItem,
	matchItem,
	numberChoice,
	numberItem,
	orderItem,
	plotItem,
	rectangleItem,
	severalItem,
	shadeItem,
	textItem,
	type ItemFamily
} from './family';
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

describe('an item whose parts are matched', () => {
	const pairs: [string, string][] = [
		['1 m', '100 cm'],
		['1 km', '1,000 m'],
		['1 cm', '10 mm']
	];
	const make = (seed: number) =>
		asItem(
			({ random }) =>
				matchItem(random, {
					...common,
					pairs,
					wrong: [[['1,000 m', '100 cm', '10 mm'], 'wrongFactor']]
				}),
			seed
		);

	it('never shows the partners side by side from the start', () => {
		for (let seed = 0; seed < 300; seed++) {
			const { options } = make(seed).response as { options: string[] };
			expect([...options].sort()).toEqual(pairs.map(([, right]) => right).sort());
			expect(options).not.toEqual(pairs.map(([, right]) => right));
		}
	});

	it('is right when each has its partner, wherever it stands, and names the idea behind a mix-up', () => {
		for (let seed = 0; seed < 50; seed++) {
			const item = make(seed);
			const { options } = item.response as { options: string[] };
			const matched = (...rights: string[]) => rights.map((right) => options.indexOf(right));
			expect(check(item, matched('100 cm', '1,000 m', '10 mm')).correct).toBe(true);
			expect(check(item, matched('1,000 m', '100 cm', '10 mm')).misconception).toBe('wrongFactor');
			expect(check(item, matched('10 mm', '1,000 m', '100 cm'))).toMatchObject({ correct: false, misconception: null });
		}
	});
});

describe('an item set on a clock', () => {
	const item = (key: number, wrong: number) =>
		asItem(() => clockItem({ ...common, step: 5, key, wrong: [[wrong, 'handsSwapped']] }));

	it('shows any time of any day on its face of twelve hours', () => {
		expect(item(13 * 60 + 20, 0)).toMatchObject({ key: 80, expectedErrors: [{ answer: 0 }] });
		expect(item(-30, 12 * 60 + 5)).toMatchObject({ key: 11 * 60 + 30, expectedErrors: [{ answer: 5 }] });
		expect(item(24 * 60, 45)).toMatchObject({ key: 0, expectedErrors: [{ answer: 45 }] });
	});

	it('has no wrong time that the face shows like the right one', () => {
		expect(item(60, 13 * 60).expectedErrors).toEqual([]);
	});

	it('puts every time on the face, twelve hours apart alike', () => {
		fc.assert(
			fc.property(fc.integer({ min: -5_000, max: 5_000 }), (minutes) => {
				const { key } = item(minutes, minutes + 1);
				expect(key).toBeGreaterThanOrEqual(0);
				expect(key).toBeLessThan(720);
				expect(item(minutes + 720, minutes).key).toBe(key);
			})
		);
	});
});

describe('an item answered in figures, letters, or places', () => {
	it('with several blanks is right when all of them are', () => {
		const item = asItem(() =>
			fillItem({
				...common,
				blanks: [
					['', 3, 'left over'],
					['each gets', 7]
				],
				wrong: [[[7, 3], 'addInsteadMultiply']]
			})
		);
		expect(item.response).toEqual({
			kind: 'fill',
			blanks: [
				{ before: '', after: 'left over' },
				{ before: 'each gets', after: '' }
			],
			form: 'worked out'
		});
		expect(check(item, ['3', '7.0']).correct).toBe(true);
		expect(check(item, ['9/3', '7']).readable).toBe(false);
		expect(check(item, ['7', '3']).misconception).toBe('addInsteadMultiply');
		expect(check(item, ['3', '8']).correct).toBe(false);
		expect(check(item, ['3', '']).readable).toBe(false);
	});

	it('tells what the field shows, and nothing that is not there', () => {
		const number = asItem(() => numberItem({ ...common, key: 12, unit: 'cm', wrong: [[7, 'addInsteadMultiply']] }));
		expect(number).toMatchObject({ response: { kind: 'number', unit: 'cm' }, key: '12' });
		const plain = asItem(() => fractionItem({ ...common, key: [3, 4], wrong: [] }));
		expect(plain.response).toEqual({ kind: 'fraction' });
		const mixed = asItem(() => fractionItem({ ...common, key: [7, 4], wrong: [], mixed: true, unit: 'meter' }));
		expect(mixed.response).toEqual({ kind: 'fraction', mixed: true, unit: 'meter' });
		const expression = asItem(() => expressionItem({ ...common, letters: ['x'], key: '2x', wrong: [] }));
		expect(expression.response).toEqual({ kind: 'expression', letters: ['x'] });
		const line = asItem(() => expressionItem({ ...common, letters: ['x'], before: 'y =', key: '2x', wrong: [] }));
		expect(line.response).toEqual({ kind: 'expression', letters: ['x'], before: 'y =' });
	});

	it('takes a fraction by its value, and a word as it is written', () => {
		const fraction = asItem(() => fractionItem({ ...common, key: [3, 4], wrong: [[3, 8, 'addTopsAndBottoms']] }));
		for (const typed of ['3/4', '6/8', '0.75']) expect(check(fraction, typed).correct, typed).toBe(true);
		expect(check(fraction, '6/16').misconception).toBe('addTopsAndBottoms');
		const word = asItem(() => textItem({ ...common, key: 'north', alsoRight: ['up'], wrong: [] }));
		for (const typed of ['North', ' up ']) expect(check(word, typed).correct, typed).toBe(true);
		expect(check(word, 'south').correct).toBe(false);
	});

	it('takes places and counts as they are put', () => {
		const line = asItem(() =>
			lineItem({
				...common,
				line: { from: 0, to: 2, step: 0.25, labelEvery: 4 },
				key: 0.75,
				wrong: [[1.5, 'hourNearest']]
			})
		);
		expect(check(line, 0.75).correct).toBe(true);
		expect(check(line, 1.5).misconception).toBe('hourNearest');
		expect(check(line, 2.5).readable).toBe(false);
		const shade = asItem(() => shadeItem({ ...common, rows: 2, columns: 3, key: 4, wrong: [] }));
		expect([check(shade, 4).correct, check(shade, 3).correct, check(shade, 7).readable]).toEqual([true, false, false]);
		const rectangle = asItem(() => rectangleItem({ ...common, rows: 9, columns: 9, key: [3, 4], wrong: [] }));
		expect(check(rectangle, [3, 4]).correct).toBe(true);
		expect(check(rectangle, [3, 5]).correct).toBe(false);
		const plot = asItem(() =>
			plotItem({ ...common, plane: { from: -5, to: 5 }, key: [2, -3], wrong: [[[-3, 2], 'coordinatesSwapped']] })
		);
		expect(check(plot, [2, -3]).correct).toBe(true);
		expect(check(plot, [-3, 2]).misconception).toBe('coordinatesSwapped');
		expect(check(plot, [2, -6]).readable).toBe(false);
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
