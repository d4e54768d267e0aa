import { fractionItem, numberChoice, numberItem, type ItemFamily } from '../family';

const birds = ['herons', 'terns', 'curlews', 'plovers', 'avocets', 'egrets'];
const days = ['Monday', 'Tuesday', 'Wednesday', 'Thursday'];

export const data: ItemFamily[] = [
	{
		id: 'read-bars',
		skillCode: 'D01',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'read-two-way-table',
		skillCode: 'D02',
		make({ random, turning }) {
			const columns = random.shuffle(birds).slice(0, 3);
			const counts = days.slice(0, 3).map(() => columns.map(() => random.integer(11, 39)));
			const [row, column] = [random.integer(0, 2), random.integer(0, 2)];
			counts[row][column] = turning(41, 59);
			const otherRow = (row + 1) % 3;
			const key = counts[row][column] + counts[otherRow][column];
			return numberItem({
				stem: `How many ${columns[column]} were counted on ${days[row]} and ${days[otherRow]} together?`,
				figure: {
					kind: 'table',
					head: ['Day', ...columns],
					rows: counts.map((line, i) => [days[i], ...line.map(String)])
				},
				key,
				wrong: [
					[counts[row][column], 'oneValueOnly'],
					[counts[row][(column + 1) % 3] + counts[otherRow][(column + 1) % 3], 'wrongRow'],
					[counts[row].reduce((a, b) => a + b), 'wrongRow']
				],
				hint: `Find the column for ${columns[column]}. Then the two days.`,
				solution: [
					`${days[row]}: ${counts[row][column]}. ${days[otherRow]}: ${counts[otherRow][column]}.`,
					`${counts[row][column]} + ${counts[otherRow][column]} = ${key}.`
				]
			});
		}
	},
	{
		id: 'fair-share-mean',
		skillCode: 'D07',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'missing-value-for-mean',
		skillCode: 'D09',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'simple-probability',
		skillCode: 'D12',
		make({ random, turning }) {
			const wanted = turning(2, 11);
			const rest = random.integer(3, 15);
			return fractionItem({
				stem: `A bag holds ${wanted} white and ${rest} gray pebbles. One is drawn without looking. What is the probability that it is white, as a fraction?`,
				key: [wanted, wanted + rest],
				wrong: [
					[wanted, rest, 'partToPart'],
					[rest, wanted + rest, 'percentLeft']
				],
				hint: 'How many pebbles are there in all?',
				solution: [
					`There are ${wanted} + ${rest} = ${wanted + rest} pebbles.`,
					`${wanted} of them are white: $\\frac{${wanted}}{${wanted + rest}}$.`
				]
			});
		}
	},
	{
		id: 'most-frequent-share',
		skillCode: 'D02',
		make({ random, turning }) {
			const totals = [turning(24, 39), random.integer(10, 18), random.integer(40, 60)];
			const labels = random.shuffle(['Ferry', 'Bus', 'Bike', 'Train']).slice(0, 3);
			const key = totals[0] - totals[1];
			return numberChoice(random, {
				stem: `How many more students come by ${labels[0].toLowerCase()} than by ${labels[1].toLowerCase()}?`,
				figure: {
					kind: 'table',
					head: ['Way to school', 'Students'],
					rows: labels.map((label, i) => [label, String(totals[i])])
				},
				key,
				wrong: [
					[totals[0], 'oneValueOnly'],
					[totals[2] - totals[1], 'wrongRow'],
					[totals[0] + totals[1], 'addInsteadTake'],
					[totals[2] - totals[0], 'wrongRow']
				],
				hint: 'Find the two rows. Take the smaller number from the larger.',
				solution: [`${labels[0]}: ${totals[0]}. ${labels[1]}: ${totals[1]}.`, `${totals[0]} − ${totals[1]} = ${key}.`]
			});
		}
	}
];
