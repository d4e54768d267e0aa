import { choiceItem, family, fractionItem, numberItem, severalItem, type ItemFamily } from '../../family';
import { counted, tex } from '../../text';

const birds = ['herons', 'terns', 'curlews', 'plovers', 'avocets', 'egrets'];

const hours = ['8 a.m.', '9 a.m.', '10 a.m.', '11 a.m.', '12 noon', '1 p.m.'];

/** A fraction of fourths as a number, and as it is written. */
const fourths = (count: number) =>
	({
		0: `${Math.floor(count / 4)}`,
		1: `$${Math.floor(count / 4) || ''}\\frac{1}{4}$`,
		2: `$${Math.floor(count / 4) || ''}\\frac{1}{2}$`,
		3: `$${Math.floor(count / 4) || ''}\\frac{3}{4}$`
	})[count % 4]!;

/** How a row of tallies is counted. */
function tallyWords(count: number): string {
	const [bundles, rest] = [Math.floor(count / 5), count % 5];
	if (bundles === 0) return `There are ${count} marks and no bundle: ${count}.`;
	return rest
		? `${counted(bundles, 'bundle')} of five and ${rest} more are ${count}.`
		: `${counted(bundles, 'bundle')} of five: ${count}.`;
}

export const graphs: ItemFamily[] = [
	family('D11', 'read-tallies', ({ random, turning }) => {
		const labels = random.shuffle(['Boats', 'Gulls', 'Kites']);
		const counts = [turning(4, 13), random.integer(2, 9), random.integer(14, 17)];
		const which = random.integer(0, 1);
		return numberItem({
			stem: `How many ${labels[which].toLowerCase()} were counted?`,
			figure: { kind: 'tallies', labels, counts },
			key: counts[which],
			wrong: [
				[counts[2], 'wrongRow'],
				[counts[1 - which], 'wrongRow'],
				[counts[which] + Math.floor(counts[which] / 5), 'tallyBundle'],
				[Math.floor(counts[which] / 5) + (counts[which] % 5), 'tallyBundle']
			],
			hint: 'A bundle with a line across is five.',
			solution: [tallyWords(counts[which])]
		});
	}),
	family('D11', 'compare-tallies', ({ random, turning }) => {
		const labels = random.shuffle(['Red', 'Blue', 'Green']);
		const less = random.integer(2, 6);
		const more = less + turning(1, 10);
		return numberItem({
			stem: `How many more ${labels[0].toLowerCase()} boats than ${labels[1].toLowerCase()} boats were counted?`,
			figure: { kind: 'tallies', labels, counts: [more, less, random.integer(1, 9)] },
			key: more - less,
			wrong: [
				[more, 'oneValueOnly'],
				[more + less, 'addInsteadTake']
			],
			hint: 'Count both rows. How many must you add to the smaller to get the larger?',
			solution: [`${labels[0]}: ${more}. ${labels[1]}: ${less}.`, `${more} − ${less} = ${more - less}.`]
		});
	}),
	family('D21', 'read-bars', ({ random, turning }) => {
		const step = random.pick([2, 5]);
		const labels = random.shuffle(birds).slice(0, 4);
		const levels = random.shuffle([1, 2, 3, 4, 5, 6, 7]).slice(0, 3);
		const values = [(8 + turning(0, 9)) * step, ...levels.map((level) => level * step)];
		const [more, less] = [0, random.integer(1, 3)];
		return numberItem({
			stem: `How many more ${labels[more]} than ${labels[less]} were counted?`,
			figure: { kind: 'bars', labels, values, unit: 'birds', step },
			key: values[more] - values[less],
			wrong: [
				[(values[more] - values[less]) / step, 'scaleCount'],
				[values[more], 'oneValueOnly'],
				[values[more] + values[less], 'addInsteadTake']
			],
			hint: 'Read both bars against the numbers at the side.',
			solution: [
				`${labels[more]}: ${values[more]}. ${labels[less]}: ${values[less]}.`,
				`${values[more]} − ${values[less]} = ${values[more] - values[less]}.`
			]
		});
	}),
	family('D21', 'bars-together', ({ random, turning }) => {
		const labels = random.shuffle(birds).slice(0, 4);
		const step = random.pick([2, 5]);
		const values = random
			.shuffle([1, 2, 3, 4, 5, 6])
			.slice(0, 3)
			.map((level) => level * step);
		values.push((7 + turning(0, 9)) * step);
		const [a, b] = [3, random.integer(0, 2)];
		return numberItem({
			stem: `How many ${labels[a]} and ${labels[b]} were counted together?`,
			figure: { kind: 'bars', labels, values, unit: 'birds', step },
			key: values[a] + values[b],
			wrong: [
				[(values[a] + values[b]) / step, 'scaleCount'],
				[values[a], 'oneValueOnly'],
				[values[a] - values[b], 'takeInsteadAdd']
			],
			hint: 'Read both bars against the numbers at the side. Then add.',
			solution: [
				`${labels[a]}: ${values[a]}. ${labels[b]}: ${values[b]}.`,
				`${values[a]} + ${values[b]} = ${values[a] + values[b]}.`
			]
		});
	}),
	family('D22', 'count-on-line-plot', ({ random, turning }) => {
		const from = turning(4, 13);
		const values = Array.from({ length: random.integer(9, 12) }, () => from + random.integer(0, 4));
		const at = random.pick([...new Set(values)]);
		const key = values.filter((value) => value === at).length;
		return numberItem({
			stem: `The line plot shows the lengths of shells. How many shells are ${at} cm long?`,
			figure: { kind: 'dot plot', values, from: from - 1, to: from + 5, step: 1, unit: 'cm' },
			key,
			wrong: [
				[at, 'valueForCount'],
				[key + 1, 'countedOneTooMany'],
				[values.length, 'countedAll']
			],
			hint: 'Each cross is one shell. Find the number below, then count upward.',
			solution: [`Above ${at} there ${key === 1 ? 'is 1 cross' : `are ${key} crosses`}.`]
		});
	}),
	family('D22', 'longer-than-on-line-plot', ({ random, turning }) => {
		const from = turning(10, 19);
		const values = Array.from({ length: random.integer(8, 12) }, () => from + random.integer(0, 4));
		const limit = from + random.integer(1, 2);
		const key = values.filter((value) => value > limit).length;
		return numberItem({
			stem: `The line plot shows the lengths of feathers. How many feathers are longer than ${limit} cm?`,
			figure: { kind: 'dot plot', values, from: from - 1, to: from + 5, step: 1, unit: 'cm' },
			key,
			wrong: [
				[values.filter((value) => value >= limit).length, 'boundaryIncluded'],
				[values.filter((value) => value < limit).length, 'wrongDirection'],
				[values.length, 'countedAll']
			],
			hint: `Count the crosses to the right of ${limit} only.`,
			solution: [`To the right of ${limit} there ${key === 1 ? 'is 1 cross' : `are ${key} crosses`}.`]
		});
	}),
	family('D22', 'fourths-on-line-plot', ({ random, turning }) => {
		const base = 4 * turning(1, 10);
		const values = Array.from({ length: random.integer(8, 11) }, () => base + random.integer(0, 4));
		const high = Math.max(...values);
		const low = Math.min(...values);
		return fractionItem({
			stem: 'The line plot shows the lengths of beans in inches. How much longer is the longest bean than the shortest, in inches?',
			figure: {
				kind: 'dot plot',
				values: values.map((value) => value / 4),
				from: base / 4,
				to: base / 4 + 1,
				step: 0.25,
				unit: 'inches'
			},
			key: [high - low, 4],
			wrong: [
				[high, 4, 'oneValueOnly'],
				[high - low, 1, 'spacesForValue'],
				[high - low + 1, 4, 'countTicks']
			],
			hint: 'How many spaces are between the first and the last cross? Each is one fourth of an inch.',
			solution: [
				`The shortest is ${fourths(low)}, the longest ${fourths(high)} inches.`,
				`The difference is ${counted(high - low, 'fourth')}: ${tex(high - low, 4)}.`
			]
		});
	}),
	family('D32', 'read-pictures', ({ random, turning }) => {
		const each = random.pick([2, 5, 10]);
		const labels = ['Monday', 'Tuesday', 'Wednesday'];
		const counts = [turning(1, 10), random.integer(1, 8), random.integer(1, 8)];
		return numberItem({
			stem: 'How many tickets were sold on Monday?',
			figure: { kind: 'pictures', labels, counts, each, unit: 'tickets' },
			key: counts[0] * each,
			wrong: [
				[counts[0], 'scaleCount'],
				[counts[0] + each, 'addInsteadMultiply'],
				[counts[1] * each, 'wrongRow']
			],
			hint: `Each sign stands for ${each} tickets.`,
			solution: [`${counts[0]} × ${each} = ${counts[0] * each} tickets.`]
		});
	}),
	family('D32', 'difference-of-pictures', ({ random, turning }) => {
		const each = random.pick([2, 4, 5, 10]);
		const less = random.integer(1, 3);
		const more = less + (turning(1, 10) % 6) + 1;
		const unit = ['loaves', 'eggs', 'maps', 'boats', 'trees', 'books', 'bikes', 'cups', 'fish', 'stamps'][
			turning(0, 9)
		];
		return numberItem({
			stem: `How many more ${unit} does North have than South?`,
			figure: {
				kind: 'pictures',
				labels: ['North', 'South', 'West'],
				counts: [more, less, random.integer(1, 8)],
				each,
				unit
			},
			key: (more - less) * each,
			wrong: [
				[more - less, 'scaleCount'],
				[more * each, 'oneValueOnly'],
				[(more + less) * each, 'addInsteadTake']
			],
			hint: `How many signs more is it? Each stands for ${each}.`,
			solution: [`${more} − ${less} = ${more - less}.`, `${more - less} × ${each} = ${(more - less) * each}.`]
		});
	}),
	family('D42', 'rise-on-line-graph', ({ random, turning }) => {
		const start = turning(3, 12);
		const steps = [random.integer(1, 2), random.integer(3, 5), random.integer(0, 2), -random.integer(1, 3), -1];
		const values = steps.reduce((all, step) => [...all, all[all.length - 1] + step], [start]);
		const [from, to] = random.pick([
			[0, 2],
			[1, 3],
			[0, 3]
		]);
		return numberItem({
			stem: `By how many degrees did it get warmer from ${hours[from]} to ${hours[to]}?`,
			figure: { kind: 'line graph', labels: hours, values, unit: 'degrees', step: 2 },
			key: values[to] - values[from],
			wrong: [
				[values[to], 'oneValueOnly'],
				[values[to] + values[from], 'addInsteadTake'],
				[to - from, 'spacesForValue']
			],
			hint: 'Read the graph at both times. How far apart are the two values?',
			solution: [
				`At ${hours[from]} it was ${values[from]} degrees, at ${hours[to]} it was ${values[to]} degrees.`,
				`${values[to]} − ${values[from]} = ${values[to] - values[from]} degrees.`
			]
		});
	}),
	family('D42', 'steepest-part', ({ random, turning }) => {
		const start = turning(2, 11);
		const jumps = random.shuffle([1, 2, 5, 3]);
		const values = jumps.reduce((all, jump) => [...all, all[all.length - 1] + jump], [start]);
		const parts = jumps.map((_, i) => `from ${hours[i]} to ${hours[i + 1]}`);
		const steepest = jumps.indexOf(5);
		const last = jumps.length - 1;
		return choiceItem(random, {
			stem: 'In which hour did the number of visitors rise most?',
			figure: { kind: 'line graph', labels: hours.slice(0, 5), values, unit: 'visitors', step: 2 },
			right: parts[steepest],
			wrong: [
				...(steepest !== last ? [[parts[last], 'highestForSteepest'] as [string, 'highestForSteepest']] : []),
				...parts.filter((_, i) => i !== steepest && i !== last).map((part): [string, null] => [part, null])
			],
			hint: 'Where is the line steepest?',
			solution: [
				`${parts[steepest][0].toUpperCase()}${parts[steepest].slice(1)} it rose from ${values[steepest]} to ${values[steepest + 1]}, by ${values[steepest + 1] - values[steepest]}.`,
				'In the other hours it rose by less.'
			]
		});
	}),
	family('D64', 'read-histogram', ({ random, turning }) => {
		const width = random.pick([5, 10, 20]);
		const counts = [random.integer(2, 6), turning(3, 12), random.integer(4, 9), random.integer(1, 5)];
		const from = width * random.integer(0, 3);
		const at = random.integer(1, 2);
		return numberItem({
			stem: `How many runners took at least ${from + at * width} minutes?`,
			figure: { kind: 'histogram', from, width, counts, unit: 'runners' },
			key: counts.slice(at).reduce((a, b) => a + b),
			wrong: [
				[counts[at], 'oneValueOnly'],
				[counts.slice(0, at).reduce((a, b) => a + b), 'wrongDirection'],
				[counts.slice(at + 1).reduce((a, b) => a + b), 'boundaryLeftOut']
			],
			hint: `Add all bars from ${from + at * width} on to the right.`,
			solution: [`${counts.slice(at).join(' + ')} = ${counts.slice(at).reduce((a, b) => a + b)}.`]
		});
	}),
	family('D64', 'true-of-histogram', ({ random, turning }) => {
		const counts = [random.integer(2, 4), turning(7, 16), random.integer(3, 5), 1];
		const all = counts.reduce((a, b) => a + b);
		return severalItem(random, {
			stem: 'The histogram shows how long customers waited, in minutes. Mark every statement that it shows.',
			figure: { kind: 'histogram', from: 0, width: 5, counts, unit: 'customers' },
			options: [
				{ text: `${all} customers were asked.`, right: true },
				{ text: `${counts[0]} customers waited less than 5 minutes.`, right: true },
				{ text: `Someone waited exactly 7 minutes.`, right: false, misconception: 'intervalAsValue' },
				{ text: `${counts[1]} customers waited less than 10 minutes.`, right: false, misconception: 'oneValueOnly' }
			],
			hint: 'A bar tells how many lie in its interval, not where in it.',
			solution: [
				`${counts.join(' + ')} = ${all} customers.`,
				`Less than 10 minutes: ${counts[0]} + ${counts[1]} = ${counts[0] + counts[1]}.`,
				'The histogram does not show single waiting times.'
			]
		});
	})
];
