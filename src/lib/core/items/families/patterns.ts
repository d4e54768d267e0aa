import { choiceItem, numberItem, type ItemFamily } from '../family';

export const patterns: ItemFamily[] = [
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
					[`Add ${a * factor - a}`, 'firstRowRule'],
					[`Add ${b * factor - b}`, 'additiveRule'],
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
	}
];
