import { choiceItem, family, lineItem, numberItem, orderItem, type ItemFamily } from '../../family';
import { formatNumber } from '../../text';

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
	}),
	family('M41', 'convert-to-smaller', ({ random, turning }) => {
		const [large, small, factor, thing] = random.pick([
			['meters', 'centimeters', 100, 'rope'],
			['kilometers', 'meters', 1_000, 'shore path'],
			['liters', 'milliliters', 1_000, 'soup'],
			['kilograms', 'grams', 1_000, 'flour'],
			['hours', 'minutes', 60, 'tide watch']
		] as const);
		const amount = turning(3, 17);
		const is = { rope: 'long', 'shore path': 'long', 'tide watch': 'long' }[thing as string];
		const other = factor === 60 ? 100 : factor === 100 ? 10 : 100;
		return numberItem({
			stem: is
				? `A ${thing} is ${amount} ${large} long. How many ${small} is that?`
				: `A cook has ${amount} ${large} of ${thing}. How many ${small} is that?`,
			key: amount * factor,
			unit: small,
			wrong: [
				[amount * other, factor === 60 ? 'hourAsHundred' : 'wrongFactor'],
				[amount + factor, 'addInsteadMultiply'],
				[amount * 10, 'wrongFactor']
			],
			hint: `How many ${small} are in 1 ${large.slice(0, -1)}?`,
			solution: [
				`1 ${large.slice(0, -1)} is ${formatNumber(factor)} ${small}.`,
				`${amount} × ${formatNumber(factor)} = ${formatNumber(amount * factor)} ${small}.`
			]
		});
	}),
	family('M41', 'mixed-units', ({ random, turning }) => {
		const [large, small, factor] = random.pick([
			['meters', 'centimeters', 100],
			['kilometers', 'meters', 1_000],
			['kilograms', 'grams', 1_000],
			['hours', 'minutes', 60]
		] as const);
		const whole = turning(2, 11);
		const rest =
			factor === 60 ? 5 * random.integer(2, 11) : factor === 100 ? random.integer(4, 96) : 50 * random.integer(1, 19);
		const key = whole * factor + rest;
		return numberItem({
			stem: `How many ${small} are ${whole} ${large} and ${rest} ${small}?`,
			key,
			unit: small,
			wrong: [
				[whole + rest, 'unitsAddedAsTheyAre'],
				[
					whole * (factor === 1_000 ? 100 : factor === 60 ? 100 : 10) + rest,
					factor === 60 ? 'hourAsHundred' : 'wrongFactor'
				],
				[whole * factor, 'fractionPartDropped']
			],
			hint: `Change the ${large} to ${small} first.`,
			solution: [
				`${whole} × ${formatNumber(factor)} = ${formatNumber(whole * factor)}.`,
				`${formatNumber(whole * factor)} + ${rest} = ${formatNumber(key)} ${small}.`
			]
		});
	}),
	family('M53', 'to-larger-units', ({ random, turning }) => {
		const [small, large, factor] = random.pick([
			['centimeters', 'meters', 100],
			['meters', 'kilometers', 1_000],
			['grams', 'kilograms', 1_000],
			['milliliters', 'liters', 1_000]
		] as const);
		const key = turning(11, 89) / 10;
		return numberItem({
			stem: `How many ${large} are ${formatNumber(key * factor)} ${small}?`,
			key,
			unit: large,
			wrong: [
				[key * factor * factor, 'multiplyInsteadDivide'],
				[Math.round(key * 100) / 10, 'wrongFactor'],
				[Math.round(key * 10) / 100, 'wrongFactor']
			],
			hint: `How many ${small} make 1 ${large.slice(0, -1)}? Are there more or fewer ${large}?`,
			solution: [
				`${formatNumber(factor)} ${small} are 1 ${large.slice(0, -1)}.`,
				`${formatNumber(Math.round(key * factor))} ÷ ${formatNumber(factor)} = ${formatNumber(key)}.`
			]
		});
	}),
	family('M53', 'order-units', ({ random, turning }) => {
		const base = turning(2, 11);
		const values: [number, string][] = [
			[base * 1_000 - 500, `${formatNumber((base * 1_000 - 500) / 1_000)} km`],
			[base * 1_000, `${base} km`],
			[base * 1_000 + 5 * random.integer(1, 9), ''],
			[base * 100, `${formatNumber(base * 10_000)} cm`]
		];
		values[2][1] = `${formatNumber(values[2][0])} m`;
		const sorted = [...values].sort((a, b) => a[0] - b[0]);
		const number = (text: string) => Number(text.replace(/[^\d.]/g, ''));
		const byNumber = [...sorted].sort((a, b) => number(a[1]) - number(b[1]));
		return orderItem(random, {
			stem: 'Put the four distances in order.',
			sorted: sorted.map(([, text]) => text),
			direction: 'shortest first',
			misordered: [[byNumber.map(([, text]) => text), 'unitsIgnored']],
			hint: 'Write them all in meters first.',
			solution: [`In meters: ${sorted.map(([meters]) => formatNumber(meters)).join('; ')}.`]
		});
	}),
	family('M71', 'map-scale', ({ random, turning }) => {
		const shown = random.pick([2, 4, 5]);
		const means = shown * random.pick([3, 5, 6, 8]);
		const length = shown * turning(2, 11);
		const key = (length / shown) * means;
		return numberItem({
			stem: `On a map, ${shown} cm stands for ${means} km. Two harbors are ${length} cm apart on the map. How many kilometers apart are they?`,
			key,
			unit: 'km',
			wrong: [
				[length, 'scaleUnused'],
				[length + means - shown, 'additiveRatio'],
				[length * means, 'amountAsFactor']
			],
			hint: `How many times does ${shown} cm fit into ${length} cm?`,
			solution: [`${length} ÷ ${shown} = ${length / shown}.`, `${length / shown} × ${means} = ${key} kilometers.`]
		});
	}),
	family('M71', 'real-to-map', ({ random, turning }) => {
		const per = random.pick([2, 3, 4, 5, 8]);
		const length = turning(3, 15);
		return numberItem({
			stem: `On a map, 1 cm stands for ${per} km. A trail is ${per * length} km long. How long is it on the map, in centimeters?`,
			key: length,
			unit: 'cm',
			wrong: [
				[per * per * length, 'multiplyInsteadDivide'],
				[per * length, 'scaleUnused'],
				[per * length - per, 'subtractInsteadDivide']
			],
			hint: `How many times do ${per} km fit into the trail?`,
			solution: [`${per * length} ÷ ${per} = ${length} centimeters.`]
		});
	})
];
