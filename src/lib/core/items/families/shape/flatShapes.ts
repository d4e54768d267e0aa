import { choiceItem, family, numberItem, severalItem, textItem, type ItemFamily } from '../../family';
import type { Figure } from '../../figure';
import { counted } from '../../text';

const POLYGONS: Record<number, string> = { 3: 'triangle', 4: 'square', 5: 'pentagon', 6: 'hexagon', 8: 'octagon' };

/** A shape with so many equal sides, turned a little. */
function regular(sides: number, turn: number): Figure {
	const corners = Array.from({ length: sides }, (_, i): [number, number] => {
		const angle = ((360 * i) / sides + turn - 90) * (Math.PI / 180);
		return [10 + 9 * Math.cos(angle), 10 + 9 * Math.sin(angle)];
	});
	return { kind: 'shape', corners, words: `A closed shape with ${sides} straight sides of the same length.` };
}

export const flatShapes: ItemFamily[] = [
	family('S11', 'name-flat-shape', ({ random, turning }) => {
		const sides = [3, 4, 5, 6, 8][turning(0, 9) % 5];
		const turn = 5 * turning(0, 9) + 3;
		const named = (count: number) => (count === 8 ? 'an octagon' : `a ${POLYGONS[count]}`);
		return choiceItem(random, {
			stem: 'What is this shape called?',
			figure: regular(sides, turn),
			right: named(sides),
			wrong: random
				.shuffle([3, 4, 5, 6, 8].filter((count) => count !== sides))
				.map((count) => [named(count), 'sideCount']),
			hint: 'Count the sides.',
			solution: [`It has ${sides} sides, so it is ${named(sides)}.`]
		});
	}),
	family('S11', 'shape-in-the-world', ({ random, turning }) => {
		const things: [string, string][] = [
			['A sail has three straight sides.', 'a triangle'],
			['A window has four sides of the same length and four square corners.', 'a square'],
			['A door has four square corners and is higher than it is wide.', 'a rectangle'],
			['A coin is round, with no straight side.', 'a circle'],
			['A honeycomb cell has six sides.', 'a hexagon'],
			['A flag has four square corners; two sides are long and two are short.', 'a rectangle'],
			['A warning sign has three sides of the same length.', 'a triangle'],
			['A clock face has no corners.', 'a circle'],
			['A floor tile has six sides.', 'a hexagon'],
			['A checkers field has four equal sides and four square corners.', 'a square']
		];
		const [text, right] = things[turning(0, 9)];
		const names = ['a triangle', 'a square', 'a rectangle', 'a circle', 'a hexagon'];
		return choiceItem(random, {
			stem: `${text} Which shape is it?`,
			right,
			wrong: random.shuffle(names.filter((name) => name !== right)).map((name) => [name, 'sideCount']),
			hint: 'Draw it with your finger. How many straight sides are there?',
			solution: [text, `So it is ${right}.`]
		});
	}),
	family('S12', 'count-corners', ({ random, turning }) => {
		const sides = 3 + (turning(0, 9) % 6);
		const turn = 4 * turning(0, 9) + 2;
		const corners = random.chance(0.5);
		return numberItem({
			stem: `How many ${corners ? 'corners' : 'sides'} does the shape have?`,
			figure: regular(sides, turn),
			key: sides,
			wrong: [
				[sides + 1, 'countedStartAgain'],
				[sides - 1, 'countedOneTooFew']
			],
			hint: 'Mark where you start, and count around once.',
			solution: [`Going around once, you pass ${counted(sides, corners ? 'corner' : 'side')}.`]
		});
	}),
	family('S12', 'mark-with-corners', ({ random, turning }) => {
		const all: [string, number][] = [
			['a triangle', 3],
			['a square', 4],
			['a circle', 0],
			['a rectangle', 4],
			['a hexagon', 6],
			['a slice of pizza with three points', 3],
			['a kite with four points', 4],
			['an egg', 0],
			['a star with five points inside and five outside', 10],
			['a ball', 0]
		];
		const shift = turning(0, 9);
		const four = [0, 1, 4, 6].map((i) => all[(i + shift) % 10]);
		const wanted = random.pick(four.filter(([, corners]) => corners > 0))[1];
		return severalItem(random, {
			stem: `Mark every shape with ${wanted} corners.`,
			options: four.map(([text, corners]) => ({
				text,
				right: corners === wanted,
				misconception: 'sideCount' as const
			})),
			hint: 'Think of each shape and count its corners.',
			solution: four.map(
				([text, corners]) => `${text[0].toUpperCase()}${text.slice(1)} has ${counted(corners, 'corner')}.`
			)
		});
	}),
	family('S22', 'type-polygon-name', ({ turning }) => {
		const sides = [5, 6, 8, 3][turning(0, 9) % 4];
		const turn = 4 * turning(0, 9) + 1;
		const others = [3, 5, 6, 8].filter((count) => count !== sides);
		return textItem({
			stem: 'Type the name of this shape.',
			figure: regular(sides, turn),
			key: POLYGONS[sides],
			// All its sides are equal, so this is right, too.
			alsoRight: [`regular ${POLYGONS[sides]}`, ...(sides === 3 ? ['equilateral triangle'] : [])],
			wrong: others.map((count) => [POLYGONS[count], 'sideCount']),
			hint: 'Count the sides. Penta is five, hexa is six, octa is eight.',
			solution: [`It has ${sides} sides: it is ${sides === 8 ? 'an' : 'a'} ${POLYGONS[sides]}.`]
		});
	}),
	family('S22', 'mark-quadrilaterals', ({ random, turning }) => {
		const pool: [string, number][] = [
			['a square', 4],
			['a rectangle', 4],
			['a kite', 4],
			['a trapezoid', 4],
			['a triangle', 3],
			['a pentagon', 5],
			['a hexagon', 6],
			['an octagon', 8]
		];
		const pairs = [0, 1, 2].flatMap((i) => [1, 2, 3].filter((j) => j > i).map((j) => [i, j]));
		const turn = turning(0, 35);
		const four = pairs[turn % 6].map((i) => pool[i]);
		const rest = pairs[Math.floor(turn / 6)].map((i) => pool[4 + i]);
		return severalItem(random, {
			stem: 'Mark every shape that always has four sides.',
			options: [...four, ...rest].map(([text, sides]) => ({
				text,
				right: sides === 4,
				misconception: 'sideCount' as const
			})),
			hint: 'Think of each shape and count its sides.',
			solution: [...four, ...rest].map(
				([text, sides]) => `${text[0].toUpperCase()}${text.slice(1)} has ${sides} sides.`
			)
		});
	}),
	family('S46', 'triangle-by-sides', ({ random, turning }) => {
		const a = turning(4, 13);
		const kind = random.integer(0, 2);
		const sides = [
			[a, a, a],
			[a, a, a + 2],
			[a, a + 1, a + 3]
		][kind];
		const names = ['equilateral', 'isosceles, but not equilateral', 'scalene'];
		return choiceItem(random, {
			stem: `A triangle has sides of ${sides.join(' cm, ')} cm. What kind of triangle is it?`,
			right: names[kind],
			wrong: names.filter((_, i) => i !== kind).map((name) => [name, 'triangleNames']),
			hint: 'How many of the sides are equal?',
			solution: [
				['All three sides are equal: equilateral.', 'Two sides are equal: isosceles.', 'No sides are equal: scalene.'][
					kind
				]
			]
		});
	}),
	family('S46', 'triangle-by-angles', ({ random, turning }) => {
		const kind = random.integer(0, 2);
		const turn = turning(1, 12);
		const angles = [
			[60 + turn, 55, 65 - turn],
			[90, 20 + 3 * turn, 70 - 3 * turn],
			[100 + 2 * turn, 35, 45 - 2 * turn]
		][kind];
		const names = ['acute', 'right', 'obtuse'];
		return choiceItem(random, {
			stem: `A triangle has angles of ${random.shuffle(angles).join('°, ')}°. What kind of triangle is it?`,
			right: names[kind],
			wrong: names.filter((_, i) => i !== kind).map((name) => [name, 'triangleNames']),
			hint: 'Look at the largest angle. Is it under, exactly, or over 90°?',
			solution: [
				`The largest angle is ${Math.max(...angles)}°.`,
				['All are under 90°: acute.', 'One is exactly 90°: right.', 'One is over 90°: obtuse.'][kind]
			]
		});
	})
];
