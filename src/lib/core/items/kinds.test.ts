import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { check, describeAnswer, formatOf, isReadable, sameAnswer, type Answer, type ResponseSpec } from '.';
import { itemFamilies, itemFrom } from './bank';
import { guessingChance } from '../measurement';

/** One response of each kind, with a right answer, one that says the same, a wrong one, and what is none. */
const kinds: { response: ResponseSpec; key: Answer; same?: Answer; wrong: Answer; none: unknown[]; said: string }[] = [
	{ response: { kind: 'choice', options: ['a', 'b', 'c'] }, key: 1, wrong: 2, none: [3, -1, '1', [1], 1.5], said: 'b' },
	{
		response: { kind: 'several', options: ['a', 'b', 'c'] },
		key: [0, 2],
		same: [2, 0],
		wrong: [0],
		none: [[], [0, 0], [3], 'a', 0],
		said: 'a; c'
	},
	{
		response: { kind: 'order', options: ['a', 'b', 'c'], direction: 'first' },
		key: [2, 0, 1],
		wrong: [0, 1, 2],
		none: [[2, 0], [2, 0, 0], [2, 0, 3], null],
		said: 'c, a, b'
	},
	{
		response: { kind: 'match', left: ['x', 'y'], options: ['a', 'b', 'c'] },
		key: [2, 0],
		wrong: [0, 2],
		none: [[2], [2, 2], [2, 3], [2, 0, 1]],
		said: 'x: c; y: a'
	},
	{
		response: { kind: 'number', unit: '°' },
		key: '90',
		same: '90.0°',
		wrong: '9',
		none: ['', 'ninety', 90],
		said: '90°'
	},
	{
		response: { kind: 'fraction' },
		key: '3/2',
		same: '1 1/2',
		wrong: '2/3',
		none: ['3/', '/2', '3/0'],
		said: '$\\frac{3}{2}$'
	},
	{
		response: { kind: 'fraction', mixed: true, unit: 'm' },
		key: '2 1/4',
		same: '9/4',
		wrong: '2/4',
		none: ['a', 2],
		said: '2 $\\frac{1}{4}$ m'
	},
	{
		response: { kind: 'expression', letters: ['x'] },
		key: '3x-5',
		same: ' -5 + 3*x ',
		wrong: '3x+5',
		none: ['3x-', 'y', '', 7],
		said: '3x − 5'
	},
	{
		response: { kind: 'text' },
		key: 'hexagon',
		same: ' A  Hexagon. ',
		wrong: 'pentagon',
		none: ['', '66', 6, null],
		said: 'hexagon'
	},
	{
		response: {
			kind: 'fill',
			blanks: [
				{ before: 'bags', after: '' },
				{ before: 'left over', after: '' }
			]
		},
		key: ['4', '0.5'],
		same: ['4.0', '1/2'],
		wrong: ['0.5', '4'],
		none: [['4'], ['4', ''], ['4', 'x'], [4, 0.5], '4'],
		said: 'bags 4, left over 0.5'
	},
	{
		response: { kind: 'line', from: 0, to: 2, step: 0.25, labelEvery: 1 },
		key: 0.75,
		same: 0.76,
		wrong: 1,
		none: [-1, 2.5, '1', NaN],
		said: '$\\frac{3}{4}$'
	},
	{
		response: { kind: 'shade', rows: 2, columns: 5 },
		key: 4,
		wrong: 5,
		none: [0, 11, 2.5, [4]],
		said: '4 of 10 parts'
	},
	{
		response: { kind: 'rectangle', rows: 6, columns: 8 },
		key: [1, 8],
		wrong: [2, 4],
		none: [[0, 3], [7, 3], [3], [2, 9], 6],
		said: '1 row of 8 squares'
	},
	{ response: { kind: 'clock', step: 5 }, key: 5, wrong: 65, none: [-5, 720, '5', 2.5], said: '12:05' },
	{
		response: { kind: 'plot', from: -6, to: 6 },
		key: [-3, 2],
		wrong: [2, -3],
		none: [[7, 0], [1], [0.5, 1], 'a'],
		said: '(−3, 2)'
	}
];

describe.each(kinds.map((one) => [one.response.kind, one] as const))(
	'answers of kind %s',
	(_, { response, key, same, wrong, none, said }) => {
		const item = { response, key, expectedErrors: [] };

		it('are right when they say the same as the key, however they are written', () => {
			expect(check(item, key)).toEqual({ correct: true, misconception: null, readable: true });
			if (same !== undefined) expect(check(item, same).correct).toBe(true);
		});

		it('are wrong when they say something else, and then keep the name of a known wrong idea', () => {
			expect(check(item, wrong)).toEqual({ correct: false, misconception: null, readable: true });
			const known = { ...item, expectedErrors: [{ answer: wrong, misconception: 'signIgnored' as const }] };
			expect(check(known, wrong).misconception).toBe('signIgnored');
		});

		it('are asked for again when they are none of this kind', () => {
			for (const value of none)
				expect(check(item, value), JSON.stringify(value)).toMatchObject({ readable: false, correct: false });
		});

		it('are told in words', () => {
			expect(describeAnswer(item, key)).toBe(said);
		});

		it('have a chance of luck between 0 and 1', () => {
			const luck = guessingChance(formatOf(response));
			expect(luck).toBeGreaterThan(0);
			expect(luck).toBeLessThan(1);
		});
	}
);

describe('expressions as answers', () => {
	const item = {
		response: { kind: 'expression' as const, letters: ['x'] },
		key: '6x+8',
		expectedErrors: [{ answer: '6x+4', misconception: 'distributedOnce' as const }]
	};

	it('that have the value of the key but are not written as short as it are told apart from wrong ones', () => {
		expect(check(item, '2(3x+4)')).toEqual({ correct: false, misconception: 'notCollected', readable: true });
		expect(check(item, '4x+2x+8')).toEqual({ correct: false, misconception: 'notCollected', readable: true });
		expect(check(item, '2(3x+2)')).toEqual({ correct: false, misconception: null, readable: true });
		expect(check(item, '6x+4').misconception).toBe('distributedOnce');
	});

	it('must stay a product where the key is one', () => {
		const product = { ...item, key: '2(3x+4)', expectedErrors: [] };
		expect(check(product, '(3x+4)*2').correct).toBe(true);
		expect(check(product, '6x+8')).toEqual({ correct: false, misconception: null, readable: true });
	});
});

describe('words as answers', () => {
	it('may be any of those that mean the same', () => {
		const item = { response: { kind: 'text' as const }, key: 'rhombus', alsoRight: ['diamond'], expectedErrors: [] };
		expect(['rhombus', 'the rhombus', 'Diamond', 'diamonds'].every((word) => check(item, word).correct)).toBe(true);
		expect(check(item, 'kite').correct).toBe(false);
	});
});

describe('every item', () => {
	it('compares answers both ways alike, and each with itself', () => {
		fc.assert(
			fc.property(fc.constantFrom(...itemFamilies), fc.nat(2_000), (family, seed) => {
				const item = itemFrom(family.id, seed);
				const answers = [item.key, ...item.expectedErrors.map(({ answer }) => answer)];
				for (const one of answers) {
					expect(isReadable(item, one)).toBe(true);
					expect(sameAnswer(item, one, one)).toBe(true);
					for (const other of answers) expect(sameAnswer(item, one, other)).toBe(sameAnswer(item, other, one));
				}
			}),
			{ numRuns: 300 }
		);
	});
});
