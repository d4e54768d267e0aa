import { choiceItem, family, fillItem, numberItem, type ItemFamily } from '../../family';
import { exact, formatNumber, money } from '../../text';

export const rates: ItemFamily[] = [
	family('F61', 'ratio-table', ({ random, turning }) => {
		const a = random.integer(2, 5);
		const b = a + random.integer(1, 4);
		const [p, q] = [turning(2, 11), random.integer(12, 15)];
		return fillItem({
			stem: `A cook uses ${a} cups of rice for every ${b} cups of water. Fill in the water for ${a * p} cups and for ${a * q} cups of rice.`,
			figure: {
				kind: 'table',
				head: ['Rice, cups', 'Water, cups'],
				rows: [
					[String(a), String(b)],
					[String(a * p), '⬚'],
					[String(a * q), '⬚ ']
				]
			},
			blanks: [
				[`for ${a * p} cups of rice:`, b * p],
				[`for ${a * q} cups of rice:`, b * q]
			],
			wrong: [[[a * p + b - a, a * q + b - a], 'additiveRatio']],
			hint: `${a} times what is ${a * p}? Take the water as many times.`,
			solution: [
				`${a} × ${p} = ${a * p}, so ${b} × ${p} = ${b * p}.`,
				`${a} × ${q} = ${a * q}, so ${b} × ${q} = ${b * q}.`
			]
		});
	}),
	family('F61', 'scale-ratio', ({ random, turning }) => {
		const a = random.integer(2, 5);
		const b = a + random.integer(1, 4);
		const factor = turning(3, 12);
		const key = b * factor;
		return numberItem({
			stem: `A paint mix takes ${a} cans of white for every ${b} cans of blue. How many cans of blue go with ${a * factor} cans of white?`,
			key,
			wrong: [
				[a * factor + (b - a), 'additiveRatio'],
				[b + factor, 'factorAdded'],
				[a * factor * b, 'amountAsFactor']
			],
			hint: `How many times ${a} is ${a * factor}? Take the blue as many times.`,
			solution: [`${a} × ${factor} = ${a * factor}.`, `So the blue is ${b} × ${factor} = ${key}.`]
		});
	}),
	family('F63', 'price-for-one', ({ random, turning }) => {
		const count = random.integer(3, 8);
		const each = turning(3, 22) / 4;
		const total = exact(count * each);
		return numberItem({
			stem: `${count} notebooks cost ${money(total)} dollars. What does one notebook cost, in dollars?`,
			key: each,
			wrong: [
				[exact(total * count), 'multiplyInsteadDivide'],
				[exact(total - count), 'subtractInsteadDivide']
			],
			hint: `Share the price equally among the ${count} notebooks.`,
			solution: [`${formatNumber(total)} ÷ ${count} = ${formatNumber(each)}.`]
		});
	}),
	family('F63', 'better-buy', ({ random, turning }) => {
		const [small, large] = [random.integer(2, 3), random.integer(4, 6)];
		const each = turning(4, 15);
		const cheaper = random.chance(0.5);
		const smallPrice = small * each;
		const largePrice = large * each + (cheaper ? -large : large);
		const units = (price: number, count: number) => formatNumber(Math.round((price / count) * 100) / 100);
		const bags = [
			`the bag of ${small} kg for ${smallPrice} dollars`,
			`the bag of ${large} kg for ${largePrice} dollars`
		];
		return choiceItem(random, {
			stem: `A shop sells flour in two bags. Which bag has the lower price for one kilogram?`,
			right: bags[cheaper ? 1 : 0],
			wrong: [
				[bags[cheaper ? 0 : 1], cheaper ? 'lowerTotalPrice' : 'largerIsCheaper'],
				['both are the same', 'gapThinking']
			],
			hint: 'Divide each price by its kilograms.',
			solution: [
				`${smallPrice} ÷ ${small} = ${units(smallPrice, small)} dollars for 1 kg.`,
				`${largePrice} ÷ ${large} = ${units(largePrice, large)} dollars for 1 kg.`
			]
		});
	}),
	family('F74', 'constant-of-table', ({ random, turning }) => {
		const constant = turning(3, 22) / 2;
		const inputs = random
			.shuffle([2, 3, 4, 5, 6, 8])
			.slice(0, 3)
			.sort((a, b) => a - b);
		return numberItem({
			stem: 'The two columns are proportional: $y = kx$. What is $k$?',
			figure: { kind: 'table', head: ['x', 'y'], rows: inputs.map((x) => [String(x), formatNumber(x * constant)]) },
			key: constant,
			wrong: [
				[exact(inputs[0] * constant - inputs[0]), 'additiveRule'],
				[exact(1 / constant), 'rateInverted'],
				[exact(inputs[0] * constant * inputs[0]), 'multiplyInsteadDivide']
			],
			hint: 'In each row, divide y by x.',
			solution: inputs.map((x) => `${formatNumber(x * constant)} ÷ ${x} = ${formatNumber(constant)}.`)
		});
	}),
	family('F74', 'which-is-proportional', ({ random, turning }) => {
		const rate = turning(3, 12);
		const extra = random.integer(2, 9);
		return choiceItem(random, {
			stem: 'In which case is the price proportional to the number of hours?',
			right: `A canoe costs ${rate} dollars for each hour.`,
			wrong: [
				[`A kayak costs ${extra} dollars, and ${rate} dollars more for each hour.`, 'steadyIsProportional'],
				[
					`A boat costs ${rate} dollars for the first hour and ${rate - 1} dollars for each more hour.`,
					'steadyIsProportional'
				],
				[`A raft costs ${rate + extra} dollars for any time.`, 'constantIsProportional']
			],
			hint: 'Proportional means: twice the hours, twice the price.',
			solution: [
				`With the canoe, 1 hour costs ${rate} dollars and 2 hours cost ${2 * rate} dollars.`,
				'In the other cases twice the hours is not twice the price.'
			]
		});
	}),
	family('F81', 'faster-of-two', ({ random, turning }) => {
		const rate = turning(8, 25);
		const other = rate + random.pick([-3, -2, 2, 3]);
		const names = ['Ferry A', 'Ferry B'];
		const right = rate > other ? 0 : 1;
		return choiceItem(random, {
			stem: `Ferry A goes $d = ${rate}t$ kilometers in $t$ hours. The table is for ferry B. Which ferry is faster?`,
			figure: {
				kind: 'table',
				head: ['Hours', 'Kilometers'],
				rows: [2, 3, 5].map((hours) => [String(hours), String(hours * other)])
			},
			right: names[right],
			wrong: [
				[names[1 - right], right === 0 ? 'largestEntryWins' : null],
				['They are equally fast', 'gapThinking']
			],
			hint: 'How many kilometers does each go in one hour?',
			solution: [
				`Ferry A: ${rate} kilometers in one hour.`,
				`Ferry B: ${5 * other} ÷ 5 = ${other} kilometers in one hour.`
			]
		});
	}),
	family('F81', 'difference-of-rates', ({ random, turning }) => {
		const rate = turning(4, 13);
		const other = rate + random.integer(2, 6);
		const hours = random.integer(3, 6);
		return numberItem({
			stem: `Pump A moves $w = ${rate}t$ liters in $t$ seconds. Pump B moves ${other * hours} liters in ${hours} seconds. How many liters more does pump B move in one second?`,
			key: other - rate,
			wrong: [
				[other * hours - rate, 'rateForTotal'],
				[other, 'oneValueOnly'],
				[(other - rate) * hours, 'rateForTotal']
			],
			hint: 'Find the liters in one second for each pump.',
			solution: [
				`Pump B: ${other * hours} ÷ ${hours} = ${other} liters in one second.`,
				`${other} − ${rate} = ${other - rate}.`
			]
		});
	})
];
