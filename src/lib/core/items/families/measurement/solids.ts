import { choiceItem, family, fillItem, numberChoice, numberItem, type ItemFamily } from '../../family';
import { exact, formatNumber } from '../../text';

/** Pi as students of these grades work with it. */
const PI = 3.14;

export const solids: ItemFamily[] = [
	family('M52', 'volume-of-box', ({ random, turning }) => {
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
			solution: [`The bottom layer holds ${a} × ${b} = ${a * b} cubes.`, `${c} layers: ${a * b} × ${c} = ${a * b * c}.`]
		});
	}),
	family('M52', 'cubes-in-box', ({ random, turning }) => {
		const length = (turning(2, 11) % 5) + 2;
		const width = random.integer(2, 4);
		const height = turning(2, 11) > 6 ? random.integer(2, 3) : random.integer(4, 5);
		return numberItem({
			stem: `How many unit cubes make this box? It is ${length} cubes long, ${width} wide and ${height} high.`,
			figure: { kind: 'box', length, width, height, unit: '', cubes: true },
			key: length * width * height,
			wrong: [
				[length * width, 'faceOnly'],
				[length * height + length * width + width * height, 'visibleFaces'],
				[length + width + height, 'sumOfSides']
			],
			hint: 'How many cubes are in one layer? How many layers are there?',
			solution: [
				`One layer: ${length} × ${width} = ${length * width} cubes.`,
				`${height} × ${length * width} = ${length * width * height} cubes.`
			]
		});
	}),
	family('M64', 'surface-of-box', ({ random, turning }) => {
		const [a, b, c] = [turning(3, 12), random.integer(2, 6), random.integer(2, 5)];
		const key = 2 * (a * b + a * c + b * c);
		return numberItem({
			stem: 'How many square centimeters of paper cover this box on all sides?',
			figure: { kind: 'box', length: a, width: b, height: c, unit: 'cm', cubes: false },
			key,
			wrong: [
				[a * b * c, 'volumeForSurface'],
				[key / 2, 'threeFacesOnly'],
				[2 * (a + b + c), 'perimeterForArea']
			],
			hint: 'There are three kinds of faces, two of each.',
			solution: [
				`${a} × ${b} = ${a * b}, ${a} × ${c} = ${a * c}, ${b} × ${c} = ${b * c}.`,
				`Together ${key / 2}; two of each make ${key} square centimeters.`
			]
		});
	}),
	family('M64', 'surface-in-parts', ({ random, turning }) => {
		const [a, b, c] = [turning(4, 13), random.integer(2, 5), random.integer(2, 6)];
		return fillItem({
			stem: `A crate is ${a} dm long, ${b} dm wide and ${c} dm high. Fill in the areas, in square decimeters.`,
			blanks: [
				['top and bottom together:', 2 * a * b],
				['front and back together:', 2 * a * c],
				['the two ends together:', 2 * b * c]
			],
			wrong: [[[a * b, a * c, b * c], 'threeFacesOnly']],
			hint: 'Each kind of face comes twice.',
			solution: [
				`${a} × ${b} = ${a * b}, ${a} × ${c} = ${a * c} and ${b} × ${c} = ${b * c}.`,
				`Two of each: ${2 * a * b}, ${2 * a * c}, and ${2 * b * c}.`
			]
		});
	}),
	family('M74', 'volume-of-triangular-prism', ({ random, turning }) => {
		const base = 2 * random.integer(2, 6);
		const height = random.integer(3, 8);
		const length = turning(6, 15);
		const face = (base * height) / 2;
		return numberItem({
			stem: `A tent is a prism. Its front is a triangle with a base of ${base} dm and a height of ${height} dm. It is ${length} dm long. What is its volume, in cubic decimeters?`,
			figure: {
				kind: 'solid',
				shape: 'triangular prism',
				labels: [`base ${base} dm`, `height ${height} dm`, `length ${length} dm`]
			},
			key: face * length,
			wrong: [
				[base * height * length, 'halfForgotten'],
				[face, 'faceOnly'],
				[base + height + length, 'sumOfSides']
			],
			hint: 'Area of the front times the length.',
			solution: [
				`Front: ${base} × ${height} = ${base * height}; half of that is ${face}.`,
				`${face} × ${length} = ${formatNumber(face * length)} cubic decimeters.`
			]
		});
	}),
	family('M74', 'prism-from-base-area', ({ random, turning }) => {
		const area = turning(12, 41);
		const height = random.integer(3, 12);
		return numberItem({
			stem: `A tank has the same shape all the way up. Its bottom has an area of ${area} square meters, and it holds ${area * height} cubic meters. How high is it, in meters?`,
			key: height,
			unit: 'm',
			wrong: [
				[area * height * area, 'multiplyInsteadDivide'],
				[area * height - area, 'subtractInsteadDivide']
			],
			hint: 'Area of the bottom times the height is the volume.',
			solution: [`${area * height} ÷ ${area} = ${height} meters.`]
		});
	}),
	family('M81', 'volume-of-cylinder', ({ random, turning }) => {
		const radius = random.integer(2, 6);
		const height = turning(3, 14);
		const key = exact(radius * radius * height * PI);
		return numberItem({
			stem: `A rain barrel is a cylinder with a radius of ${radius} dm and a height of ${height} dm. What is its volume, in cubic decimeters? Use 3.14 for pi.`,
			figure: { kind: 'solid', shape: 'cylinder', labels: [`radius ${radius} dm`, `height ${height} dm`] },
			key,
			wrong: [
				[exact(2 * radius * height * PI), 'sideSurfaceForVolume'],
				[exact(4 * radius * radius * height * PI), 'diameterForRadius'],
				[radius * radius * height, 'piForgotten']
			],
			hint: 'Area of the circle at the bottom, times the height.',
			solution: [
				`3.14 × ${radius * radius} = ${formatNumber(exact(PI * radius * radius))}.`,
				`${formatNumber(exact(PI * radius * radius))} × ${height} = ${formatNumber(key)} cubic decimeters.`
			]
		});
	}),
	family('M81', 'compare-cylinders', ({ random, turning }) => {
		const radius = turning(2, 11);
		const factor = random.pick([2, 3]);
		return choiceItem(random, {
			stem: `Two cans are equally high. One has a radius of ${radius} cm, the other of ${radius * factor} cm. How many times as much does the larger can hold?`,
			right: `${factor * factor} times`,
			wrong: [
				[`${factor} times`, 'lengthForArea'],
				[`${factor ** 3} times`, 'lengthForVolume'],
				[`${2 * factor + (factor === 2 ? 2 : 0)} times`, 'exponentAsFactor']
			],
			hint: 'Compare the circles at the bottom: radius times radius.',
			solution: [
				`${factor} times the radius gives ${factor} × ${factor} = ${factor * factor} times the circle.`,
				'The height is the same.'
			]
		});
	}),
	family('M82', 'volume-of-cone', ({ random, turning }) => {
		const radius = random.integer(2, 6);
		const height = 3 * turning(2, 11);
		const key = exact((radius * radius * height * PI) / 3);
		return numberItem({
			stem: `The roof of a tower is a cone with a radius of ${radius} m and a height of ${height} m. What is its volume, in cubic meters? Use 3.14 for pi.`,
			figure: { kind: 'solid', shape: 'cone', labels: [`radius ${radius} m`, `height ${height} m`] },
			key,
			wrong: [
				[exact(radius * radius * height * PI), 'thirdForgotten'],
				[exact((radius * radius * height * PI) / 2), 'halfOfCylinder'],
				[exact((2 * radius * height * PI) / 3), 'sideSurfaceForVolume']
			],
			hint: 'A cone is one third of the cylinder around it.',
			solution: [
				`Cylinder: 3.14 × ${radius * radius} × ${height} = ${formatNumber(exact(radius * radius * height * PI))}.`,
				`${formatNumber(exact(radius * radius * height * PI))} ÷ 3 = ${formatNumber(key)} cubic meters.`
			]
		});
	}),
	family('M82', 'volume-of-sphere', ({ turning }) => {
		const radius = 3 * turning(1, 10);
		const cube = radius ** 3;
		const key = exact((4 / 3) * PI * cube);
		return numberItem({
			stem: `A ball has a radius of ${radius} cm. What is its volume, in cubic centimeters? Use 3.14 for pi.`,
			figure: { kind: 'solid', shape: 'sphere', labels: [`radius ${radius} cm`] },
			key,
			wrong: [
				[exact(PI * cube), 'fourThirdsForgotten'],
				[exact(4 * PI * radius * radius), 'surfaceForVolume'],
				[exact((PI * cube) / 3), 'fourThirdsForgotten']
			],
			hint: 'Four thirds times pi times the radius three times.',
			solution: [
				`${radius} × ${radius} × ${radius} = ${formatNumber(cube)}.`,
				`${formatNumber(cube)} × 4 ÷ 3 = ${formatNumber((cube * 4) / 3)}.`,
				`3.14 × ${formatNumber((cube * 4) / 3)} = ${formatNumber(key)} cubic centimeters.`
			]
		});
	})
];
