import { family, fillItem, numberItem, type ItemFamily } from '../../family';
import { TRIPLES } from './triples';

export const scaleAndRightTriangles: ItemFamily[] = [
	family('S73', 'length-in-copy', ({ random, turning }) => {
		const factor = random.pick([2, 3, 4, 5]);
		const a = turning(3, 12);
		const b = a + random.integer(1, 5);
		return numberItem({
			stem: `A photo of ${a} cm by ${b} cm is enlarged to the same shape. The side of ${a} cm becomes ${a * factor} cm. How long does the other side become, in centimeters?`,
			key: b * factor,
			unit: 'cm',
			wrong: [
				[b + a * factor - a, 'additiveRatio'],
				[b + factor, 'factorAdded'],
				[b * factor * factor, 'scaledTwice']
			],
			hint: `${a} times what is ${a * factor}?`,
			solution: [
				`${a * factor} ÷ ${a} = ${factor}, so everything is ${factor} times as long.`,
				`${factor} × ${b} = ${b * factor} centimeters.`
			]
		});
	}),
	family('S73', 'area-in-copy', ({ random, turning }) => {
		const factor = random.integer(2, 4);
		const area = turning(5, 24);
		return numberItem({
			stem: `A plan is enlarged so that each side is ${factor} times as long. A room had an area of ${area} square centimeters on it. What is its area now, in square centimeters?`,
			key: area * factor * factor,
			wrong: [
				[area * factor, 'lengthForArea'],
				[area + factor, 'factorAdded'],
				[area * 2 * factor, 'exponentAsFactor']
			],
			hint: `Both the length and the width become ${factor} times as long.`,
			solution: [
				`${factor} × ${factor} = ${factor * factor}.`,
				`${factor * factor} × ${area} = ${area * factor * factor} square centimeters.`
			]
		});
	}),
	family('S83', 'hypotenuse', ({ random, turning }) => {
		const [a, b, c] = TRIPLES[turning(0, 9)];
		const flip = random.chance(0.5);
		return numberItem({
			stem: `A pole leans on a wall. It reaches ${flip ? b : a} dm up; its foot stands ${flip ? a : b} dm from the wall. How long is the pole, in decimeters?`,
			figure: {
				kind: 'shape',
				corners: [
					[0, flip ? b : a],
					[flip ? a : b, flip ? b : a],
					[flip ? a : b, 0]
				],
				sides: [`${flip ? a : b} dm`, `${flip ? b : a} dm`, 'x'],
				square: [1],
				words: `A right triangle. The sides at the right angle are ${a} dm and ${b} dm.`
			},
			key: c,
			unit: 'dm',
			wrong: [
				[a + b, 'legsAdded'],
				[c * c, 'rootForgotten'],
				[Math.round(Math.sqrt(b * b - a * a) * 10) / 10, 'longestSideMixed']
			],
			hint: 'Square both sides at the right angle, add, and take the root.',
			solution: [
				`${a} × ${a} = ${a * a} and ${b} × ${b} = ${b * b}.`,
				`${a * a} + ${b * b} = ${c * c}, and the root of ${c * c} is ${c}.`
			]
		});
	}),
	family('S83', 'missing-leg', ({ random, turning }) => {
		const [a, b, c] = TRIPLES[turning(0, 9)];
		const [known, key] = random.chance(0.5) ? [a, b] : [b, a];
		return numberItem({
			stem: `A ladder ${c} dm long leans on a wall. Its foot is ${known} dm from the wall. How high does it reach, in decimeters?`,
			key,
			unit: 'dm',
			wrong: [
				[c - known, 'legsSubtracted'],
				[Math.round(Math.sqrt(c * c + known * known) * 10) / 10, 'longestSideMixed'],
				[key * key, 'rootForgotten']
			],
			hint: 'The ladder is the longest side. Subtract the squares, then take the root.',
			solution: [
				`${c} × ${c} = ${c * c} and ${known} × ${known} = ${known * known}.`,
				`${c * c} − ${known * known} = ${key * key}, and the root of ${key * key} is ${key}.`
			]
		});
	}),
	family('S85', 'shadow', ({ random, turning }) => {
		const height = random.integer(2, 5);
		const shadow = height + random.integer(1, 3);
		const factor = turning(2, 11);
		return numberItem({
			stem: `A post ${height} m high has a shadow of ${shadow} m. At the same time a tree has a shadow of ${shadow * factor} m. How high is the tree, in meters?`,
			key: height * factor,
			unit: 'm',
			wrong: [
				[shadow * factor - (shadow - height), 'additiveRatio'],
				[height + factor, 'factorAdded'],
				[shadow * factor, 'copiedNumber']
			],
			hint: 'The two triangles have the same shape. How many times as long is the shadow?',
			solution: [`${shadow * factor} ÷ ${shadow} = ${factor}.`, `${factor} × ${height} = ${height * factor} meters.`]
		});
	}),
	family('S85', 'sides-of-similar', ({ random, turning }) => {
		const [a, b, c] = random.pick(TRIPLES.slice(0, 5));
		const factor = turning(2, 11);
		return fillItem({
			stem: `A triangle has sides of ${a}, ${b} and ${c} cm. A similar triangle has ${a * factor} cm as its shortest side. Fill in its two other sides, in centimeters.`,
			blanks: [
				['middle side:', b * factor],
				['longest side:', c * factor]
			],
			wrong: [[[b + a * factor - a, c + a * factor - a], 'additiveRatio']],
			hint: `${a} times what is ${a * factor}?`,
			solution: [
				`${a * factor} ÷ ${a} = ${factor}.`,
				`${factor} × ${b} = ${b * factor} and ${factor} × ${c} = ${c * factor}.`
			]
		});
	})
];
