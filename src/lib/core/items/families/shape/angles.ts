import { choiceItem, family, numberItem, orderItem, type ItemFamily } from '../../family';

export const angles: ItemFamily[] = [
	family('S44', 'kind-of-angle', ({ random, turning }) => {
		const degrees = [25, 40, 55, 70, 90, 105, 120, 135, 150, 165][turning(0, 9)];
		const names = ['acute', 'right', 'obtuse'];
		const kind = degrees < 90 ? 0 : degrees === 90 ? 1 : 2;
		return choiceItem(random, {
			stem: 'What kind of angle is this?',
			figure: { kind: 'turn', degrees, protractor: false },
			right: names[kind],
			wrong: names.filter((_, i) => i !== kind).map((name) => [name, 'angleByArms']),
			hint: 'Compare it with the corner of a sheet of paper.',
			solution: [
				[
					'It opens less than a square corner: acute.',
					'It opens exactly like a square corner: right.',
					'It opens more than a square corner: obtuse.'
				][kind]
			]
		});
	}),
	family('S44', 'order-angles', ({ random, turning }) => {
		const acute = 5 * turning(2, 16);
		const obtuse = random.pick([95, 110, 130, 160]);
		const texts = [`an angle of ${acute}°`, 'a right angle', `an angle of ${obtuse}°`, 'a straight angle'];
		return orderItem(random, {
			stem: 'Put the angles in order.',
			sorted: texts,
			direction: 'smallest first',
			misordered: [
				[[...texts].reverse(), 'wrongDirection'],
				[[texts[0], texts[2], texts[1], texts[3]], 'rightAngleSize']
			],
			hint: 'A right angle has 90°, a straight angle 180°.',
			solution: [`In degrees: ${acute}, 90, ${obtuse}, 180.`]
		});
	}),
	family('S45', 'read-protractor', ({ turning }) => {
		const degrees = 10 * turning(2, 16);
		return numberItem({
			stem: 'How many degrees does the angle measure?',
			figure: { kind: 'turn', degrees, protractor: true },
			key: degrees,
			unit: '°',
			wrong: [
				[180 - degrees, 'otherScale'],
				[degrees + 10, 'countTicks'],
				[degrees - 10, 'countTicks']
			],
			hint: `Is the angle smaller or larger than a square corner? Use the scale that starts at 0 on the lower side.`,
			solution: [`The scale starts at 0 on the lower side of the angle.`, `The other side points at ${degrees}.`]
		});
	}),
	family('S45', 'turn-in-degrees', ({ random, turning }) => {
		const first = 10 * turning(2, 12);
		const second = 10 * random.integer(2, 5);
		return numberItem({
			stem: `A lighthouse lamp turns ${first}°, then ${second}° more the same way. By how many degrees has it turned?`,
			key: first + second,
			unit: '°',
			wrong: [
				[Math.abs(first - second), 'takeInsteadAdd'],
				[360 - first - second, 'angleFullTurn']
			],
			hint: 'The second turn starts where the first ended.',
			solution: [`${first} + ${second} = ${first + second} degrees.`]
		});
	}),
	family('S41', 'missing-angle', ({ random, turning }) => {
		const whole = random.pick([90, 180]);
		const first = whole === 90 ? 5 * turning(4, 14) : 5 * turning(9, 29);
		const key = whole - first;
		const other = (whole === 90 ? 180 : 90) - first;
		return numberItem({
			stem:
				whole === 90
					? `A square corner is split in two. One part measures ${first}°. How many degrees does the other part measure?`
					: `A straight angle is split in two. One part measures ${first}°. How many degrees does the other part measure?`,
			figure: { kind: 'angle', first, second: key },
			key,
			wrong: [
				other > 0 ? [other, 'otherWholeAngle'] : [360 - first, 'angleFullTurn'],
				[360 - first, 'angleFullTurn'],
				[whole + first, 'angleAddGiven']
			],
			hint: whole === 90 ? 'A square corner is 90°.' : 'A straight angle is 180°.',
			solution: [`The two parts make ${whole}°.`, `${whole} − ${first} = ${key}, so it is ${key}°.`]
		});
	}),
	family('S41', 'angle-in-three-parts', ({ random, turning }) => {
		const a = 5 * turning(4, 14);
		const b = 5 * random.integer(4, 12);
		return numberItem({
			stem: `A straight angle is split into three parts. Two of them measure ${a}° and ${b}°. How many degrees does the third measure?`,
			key: 180 - a - b,
			unit: '°',
			wrong: [
				[180 - a, 'stoppedAfterOneStep'],
				[360 - a - b, 'angleFullTurn'],
				[a + b, 'angleAddGiven']
			],
			hint: 'All three parts together make 180°.',
			solution: [`${a} + ${b} = ${a + b}.`, `180 − ${a + b} = ${180 - a - b} degrees.`]
		});
	}),
	family('S72', 'third-angle', ({ random, turning }) => {
		const a = turning(28, 67);
		const b = random.integer(35, 85);
		return numberItem({
			stem: `Two angles of a triangle measure ${a}° and ${b}°. How many degrees does the third measure?`,
			key: 180 - a - b,
			unit: '°',
			wrong: [
				[360 - a - b, 'angleFullTurn'],
				[180 - a, 'stoppedAfterOneStep'],
				[a + b, 'angleAddGiven']
			],
			hint: 'The angles of a triangle make 180° together.',
			solution: [`${a} + ${b} = ${a + b}.`, `180 − ${a + b} = ${180 - a - b} degrees.`]
		});
	}),
	family('S72', 'equal-base-angles', ({ random, turning }) => {
		const base = turning(31, 74);
		const asksTop = random.chance(0.5);
		const top = 180 - 2 * base;
		return numberItem({
			stem: asksTop
				? `A triangle has two equal sides. The two equal angles measure ${base}° each. How many degrees does the third angle measure?`
				: `A triangle has two equal sides. The angle between them measures ${top}°. How many degrees does each of the two equal angles measure?`,
			key: asksTop ? top : base,
			unit: '°',
			wrong: asksTop
				? [
						[180 - base, 'stoppedAfterOneStep'],
						[360 - 2 * base, 'angleFullTurn']
					]
				: [
						[180 - top, 'stoppedAfterOneStep'],
						[(360 - top) / 2, 'angleFullTurn']
					],
			hint: 'All three angles make 180° together.',
			solution: asksTop
				? [`2 × ${base} = ${2 * base}.`, `180 − ${2 * base} = ${top} degrees.`]
				: [`180 − ${top} = ${180 - top} for the two equal angles.`, `${180 - top} ÷ 2 = ${base} degrees.`]
		});
	}),
	family('S71', 'vertical-angle', ({ random, turning }) => {
		const given = turning(32, 78);
		const opposite = random.chance(0.5);
		return numberItem({
			stem: 'Two lines cross. How many degrees is the angle x?',
			figure: {
				kind: 'crossing',
				degrees: given,
				labels: opposite ? [`${given}°`, '', 'x', ''] : [`${given}°`, 'x', '', '']
			},
			key: opposite ? given : 180 - given,
			unit: '°',
			wrong: [
				[opposite ? 180 - given : given, 'oppositeBesideMixed'],
				[90 - given, 'otherWholeAngle'],
				[360 - given, 'angleFullTurn']
			],
			hint: 'Angles across from each other are equal. Angles beside each other make 180°.',
			solution: [
				opposite
					? `x lies across from the angle of ${given}°, so it is equal: ${given} degrees.`
					: `180 − ${given} = ${180 - given} degrees.`
			]
		});
	}),
	family('S71', 'angle-pair-equation', ({ random, turning }) => {
		const x = turning(11, 35);
		const times = random.integer(2, 3);
		const right = random.chance(0.4) && (times + 1) * x < 88;
		const whole = right ? 90 : 180;
		const rest = whole - (times + 1) * x;
		return numberItem({
			stem: `Two angles make a ${right ? 'right' : 'straight'} angle together. They measure $x$ degrees and $${times}x + ${rest}$ degrees. What is $x$?`,
			key: x,
			wrong: [
				[whole - rest, 'stepSkipped'],
				[Math.round((whole - rest) / times) === x ? x + 1 : Math.round((whole - rest) / times), 'oneTermForgotten'],
				[times * x + rest, 'answersSwapped']
			],
			hint: `Together they are ${whole}°.`,
			solution: [
				`$${times + 1}x + ${rest} = ${whole}$, so $${times + 1}x = ${whole - rest}$.`,
				`${whole - rest} ÷ ${times + 1} = ${x}.`
			]
		});
	}),
	family('S84', 'corresponding-angle', ({ random, turning }) => {
		const given = turning(38, 82);
		const place = random.integer(0, 3);
		const labels: [string, string, string, string] = ['', '', '', ''];
		labels[place] = 'x';
		const key = place % 2 === 0 ? given : 180 - given;
		return numberItem({
			stem: 'The two level lines are parallel. How many degrees is the angle x?',
			figure: { kind: 'parallels', degrees: given, upper: [`${given}°`, '', '', ''], lower: labels },
			key,
			unit: '°',
			wrong: [
				[180 - key, 'oppositeBesideMixed'],
				[90 - given, 'otherWholeAngle'],
				[360 - given, 'angleFullTurn']
			],
			hint: 'The four angles at the lower crossing are the same as at the upper one.',
			solution: [
				place % 2 === 0
					? `At the lower crossing, x is as large as the given angle: ${given} degrees.`
					: `x makes a straight angle with one of ${given}°: 180 − ${given} = ${180 - given} degrees.`
			]
		});
	}),
	family('S84', 'name-angle-pair', ({ random, turning }) => {
		const given = turning(41, 80);
		const kinds: [[string, string, string, string], [string, string, string, string], string][] = [
			[['1', '', '', ''], ['2', '', '', ''], 'corresponding angles, equal'],
			[['', '', '1', ''], ['2', '', '', ''], 'alternate interior angles, equal'],
			[['', '', '', '1'], ['2', '', '', ''], 'interior angles on the same side, together 180°']
		];
		const kind = random.integer(0, 2);
		return choiceItem(random, {
			stem: `The level lines are parallel; the line across makes ${given}° with them. What are the angles 1 and 2?`,
			figure: { kind: 'parallels', degrees: given, upper: kinds[kind][0], lower: kinds[kind][1] },
			right: kinds[kind][2],
			wrong: kinds.filter((_, i) => i !== kind).map(([, , name]) => [name, 'anglePairNames']),
			hint: 'Are they between the parallel lines? On the same side of the line across?',
			solution: [
				[
					'They lie in the same place at both crossings.',
					'They lie between the parallel lines, on different sides.',
					'They lie between the parallel lines, on the same side.'
				][kind],
				`So they are ${kinds[kind][2]}.`
			]
		});
	})
];
