import { family, numberChoice, numberItem, type ItemFamily } from '../../family';
import { exact, formatNumber } from '../../text';

/** Pi as students of these grades work with it. */
const PI = 3.14;

export const areaOfShapes: ItemFamily[] = [
	family('M62', 'area-of-parallelogram', ({ random, turning }) => {
		const base = turning(6, 17);
		const height = random.integer(3, 9);
		const side = height + random.integer(1, 3);
		return numberItem({
			stem: 'What is the area of the parallelogram, in square meters?',
			figure: {
				kind: 'shape',
				corners: [
					[0, height],
					[base, height],
					[base + 3, 0],
					[3, 0]
				],
				sides: [`${base} m`, `${side} m`, '', ''],
				inner: [{ from: [3, 0], to: [3, height], label: `${height} m` }],
				words: `A parallelogram with a base of ${base} m, a slanted side of ${side} m and a height of ${height} m.`
			},
			key: base * height,
			wrong: [
				[base * side, 'slantForHeight'],
				[2 * (base + side), 'perimeterForArea'],
				[(base * height) / 2, 'halfOfParallelogram']
			],
			hint: 'Cut off the slanted end and move it to the other side. Which rectangle do you get?',
			solution: [`The rectangle has the same base and height.`, `${base} × ${height} = ${base * height} square meters.`]
		});
	}),
	family('M62', 'height-of-parallelogram', ({ random, turning }) => {
		const base = random.integer(4, 12);
		const height = turning(3, 14);
		return numberItem({
			stem: `A parallelogram has an area of ${base * height} square centimeters and a base of ${base} cm. How high is it, in centimeters?`,
			key: height,
			unit: 'cm',
			wrong: [
				[2 * height, 'halfOfParallelogram'],
				[base * height - base, 'subtractInsteadDivide']
			],
			hint: 'Base times height is the area.',
			solution: [`${base * height} ÷ ${base} = ${height} centimeters.`]
		});
	}),
	family('M61', 'area-of-triangle', ({ random, turning }) => {
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
	}),
	family('M61', 'triangle-of-three-lengths', ({ random, turning }) => {
		const base = 2 * turning(3, 12);
		const height = random.integer(4, 9);
		const side = height + random.integer(1, 3);
		return numberItem({
			stem: 'What is the area of the triangle, in square centimeters?',
			figure: {
				kind: 'shape',
				corners: [
					[0, height],
					[base, height],
					[base / 3, 0]
				],
				sides: [`${base} cm`, '', `${side} cm`],
				inner: [{ from: [base / 3, 0], to: [base / 3, height], label: `${height} cm` }],
				words: `A triangle with a base of ${base} cm, a side of ${side} cm and a height of ${height} cm.`
			},
			key: (base * height) / 2,
			wrong: [
				[base * height, 'halfForgotten'],
				[(base * side) / 2, 'slantForHeight'],
				[base + height + side, 'perimeterForArea']
			],
			hint: 'Which line stands straight up on the base?',
			solution: [
				`Base times height: ${base} × ${height} = ${base * height}.`,
				`Half of it: ${base * height} ÷ 2 = ${(base * height) / 2} square centimeters.`
			]
		});
	}),
	family('M63', 'house-shape', ({ random, turning }) => {
		const width = 2 * turning(3, 12);
		const wall = random.integer(3, 8);
		const roof = random.integer(2, 6);
		return numberItem({
			stem: 'A barn wall is a rectangle with a triangle on top. What is its area, in square meters?',
			figure: {
				kind: 'shape',
				corners: [
					[0, roof],
					[width / 2, 0],
					[width, roof],
					[width, roof + wall],
					[0, roof + wall]
				],
				sides: ['', '', `${wall} m`, `${width} m`, ''],
				inner: [
					{ from: [0, roof], to: [width, roof], label: '' },
					{ from: [width / 2, 0], to: [width / 2, roof], label: `${roof} m` }
				],
				words: `A rectangle ${width} m wide and ${wall} m high with a triangle of height ${roof} m on top.`
			},
			key: width * wall + (width * roof) / 2,
			wrong: [
				[width * wall + width * roof, 'halfForgotten'],
				[width * wall, 'onePartOnly'],
				[width + wall + roof, 'perimeterForArea']
			],
			hint: 'Find the rectangle and the triangle one after the other.',
			solution: [
				`Rectangle: ${width} × ${wall} = ${width * wall}.`,
				`Triangle: ${width} × ${roof} = ${width * roof}; half of that is ${(width * roof) / 2}.`,
				`${width * wall} + ${(width * roof) / 2} = ${width * wall + (width * roof) / 2} square meters.`
			]
		});
	}),
	family('M63', 'trapezoid', ({ random, turning }) => {
		const top = turning(3, 12);
		const bottom = top + 2 * random.integer(1, 4);
		const height = random.integer(3, 8);
		return numberItem({
			stem: 'What is the area of the trapezoid, in square meters?',
			figure: {
				kind: 'shape',
				corners: [
					[(bottom - top) / 2, 0],
					[(bottom + top) / 2, 0],
					[bottom, height],
					[0, height]
				],
				sides: [`${top} m`, '', `${bottom} m`, ''],
				inner: [{ from: [(bottom - top) / 2, 0], to: [(bottom - top) / 2, height], label: `${height} m` }],
				words: `A trapezoid with parallel sides of ${top} m and ${bottom} m and a height of ${height} m.`
			},
			key: ((top + bottom) / 2) * height,
			wrong: [
				[bottom * height, 'boundingBox'],
				[top * height, 'onePartOnly'],
				[(top + bottom) * height, 'halfForgotten']
			],
			hint: 'Cut it into a rectangle and two triangles. Or use the length halfway between the parallel sides.',
			solution: [
				`Halfway between ${top} and ${bottom} is ${(top + bottom) / 2}.`,
				`${(top + bottom) / 2} × ${height} = ${((top + bottom) / 2) * height} square meters.`
			]
		});
	}),
	family('M72', 'circumference', ({ random, turning }) => {
		const radius = turning(2, 21);
		const byDiameter = random.chance(0.5);
		const key = exact(2 * radius * PI);
		return numberItem({
			stem: `How long is the edge of a round pond, in meters? Use 3.14 for pi.`,
			figure: {
				kind: 'circle',
				line: byDiameter ? 'diameter' : 'radius',
				label: `${byDiameter ? 2 * radius : radius} m`
			},
			key,
			unit: 'm',
			wrong: [
				[exact(radius * PI), 'radiusForDiameter'],
				[exact(4 * radius * PI), 'diameterForRadius'],
				[exact(radius * radius * PI), 'areaForPerimeter']
			],
			hint: 'The edge is pi times the diameter.',
			solution: [
				...(byDiameter ? [] : [`The diameter is 2 × ${radius} = ${2 * radius} m.`]),
				`3.14 × ${2 * radius} = ${formatNumber(key)} meters.`
			]
		});
	}),
	family('M72', 'diameter-from-edge', ({ random, turning }) => {
		const diameter = turning(3, 22) * random.pick([1, 10]);
		const edge = exact(diameter * PI);
		return numberItem({
			stem: `A wheel rolls ${formatNumber(edge)} cm in one full turn. What is its diameter, in centimeters? Use 3.14 for pi.`,
			key: diameter,
			unit: 'cm',
			wrong: [
				[diameter / 2, 'radiusForDiameter'],
				[exact(edge * PI), 'multiplyInsteadDivide'],
				[exact(edge / 2), 'halfForRoot']
			],
			hint: 'One turn is pi times the diameter. Undo the multiplication.',
			solution: [`${formatNumber(edge)} ÷ 3.14 = ${diameter} centimeters.`]
		});
	}),
	family('M73', 'area-of-circle', ({ random, turning }) => {
		const radius = turning(2, 11);
		const byDiameter = random.chance(0.5);
		const key = exact(radius * radius * PI);
		return numberItem({
			stem: 'What is the area of the circle, in square centimeters? Use 3.14 for pi.',
			figure: {
				kind: 'circle',
				line: byDiameter ? 'diameter' : 'radius',
				label: `${byDiameter ? 2 * radius : radius} cm`
			},
			key,
			wrong: [
				[exact(2 * radius * PI), 'perimeterForArea'],
				[exact(4 * radius * radius * PI), 'diameterForRadius'],
				[exact((radius * PI) ** 2), 'piSquared']
			],
			hint: 'Pi times the radius times the radius.',
			solution: [
				...(byDiameter ? [`The radius is ${2 * radius} ÷ 2 = ${radius} cm.`] : []),
				`${radius} × ${radius} = ${radius * radius}.`,
				`3.14 × ${radius * radius} = ${formatNumber(key)} square centimeters.`
			]
		});
	}),
	family('M73', 'ring-or-half', ({ random, turning }) => {
		const radius = 2 * turning(1, 10);
		const key = exact((radius * radius * PI) / 2);
		return numberChoice(random, {
			stem: `A stage is half of a circle with a radius of ${radius} m. What is its area? Use 3.14 for pi.`,
			key,
			unit: 'square meters',
			wrong: [
				[exact(radius * radius * PI), 'halfForgotten'],
				[exact(radius * PI), 'perimeterForArea'],
				[exact((radius / 2) ** 2 * PI), 'halfTheRadius'],
				[exact(2 * radius * radius * PI), 'diameterForRadius']
			],
			hint: 'Find the whole circle first. Then take half of it.',
			solution: [
				`Whole circle: 3.14 × ${radius * radius} = ${formatNumber(exact(radius * radius * PI))}.`,
				`Half: ${formatNumber(exact(radius * radius * PI))} ÷ 2 = ${formatNumber(key)} square meters.`
			]
		});
	})
];
