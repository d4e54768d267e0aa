import { numberChoice, numberItem, type ItemFamily } from '../family';

export const areaAndVolume: ItemFamily[] = [
	{
		id: 'perimeter',
		skillCode: 'M03',
		make({ random, turning }) {
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
				solution: [
					`Four sides: ${width} + ${height} + ${width} + ${height}.`,
					`That is ${2 * (width + height)} meters.`
				]
			});
		}
	},
	{
		id: 'area-in-squares',
		skillCode: 'M04',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'area-with-corner-cut',
		skillCode: 'M08',
		make({ random, turning }) {
			const width = turning(7, 16);
			const height = random.integer(6, 9);
			const cutWidth = random.integer(2, width - 4);
			const cutHeight = random.integer(2, height - 3);
			return numberItem({
				stem: `A ${width} m by ${height} m yard has a ${cutWidth} m by ${cutHeight} m corner missing. What is its area, in square meters?`,
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
		}
	},
	{
		id: 'volume-of-box',
		skillCode: 'M10',
		make({ random, turning }) {
			const a = turning(4, 14);
			const b = random.integer(3, 8);
			const c = random.integer(2, 6);
			return numberChoice(random, {
				stem: `A crate is ${a} cm long, ${b} cm wide and ${c} cm high. What is its volume?`,
				key: a * b * c,
				unit: 'cubic centimeters',
				wrong: [
					[a + b + c, 'sumOfSides'],
					[a * b, 'faceOnly'],
					[2 * (a * b + a * c + b * c), 'surfaceForVolume'],
					[a * b + c, 'heightAdded']
				],
				hint: `How many cubes are in the bottom layer? How many layers are there?`,
				solution: [
					`The bottom layer holds ${a} × ${b} = ${a * b} cubes.`,
					`${c} layers: ${a * b} × ${c} = ${a * b * c}.`
				]
			});
		}
	},
	{
		id: 'area-of-triangle',
		skillCode: 'M11',
		make({ random, turning }) {
			const base = 2 * turning(3, 12);
			const height = random.integer(5, 15);
			return numberItem({
				stem: `A triangular sail has a base of ${base} m and a height of ${height} m. What is its area, in square meters?`,
				figure: { kind: 'triangle', base, height, unit: 'm' },
				key: (base * height) / 2,
				wrong: [
					[base * height, 'halfForgotten'],
					[base + height, 'perimeterForArea'],
					[(base + height) / 2, 'perimeterForArea']
				],
				hint: 'The triangle is half of a rectangle with the same base and height.',
				solution: [
					`Rectangle: ${base} × ${height} = ${base * height}.`,
					`Half of that is ${(base * height) / 2} square meters.`
				]
			});
		}
	}
];
