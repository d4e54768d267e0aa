import { choiceItem, family, numberChoice, numberItem, plotItem, type ItemFamily } from '../../family';
import { formatNumber } from '../../text';
import { TRIPLES } from './triples';

const point = (x: number, y: number) => `(${formatNumber(x)}, ${formatNumber(y)})`;

export const grid: ItemFamily[] = [
	family('S51', 'read-point', ({ random, turning }) => {
		const x = turning(0, 9);
		const y = random.pick([0, 1, 2, 3, 4, 5, 6, 7, 8, 9].filter((one) => one !== x));
		const pair = (across: number, up: number) => `(${across}, ${up})`;
		return choiceItem(random, {
			stem: 'The buoy is at point B. What are its coordinates?',
			figure: { kind: 'plane', from: 0, to: 10, points: [{ label: 'B', x, y }] },
			right: pair(x, y),
			wrong: [
				[pair(y, x), 'coordinatesSwapped'],
				[pair(x + 1, y), 'countTicks'],
				[pair(x, y + 1), 'countTicks']
			],
			hint: 'Go across first, then up.',
			solution: [`Across: ${x}. Up: ${y}.`, `The point is ${pair(x, y)}.`]
		});
	}),
	family('S51', 'plot-point', ({ random, turning }) => {
		const x = turning(0, 9);
		const y = random.pick([0, 1, 2, 3, 4, 5, 6, 7, 8, 9].filter((one) => one !== x));
		return plotItem({
			stem: `A buoy lies at ${point(x, y)}. Mark its place on the map.`,
			plane: { from: 0, to: 10 },
			key: [x, y],
			wrong: [
				[[y, x], 'coordinatesSwapped'],
				[[x + 1, y], 'countTicks'],
				[[x, y + 1], 'countTicks']
			],
			hint: 'The first number goes across, the second up.',
			solution: [`Go ${x} across, then ${y} up.`],
			solutionFigure: { kind: 'plane', from: 0, to: 10, points: [{ label: '', x, y }] }
		});
	}),
	family('S61', 'plot-in-quadrants', ({ random, turning }) => {
		const x = turning(-5, 4) || 5;
		const y = random.pick([-5, -4, -3, -2, -1, 1, 2, 3, 4, 5].filter((one) => one !== x));
		return plotItem({
			stem: `Plot the point ${point(x, y)}.`,
			plane: { from: -6, to: 6 },
			key: [x, y],
			wrong: [
				[[y, x], 'coordinatesSwapped'],
				[[-x, y], 'signIgnored'],
				[[x, -y], 'signIgnored'],
				[[-x, -y], 'signIgnored']
			],
			hint: 'From 0, negative goes left or down.',
			solution: [
				`Move ${Math.abs(x)} to the ${x < 0 ? 'left' : 'right'}, then ${Math.abs(y)} ${y < 0 ? 'down' : 'up'}.`
			],
			solutionFigure: { kind: 'plane', from: -6, to: 6, points: [{ label: '', x, y }] }
		});
	}),
	family('S61', 'reflect-over-axis', ({ random, turning }) => {
		const x = turning(-5, 4) || 5;
		const y = random.pick([-6, -4, -3, -2, 1, 2, 3, 6]);
		const over = random.pick(['x', 'y']);
		const right = over === 'x' ? point(x, -y) : point(-x, y);
		return choiceItem(random, {
			stem: `The point ${point(x, y)} is reflected over the ${over}-axis. Where does it come to lie?`,
			right,
			wrong: [
				[over === 'x' ? point(-x, y) : point(x, -y), 'otherAxis'],
				[point(-x, -y), 'bothSignsChanged'],
				[point(y, x), 'coordinatesSwapped']
			],
			hint: `The ${over}-axis is the mirror. Which of the two numbers stays?`,
			solution: [
				over === 'x' ? 'Across stays; up becomes down.' : 'Up stays; left becomes right.',
				`So it is ${right}.`
			]
		});
	}),
	family('S62', 'side-on-grid', ({ random, turning }) => {
		const x1 = -turning(1, 10);
		const x2 = random.integer(1, 9);
		const y = random.integer(-5, 5);
		return numberItem({
			stem: `One side of a rectangle goes from ${point(x1, y)} to ${point(x2, y)}. How long is it?`,
			key: x2 - x1,
			wrong: [
				[Math.abs(x2 + x1), 'signIgnored'],
				[x2 - x1 + 1, 'countTicks'],
				[x2, 'oneValueOnly']
			],
			hint: 'How far is each end from 0? They lie on different sides.',
			solution: [`From ${formatNumber(x1)} to 0 is ${-x1}, from 0 to ${x2} is ${x2}.`, `${-x1} + ${x2} = ${x2 - x1}.`]
		});
	}),
	family('S62', 'fourth-corner', ({ random, turning }) => {
		const x1 = turning(-5, 4);
		const x2 = x1 >= 0 ? x1 - random.integer(2, 5) : x1 + random.integer(2, 5);
		const y1 = random.integer(-5, -1);
		const y2 = random.integer(1, 5);
		return plotItem({
			stem: `Three corners of a rectangle are ${point(x1, y1)}, ${point(x2, y1)} and ${point(x2, y2)}. Plot the fourth.`,
			plane: {
				from: -6,
				to: 6,
				segments: [
					[x1, y1, x2, y1],
					[x2, y1, x2, y2]
				]
			},
			key: [x1, y2],
			wrong: [
				[[y2, x1], 'coordinatesSwapped'],
				[[-x1, y2], 'signIgnored'],
				[[x1, -y1], 'signIgnored']
			],
			hint: 'It lies straight above the first corner and level with the third.',
			solution: [`Across like ${point(x1, y1)}: ${formatNumber(x1)}. Up like ${point(x2, y2)}: ${y2}.`]
		});
	}),
	family('S81', 'slide-point', ({ random, turning }) => {
		const x = turning(-5, 4);
		const y = random.integer(-3, 3);
		const [dx, dy] = [x < 0 ? random.integer(3, 6) : -random.integer(3, 6), random.pick([-3, -2, 2, 3])];
		return plotItem({
			stem: `The point A is moved ${Math.abs(dx)} to the ${dx < 0 ? 'left' : 'right'} and ${Math.abs(dy)} ${dy < 0 ? 'down' : 'up'}. A lies at ${point(x, y)}. Plot its image.`,
			plane: { from: -6, to: 6 },
			key: [x + dx, y + dy],
			wrong: [
				[[x + dy, y + dx], 'coordinatesSwapped'],
				[[x - dx, y - dy], 'wrongDirection'],
				[[x + dx, y], 'stoppedAfterOneStep']
			],
			hint: 'Left and right change the first number, up and down the second.',
			solution: [
				`Across: ${formatNumber(x)} ${dx < 0 ? '−' : '+'} ${Math.abs(dx)} = ${formatNumber(x + dx)}. Up: ${formatNumber(y)} ${dy < 0 ? '−' : '+'} ${Math.abs(dy)} = ${formatNumber(y + dy)}.`
			]
		});
	}),
	family('S81', 'flip-point', ({ random, turning }) => {
		const x = turning(-5, 4) || 5;
		const y = random.pick([-5, -4, -2, 2, 3, 5].filter((one) => Math.abs(one) !== Math.abs(x)));
		const over = random.pick(['x', 'y']);
		const key: [number, number] = over === 'x' ? [x, -y] : [-x, y];
		return plotItem({
			stem: `Reflect the point ${point(x, y)} over the ${over}-axis. Plot its image.`,
			plane: { from: -6, to: 6 },
			key,
			wrong: [
				[over === 'x' ? [-x, y] : [x, -y], 'otherAxis'],
				[[-x, -y], 'bothSignsChanged'],
				[[y, x], 'coordinatesSwapped']
			],
			hint: `The ${over}-axis is the mirror: the image is as far away on its other side.`,
			solution: [
				over === 'x'
					? `Across stays ${formatNumber(x)}; ${formatNumber(y)} up becomes ${formatNumber(-y)}.`
					: `Up stays ${formatNumber(y)}; ${formatNumber(x)} across becomes ${formatNumber(-x)}.`
			]
		});
	}),
	family('S82', 'turn-point', ({ random, turning }) => {
		const x = turning(-5, 4) || 5;
		const y = random.pick([-4, -3, -2, 1, 2, 4].filter((one) => Math.abs(one) !== Math.abs(x)));
		const half = random.chance(0.4);
		const key: [number, number] = half ? [-x, -y] : [-y, x];
		return plotItem({
			stem: `Turn the point ${point(x, y)} around (0, 0) by ${half ? '180°' : '90° counterclockwise'}. Plot its image.`,
			plane: { from: -6, to: 6 },
			key,
			wrong: [
				[[y, -x], 'turnedOtherWay'],
				[half ? [-y, x] : [-x, -y], 'otherTurn'],
				[[y, x], 'coordinatesSwapped'],
				[[-x, y], 'flippedInsteadTurned']
			],
			hint: half
				? 'A half turn brings it to the opposite side of (0, 0), as far away.'
				: 'In a quarter turn, across becomes up, and up becomes left.',
			solution: [
				half
					? `Both numbers change their sign: ${point(...key)}.`
					: `${formatNumber(x)} across becomes ${formatNumber(x)} up; ${formatNumber(y)} up becomes ${formatNumber(-y)} across.`
			]
		});
	}),
	family('S86', 'distance-between-points', ({ random, turning }) => {
		const [a, b, c] = random.pick(TRIPLES.slice(0, 5));
		const x = turning(-6, 5);
		const y = random.integer(-6, 3);
		return numberItem({
			stem: `How far is it from ${point(x, y)} to ${point(x + a, y + b)} in a straight line?`,
			key: c,
			wrong: [
				[a + b, 'legsAdded'],
				[c * c, 'rootForgotten'],
				[b, 'oneValueOnly']
			],
			hint: 'Draw a right triangle: how far across, how far up?',
			solution: [`Across: ${a}. Up: ${b}.`, `${a * a} + ${b * b} = ${c * c}, and the root of ${c * c} is ${c}.`]
		});
	}),
	family('S86', 'distance-not-whole', ({ random, turning }) => {
		const a = turning(1, 10);
		const b = random.pick([1, 2, 3, 5, 7].filter((one) => one !== a && !Number.isInteger(Math.hypot(one, a))));
		return numberChoice(random, {
			stem: `The harbor lies at (0, 0) and a wreck at (${a}, ${b}). Which is nearest to the straight distance between them?`,
			key: Math.round(Math.hypot(a, b) * 10) / 10,
			wrong: [
				[a + b, 'legsAdded'],
				[a * a + b * b, 'rootForgotten'],
				[Math.round(Math.sqrt(a + b) * 10) / 10, 'squaresForgotten']
			],
			hint: 'Add the squares of the two numbers. Between which whole numbers is the root?',
			solution: [
				`${a * a} + ${b * b} = ${a * a + b * b}.`,
				`The root of ${a * a + b * b} is about ${formatNumber(Math.round(Math.hypot(a, b) * 10) / 10)}.`
			]
		});
	})
];
