import { choiceItem, family, fillItem, fractionItem, numberItem, shadeItem, type ItemFamily } from '../../family';
import { counted, partNames, tex } from '../../text';

export const parts: ItemFamily[] = [
	family('F11', 'fair-shares', ({ random, turning }) => {
		const thing = ['loaf', 'pie', 'map', 'sail', 'rug', 'garden', 'flag', 'plank', 'cake', 'ribbon'][turning(0, 9)];
		const count = random.pick([2, 4]);
		return choiceItem(random, {
			stem: `${count === 2 ? 'Two' : 'Four'} friends share a ${thing} fairly. How should it be cut?`,
			right: `into ${count} parts of the same size`,
			wrong: [
				[`into ${count} parts of any size`, 'unequalParts'],
				[`into ${count === 2 ? 4 : 2} parts of the same size`, 'partName'],
				[`into ${count + 1} parts of the same size`, 'cutsForParts']
			],
			hint: 'Each friend gets one part, and no one gets more.',
			solution: [`${count} friends need ${count} parts.`, 'Fair means that the parts have the same size.']
		});
	}),
	family('F11', 'shade-half', ({ random, turning }) => {
		const rows = random.pick([2, 4]);
		const columns = turning(1, 10);
		const half = random.chance(0.5);
		const all = rows * columns;
		const part = half || all % 4 !== 0 ? 2 : 4;
		return shadeItem({
			stem: `Shade ${part === 2 ? 'one half' : 'one fourth'} of the rectangle.`,
			rows,
			columns,
			key: all / part,
			wrong: [
				[part === 2 ? 1 : 4, 'partNumberAsCount'],
				[part === 2 ? 2 : 1, 'partNumberAsCount'],
				...(part === 4 ? [[all / 2, 'partName'] as [number, 'partName']] : [])
			],
			hint: `Cut it in your mind into ${part} equal parts. Shade one of them.`,
			solution: [`There are ${all} squares in ${part} equal parts.`, `Each part has ${counted(all / part, 'square')}.`],
			solutionFigure: { kind: 'grid', rows, columns, shaded: all / part }
		});
	}),
	family('F21', 'equal-parts', ({ random, turning }) => {
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
	}),
	family('F21', 'shade-equal-part', ({ random, turning }) => {
		const part = random.pick([2, 3, 4]);
		const columns = turning(1, 10);
		return shadeItem({
			stem: `Shade one ${{ 2: 'half', 3: 'third', 4: 'fourth' }[part]} of the garden.`,
			rows: part,
			columns,
			key: columns,
			wrong: [
				[1, 'partNumberAsCount'],
				[part, 'partNumberAsCount'],
				[columns * (part - 1), 'percentLeft']
			],
			hint: `${part} equal rows make the whole garden.`,
			solution: [`The garden has ${part} equal rows. One row is one ${{ 2: 'half', 3: 'third', 4: 'fourth' }[part]}.`],
			solutionFigure: { kind: 'grid', rows: part, columns, shaded: columns }
		});
	}),
	family('F31', 'shaded-strip', ({ random, turning }) => {
		const parts = [3, 4, 5, 6, 8, 10, 12, 9, 7, 11][turning(0, 9)];
		const shaded = random.integer(1, parts - 1);
		return fractionItem({
			stem: 'What fraction of the strip is shaded?',
			figure: { kind: 'grid', rows: 1, columns: parts, shaded },
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
	}),
	family('F31', 'shade-fraction', ({ random, turning }) => {
		const bottom = [3, 4, 5, 6, 7, 8, 9, 10, 11, 12][turning(0, 9)];
		const top = random.integer(2, bottom - 1);
		return shadeItem({
			stem: `Shade ${tex(top, bottom)} of the strip.`,
			rows: 1,
			columns: bottom,
			key: top,
			wrong: [
				[bottom - top, 'percentLeft'],
				[1, 'partNumberAsCount'],
				[bottom, 'wholeForPart']
			],
			hint: `The strip has ${bottom} equal parts. How many does the top number ask for?`,
			solution: [`The bottom number says ${bottom} equal parts. The top number says shade ${top}.`],
			solutionFigure: { kind: 'grid', rows: 1, columns: bottom, shaded: top }
		});
	}),
	family('F34', 'part-of-set', ({ random, turning }) => {
		const bottom = random.pick([2, 3, 4, 5, 6, 8]);
		const each = turning(2, 11);
		const total = bottom * each;
		return numberItem({
			stem: `${total} boats lie in the harbor. ${tex(1, bottom)} of them are blue. How many boats are blue?`,
			key: each,
			wrong: [
				[bottom, 'partNumberAsCount'],
				[total - bottom, 'subtractInsteadDivide'],
				[total - each, 'percentLeft']
			],
			hint: `Share the boats into ${bottom} equal groups. One group is blue.`,
			solution: [`${total} ÷ ${bottom} = ${each}.`],
			solutionFigure: {
				kind: 'parts',
				parts: Array.from({ length: bottom }, () => ({ label: String(each), size: 1 })),
				total: String(total)
			}
		});
	}),
	family('F34', 'several-parts-of-set', ({ random, turning }) => {
		const bottom = random.pick([3, 4, 5, 6, 8]);
		const top = random.integer(2, bottom - 1);
		const each = turning(2, 11);
		const total = bottom * each;
		return numberItem({
			stem: `A class has ${total} seed pots. Seeds have sprouted in ${tex(top, bottom)} of them. In how many pots have seeds sprouted?`,
			key: top * each,
			wrong: [
				[each, 'onePartOnly'],
				[top, 'partNumberAsCount'],
				[total - top * each, 'percentLeft']
			],
			hint: `Find ${tex(1, bottom)} of ${total} first.`,
			solution: [
				`${tex(1, bottom)}: ${total} ÷ ${bottom} = ${each}.`,
				`${tex(top, bottom)}: ${top} × ${each} = ${top * each}.`
			],
			solutionFigure: {
				kind: 'parts',
				parts: Array.from({ length: bottom }, () => ({ label: String(each), size: 1 })),
				total: String(total)
			}
		});
	}),
	family('F44', 'mixed-to-fraction', ({ random, turning }) => {
		const bottom = random.pick([2, 3, 4, 5, 6, 8]);
		const top = random.integer(1, bottom - 1);
		const whole = turning(1, 10);
		return numberItem({
			stem: `$${whole}\\frac{${top}}{${bottom}} = \\frac{?}{${bottom}}$ Which number is missing?`,
			key: whole * bottom + top,
			wrong: [
				[whole + top, 'wholeAddedToTop'],
				[whole * bottom, 'fractionPartDropped'],
				[Number(`${whole}${top}`), 'digitsJoined']
			],
			hint: `How many ${partNames[bottom]} are in ${whole} ${whole === 1 ? 'whole' : 'wholes'}?`,
			solution: [
				`${whole} × ${bottom} = ${whole * bottom} ${partNames[bottom]}.`,
				`${whole * bottom} + ${top} = ${whole * bottom + top}.`
			]
		});
	}),
	family('F44', 'fraction-to-mixed', ({ random, turning }) => {
		const bottom = random.pick([2, 3, 4, 5, 6, 8]);
		const top = random.integer(1, bottom - 1);
		const whole = turning(1, 10);
		const all = whole * bottom + top;
		return fillItem({
			stem: `${all} slices of bread come from loaves of ${bottom} slices. How many whole loaves is that, and how many slices more? (So ${tex(all, bottom)} is a mixed number.)`,
			blanks: [
				['whole loaves', whole],
				['slices more', top]
			],
			wrong: [
				[[top, whole], 'remainderAsAnswer'],
				[[whole + 1, bottom - top], 'remainderMissing']
			],
			hint: `How many times does ${bottom} fit into ${all}?`,
			solution: [
				`${whole} × ${bottom} = ${whole * bottom}.`,
				`${all} − ${whole * bottom} = ${top}, so ${tex(all, bottom)} is $${whole}\\frac{${top}}{${bottom}}$.`
			]
		});
	}),
	family('F47', 'share-as-fraction', ({ random, turning }) => {
		const [things, people] = [
			[3, 4],
			[2, 3],
			[5, 8],
			[3, 5],
			[7, 4],
			[5, 3],
			[5, 6],
			[7, 5],
			[4, 5],
			[9, 4]
		][turning(0, 9)];
		const thing = random.pick(['loaves', 'pies', 'melons']);
		return fractionItem({
			stem: `${things} ${thing} are shared equally among ${people} crews. What fraction of one ${{ loaves: 'loaf', pies: 'pie', melons: 'melon' }[thing]} does each crew get?`,
			key: [things, people],
			wrong: [
				[people, things, 'invertedFraction'],
				[1, people, 'onePartOnly']
			],
			hint: `Cut each into ${people} equal parts. How many parts does each crew get?`,
			solution: [
				`Each crew gets ${tex(1, people)} of each of the ${things}.`,
				`That is ${things} parts: ${tex(things, people)}.`
			]
		});
	})
];
