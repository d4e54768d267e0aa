import { family, fractionItem, numberItem, shadeItem, type ItemFamily } from '../../family';
import { counted, partNames, tex } from '../../text';

export const fractionCalculation: ItemFamily[] = [
	family('F43', 'add-like-parts', ({ random, turning }) => {
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
			solution: [
				`${counted(a, 'part')} and ${counted(b, 'part')} are ${a + b} parts of the same size.`,
				`So it is ${tex(a + b, bottom)}.`
			]
		});
	}),
	family('F43', 'take-like-parts', ({ random, turning }) => {
		const bottom = turning(5, 14);
		const a = random.integer(3, bottom - 1);
		const b = random.integer(1, a - 1);
		return fractionItem({
			stem: `A rope is ${tex(a, bottom)} meter long. A piece of ${tex(b, bottom)} meter is cut off. How long is the rest, in meters?`,
			key: [a - b, bottom],
			unit: 'meter',
			wrong: [
				[a + b, bottom, 'addInsteadTake'],
				[a - b, bottom + bottom, 'addTopsAndBottoms']
			],
			hint: 'The parts have the same size. Take parts away; their size stays.',
			solution: [
				`${counted(a, 'part')} less ${counted(b, 'part')} leaves ${counted(a - b, 'part')}: ${a} − ${b} = ${a - b}.`,
				`So it is ${tex(a - b, bottom)}.`
			],
			solutionFigure: { kind: 'grid', rows: 1, columns: bottom, shaded: a - b }
		});
	}),
	family('F52', 'subtract-unlike-parts', ({ random, turning }) => {
		const bottom = turning(2, 11);
		const factor = random.integer(2, 3);
		const other = bottom * factor;
		const a = random.integer(1, bottom - 1);
		const b = random.integer(1, a * factor - 1);
		return fractionItem({
			stem: `A can holds ${tex(a, bottom)} liter of paint. ${tex(b, other)} liter is used. How much is left, in liters?`,
			key: [a * factor - b, other],
			wrong: [
				[Math.abs(a - b) || 1, Math.abs(other - bottom), 'addTopsAndBottoms'],
				[Math.abs(a - b) || 1, other, 'oneDenominator'],
				[a * factor + b, other, 'addInsteadTake']
			],
			hint: `Write ${tex(a, bottom)} with the bottom number ${other} first.`,
			solution: [
				`${tex(a, bottom)} = ${tex(a * factor, other)}.`,
				`${a * factor} − ${b} = ${a * factor - b}, so ${tex(a * factor - b, other)} liter is left.`
			]
		});
	}),
	family('F52', 'add-unlike-parts', ({ random, turning }) => {
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
	}),
	family('F53', 'fraction-of-amount', ({ random, turning }) => {
		const bottom = random.pick([3, 4, 5, 6, 8]);
		const top = random.integer(2, bottom - 1);
		const each = turning(4, 15);
		const total = bottom * each;
		return numberItem({
			stem: `A path is ${total} meters long. ${tex(top, bottom)} of it is paved. How many meters are paved?`,
			key: top * each,
			unit: 'm',
			wrong: [
				[each, 'onePartOnly'],
				[total - top * each, 'percentLeft'],
				[total * top, 'bottomForgotten']
			],
			hint: `Find ${tex(1, bottom)} of ${total} first.`,
			solution: [`${total} ÷ ${bottom} = ${each}.`, `${top} × ${each} = ${top * each} meters.`],
			solutionFigure: {
				kind: 'parts',
				parts: Array.from({ length: bottom }, () => ({ label: String(each), size: 1 })),
				total: String(total)
			}
		});
	}),
	family('F53', 'fraction-times-whole', ({ random, turning }) => {
		const whole = turning(3, 14);
		const bottom = random.pick([3, 4, 5, 8]);
		const top = random.integer(1, bottom - 1);
		return fractionItem({
			stem: `A recipe takes ${tex(top, bottom)} cup of oats. How many cups do ${whole} batches take?`,
			key: [top * whole, bottom],
			mixed: true,
			wrong: [
				[top * whole, bottom * whole, 'multiplyBoth'],
				[top + whole, bottom, 'addInsteadMultiply'],
				[top, bottom * whole, 'multiplyBoth']
			],
			hint: `Take ${tex(top, bottom)} again and again, ${whole} times. The size of the parts stays.`,
			solution: [
				`${whole} × ${top} = ${whole * top} parts, each ${tex(1, bottom)} of a cup.`,
				`That is ${tex(whole * top, bottom)} cups.`
			]
		});
	}),
	family('F57', 'fraction-of-fraction', ({ random, turning }) => {
		const b = turning(3, 12);
		const a = random.integer(1, b - 1);
		const d = random.pick([2, 3, 4, 5]);
		const c = random.integer(1, d - 1);
		return fractionItem({
			stem: `${tex(a, b)} of a garden is planted. ${tex(c, d)} of the planted part is beans. What fraction of the whole garden is beans?`,
			key: [a * c, b * d],
			wrong: [
				[a + c, b + d, 'addTopsAndBottoms'],
				[a * c, b, 'oneDenominator'],
				[a * d, b * c, 'invertedFraction']
			],
			hint: 'A fraction of a fraction: multiply the tops and multiply the bottoms.',
			solution: [`Tops: ${a} × ${c} = ${a * c}. Bottoms: ${b} × ${d} = ${b * d}.`, `So it is ${tex(a * c, b * d)}.`],
			...(b <= 10 ? { solutionFigure: { kind: 'grid' as const, rows: d, columns: b, shaded: a * c } } : {})
		});
	}),
	family('F57', 'shade-product', ({ random, turning }) => {
		const columns = turning(3, 12);
		const rows = random.integer(2, 5);
		const a = random.integer(1, columns - 1);
		const c = random.integer(1, rows - 1);
		return shadeItem({
			stem: `Shade ${tex(c, rows)} of ${tex(a, columns)} of the rectangle.`,
			rows,
			columns,
			key: a * c,
			wrong: [
				[a + c, 'addInsteadMultiply'],
				[a * rows, 'firstFractionIgnored'],
				[c * columns, 'secondFractionIgnored']
			],
			hint: `${tex(a, columns)} is ${counted(a, 'column')}. Take ${tex(c, rows)} of each.`,
			solution: [
				`Each column has ${rows} parts; ${tex(c, rows)} of it is ${counted(c, 'part')}.`,
				`${a} × ${c} = ${a * c} of ${rows * columns} parts.`
			],
			solutionFigure: { kind: 'grid', rows, columns, shaded: a * c }
		});
	}),
	family('F58', 'whole-by-unit', ({ random, turning }) => {
		const whole = turning(2, 11);
		const bottom = random.pick([2, 3, 4, 5, 6, 8]);
		return numberItem({
			stem: `A jug holds ${whole} liters of juice. A glass holds ${tex(1, bottom)} liter. How many glasses does the jug fill?`,
			key: whole * bottom,
			wrong: [
				...(whole % bottom === 0 ? [[whole / bottom, 'divideByBottom'] as [number, 'divideByBottom']] : []),
				[whole + bottom, 'addInsteadMultiply'],
				[bottom, 'partNumberAsCount']
			],
			hint: `How many glasses does 1 liter fill?`,
			solution: [`1 liter fills ${bottom} glasses.`, `${whole} × ${bottom} = ${whole * bottom} glasses.`]
		});
	}),
	family('F58', 'unit-by-whole', ({ random, turning }) => {
		const bottom = turning(2, 11);
		const people = random.integer(2, 6);
		return fractionItem({
			stem: `${tex(1, bottom)} of a pizza is shared equally by ${people} children. What fraction of the pizza does each get?`,
			key: [1, bottom * people],
			wrong: [
				[people, bottom, 'multiplyInsteadDivide'],
				[1, bottom + people, 'addInsteadMultiply'],
				[1, people, 'bottomForgotten']
			],
			hint: `Cut each of the ${bottom} parts of the pizza into ${people} pieces. How many pieces are in the whole?`,
			solution: [
				`The whole pizza has ${bottom} × ${people} = ${bottom * people} of these pieces.`,
				`Each child gets ${tex(1, bottom * people)}.`
			]
		});
	}),
	family('F64', 'divide-fractions', ({ random, turning }) => {
		const b = turning(3, 12);
		const a = random.integer(2, b - 1);
		const d = random.pick([3, 4, 5, 7].filter((one) => one !== b));
		const c = random.integer(2, d - 1);
		return fractionItem({
			stem: `Work out ${tex(a, b)} ÷ ${tex(c, d)}.`,
			key: [a * d, b * c],
			mixed: true,
			wrong: [
				[a * c, b * d, 'multiplyInsteadDivide'],
				[b * c, a * d, 'wrongOneInverted']
			],
			hint: `Dividing by ${tex(c, d)} is multiplying by ${tex(d, c)}.`,
			solution: [
				`${tex(a, b)} × ${tex(d, c)}: ${a} × ${d} = ${a * d} and ${b} × ${c} = ${b * c}.`,
				`So it is ${tex(a * d, b * c)}.`
			]
		});
	}),
	family('F64', 'how-many-fit', ({ random, turning }) => {
		const bottom = random.pick([4, 5, 6, 8, 10]);
		const piece = random.integer(2, 3);
		const count = turning(2, 11);
		return numberItem({
			stem: `A board is ${tex(piece * count, bottom)} meters long. It is cut into pieces of ${tex(piece, bottom)} meter. How many pieces is that?`,
			key: count,
			wrong: [
				[piece * count, 'stoppedAfterOneStep'],
				[piece * count - piece, 'subtractInsteadDivide'],
				[count * bottom, 'bottomForgotten']
			],
			hint: `Both lengths count ${partNames[bottom]} of a meter. How many times does ${piece} fit into ${piece * count}?`,
			solution: [`${piece * count} ÷ ${piece} = ${count}.`]
		});
	})
];
