import {
	choiceItem,
	expressionItem,
	family,
	fillItem,
	fractionItem,
	numberItem,
	plotItem,
	severalItem,
	type ItemFamily
} from '../../family';
import { formatNumber, signed } from '../../text';

/** `mx + b` as it is written. */
const line = (m: number, b: number) => `${m === 1 ? '' : m === -1 ? '-' : m}x${b === 0 ? '' : ` ${signed(b)}`}`;

/** The ends of a line where it leaves a plane from -size to size. */
function ends(m: number, b: number, size: number): [number, number, number, number] {
	const inside: [number, number][] = [];
	for (let x = -size; x <= size; x += 0.5) {
		const y = m * x + b;
		if (Math.abs(y) <= size) inside.push([x, y]);
	}
	const [[x1, y1], [x2, y2]] = [inside[0], inside[inside.length - 1]];
	return [x1, y1, x2, y2];
}

export const linesAndFunctions: ItemFamily[] = [
	family('P81', 'slope-from-graph', ({ random, turning }) => {
		const [rise, run] = [
			[1, 2],
			[2, 1],
			[3, 2],
			[-1, 2],
			[-2, 1],
			[1, 3],
			[2, 3],
			[-2, 3],
			[3, 1],
			[-3, 2],
			[-1, 3],
			[1, 1]
		][turning(0, 11)];
		const [x, y] = [random.integer(-4, 0), random.integer(-1, 1)];
		return fractionItem({
			stem: 'What is the slope of the line through A and B?',
			figure: {
				kind: 'plane',
				from: -6,
				to: 6,
				points: [
					{ label: 'A', x, y },
					{ label: 'B', x: x + run, y: y + rise }
				],
				segments: [ends(rise / run, y - (rise / run) * x, 6)]
			},
			key: [rise, run],
			wrong: [
				[run, rise, 'runOverRise'],
				[-rise, run, 'slopeSign']
			],
			hint: 'From A to B: how far up or down, divided by how far across?',
			solution: [
				`From A to B it goes ${run} across and ${Math.abs(rise)} ${rise > 0 ? 'up' : 'down'}.`,
				`The slope is ${formatNumber(rise)} divided by ${run}.`
			]
		});
	}),
	family('P81', 'slope-from-points', ({ random, turning }) => {
		const slope = random.pick([-4, -3, -2, 2, 3, 4, 5]);
		const x1 = turning(-5, 4);
		const y1 = random.integer(-6, 6);
		const run = random.integer(2, 4);
		const point = (x: number, y: number) => `(${formatNumber(x)}, ${formatNumber(y)})`;
		return numberItem({
			stem: `A line goes through ${point(x1, y1)} and ${point(x1 + run, y1 + slope * run)}. What is its slope?`,
			key: slope,
			wrong: [
				[-slope, 'slopeSign'],
				[slope * run, 'riseOnly'],
				[slope + run, 'addedAll']
			],
			hint: 'Subtract the second numbers. Subtract the first numbers, in the same order. Divide.',
			solution: [
				`Up or down: ${formatNumber(slope * run)}. Across: ${run}.`,
				`${formatNumber(slope * run)} ÷ ${run} = ${formatNumber(slope)}.`
			]
		});
	}),
	family('P82', 'equation-of-graph', ({ random, turning }) => {
		const b = turning(-4, 5);
		const m = random.pick([-2, -1, 1, 2, 3]);
		const step = Math.abs(b + m) <= 6 ? 1 : -1;
		return expressionItem({
			stem: 'Write the equation of the line.',
			figure: {
				kind: 'plane',
				from: -6,
				to: 6,
				points: [
					{ label: 'A', x: 0, y: b },
					{ label: 'B', x: step, y: b + m * step }
				],
				segments: [ends(m, b, 6)]
			},
			letters: ['x'],
			before: 'y =',
			key: line(m, b).replaceAll(' ', ''),
			wrong: [
				...(b !== 0 && m !== b
					? [[line(b, m).replaceAll(' ', ''), 'slopeInterceptSwapped'] as [string, 'slopeInterceptSwapped']]
					: []),
				[line(-m, b).replaceAll(' ', ''), 'slopeSign']
			],
			hint: 'Where does it cross the axis that goes up? How far up or down for one step to the right?',
			solution: [
				`At $x = 0$ the line is at ${formatNumber(b)}.`,
				`One step to the right goes ${Math.abs(m)} ${m > 0 ? 'up' : 'down'}.`,
				`So $y = ${line(m, b)}$.`
			]
		});
	}),
	family('P82', 'plot-intercept', ({ random, turning }) => {
		const b = turning(-5, 4);
		const m = random.pick([-3, -2, 2, 3, 4].filter((one) => one !== b));
		return plotItem({
			stem: `Plot the point where the line $y = ${line(m, b)}$ crosses the $y$-axis.`,
			plane: { from: -6, to: 6 },
			key: [0, b],
			wrong: [
				[[b, 0], 'coordinatesSwapped'],
				[[0, m], 'slopeInterceptSwapped'],
				[[m, b], 'slopeInterceptSwapped']
			],
			hint: 'On the y-axis, x is 0. What is y then?',
			solution: [`For $x = 0$, $y$ is ${formatNumber(b)}.`, `So the point is (0, ${formatNumber(b)}).`]
		});
	}),
	family('P84', 'which-is-function', ({ random, turning }) => {
		const start = turning(1, 10);
		const table = (pairs: [number, number][]) => pairs.map(([x, y]) => `(${x}, ${y})`).join(', ');
		const a = random.integer(2, 5);
		return choiceItem(random, {
			stem: 'In which list is the second number a function of the first?',
			right: table([
				[start, a],
				[start + 1, a],
				[start + 2, a + 3]
			]),
			wrong: [
				[
					table([
						[start, a],
						[start, a + 2],
						[start + 1, a + 3]
					]),
					'repeatedInput'
				],
				[
					table([
						[start + 1, a],
						[start + 2, a + 1],
						[start + 1, a + 4]
					]),
					'repeatedInput'
				],
				[
					table([
						[start + 2, a],
						[start + 2, a + 1],
						[start + 2, a + 2]
					]),
					'repeatedInput'
				]
			],
			hint: 'A function gives each first number one second number only.',
			solution: [
				'In the other lists one first number comes with different second numbers.',
				'Two first numbers may share a second number.'
			]
		});
	}),
	family('P84', 'read-function-value', ({ random, turning }) => {
		const m = random.pick([-2, 2, 3]);
		const b = random.integer(-5, 5);
		const x = turning(-4, 5);
		return numberItem({
			stem: `A function has the rule $f(x) = ${line(m, b)}$. What is $f(${x})$?`,
			key: m * x + b,
			wrong: [
				[m + x + b, 'addInsteadMultiply'],
				[-m * x + b, 'productSign'],
				[m * (x + b), 'distributedOnce']
			],
			hint: `Put ${formatNumber(x)} in the place of x.`,
			solution: [
				`${formatNumber(m)} × (${formatNumber(x)}) is ${formatNumber(m * x)}.`,
				`${formatNumber(m * x)} ${b < 0 ? '−' : '+'} ${Math.abs(b)} = ${formatNumber(m * x + b)}.`
			]
		});
	}),
	family('P85', 'rate-and-start', ({ random, turning }) => {
		const rate = random.integer(2, 9);
		const start = turning(5, 24);
		const times = [2, 4, 7];
		return fillItem({
			stem: 'The table shows the depth of snow. It grows by the same amount each hour. Fill in the growth in one hour and the depth at the start.',
			figure: {
				kind: 'table',
				head: ['Hours', 'Depth, cm'],
				rows: times.map((hour) => [String(hour), String(start + rate * hour)])
			},
			blanks: [
				['growth in one hour:', rate],
				['depth at 0 hours:', start]
			],
			wrong: [
				[[2 * rate, start], 'riseOnly'],
				[[rate, start + 2 * rate], 'firstRowAsStart'],
				[[start, rate], 'slopeInterceptSwapped']
			],
			hint: 'How much does it grow from hour 2 to hour 4? How much is that in one hour?',
			solution: [
				`In 2 hours it grows by ${2 * rate}, so ${rate} in one hour.`,
				`${start + 2 * rate} − ${2 * rate} = ${start} at the start.`
			]
		});
	}),
	family('P85', 'meaning-of-model', ({ random, turning }) => {
		const rate = random.integer(3, 9);
		const start = turning(40, 89);
		return severalItem(random, {
			stem: `The candle model $h = ${start} - ${rate}t$ gives its height in millimeters after $t$ hours. Mark every true statement.`,
			options: [
				{ text: `At the start it is ${start} mm high.`, right: true },
				{ text: `It gets ${rate} mm shorter in each hour.`, right: true },
				{ text: `It gets ${start} mm shorter in each hour.`, right: false, misconception: 'slopeInterceptSwapped' },
				{ text: `After 2 hours it is ${2 * (start - rate)} mm high.`, right: false, misconception: 'leftToRight' }
			],
			hint: 'What is h for t = 0? What happens to h when t grows by 1?',
			solution: [
				`For $t = 0$ the height is ${start}.`,
				`Each hour takes ${rate} away: after 2 hours ${start} − ${2 * rate} = ${start - 2 * rate}.`
			]
		});
	}),
	family('P86', 'plot-crossing', ({ random, turning }) => {
		const x = turning(-4, 5);
		const y = random.integer(-3, 3);
		const [m, n] = random.pick([
			[1, -1],
			[2, -1],
			[1, -2],
			[2, 1]
		]);
		return plotItem({
			stem: `Plot the point where the two lines cross. One is $y = ${line(m, y - m * x)}$, the other is $y = ${line(n, y - n * x)}$.`,
			plane: { from: -6, to: 6, segments: [ends(m, y - m * x, 6), ends(n, y - n * x, 6)] },
			key: [x, y],
			wrong: [
				[[y, x], 'coordinatesSwapped'],
				...(Math.abs(y - m * x) <= 6
					? [[[0, y - m * x], 'interceptForCrossing'] as [[number, number], 'interceptForCrossing']]
					: [])
			],
			hint: 'The point must lie on both lines.',
			solution: [
				`At $x = ${x}$ both lines give ${formatNumber(y)}.`,
				`So they cross at (${formatNumber(x)}, ${formatNumber(y)}).`
			]
		});
	}),
	family('P86', 'two-prices', ({ random, turning }) => {
		const [adult, child] = [turning(6, 15), random.integer(2, 5)];
		const [adults, children] = [random.integer(2, 6), random.integer(3, 8)];
		const more = random.integer(1, 3);
		return fillItem({
			stem: `${adults} adults and ${children} children pay ${adults * adult + children * child} dollars. ${adults} adults and ${children + more} children pay ${adults * adult + (children + more) * child} dollars. What does each ticket cost, in dollars?`,
			blanks: [
				['child:', child],
				['adult:', adult]
			],
			wrong: [
				[[adult, child], 'answersSwapped'],
				[[more * child, adult], 'stoppedAfterOneStep']
			],
			hint: `The second group has only ${more} more ${more === 1 ? 'child' : 'children'}. How much more does it pay?`,
			solution: [
				`The difference of ${more * child} dollars pays for ${more}: ${more * child} ÷ ${more} = ${child} for a child.`,
				`${children} × ${child} = ${children * child}, and ${adults * adult + children * child} − ${children * child} = ${adults * adult}.`,
				`${adults * adult} ÷ ${adults} = ${adult} for an adult.`
			]
		});
	})
];
