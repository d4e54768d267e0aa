import { choiceItem, family, lineItem, numberItem, orderItem, type ItemFamily } from '../../family';

export const lengthAndScales: ItemFamily[] = [
	family('M11', 'order-lengths', ({ random, turning }) => {
		const base = turning(3, 12);
		const things = random.shuffle(['the rope', 'the plank', 'the net', 'the pole']);
		const lengths = [base, base + 2, base + 3, base + 6];
		const texts = things.map((thing, i) => `${thing}: ${lengths[i]} steps`);
		return orderItem(random, {
			stem: 'Four things were measured with steps. Put them in order.',
			sorted: texts,
			direction: 'shortest first',
			misordered: [[[...texts].reverse(), 'wrongDirection']],
			hint: 'Fewer steps means shorter.',
			solution: [`The steps in order: ${lengths.join(', ')}.`]
		});
	}),
	family('M11', 'longer-than', ({ random, turning }) => {
		const names = random.shuffle(['Ana', 'Ben', 'Cleo']);
		const thing = [
			'kite tail',
			'scarf',
			'rope',
			'stick',
			'shell chain',
			'pencil',
			'ribbon',
			'paper boat',
			'leaf',
			'string'
		][turning(0, 9)];
		return choiceItem(random, {
			stem: `The ${thing} of ${names[0]} is longer than that of ${names[1]}. The ${thing} of ${names[1]} is longer than that of ${names[2]}. Whose is the shortest?`,
			right: names[2],
			wrong: [
				[names[0], 'wrongDirection'],
				[names[1], 'middleForEnd']
			],
			hint: 'Draw three lines, one for each child.',
			solution: [`From long to short: ${names.join(', ')}.`, `So ${names[2]} has the shortest.`]
		});
	}),
	family('M21', 'read-ruler', ({ random, turning }) => {
		const length = turning(3, 12);
		const from = random.integer(1, 14 - length + 1);
		return numberItem({
			stem: 'How long is the pencil, in centimeters?',
			figure: { kind: 'ruler', from, to: from + length, unit: 'cm' },
			key: length,
			unit: 'cm',
			wrong: [
				[from + length, 'rulerEnd'],
				[length + 1, 'countTicks']
			],
			hint: 'The pencil does not start at 0. Count the spaces beside it.',
			solution: [
				`The pencil goes from ${from} to ${from + length}.`,
				`${from + length} − ${from} = ${length} centimeters.`
			]
		});
	}),
	family('M21', 'ruler-from-zero', ({ turning }) => {
		const length = turning(3, 14);
		return numberItem({
			stem: 'How long is the pencil, in centimeters?',
			figure: { kind: 'ruler', from: 0, to: length, unit: 'cm' },
			key: length,
			unit: 'cm',
			wrong: [
				[length + 1, 'countTicks'],
				[length - 1, 'countTicks']
			],
			hint: 'The pencil starts at 0. At which number does it end?',
			solution: [`From 0 to ${length} are ${length} spaces of 1 centimeter.`, `It is ${length} centimeters long.`]
		});
	}),
	family('M24', 'lengths-together', ({ random, turning }) => {
		const a = turning(24, 57);
		const b = random.integer(15, 39);
		return numberItem({
			stem: `A ribbon of ${a} cm and a ribbon of ${b} cm are sewn end to end. How long is that, in centimeters?`,
			key: a + b,
			unit: 'cm',
			wrong: [
				[Math.abs(a - b), 'takeInsteadAdd'],
				...((a % 10) + (b % 10) > 9 ? [[a + b - 10, 'noCarry'] as [number, 'noCarry']] : [])
			],
			hint: 'Lay the two lengths one after the other.',
			solution: [`${a} + ${b} = ${a + b} centimeters.`],
			solutionFigure: {
				kind: 'parts',
				parts: [
					{ label: `${a} cm`, size: a },
					{ label: `${b} cm`, size: b }
				],
				total: `${a + b} cm`
			}
		});
	}),
	family('M24', 'how-much-longer', ({ random, turning }) => {
		const long = turning(52, 91);
		const short = random.integer(18, 47);
		return numberItem({
			stem: `A heron is ${long} cm tall, a gull is ${short} cm tall. How many centimeters taller is the heron?`,
			key: long - short,
			unit: 'cm',
			wrong: [
				[long + short, 'addInsteadTake'],
				[long, 'oneValueOnly']
			],
			hint: `Count up from ${short} to ${long}.`,
			solution: [`${long} − ${short} = ${long - short} centimeters.`],
			solutionFigure: {
				kind: 'parts',
				parts: [
					{ label: `${short} cm`, size: short },
					{ label: '?', size: long - short }
				],
				total: `${long} cm`
			}
		});
	}),
	family('M34', 'read-jug', ({ random, turning }) => {
		const turn = turning(0, 26);
		const [to, step] = [
			[1_000, 100],
			[500, 50],
			[200, 20]
		][turn % 3];
		const marks = Math.floor(turn / 3) + 1;
		const half = random.chance(0.4) && marks < 9;
		const value = marks * step + (half ? step / 2 : 0);
		return numberItem({
			stem: 'How many milliliters of water are in the jug?',
			figure: { kind: 'scale', of: 'jug', to, step, value, unit: 'milliliters' },
			key: value,
			unit: 'milliliters',
			wrong: [
				[marks + (half ? 0.5 : 0), 'scaleCount'],
				[value + step, 'countTicks'],
				...(half ? [[marks * step, 'nearestMark'] as [number, 'nearestMark']] : [])
			],
			hint: 'How much is it from one mark to the next?',
			solution: [
				`From mark to mark it is ${step} milliliters.`,
				...(half ? [`The water stands halfway between ${marks * step} and ${(marks + 1) * step}.`] : []),
				`It is ${value} milliliters.`
			]
		});
	}),
	family('M34', 'read-weight', ({ turning }) => {
		const turn = turning(0, 35);
		const [to, step, unit] = (
			[
				[10, 1, 'kilograms'],
				[20, 2, 'kilograms'],
				[500, 50, 'grams'],
				[1_000, 100, 'grams']
			] as const
		)[turn % 4];
		const marks = Math.floor(turn / 4) + 1;
		return numberItem({
			stem: `How many ${unit} does the scale show?`,
			figure: { kind: 'scale', of: 'weights', to, step, value: marks * step, unit },
			key: marks * step,
			unit,
			wrong: [
				...(step > 1 ? [[marks, 'scaleCount'] as [number, 'scaleCount']] : []),
				[(marks + 1) * step, 'countTicks'],
				[(marks - 1) * step, 'countTicks']
			],
			hint: `How much is one space on the scale worth?`,
			solution: [
				`One space is ${step} ${unit}.`,
				`The pointer is at mark ${marks}: ${marks} × ${step} = ${marks * step}.`
			]
		});
	}),
	family('M34', 'set-temperature', ({ random, turning }) => {
		const value = 2 * turning(1, 19);
		const place = random.pick(['water', 'greenhouse', 'kitchen']);
		return lineItem({
			stem: `The ${place} is at ${value} degrees. Mark ${value} on the scale. It has a mark every 2 degrees.`,
			line: { from: 0, to: 40, step: 2, labelEvery: 10 },
			key: value,
			wrong: [
				[Math.min(40, 2 * value), 'scaleCount'],
				[value - 2, 'countTicks'],
				[value + 2, 'countTicks']
			],
			hint: 'From mark to mark it is 2 degrees, not 1.',
			solution: [
				value % 10
					? `Start at ${10 * Math.floor(value / 10)} and go by twos to ${value}.`
					: `${value} is one of the marks with a number.`
			]
		});
	})
];
