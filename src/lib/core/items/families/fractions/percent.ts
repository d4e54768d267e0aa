import { choiceItem, family, numberItem, severalItem, type ItemFamily } from '../../family';
import { exact, formatNumber, money } from '../../text';

/** From a part and its percent to the whole, by a step that is done in the head. */
function wholeSteps(part: number, percent: number, whole: number): string[] {
	const unit = percent % 25 === 0 ? 25 : percent % 20 === 0 ? 20 : 10;
	const times = percent / unit;
	const one = part / times;
	return [
		...(times > 1 ? [`${percent}% is ${times} times ${unit}%: ${part} ÷ ${times} = ${one}.`] : [`${unit}% is ${one}.`]),
		`100% is ${100 / unit} times ${unit}%: ${100 / unit} × ${one} = ${whole}.`
	];
}

/** A percent of an amount by way of 10%, as it is done in the head. */
function percentSteps(amount: number, percent: number): string[] {
	const tenth = amount / 10;
	const tens = Math.floor(percent / 10);
	const steps = [`10% of ${formatNumber(amount)} is ${formatNumber(tenth)}.`];
	if (tens > 1) steps.push(`${10 * tens}% is ${tens} × ${formatNumber(tenth)} = ${formatNumber(tens * tenth)}.`);
	if (percent % 10 === 5) {
		steps.push(`5% is half of 10%: ${formatNumber(tenth / 2)}.`);
		steps.push(
			`${formatNumber(tens * tenth)} + ${formatNumber(tenth / 2)} = ${formatNumber((amount * percent) / 100)}.`
		);
	}
	return steps;
}

export const percent: ItemFamily[] = [
	family('F62', 'percent-bar', ({ random, turning }) => {
		const percent = random.pick([5, 15, 35, 45, 55, 65, 85]);
		const amount = 20 * turning(2, 19);
		const key = (amount * percent) / 100;
		return numberItem({
			stem: `A meal costs ${amount} dollars. A tip of ${percent}% is added. How many dollars is the tip?`,
			key,
			wrong: [
				[percent, 'percentAsAmount'],
				[amount + key, 'partAddedToWhole'],
				[amount - key, 'percentLeft'],
				[exact(key / 10), 'pointMovedOnce']
			],
			hint: `5% is half of 10%. Build ${percent}% from them.`,
			solution: [
				`10% of ${amount} is ${amount / 10}. 5% is ${amount / 20}.`,
				`${percent / 5} × ${amount / 20} = ${key} dollars.`
			]
		});
	}),
	family('F62', 'percent-of', ({ random, turning }) => {
		const percent = random.pick([10, 20, 25, 30, 40, 60, 75]);
		const amount = 20 * turning(3, 22);
		const key = (amount * percent) / 100;
		return numberItem({
			stem: `${amount} birds were counted at the estuary. ${percent}% of them were sandpipers. How many sandpipers were counted?`,
			key,
			wrong: [
				[percent, 'percentAsAmount'],
				[amount - key, 'percentLeft'],
				[amount - percent, 'percentAsAmount'],
				[amount / percent, 'divideInsteadMultiply']
			],
			hint: `Find 10% of ${amount} first.`,
			solution: percentSteps(amount, percent)
		});
	}),
	family('F67', 'percent-of-total', ({ random, turning }) => {
		const percent = 5 * turning(3, 18);
		const total = random.pick([20, 40, 60, 80, 200, 300, 400]);
		const part = (total * percent) / 100;
		return numberItem({
			stem: `${part} of ${total} tickets are sold. What percent is that?`,
			key: percent,
			unit: '%',
			wrong: [
				[part, 'percentAsAmount'],
				[100 - percent, 'percentLeft'],
				[total - part, 'percentLeft']
			],
			hint: `What fraction of ${total} is ${part}? Write it with the bottom number 100.`,
			solution: [
				`1% of ${total} is ${formatNumber(total / 100)}.`,
				`${part} ÷ ${formatNumber(total / 100)} = ${percent}, so it is ${percent}%.`
			]
		});
	}),
	family('F67', 'percent-of-two-parts', ({ random, turning }) => {
		const [a, b] = [
			[1, 4],
			[2, 3],
			[1, 1],
			[3, 7],
			[1, 9],
			[9, 11],
			[3, 2],
			[4, 1],
			[7, 13],
			[3, 17]
		][turning(0, 9)];
		const times = random.integer(2, 9);
		const percent = (100 * a) / (a + b);
		return choiceItem(random, {
			stem: `A flock has ${a * times} young and ${b * times} old geese. What percent of the flock is young?`,
			right: `${percent}%`,
			wrong: [
				[`${Math.round((100 * a) / b)}%`, 'partToPart'],
				[`${100 - percent}%`, 'percentLeft'],
				[`${a * times}%`, 'percentAsAmount'],
				[`${percent + 10}%`, null]
			],
			hint: 'How many geese are in the whole flock?',
			solution: [
				`The flock has ${a * times} + ${b * times} = ${(a + b) * times} geese.`,
				`${a * times} of ${(a + b) * times} is ${percent}%.`
			]
		});
	}),
	family('F71', 'price-after-change', ({ random, turning }) => {
		const percent = random.pick([5, 10, 15, 20, 25, 30]);
		const price = 20 * turning(2, 21);
		const up = random.chance(0.5);
		const change = (price * percent) / 100;
		const key = up ? price + change : price - change;
		return numberItem({
			stem: `A bike costs ${price} dollars. The price ${up ? 'rises' : 'falls'} by ${percent}%. What is the new price, in dollars?`,
			key,
			wrong: [
				[change, 'changeForResult'],
				[up ? price + percent : price - percent, 'percentAsAmount'],
				[up ? price - change : price + change, 'wrongDirection']
			],
			hint: `Find ${percent}% of ${price}. Then ${up ? 'add it' : 'take it away'}.`,
			solution: [
				`${percent}% of ${price} is ${formatNumber(change)}.`,
				`${price} ${up ? '+' : '−'} ${formatNumber(change)} = ${formatNumber(key)} dollars.`
			]
		});
	}),
	family('F71', 'percent-of-change', ({ random, turning }) => {
		const percent = random.pick([10, 20, 25, 30, 40, 50]);
		const before = 20 * turning(2, 15);
		const change = (before * percent) / 100;
		return numberItem({
			stem: `Last year ${before} herons nested on the marsh. This year it is ${before + change}. By what percent did the number rise?`,
			key: percent,
			unit: '%',
			wrong: [
				[change, 'percentAsAmount'],
				[Math.round((100 * change) / (before + change)), 'percentOfWrong'],
				[100 + percent, 'partAddedToWhole']
			],
			hint: 'How many more are there? What percent of last year’s number is that?',
			solution: [
				`${before + change} − ${before} = ${change} more.`,
				`1% of ${before} is ${formatNumber(before / 100)}, and ${change} ÷ ${formatNumber(before / 100)} = ${percent}.`
			]
		});
	}),
	family('F71', 'percent-change-true', ({ random, turning }) => {
		const price = 20 * turning(6, 15);
		const percent = random.pick([10, 20, 30, 40]);
		const now = price - (price * percent) / 100;
		const back = Math.round((100 * (price - now)) / now);
		return severalItem(random, {
			stem: `A kayak trip cost ${price} dollars. The price fell by ${percent}%. Mark every true statement.`,
			options: [
				{ text: `The new price is ${money(now)} dollars.`, right: true },
				{ text: `The price fell by ${money(price - now)} dollars.`, right: true },
				{
					text: `The new price is ${money(price - percent)} dollars.`,
					right: price - percent === now,
					misconception: 'percentAsAmount'
				},
				{
					text: `A rise of ${percent}% would bring the old price back.`,
					right: back === percent,
					misconception: 'percentOfWrong'
				}
			],
			hint: `Find ${percent}% of ${price} first. A later rise is a percent of the new price.`,
			solution: [
				`${percent}% of ${price} is ${money(price - now)}, so the new price is ${money(now)}.`,
				`${percent}% of ${money(now)} is only ${money((now * percent) / 100)}, so a rise of ${percent}% does not bring the old price back.`
			]
		});
	}),
	family('F75', 'whole-from-percent', ({ random, turning }) => {
		const percent = random.pick([10, 20, 25, 30, 40, 60, 75]);
		const whole = 20 * turning(2, 21);
		const part = (whole * percent) / 100;
		return numberItem({
			stem: `${part} students, which is ${percent}% of the school, come by bus. How many students does the school have?`,
			key: whole,
			wrong: [
				[exact((part * percent) / 100), 'percentOfPart'],
				[part + percent, 'percentAsAmount'],
				[exact(part + (part * (100 - percent)) / 100), 'percentOfPart']
			],
			hint: `${percent}% is ${part} students. How many are ${percent % 20 === 0 ? '20%' : percent % 25 === 0 ? '25%' : '10%'}?`,
			solution: wholeSteps(part, percent, whole)
		});
	}),
	family('F75', 'price-before-discount', ({ random, turning }) => {
		const percent = random.pick([10, 20, 25, 40, 50]);
		const before = 20 * turning(2, 16);
		const now = before - (before * percent) / 100;
		return choiceItem(random, {
			stem: `After a discount of ${percent}% a tent costs ${formatNumber(now)} dollars. What did it cost before?`,
			right: `${before} dollars`,
			wrong: [
				[`${money(now + (now * percent) / 100)} dollars`, 'percentOfWrong'],
				[`${formatNumber(now + percent)} dollars`, 'percentAsAmount'],
				[`${money((now * percent) / 100)} dollars`, 'percentOfPart']
			],
			hint: `${formatNumber(now)} dollars is ${100 - percent}% of the old price.`,
			solution: [
				`${100 - percent}% is ${formatNumber(now)} dollars, so 1% is ${money(now / (100 - percent))} dollars.`,
				`100 × ${formatNumber(now / (100 - percent))} = ${before} dollars.`
			]
		});
	}),
	family('F82', 'percent-twice', ({ random, turning }) => {
		const start = 100 * turning(2, 21);
		const percent = random.pick([10, 20, 50]);
		const years = 2;
		const key = exact(start * (1 + percent / 100) ** years);
		const after = exact(start * (1 + percent / 100));
		return numberItem({
			stem: `A marsh has ${formatNumber(start)} reeds in a plot. Their number grows by ${percent}% each year. How many are there after ${years} years?`,
			key,
			wrong: [
				[exact(start * (1 + (years * percent) / 100)), 'percentOfStartOnly'],
				[after, 'stoppedAfterOneStep'],
				[start + years * percent, 'percentAsAmount']
			],
			hint: 'The second year grows from what is there after the first.',
			solution: [
				`After one year: ${formatNumber(start)} + ${formatNumber(after - start)} = ${formatNumber(after)}.`,
				`${percent}% of ${formatNumber(after)} is ${formatNumber(key - after)}.`,
				`${formatNumber(after)} + ${formatNumber(key - after)} = ${formatNumber(key)}.`
			]
		});
	}),
	family('F82', 'up-then-down', ({ random, turning }) => {
		const start = 100 * turning(2, 13);
		const percent = random.pick([10, 20, 30, 50]);
		const up = exact(start * (1 + percent / 100));
		const end = exact(up * (1 - percent / 100));
		return choiceItem(random, {
			stem: `A price of ${money(start)} dollars rises by ${percent}%, then falls by ${percent}%. What is it then?`,
			right: `${money(end)} dollars`,
			wrong: [
				[`${money(start)} dollars`, 'percentOfStartOnly'],
				[`${money(up)} dollars`, 'stoppedAfterOneStep'],
				[`${money(exact(start * (1 - percent / 100)))} dollars`, 'firstChangeForgotten']
			],
			hint: `The fall is ${percent}% of the higher price.`,
			solution: [
				`After the rise: ${money(up)} dollars.`,
				`${percent}% of ${money(up)} is ${money(up - end)}.`,
				`${money(up)} − ${money(up - end)} = ${money(end)} dollars.`
			]
		});
	})
];
