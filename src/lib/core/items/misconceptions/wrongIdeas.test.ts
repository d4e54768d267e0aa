import { describe, expect, it } from 'vitest';
import { itemFamilies, itemFrom } from '../bank';
import { describeAnswer } from '../check';
import type { Item } from '../item';
import type { MisconceptionId } from '.';

/** The numbers that a question names, in the order they stand. */
const numbersIn = ({ stem }: Item) =>
	(stem.replace(/(?<=\d),(?=\d{3})/g, '').match(/\d+(?:\.\d+)?/g) ?? []).map(Number);

/** The number that an answer says, be it typed or chosen. */
const numberOf = (item: Item, answer: Item['key']) =>
	Number(
		describeAnswer(item, answer)
			.replaceAll(',', '')
			.replace('−', '-')
			.replace(/[^\d.-]/g, '')
	);

/** Both numbers digit by digit from the right, each pair worked out by itself. */
function digitByDigit(a: number, b: number, pair: (a: number, b: number) => number): number {
	let [result, place] = [0, 1];
	for (; a >= place || b >= place; place *= 10)
		result += place * pair(Math.floor(a / place) % 10, Math.floor(b / place) % 10);
	return result;
}

interface Idea {
	misconception: MisconceptionId;
	says: string;
	gives(a: number, b: number): number;
	families: string[];
}

/** What a student does who has the idea, worked out here from the question alone. */
const ideas: Idea[] = [
	{
		misconception: 'addInsteadMultiply',
		says: 'adds what is to be multiplied',
		gives: (a, b) => a + b,
		families: [
			'facts',
			'one-digit-times-tens',
			'multiply-by-one-digit',
			'multiply-two-digits',
			'times-power-of-ten',
			'least-common-multiple',
			'price-of-weight',
			'unknown-dividend',
			'speed-from-trip'
		]
	},
	{
		misconception: 'takeInsteadAdd',
		says: 'takes away what is to be added',
		gives: (a, b) => Math.abs(a - b),
		families: ['put-together-100', 'put-together-1000', 'add-large', 'lengths-together', 'add-to-20', 'turn-in-degrees']
	},
	{
		misconception: 'addInsteadTake',
		says: 'adds what is to be taken away',
		gives: (a, b) => a + b,
		families: ['take-away-20', 'take-away-100', 'take-away-1000', 'subtract-large', 'how-much-longer']
	},
	{
		misconception: 'subtractInsteadDivide',
		says: 'takes away what is to be divided by',
		gives: (a, b) => Math.abs(a - b),
		families: [
			'divide-fact',
			'share-equally',
			'divide-three-digits',
			'divide-by-two-digits',
			'prism-from-base-area',
			'expected-number',
			'height-of-parallelogram',
			'side-from-area'
		]
	},
	{
		misconception: 'multiplyInsteadDivide',
		says: 'multiplies what is to be divided',
		gives: (a, b) => a * b,
		families: [
			'share-equally',
			'remainder-in-context',
			'divide-three-digits',
			'share-decimal',
			'unknown-factor',
			'diameter-from-edge',
			'price-for-one',
			'side-from-area'
		]
	},
	{
		misconception: 'noCarry',
		says: 'adds each column by itself and drops what goes over ten',
		gives: (a, b) => digitByDigit(a, b, (x, y) => (x + y) % 10),
		families: ['put-together-100', 'put-together-1000', 'add-large', 'lengths-together']
	},
	{
		misconception: 'noRegroup',
		says: 'takes the smaller digit of each column from the larger',
		gives: (a, b) => digitByDigit(a, b, (x, y) => Math.abs(x - y)),
		families: ['take-away-100', 'take-away-1000', 'subtract-large']
	}
];

const SEEDS = Array.from({ length: 200 }, (_, seed) => seed);

describe('the answer expected of a student who', () => {
	for (const { misconception, says, gives, families } of ideas) {
		it(`${says} (${misconception}) is what that gives`, () => {
			for (const id of families) {
				expect(
					itemFamilies.some((family) => family.id === id),
					id
				).toBe(true);
				let shown = 0;
				for (const seed of SEEDS) {
					const item = itemFrom(id, seed);
					const error = item.expectedErrors.find((known) => known.misconception === misconception);
					if (!error) continue;
					shown++;
					const [a, b, ...more] = numbersIn(item);
					expect(more, `${id} ${seed}: ${item.stem}`).toEqual([]);
					expect(numberOf(item, error.answer), `${id} ${seed}: ${item.stem}`).toBeCloseTo(gives(a, b), 9);
				}
				expect(shown, id).toBeGreaterThan(SEEDS.length / 10);
			}
		});
	}
});
