import { family, fillItem, numberItem, type ItemFamily } from '../../family';

const ascending = (values: number[]) => [...values].sort((a, b) => a - b);

const sum = (values: number[]) => values.reduce((a, b) => a + b, 0);

export const averages: ItemFamily[] = [
	family('D51', 'level-out', ({ random, turning }) => {
		const mean = turning(4, 13);
		const off = [-3, -1, 0, 1, 3];
		const values = random.shuffle(off.map((one) => mean + one));
		return numberItem({
			stem: `Five friends have ${values.join(', ')} shells. They share them so that all have the same. How many does each have then?`,
			key: mean,
			wrong: [
				[sum(values), 'sumNotMean'],
				[values[2] === mean ? values[0] : values[2], 'middleAsMean'],
				[Math.max(...values) - Math.min(...values), 'rangeForMean']
			],
			hint: 'Put all shells together, then share them among five.',
			solution: [`${values.join(' + ')} = ${sum(values)}.`, `${sum(values)} ÷ 5 = ${mean}.`]
		});
	}),
	family('D51', 'fair-share-mean', ({ random, turning }) => {
		const mean = turning(6, 17);
		const a = random.integer(1, 3);
		const b = random.integer(1, 3);
		const values = random.shuffle([mean - a, mean + a, mean - b - 1, mean + b + 1]);
		const sum = 4 * mean;
		return numberItem({
			stem: `Four crews caught ${values.slice(0, 3).join(', ')} and ${values[3]} crabs. What is the mean number of crabs a crew?`,
			key: mean,
			wrong: [
				[sum, 'sumNotMean'],
				[[...values].sort((p, q) => p - q)[1], 'middleAsMean'],
				[sum / 2, 'sumNotMean']
			],
			hint: 'Put all crabs together. Then share them equally among the four crews.',
			solution: [`${values.join(' + ')} = ${sum}.`, `${sum} ÷ 4 = ${mean}.`]
		});
	}),
	family('D61', 'mean-after-one-more', ({ random, turning }) => {
		const mean = turning(8, 27);
		const count = random.integer(3, 5);
		const change = random.integer(1, 3);
		const next = mean + change * (count + 1);
		return numberItem({
			stem: `The mean of ${count} results is ${mean}. One more result, ${next}, is added. What is the mean of all ${count + 1} results?`,
			key: mean + change,
			wrong: [
				[(mean + next) / 2, 'meanOfMeans'],
				[mean, 'meanIsMissing'],
				[count * mean + next, 'sumNotMean']
			],
			hint: `What is the total of the first ${count} results?`,
			solution: [
				`${count} × ${mean} = ${count * mean}.`,
				`${count * mean} + ${next} = ${count * mean + next}.`,
				`${count * mean + next} ÷ ${count + 1} = ${mean + change}.`
			]
		});
	}),
	family('D61', 'missing-value-for-mean', ({ random, turning }) => {
		const mean = turning(12, 29);
		const values = [mean - random.integer(1, 5), mean + random.integer(1, 4), mean + random.integer(-3, 5)];
		const known = values.reduce((a, b) => a + b);
		const key = 4 * mean - known;
		return numberItem({
			stem: `A team scored ${values.join(', ')} in three games. What must it score in the fourth game for a mean of ${mean}?`,
			key,
			wrong: [
				[mean, 'meanIsMissing'],
				[Math.round(known / 3), 'meanOfKnown'],
				[4 * mean, 'sumNotMean']
			],
			hint: `What total do four games need for a mean of ${mean}?`,
			solution: [
				`Four games need 4 × ${mean} = ${4 * mean}.`,
				`So far: ${values.join(' + ')} = ${known}.`,
				`${4 * mean} − ${known} = ${key}.`
			]
		});
	}),
	family('D62', 'median-of-list', ({ random, turning }) => {
		const start = turning(5, 24);
		const values = random.shuffle([0, 2, 5, 9, 12 + random.integer(0, 9)].map((one) => start + one));
		const sorted = ascending(values);
		const middle = values[2] === sorted[2] ? random.shuffle(values.filter((one) => one !== sorted[2])) : null;
		const shown = middle ? [sorted[2], ...middle] : values;
		return numberItem({
			stem: `Five buses were late by ${shown.join(', ')} minutes. What is the median?`,
			key: sorted[2],
			unit: 'minutes',
			wrong: [
				[shown[2], 'middleUnsorted'],
				[Math.round((10 * sum(values)) / 5) / 10, 'meanForMedian'],
				[sorted[4] - sorted[0], 'rangeForMedian']
			],
			hint: 'Put the numbers in order first. Then take the one in the middle.',
			solution: [`In order: ${sorted.join(', ')}.`, `The middle one is ${sorted[2]}.`]
		});
	}),
	family('D62', 'median-and-range', ({ random, turning }) => {
		const start = turning(11, 30);
		const sorted = [0, 3, 5, 9, 12, 13 + random.integer(0, 8)].map((one) => start + one);
		const median = (sorted[2] + sorted[3]) / 2;
		return fillItem({
			stem: `Six jumps, in centimeters over the line: ${random.shuffle(sorted).join(', ')}. Fill in the median and the range.`,
			blanks: [
				['median:', median],
				['range:', sorted[5] - sorted[0]]
			],
			wrong: [
				[[sorted[2], sorted[5] - sorted[0]], 'oneMiddleOnly'],
				[[median, sorted[5]], 'largestForRange'],
				[[sorted[5] - sorted[0], median], 'answersSwapped']
			],
			hint: 'With six numbers, the median lies halfway between the two in the middle.',
			solution: [
				`In order: ${sorted.join(', ')}.`,
				`Halfway between ${sorted[2]} and ${sorted[3]} is ${median}.`,
				`${sorted[5]} − ${sorted[0]} = ${sorted[5] - sorted[0]}.`
			]
		});
	}),
	family('D63', 'read-box-plot', ({ random, turning }) => {
		const low = turning(2, 11);
		const first = low + random.integer(2, 4);
		const middle = first + random.integer(2, 5);
		const third = middle + random.integer(2, 5);
		const high = third + random.integer(2, 6);
		return fillItem({
			stem: 'The box plot shows the weights of crabs, in ounces. Fill in the median and the interquartile range.',
			figure: { kind: 'box plot', five: [low, first, middle, third, high], from: low - 2, to: high + 2, step: 1 },
			blanks: [
				['median:', middle],
				['interquartile range:', third - first]
			],
			wrong: [
				[[middle, high - low], 'rangeForQuartiles'],
				[[(low + high) / 2, third - first], 'middleOfRange'],
				[[first, third - first], 'quartileForMedian']
			],
			hint: 'The bar in the box is the median. The box is as long as the interquartile range.',
			solution: [`The bar is at ${middle}.`, `${third} − ${first} = ${third - first}.`]
		});
	}),
	family('D63', 'quartiles-of-list', ({ random, turning }) => {
		const start = turning(3, 22);
		const gaps = [0, 2, 3, 5, 8, 9, 12].map((one, i) => one + (i > 3 ? random.integer(0, 3) : 0));
		const sorted = ascending(gaps.map((one) => start + one));
		return fillItem({
			stem: `In order: ${sorted.join(', ')}. Fill in the lower quartile and the upper quartile. (The median belongs to neither half.)`,
			blanks: [
				['lower quartile:', sorted[1]],
				['upper quartile:', sorted[5]]
			],
			wrong: [
				[[sorted[0], sorted[6]], 'endsForQuartiles'],
				[[sorted[2], sorted[4]], 'nextToMedian']
			],
			hint: 'The median cuts the list into two halves of three. Take the middle of each half.',
			solution: [
				`The median is ${sorted[3]}.`,
				`Lower half: ${sorted.slice(0, 3).join(', ')}, its middle is ${sorted[1]}.`,
				`Upper half: ${sorted.slice(4).join(', ')}, its middle is ${sorted[5]}.`
			]
		});
	})
];
