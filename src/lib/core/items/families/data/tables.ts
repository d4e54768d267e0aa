import { choiceItem, family, fillItem, numberChoice, numberItem, type ItemFamily } from '../../family';

const birds = ['herons', 'terns', 'curlews', 'plovers', 'avocets', 'egrets'];

const days = ['Monday', 'Tuesday', 'Wednesday', 'Thursday'];

export const tables: ItemFamily[] = [
	family('D31', 'read-two-way-table', ({ random, turning }) => {
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
	}),
	family('D31', 'most-frequent-share', ({ random, turning }) => {
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
	}),
	family('D31', 'table-total', ({ random, turning }) => {
		const columns = random.shuffle(birds).slice(0, 3);
		const counts = [0, 1, 2].map(() => columns.map(() => random.integer(5, 29)));
		counts[1][0] = turning(30, 49);
		const row = 1;
		const key = counts[row].reduce((a, b) => a + b);
		return fillItem({
			stem: `Fill in the two totals: all birds on Tuesday, and all ${columns[0]} on the three days.`,
			figure: {
				kind: 'table',
				head: ['Day', ...columns],
				rows: counts.map((line, i) => [['Monday', 'Tuesday', 'Wednesday'][i], ...line.map(String)])
			},
			blanks: [
				['Tuesday:', key],
				[`${columns[0]}:`, counts.reduce((sum, line) => sum + line[0], 0)]
			],
			wrong: [[[counts.reduce((sum, line) => sum + line[0], 0), key], 'wrongRow']],
			hint: 'A day is a row. A kind of bird is a column.',
			solution: [
				`${counts[row].join(' + ')} = ${key}.`,
				`${counts.map((line) => line[0]).join(' + ')} = ${counts.reduce((sum, line) => sum + line[0], 0)}.`
			]
		});
	}),
	family('D41', 'table-total-cost', ({ random, turning }) => {
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
					['Senior', String(prices[2])]
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
	}),
	family('D41', 'two-steps-from-table', ({ random, turning }) => {
		const stock = [turning(30, 69), random.integer(20, 45), random.integer(50, 80)];
		const sold = stock.map((count) => random.integer(5, count - 8));
		const names = ['Maps', 'Cards', 'Pins'];
		const key = stock[0] - sold[0] + stock[1] - sold[1];
		return numberItem({
			stem: 'The table shows what the museum shop had in the morning and what it sold. How many maps and cards together are left?',
			figure: {
				kind: 'table',
				head: ['Thing', 'Morning', 'Sold'],
				rows: names.map((name, i) => [name, String(stock[i]), String(sold[i])])
			},
			key,
			wrong: [
				[stock[0] - sold[0], 'stoppedAfterOneStep'],
				[stock[0] + stock[1], 'oneValueOnly'],
				[stock[0] + stock[1] + sold[0] + sold[1], 'addInsteadTake']
			],
			hint: 'Find what is left of each. Then add.',
			solution: [
				`Maps: ${stock[0]} − ${sold[0]} = ${stock[0] - sold[0]}. Cards: ${stock[1]} − ${sold[1]} = ${stock[1] - sold[1]}.`,
				`${stock[0] - sold[0]} + ${stock[1] - sold[1]} = ${key}.`
			]
		});
	}),
	family('D83', 'share-of-row', ({ random, turning }) => {
		const total = random.pick([20, 25, 40, 50]);
		const percent = random.pick([20, 40, 60, 80]);
		const yes = (total * percent) / 100;
		const other = turning(11, 40);
		const otherYes = random.integer(3, other - 3);
		return numberItem({
			stem: 'What percent of the students in grade 8 come by bike?',
			figure: {
				kind: 'table',
				head: ['Grade', 'By bike', 'Not by bike'],
				rows: [
					['Grade 7', String(otherYes), String(other - otherYes)],
					['Grade 8', String(yes), String(total - yes)]
				]
			},
			key: percent,
			unit: '%',
			wrong: [
				[Math.round((100 * yes) / (total - yes)), 'partToPart'],
				[Math.round((100 * yes) / (yes + otherYes)), 'columnForRow'],
				[Math.round((100 * yes) / (total + other)), 'totalOfAll'],
				[yes, 'percentAsAmount']
			],
			hint: 'How many students are in grade 8 in all?',
			solution: [`Grade 8 has ${yes} + ${total - yes} = ${total} students.`, `${yes} of ${total} is ${percent}%.`]
		});
	}),
	family('D83', 'compare-shares', ({ random, turning }) => {
		const a = turning(11, 40);
		const yesA = Math.round(a * 0.6);
		const b = a + random.integer(15, 30);
		const yesB = Math.round(b * 0.4);
		const rows: [string, number, number][] = random.shuffle([
			['Mornings', yesA, a - yesA],
			['Evenings', yesB, b - yesB]
		]);
		return choiceItem(random, {
			stem: 'When is the share of full boats larger?',
			figure: {
				kind: 'table',
				head: ['Time', 'Full', 'Not full'],
				rows: rows.map(([name, yes, no]) => [name, String(yes), String(no)])
			},
			right: 'In the mornings',
			wrong: [
				['In the evenings', 'countForShare'],
				['It is the same', 'gapThinking']
			],
			hint: 'Divide the full boats by all boats of that time.',
			solution: [
				`Mornings: ${yesA} of ${a}, about ${Math.round((100 * yesA) / a)}%.`,
				`Evenings: ${yesB} of ${b}, about ${Math.round((100 * yesB) / b)}%.`
			]
		});
	})
];
