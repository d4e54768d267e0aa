import { choiceItem, fractionItem, lineItem, numberItem, orderItem, type ItemFamily } from '../family';
import { tex } from '../text';

const partNames: Record<number, string> = {
	2: 'halves',
	3: 'thirds',
	4: 'fourths',
	5: 'fifths',
	6: 'sixths',
	8: 'eighths',
	10: 'tenths',
	12: 'twelfths'
};

export const fractions: ItemFamily[] = [
	{
		id: 'equal-parts',
		skillCode: 'F01',
		make({ random, turning }) {
			const parts = random.pick([2, 3, 4]);
			const things = [
				'loaf',
				'garden bed',
				'sail',
				'ribbon',
				'pie',
				'plank',
				'map',
				'sheet',
				'rope',
				'cake',
				'flag',
				'cloth'
			];
			const thing = things[turning(0, 11)];
			return choiceItem(random, {
				stem: `A ${thing} is cut into ${parts} equal parts. What is each part called?`,
				right: { 2: 'a half', 3: 'a third', 4: 'a fourth' }[parts]!,
				wrong: [
					['a half', 'partName'],
					['a third', 'partName'],
					['a fourth', 'partName'],
					['a whole', 'wholeForPart']
				],
				hint: `Count the parts: there are ${parts}, and all are equal.`,
				solution: [`${parts} equal parts are ${partNames[parts]}.`]
			});
		}
	},
	{
		id: 'shaded-strip',
		skillCode: 'F02',
		make({ random, turning }) {
			const parts = [3, 4, 5, 6, 8, 10, 12, 9, 7, 11][turning(0, 9)];
			const shaded = random.integer(1, parts - 1);
			return fractionItem({
				stem: 'What fraction of the strip is shaded?',
				figure: { kind: 'strip', parts, shaded },
				key: [shaded, parts],
				wrong: [
					[shaded, parts - shaded, 'shadedToUnshaded'],
					[parts, shaded, 'invertedFraction'],
					[parts - shaded, parts, 'percentLeft']
				],
				hint: 'Count all the parts. Then count the shaded parts.',
				solution: [
					`The strip has ${parts} equal parts and ${shaded} of them ${shaded === 1 ? 'is' : 'are'} shaded.`,
					`That is ${tex(shaded, parts)}.`
				]
			});
		}
	},
	{
		id: 'place-fraction',
		skillCode: 'F03',
		make({ random, turning }) {
			const bottom = [3, 4, 5, 6, 7, 8, 9, 10, 11, 12][turning(0, 9)];
			const top = random.integer(1, 2 * bottom - 1);
			const key = top / bottom;
			return lineItem({
				stem: `Mark ${tex(top, bottom)} on the number line. Each whole is split into ${bottom} equal parts.`,
				line: { from: 0, to: 2, step: 1 / bottom, labelEvery: 1 },
				key,
				wrong: [
					[(top - 1) / bottom, 'countTicks'],
					[(top + 1) / bottom, 'countTicks'],
					[(bottom - top) / bottom, 'percentLeft']
				],
				hint: `Start at 0 and count spaces, not marks.`,
				solution: [`Each space is ${tex(1, bottom)}.`, `Count ${top} ${top === 1 ? 'space' : 'spaces'} from 0.`]
			});
		}
	},
	{
		id: 'equivalent-missing',
		skillCode: 'F04',
		make({ random, turning }) {
			const bottom = random.pick([3, 4, 5, 6, 8]);
			const top = random.integer(1, bottom - 1);
			const factor = turning(2, 11);
			const key = top * factor;
			return numberItem({
				stem: `The two fractions are equal. Which number is missing? $\\frac{${top}}{${bottom}} = \\frac{?}{${bottom * factor}}$`,
				key,
				wrong: [
					[top + bottom * factor - bottom, 'addToBoth'],
					[top, 'topKept'],
					[factor, 'factorAsAnswer']
				],
				hint: `${bottom} times what is ${bottom * factor}?`,
				solution: [
					`${bottom} × ${factor} = ${bottom * factor}, so multiply the top by ${factor} too.`,
					`${top} × ${factor} = ${key}.`
				]
			});
		}
	},
	{
		id: 'order-fractions',
		skillCode: 'F05',
		make({ random, turning }) {
			const least = turning(3, 12);
			const bottoms = [least, least + random.integer(1, 3), least + random.integer(4, 7)].sort((a, b) => b - a);
			const top = random.integer(1, 2);
			const texts = bottoms.map((bottom) => tex(top, bottom));
			return orderItem(random, {
				stem: 'Put the fractions in order.',
				sorted: texts,
				direction: 'smallest first',
				misordered: [[[...texts].reverse(), 'largerDenominator']],
				hint: 'The tops are equal. More parts make smaller parts.',
				solution: [
					`All have ${top} on top, so the largest denominator is the smallest fraction.`,
					`In order: ${texts.join(', ')}.`
				]
			});
		}
	},
	{
		id: 'add-like-parts',
		skillCode: 'F06',
		make({ random, turning }) {
			const bottom = turning(5, 14);
			const a = random.integer(1, bottom - 2);
			const b = random.integer(1, bottom - a);
			return fractionItem({
				stem: `A gardener waters ${tex(a, bottom)} of a bed, then ${tex(b, bottom)} more. What fraction of the bed is watered?`,
				key: [a + b, bottom],
				wrong: [
					[a + b, 2 * bottom, 'addTopsAndBottoms'],
					[Math.abs(a - b), bottom, 'takeInsteadAdd']
				],
				hint: 'The parts have the same size. Count how many there are.',
				solution: [`${a} parts and ${b} parts are ${a + b} parts of the same size.`, `So it is ${tex(a + b, bottom)}.`]
			});
		}
	},
	{
		id: 'add-unlike-parts',
		skillCode: 'F08',
		make({ random, turning }) {
			const bottom = turning(3, 12);
			const other = bottom * random.integer(2, 3);
			const a = random.integer(1, Math.max(1, bottom - 2));
			const b = random.integer(1, other - 1);
			const factor = other / bottom;
			return fractionItem({
				stem: `What is ${tex(a, bottom)} + ${tex(b, other)}?`,
				key: [a * factor + b, other],
				wrong: [
					[a + b, bottom + other, 'addTopsAndBottoms'],
					[a + b, other, 'oneDenominator'],
					[a + b, bottom, 'oneDenominator']
				],
				hint: `Turn ${tex(a, bottom)} into ${other}ths first.`,
				solution: [
					`${tex(a, bottom)} = ${tex(a * factor, other)}.`,
					`${a * factor} + ${b} = ${a * factor + b}, so the sum is ${tex(a * factor + b, other)}.`
				]
			});
		}
	},
	{
		id: 'fraction-times-whole',
		skillCode: 'F09',
		make({ random, turning }) {
			const whole = turning(3, 14);
			const bottom = random.pick([3, 4, 5, 8]);
			const top = random.integer(1, bottom - 1);
			return fractionItem({
				stem: `A recipe takes ${tex(top, bottom)} cup of oats. How many cups do ${whole} batches take?`,
				key: [top * whole, bottom],
				wrong: [
					[top * whole, bottom * whole, 'multiplyBoth'],
					[top + whole, bottom, 'addInsteadMultiply'],
					[top, bottom * whole, 'multiplyBoth']
				],
				hint: `Take ${tex(top, bottom)} again and again, ${whole} times. The size of the parts stays.`,
				solution: [
					`${whole} × ${top} = ${whole * top} parts, each one of ${bottom} in a cup.`,
					`That is ${tex(whole * top, bottom)} cups.`
				]
			});
		}
	}
];
