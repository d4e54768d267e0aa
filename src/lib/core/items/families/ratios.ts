import { choiceItem, numberItem, severalItem, type ItemFamily } from '../family';
import { formatNumber } from '../text';

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

export const ratios: ItemFamily[] = [
	{
		id: 'compare-decimals',
		skillCode: 'F07',
		make({ random, turning }) {
			const tenths = random.integer(3, 9);
			const larger = tenths / 10;
			const smaller = Math.round(larger * 100 - random.integer(1, 9)) / 100;
			const whole = turning(1, 10);
			const show = (value: number, digits: number) => (whole + value).toFixed(digits);
			const third = (Math.round(smaller * 100) - random.integer(3, 11)) / 100;
			return choiceItem(random, {
				stem: `Three snails crawled ${show(larger, 1)} m, ${show(smaller, 2)} m and ${show(third, 2)} m. How far did the one that went farthest crawl?`,
				right: `${show(larger, 1)} m`,
				wrong: [
					[`${show(smaller, 2)} m`, 'decimalAsWhole'],
					[`${show(third, 2)} m`, 'longerIsLarger']
				],
				hint: 'Write all with two places after the point, then compare.',
				solution: [
					`${show(larger, 1)} is the same as ${show(larger, 2)}.`,
					`${show(larger, 2)} is more than ${show(smaller, 2)} and ${show(third, 2)}.`
				]
			});
		}
	},
	{
		id: 'scale-ratio',
		skillCode: 'F10',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'percent-of',
		skillCode: 'F11',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'percent-change-true',
		skillCode: 'F12',
		make({ random, turning }) {
			const price = 20 * turning(6, 15);
			const percent = random.pick([10, 20, 30, 40]);
			const now = price - (price * percent) / 100;
			const back = Math.round((100 * (price - now)) / now);
			return severalItem(random, {
				stem: `A kayak trip cost ${price} dollars. The price fell by ${percent}%. Mark every true statement.`,
				options: [
					{ text: `The new price is ${formatNumber(now)} dollars.`, right: true },
					{ text: `The price fell by ${formatNumber(price - now)} dollars.`, right: true },
					{
						text: `The new price is ${formatNumber(price - percent)} dollars.`,
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
					`${percent}% of ${price} is ${formatNumber(price - now)}, so the new price is ${formatNumber(now)}.`,
					`${percent}% of ${formatNumber(now)} is only ${formatNumber((now * percent) / 100)}, so a rise of ${percent}% does not bring the old price back.`
				]
			});
		}
	}
];
