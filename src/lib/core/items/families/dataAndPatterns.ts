import { choiceItem, fractionItem, numberChoice, numberItem, orderItem, severalItem, type ItemFamily } from '../family';
import { formatNumber } from '../text';

const birds = ['herons', 'terns', 'curlews', 'plovers', 'avocets', 'egrets'];
const days = ['Monday', 'Tuesday', 'Wednesday', 'Thursday'];

export const dataAndPatterns: ItemFamily[] = [
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
		id: 'continue-pattern',
		skillCode: 'D03',
		make({ random, turning }) {
			const start = turning(2, 31);
			const step = random.integer(3, 9);
			const terms = [0, 1, 2, 3].map((i) => start + i * step);
			return numberItem({
				stem: `Posts stand along the pier at these marks: ${terms.join(', ')}, … What is the next number?`,
				key: start + 4 * step,
				wrong: [
					[step, 'ruleOneStep'],
					[start + 5 * step, 'tooManySteps'],
					[terms[3] + 1, 'tooManySteps']
				],
				hint: 'How much is added each time?',
				solution: [`Each number is ${step} more than the one before.`, `${terms[3]} + ${step} = ${start + 4 * step}.`]
			});
		}
	},
	{
		id: 'table-total-cost',
		skillCode: 'D04',
		make({ random, turning }) {
			const prices = [random.integer(3, 6), random.integer(7, 9), random.integer(10, 14)];
			const adults = turning(2, 11);
			const children = random.integer(2, 6);
			const key = adults * prices[1] + children * prices[0];
			return numberItem({
				stem: `The table shows boat ticket prices. What do tickets for ${adults} adults and ${children} children cost together, in dollars?`,
				figure: {
					kind: 'table',
					head: ['Ticket', 'Price in dollars'],
					rows: [
						['Child', String(prices[0])],
						['Adult', String(prices[1])],
						['Family', String(prices[2])]
					]
				},
				key,
				wrong: [
					[prices[0] + prices[1], 'oneValueOnly'],
					[adults * prices[0] + children * prices[1], 'wrongRow'],
					[adults * prices[1], 'oneValueOnly'],
					[(adults + children) * prices[1], 'wrongRow']
				],
				hint: 'Find the cost for the adults. Find the cost for the children. Add.',
				solution: [
					`Adults: ${adults} × ${prices[1]} = ${adults * prices[1]}.`,
					`Children: ${children} × ${prices[0]} = ${children * prices[0]}.`,
					`Together: ${key} dollars.`
				]
			});
		}
	},
	{
		id: 'rule-of-table',
		skillCode: 'D05',
		make({ random, turning }) {
			const factor = turning(3, 12);
			const inputs = random
				.shuffle([2, 3, 4, 5, 6, 7])
				.slice(0, 3)
				.sort((a, b) => a - b);
			const [a, b] = inputs;
			return choiceItem(random, {
				stem: 'Which rule turns each number in into the number out?',
				figure: { kind: 'table', head: ['In', 'Out'], rows: inputs.map((x) => [String(x), String(x * factor)]) },
				right: `Multiply by ${factor}`,
				wrong: [
					[`Add ${a * factor - a}`, 'additiveRule'],
					[`Add ${b * factor - b}`, 'firstRowRule'],
					[`Multiply by ${factor + 1}`, 'oneGroupOff']
				],
				hint: 'A rule must work in every row. Try it on all three.',
				solution: inputs.map((x) => `${x} × ${factor} = ${x * factor}.`)
			});
		}
	},
	{
		id: 'read-point',
		skillCode: 'D06',
		make({ random, turning }) {
			const x = turning(0, 9);
			const y = random.pick([0, 1, 2, 3, 4, 5, 6, 7, 8, 9].filter((one) => one !== x));
			const pair = (across: number, up: number) => `(${across}, ${up})`;
			return choiceItem(random, {
				stem: 'The buoy is at point B. What are its coordinates?',
				figure: { kind: 'plane', size: 10, points: [{ label: 'B', x, y }] },
				right: pair(x, y),
				wrong: [
					[pair(y, x), 'coordinatesSwapped'],
					[pair(x + 1, y), 'countTicks'],
					[pair(x, y + 1), 'countTicks']
				],
				hint: 'Go across first, then up.',
				solution: [`Across: ${x}. Up: ${y}.`, `The point is ${pair(x, y)}.`]
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
		id: 'write-expression',
		skillCode: 'D08',
		make({ random, turning }) {
			const times = random.integer(2, 9);
			const fixed = turning(11, 30);
			return choiceItem(random, {
				stem: `A canoe costs ${fixed} dollars plus ${times} dollars for each hour. Which expression gives the cost of $h$ hours, in dollars?`,
				right: `$${times}h + ${fixed}$`,
				wrong: [
					[`$${fixed}h + ${times}$`, 'reversedExpression'],
					[`$${times + fixed}h$`, 'addSizes'],
					[`$${times} + h + ${fixed}$`, 'addInsteadMultiply']
				],
				hint: 'Which amount comes again with every hour?',
				solution: [
					`${times} dollars for each of $h$ hours is $${times}h$.`,
					`The ${fixed} dollars come once: $${times}h + ${fixed}$.`
				]
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
					[Math.round(known / 3), 'sumNotMean'],
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
		id: 'one-step-equation',
		skillCode: 'D10',
		make({ random, turning }) {
			const x = turning(4, 23);
			const a = random.integer(3, 12);
			const times = random.chance(0.5);
			const total = times ? a * x : x + a;
			return numberItem({
				stem: times ? `Solve $${a}x = ${total}$. What is $x$?` : `Solve $x + ${a} = ${total}$. What is $x$?`,
				key: x,
				wrong: times
					? [
							[a * total, 'sameOperation'],
							[total - a, 'subtractInsteadDivide']
						]
					: [[total + a, 'sameOperation']],
				hint: 'Undo what was done to $x$, on both sides.',
				solution: times
					? [`Divide both sides by ${a}: ${total} ÷ ${a} = ${x}.`]
					: [`Take ${a} from both sides: ${total} − ${a} = ${x}.`]
			});
		}
	},
	{
		id: 'two-step-equation',
		skillCode: 'D11',
		make({ random, turning }) {
			const x = turning(2, 15);
			const a = random.integer(2, 8);
			const b = random.integer(2, 12);
			const total = a * x + b;
			return numberItem({
				stem: `Solve $${a}x + ${b} = ${total}$. What is $x$?`,
				key: x,
				wrong: [
					[total - b, 'stepSkipped'],
					[(total + b) / a === Math.round((total + b) / a) ? (total + b) / a : total + b, 'sameOperation'],
					[total - b - a, 'subtractInsteadDivide']
				],
				hint: `First undo the + ${b}. Then undo the × ${a}.`,
				solution: [`${total} − ${b} = ${total - b}.`, `${total - b} ÷ ${a} = ${x}.`]
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
					[rest, wanted + rest, 'percentLeft'],
					[1, wanted, 'invertedFraction']
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
		id: 'order-signed-values',
		skillCode: 'W12',
		make({ random, turning }) {
			const lowest = -turning(7, 16);
			const middle = -random.integer(2, 6);
			const values = [lowest, middle, random.integer(0, 1), random.integer(2, 9)];
			const texts = values.map(formatNumber);
			const bySize = [...values].sort((a, b) => Math.abs(a) - Math.abs(b)).map(formatNumber);
			return orderItem(random, {
				stem: 'Put these temperatures in order.',
				sorted: texts,
				direction: 'coldest first',
				misordered: [[bySize, 'signIgnored']],
				hint: 'The farther below 0, the colder.',
				solution: [`From coldest to warmest: ${texts.join(', ')}.`]
			});
		}
	},
	{
		id: 'multiples-true',
		skillCode: 'W05',
		make({ random, turning }) {
			const factor = random.integer(3, 9);
			const many = turning(2, 11);
			const off = factor * (many + 2) + 1;
			return severalItem(random, {
				stem: `Mark every number that you say when you count by ${factor}s from 0.`,
				options: [
					{ text: String(factor * many), right: true },
					{ text: String(factor * (many + 1)), right: true },
					{ text: String(off), right: false, misconception: 'oneGroupOff' },
					{ text: String(factor * many + (factor > 3 ? 2 : 1)), right: false, misconception: 'addInsteadMultiply' }
				],
				hint: `Which of them are ${factor} times a whole number?`,
				solution: [
					`${factor} × ${many} = ${factor * many} and ${factor} × ${many + 1} = ${factor * (many + 1)}.`,
					'The others lie between.'
				]
			});
		}
	},
	{
		id: 'most-frequent-share',
		skillCode: 'D02',
		make({ random, turning }) {
			const totals = [turning(24, 39), random.integer(10, 18), random.integer(40, 60)];
			const labels = random.shuffle(['Ferry', 'Bus', 'Bike', 'Walk']).slice(0, 3);
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
