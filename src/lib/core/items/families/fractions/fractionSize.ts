import {
	choiceItem,
	family,
	fractionItem,
	lineItem,
	numberItem,
	orderItem,
	shadeItem,
	type ItemFamily
} from '../../family';
import { commonDivisor } from '../../rational';
import { counted, partNames, tex } from '../../text';

export const fractionSize: ItemFamily[] = [
	family('F32', 'place-fraction', ({ random, turning }) => {
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
	}),
	family('F32', 'read-fraction-mark', ({ random, turning }) => {
		const bottom = [3, 4, 5, 6, 7, 8, 9, 10, 11, 12][turning(0, 9)];
		const top = random.pick(Array.from({ length: 2 * bottom - 1 }, (_, i) => i + 1).filter((one) => one !== bottom));
		return fractionItem({
			stem: 'Which fraction does the mark A show?',
			figure: {
				kind: 'line',
				from: 0,
				to: 2,
				step: 1 / bottom,
				labelEvery: 1,
				marks: [{ at: top / bottom, label: 'A' }]
			},
			key: [top, bottom],
			wrong: [
				[top + 1, bottom, 'countTicks'],
				[top, bottom + 1, 'countTicks'],
				[top, 2 * bottom, 'wholeLineAsOne']
			],
			hint: 'Into how many equal spaces is the way from 0 to 1 cut? Count the spaces up to A.',
			solution: [
				`From 0 to 1 there are ${bottom} spaces, so each is ${tex(1, bottom)}.`,
				`A is ${counted(top, 'space')} from 0: ${tex(top, bottom)}.`
			]
		});
	}),
	family('F33', 'larger-like-fraction', ({ random, turning }) => {
		const bottom = turning(5, 14);
		const sameTop = random.chance(0.5);
		const top = random.integer(2, 3);
		const tops = [random.integer(1, bottom - 3), 0, 0];
		tops[1] = tops[0] + 1;
		tops[2] = bottom - 1;
		const options = sameTop
			? [bottom + 3, bottom + 1, bottom].map((one) => tex(top, one))
			: tops.map((one) => tex(one, bottom));
		return choiceItem(random, {
			stem: 'Which is the largest of the three fractions?',
			right: options[2],
			wrong: [
				[options[0], sameTop ? 'largerDenominator' : 'smallerForLarger'],
				[options[1], sameTop ? 'largerDenominator' : 'smallerForLarger']
			],
			hint: sameTop
				? 'The tops are equal. Which parts are the largest?'
				: 'The parts are equally large. Where are there most of them?',
			solution: [
				sameTop
					? `Fewer parts in the whole are larger parts, so ${partNames[bottom] ?? `parts of ${bottom}`} are the largest.`
					: `All are parts of the same size; ${tops[2]} parts are the most.`,
				`The largest is ${options[2]}.`
			]
		});
	}),
	family('F33', 'order-like-fractions', ({ random, turning }) => {
		const bottom = turning(6, 15);
		const tops = random
			.shuffle(Array.from({ length: bottom - 1 }, (_, i) => i + 1))
			.slice(0, 4)
			.sort((a, b) => a - b);
		const texts = tops.map((top) => tex(top, bottom));
		return orderItem(random, {
			stem: 'Four ropes have these lengths, in meters. Put them in order.',
			sorted: texts,
			direction: 'shortest first',
			misordered: [[[...texts].reverse(), 'smallerForLarger']],
			hint: 'All parts have the same size. Look at how many there are.',
			solution: [`The tops in order are ${tops.join(', ')}.`, `So: ${texts.join(', ')}.`]
		});
	}),
	family('F41', 'equivalent-missing', ({ random, turning }) => {
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
	}),
	family('F41', 'shade-equivalent', ({ random, turning }) => {
		const [top, bottom] = random.pick([
			[1, 2],
			[1, 3],
			[2, 3],
			[1, 4],
			[3, 4]
		]);
		const columns = turning(2, 11);
		return shadeItem({
			stem: `Shade ${tex(top, bottom)} of the rectangle. It has ${bottom * columns} equal parts.`,
			rows: bottom,
			columns,
			key: top * columns,
			wrong: [
				[top, 'partNumberAsCount'],
				[bottom, 'partNumberAsCount'],
				[(bottom - top) * columns, 'percentLeft']
			],
			hint: `${bottom} equal rows make the whole. How many rows do you need?`,
			solution: [
				`Each row is ${tex(1, bottom)}. Shade ${counted(top, 'row')} of ${columns}.`,
				`${top} × ${columns} = ${top * columns}, so ${tex(top, bottom)} = ${tex(top * columns, bottom * columns)}.`
			],
			solutionFigure: { kind: 'grid', rows: bottom, columns, shaded: top * columns }
		});
	}),
	family('F41', 'lowest-terms', ({ random, turning }) => {
		const [top, bottom] = random.pick([
			[1, 2],
			[1, 3],
			[2, 3],
			[1, 4],
			[3, 4],
			[2, 5],
			[3, 5],
			[5, 6],
			[3, 8]
		]);
		const factor = turning(2, 11);
		return choiceItem(random, {
			stem: `Which fraction is equal to ${tex(top * factor, bottom * factor)}?`,
			right: tex(top, bottom),
			wrong: [
				[tex(top * factor - (factor - 1), bottom * factor - (factor - 1)), 'addToBoth'],
				[tex(top, bottom * factor), 'topKept'],
				[tex(bottom, top), 'invertedFraction'],
				[tex(top + 1, bottom + 1), 'addToBoth']
			].filter(([text]) => text !== tex(top, bottom)) as [string, 'addToBoth' | 'topKept' | 'invertedFraction'][],
			hint: 'Divide top and bottom by the same number.',
			solution: [
				`Divide both by ${factor}: ${top * factor} ÷ ${factor} = ${top} and ${bottom * factor} ÷ ${factor} = ${bottom}.`,
				`So it is ${tex(top, bottom)}.`
			]
		});
	}),
	family('F42', 'order-fractions', ({ random, turning }) => {
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
	}),
	family('F42', 'larger-fraction', ({ random, turning }) => {
		const cases: [number, number, number, number][] = [
			[3, 4, 5, 8],
			[2, 3, 4, 9],
			[1, 2, 4, 10],
			[4, 5, 7, 10],
			[5, 6, 3, 4],
			[2, 5, 1, 3],
			[7, 8, 3, 4],
			[5, 8, 1, 2],
			[5, 9, 1, 2],
			[3, 5, 1, 2],
			[7, 12, 1, 2],
			[3, 8, 1, 3]
		];
		const [a, b, c, d] = cases[turning(0, 11)];
		const liquid = random.pick(['juice', 'water', 'milk']);
		return choiceItem(random, {
			stem: `Two jugs are equally large. One is ${tex(a, b)} full of ${liquid}, the other is ${tex(c, d)} full. Which is true?`,
			right: `${tex(a, b)} is more than ${tex(c, d)}`,
			wrong: [
				[`${tex(c, d)} is more than ${tex(a, b)}`, a < c || b < d ? 'biggerNumbersBigger' : 'smallerForLarger'],
				[`${tex(a, b)} and ${tex(c, d)} are equal`, 'gapThinking']
			],
			hint: 'Compare both with one half, or write them with the same bottom number.',
			solution: [
				`With the bottom ${(b * d) / commonDivisor(b, d)}: ${tex((a * d) / commonDivisor(b, d), (b * d) / commonDivisor(b, d))} and ${tex((c * b) / commonDivisor(b, d), (b * d) / commonDivisor(b, d))}.`,
				`So ${tex(a, b)} is more.`
			]
		});
	})
];
