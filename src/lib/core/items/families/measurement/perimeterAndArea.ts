import { family, fractionItem, numberItem, rectangleItem, type ItemFamily } from '../../family';
import { counted, tex } from '../../text';

export const perimeterAndArea: ItemFamily[] = [
	family('M31', 'perimeter', ({ random, turning }) => {
		const width = turning(6, 16);
		const height = random.integer(2, 5);
		return numberItem({
			stem: `A fence goes all the way around a garden that is ${width} m long and ${height} m wide. How many meters of fence is that?`,
			figure: { kind: 'rectangle', width, height, unit: 'm', squares: false },
			key: 2 * (width + height),
			unit: 'm',
			wrong: [
				[width + height, 'twoSides'],
				[width * height, 'areaForPerimeter']
			],
			hint: 'Walk around the garden: how many sides do you pass?',
			solution: [`Four sides: ${width} + ${height} + ${width} + ${height}.`, `That is ${2 * (width + height)} meters.`]
		});
	}),
	family('M31', 'side-from-perimeter', ({ random, turning }) => {
		const width = turning(4, 15);
		const height = random.integer(2, 9);
		return numberItem({
			stem: `A rectangle has a perimeter of ${2 * (width + height)} cm. One side is ${width} cm long. How long is the side next to it, in centimeters?`,
			key: height,
			unit: 'cm',
			wrong: [
				[2 * (width + height) - width, 'oneSideOnly'],
				[2 * (width + height) - 2 * width, 'stoppedAfterOneStep'],
				[width, 'copiedNumber']
			],
			hint: 'Two sides are known. What is left for the other two together?',
			solution: [
				`${2 * (width + height)} − ${2 * width} = ${2 * height} for the two other sides.`,
				`${2 * height} ÷ 2 = ${height} centimeters.`
			]
		});
	}),
	family('M31', 'build-perimeter', ({ random, turning }) => {
		const columns = turning(1, 10);
		const rows = random.pick([2, 3, 4, 5, 6].filter((one) => one !== columns));
		return rectangleItem({
			stem: `Build a rectangle with ${rows} rows and a perimeter of ${2 * (rows + columns)}. The side of a square is 1.`,
			rows: 6,
			columns: 10,
			key: [rows, columns],
			wrong: [
				...(2 * (rows + columns) - rows <= 10
					? [[[rows, 2 * (rows + columns) - rows], 'oneSideOnly'] as [number[], 'oneSideOnly']]
					: []),
				...(rows + columns <= 10 ? [[[rows, rows + columns], 'twoSides'] as [number[], 'twoSides']] : [])
			],
			hint: `The two short ends are ${rows} each. What is left for the two long sides?`,
			solution: [
				`${2 * (rows + columns)} − ${2 * rows} = ${2 * columns}.`,
				`${2 * columns} ÷ 2 = ${columns} in each row.`
			]
		});
	}),
	family('M32', 'area-in-squares', ({ random, turning }) => {
		const width = turning(3, 12);
		const height = random.integer(3, 7);
		return numberItem({
			stem: `A deck is covered with square tiles in ${height} rows of ${width}. Each tile is 1 square meter. What is the area of the deck, in square meters?`,
			figure: { kind: 'rectangle', width, height, unit: 'm', squares: true },
			key: width * height,
			wrong: [
				[2 * (width + height), 'perimeterForArea'],
				[width + height, 'addInsteadMultiply'],
				[width * (height - 1), 'oneGroupOff']
			],
			hint: `How many tiles are in one row? How many rows are there?`,
			solution: [`${height} rows of ${width} tiles: ${height} × ${width} = ${width * height} square meters.`]
		});
	}),
	family('M32', 'build-area', ({ random, turning }) => {
		const columns = turning(1, 10);
		const rows = random.pick([2, 3, 4, 5, 6]);
		return rectangleItem({
			stem: `Build a rectangle with ${rows} rows and an area of ${rows * columns} squares.`,
			rows: 6,
			columns: 10,
			key: [rows, columns],
			wrong: [
				...(rows * columns <= 10 ? [[[rows, rows * columns], 'areaAsSide'] as [number[], 'areaAsSide']] : []),
				...(columns <= 6 && rows !== columns
					? [[[columns, rows], 'rowsForColumns'] as [number[], 'rowsForColumns']]
					: [])
			],
			hint: `${rows} equal rows make ${rows * columns} squares. How many are in one row?`,
			solution: [`${rows * columns} ÷ ${rows} = ${columns}, so each row has ${counted(columns, 'square')}.`]
		});
	}),
	family('M44', 'side-from-area', ({ random, turning }) => {
		const width = turning(3, 12);
		const height = random.integer(3, 9);
		return numberItem({
			stem: `A garden bed has an area of ${width * height} square meters. It is ${width} m long. How wide is it, in meters?`,
			key: height,
			unit: 'm',
			wrong: [
				[width * height - width, 'subtractInsteadDivide'],
				...((width * height) % 2 === 0
					? [[(width * height) / 2 - width, 'areaAsPerimeter'] as [number, 'areaAsPerimeter']]
					: []),
				[width * height * width, 'multiplyInsteadDivide']
			],
			hint: 'Length times width is the area.',
			solution: [`${width * height} ÷ ${width} = ${height} meters.`]
		});
	}),
	family('M44', 'area-from-perimeter', ({ random, turning }) => {
		const side = turning(3, 12);
		const other = side + random.integer(1, 4);
		return numberItem({
			stem: `A rectangle has a perimeter of ${2 * (side + other)} m and is ${other} m long. What is its area, in square meters?`,
			key: side * other,
			wrong: [
				[side, 'stoppedAfterOneStep'],
				[2 * (side + other) * other, 'perimeterAsSide'],
				[side + other, 'perimeterForArea']
			],
			hint: 'Find the width first.',
			solution: [
				`${2 * (side + other)} − ${2 * other} = ${2 * side}, and ${2 * side} ÷ 2 = ${side} m wide.`,
				`${side} × ${other} = ${side * other} square meters.`
			]
		});
	}),
	family('M42', 'area-with-corner-cut', ({ random, turning }) => {
		const width = turning(7, 16);
		const height = random.integer(6, 9);
		const cutWidth = random.integer(2, width - 4);
		const cutHeight = random.integer(2, height - 3);
		return numberItem({
			stem: `A yard of ${width} m by ${height} m has a corner of ${cutWidth} m by ${cutHeight} m missing. What is its area, in square meters?`,
			figure: { kind: 'corner', width, height, cutWidth, cutHeight, unit: 'm' },
			key: width * height - cutWidth * cutHeight,
			wrong: [
				[width * height, 'boundingBox'],
				[2 * (width + height), 'perimeterForArea'],
				[width * height + cutWidth * cutHeight, 'addInsteadTake']
			],
			hint: 'Find the whole rectangle, then take the missing corner away.',
			solution: [
				`Whole: ${width} × ${height} = ${width * height}.`,
				`Missing: ${cutWidth} × ${cutHeight} = ${cutWidth * cutHeight}.`,
				`${width * height} − ${cutWidth * cutHeight} = ${width * height - cutWidth * cutHeight} square meters.`
			]
		});
	}),
	family('M42', 'l-shape', ({ random, turning }) => {
		const [a, b] = [turning(6, 15), random.integer(2, 4)];
		const [c, d] = [random.integer(2, 4), random.integer(3, 6)];
		return numberItem({
			stem: `A path is made of two rectangles: one is ${a} m by ${b} m, the other ${c} m by ${d} m. They do not overlap. What is the area of the path, in square meters?`,
			figure: {
				kind: 'shape',
				corners: [
					[0, 0],
					[a, 0],
					[a, b],
					[c, b],
					[c, b + d],
					[0, b + d]
				],
				sides: [`${a} m`, `${b} m`, '', `${d} m`, `${c} m`, ''],
				inner: [{ from: [0, b], to: [c, b], label: '' }],
				words: `An L-shape cut into a rectangle of ${a} m by ${b} m and one of ${c} m by ${d} m.`
			},
			key: a * b + c * d,
			wrong: [
				[a * b, 'onePartOnly'],
				[a * (b + d), 'boundingBox'],
				[2 * (a + b + d), 'perimeterForArea']
			],
			hint: 'Find the area of each rectangle. Then add.',
			solution: [
				`${a} × ${b} = ${a * b} and ${c} × ${d} = ${c * d}.`,
				`${a * b} + ${c * d} = ${a * b + c * d} square meters.`
			]
		});
	}),
	family('M55', 'area-with-half', ({ random, turning }) => {
		const [top, bottom] = random.pick([
			[1, 2],
			[1, 3],
			[2, 3],
			[3, 4],
			[1, 4]
		]);
		const length = turning(2, 11);
		return fractionItem({
			stem: `A strip of land is ${length} km long and ${tex(top, bottom)} km wide. What is its area, in square kilometers?`,
			key: [length * top, bottom],
			mixed: true,
			wrong: [
				[length * bottom + top, bottom, 'addInsteadMultiply'],
				[top, bottom * length, 'multiplyBoth'],
				[2 * (length * bottom + top), bottom, 'perimeterForArea']
			],
			hint: 'Length times width. Multiply the top by the whole number.',
			solution: [
				`${length} × ${top} = ${length * top} parts, each ${tex(1, bottom)}.`,
				`The area is ${tex(length * top, bottom)} square kilometers.`
			]
		});
	}),
	family('M55', 'area-fraction-by-fraction', ({ random, turning }) => {
		const b = turning(2, 11);
		const a = random.integer(1, b - 1);
		const [c, d] = random.pick([
			[1, 2],
			[2, 3],
			[3, 4],
			[2, 5]
		]);
		return fractionItem({
			stem: `A tile is ${tex(a, b)} meter long and ${tex(c, d)} meter wide. What is its area, in square meters?`,
			key: [a * c, b * d],
			wrong: [
				[a + c, b + d, 'addTopsAndBottoms'],
				[a * c, b, 'oneDenominator'],
				[a * d + c * b, b * d, 'addInsteadMultiply']
			],
			hint: 'Multiply the tops and multiply the bottoms.',
			solution: [`${a} × ${c} = ${a * c} and ${b} × ${d} = ${b * d}.`, `The area is ${tex(a * c, b * d)} square meter.`]
		});
	})
];
