import { choiceItem, family, lineItem, numberItem, orderItem, type ItemFamily } from '../../family';
import { formatNumber } from '../../text';

export const signedNumbers: ItemFamily[] = [
	family('W61', 'place-signed', ({ random, turning }) => {
		const size = turning(1, 10);
		const [low, high] = random.pick([
			[-12, 12],
			[-15, 10],
			[-11, 14]
		]);
		const key = -size;
		return lineItem({
			stem: `The tide mark stands at ${formatNumber(key)} on a line from ${formatNumber(low)} to ${high}. Mark ${formatNumber(key)} on the line.`,
			line: { from: low, to: high, step: 1, labelEvery: high - low },
			key,
			wrong: [
				[size, 'signIgnored'],
				[low + size, 'biggerNegative'],
				[key + 1, 'countTicks'],
				[key - 1, 'countTicks']
			],
			hint: 'Find 0 first. Negative numbers lie to the left of 0.',
			solution: [`Start at 0 and count ${size} to the left.`, `That place is ${formatNumber(key)}.`]
		});
	}),
	family('W61', 'order-signed-values', ({ random, turning }) => {
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
	}),
	family('W64', 'farther-from-zero', ({ random, turning }) => {
		const size = turning(12, 31);
		const other = size - random.integer(2, 9);
		return choiceItem(random, {
			stem: `Four points lie on a line at ${formatNumber(-size)}, ${formatNumber(-other)}, ${other + 1}, and 0. Which is farthest from 0?`,
			right: formatNumber(-size),
			wrong: [
				[String(other + 1), 'signIgnored'],
				[formatNumber(-other), 'biggerNegative'],
				['0', 'zeroIsFar']
			],
			hint: 'How many steps is each from 0? The side does not matter.',
			solution: [
				`The distances are ${size}, ${other}, ${other + 1}, and 0.`,
				`${formatNumber(-size)} is ${size} steps from 0, the most.`
			]
		});
	}),
	family('W64', 'distance-from-zero', ({ random, turning }) => {
		const a = -turning(4, 23);
		const b = random.integer(2, 9);
		return numberItem({
			stem: `Work out $|${a}| - |${b}|$.`,
			key: -a - b,
			wrong: [
				[a - b, 'absoluteIgnored'],
				[-a + b, 'absoluteAdded']
			],
			hint: 'The bars ask for the distance from 0.',
			solution: [`$|${a}|$ is ${-a} and $|${b}|$ is ${b}.`, `${-a} − ${b} = ${formatNumber(-a - b)}.`]
		});
	}),
	family('W71', 'add-signed', ({ random, turning }) => {
		const start = -turning(3, 15);
		const rise = random.integer(2, 19);
		const key = start + rise;
		return numberItem({
			stem: `At dawn it was ${formatNumber(start)} degrees. By noon it was ${rise} degrees warmer. What was the temperature at noon, in degrees?`,
			key,
			wrong: [
				[-start + rise, 'signIgnored'],
				[start - rise, 'addSizes'],
				[-key, 'signIgnored']
			],
			hint: 'Warmer means up. Count up from the dawn temperature, through 0 if needed.',
			solution: [
				`${formatNumber(start)} + ${rise}: go ${rise} up from ${formatNumber(start)}.`,
				`That is ${formatNumber(key)}.`
			]
		});
	}),
	family('W71', 'subtract-signed', ({ random, turning }) => {
		const a = -turning(2, 12);
		const b = -random.integer(3, 14);
		const key = a - b;
		return numberItem({
			stem: `Work out ${formatNumber(a)} − (${formatNumber(b)}).`,
			key,
			wrong: [
				[a + b, 'minusMinusIgnored'],
				[-a - b, 'signIgnored'],
				[-key, 'wrongDirection']
			],
			hint: `Taking ${formatNumber(b)} away is the same as adding ${-b}.`,
			solution: [`${formatNumber(a)} + ${-b} = ${formatNumber(key)}.`],
			solutionFigure: { kind: 'jumps', stops: [formatNumber(a), formatNumber(key)], jumps: [`+${-b}`] }
		});
	}),
	family('W72', 'multiply-signed', ({ random, turning }) => {
		const a = -turning(2, 12);
		const b = random.pick([-9, -8, -7, -6, -4, -3, 3, 4, 6, 7, 8, 9]);
		const key = a * b;
		const shown = b < 0 ? `(${formatNumber(b)})` : String(b);
		return numberItem({
			stem: `Work out ${formatNumber(a)} × ${shown}.`,
			key,
			wrong: [
				[-key, 'productSign'],
				[a + b, 'addInsteadMultiply']
			],
			hint: 'Equal signs make a positive product, different signs a negative one.',
			solution: [
				`${-a} × ${Math.abs(b)} = ${Math.abs(key)}.`,
				`The signs are ${b < 0 ? 'equal' : 'different'}, so it is ${formatNumber(key)}.`
			]
		});
	}),
	family('W72', 'divide-signed', ({ random, turning }) => {
		const hours = random.integer(3, 9);
		const each = turning(2, 13);
		return numberItem({
			stem: `The water level changed by ${formatNumber(-hours * each)} centimeters in ${hours} hours, the same in each hour. By how many centimeters did it change in one hour?`,
			key: -each,
			wrong: [
				[each, 'signIgnored'],
				[-hours * each + hours, 'subtractInsteadDivide']
			],
			hint: 'The level went down. Which sign must the answer have?',
			solution: [
				`${hours * each} ÷ ${hours} = ${each}.`,
				`The level falls, so the change is ${formatNumber(-each)} centimeters an hour.`
			]
		});
	}),
	family('W73', 'signed-expression', ({ random, turning }) => {
		const a = turning(2, 11);
		const b = random.integer(2, 6);
		const c = random.integer(2, 5);
		const key = a - b * c;
		return numberItem({
			stem: `Work out ${a} + ${b} × (${formatNumber(-c)}).`,
			key,
			wrong: [
				[-(a + b) * c, 'leftToRight'],
				[a + b * c, 'signIgnored'],
				[-key, 'productSign']
			],
			hint: 'Times comes before plus.',
			solution: [`${b} × ${formatNumber(-c)} = ${formatNumber(-b * c)}.`, `${a} − ${b * c} = ${formatNumber(key)}.`]
		});
	}),
	family('W73', 'square-of-signed', ({ random, turning }) => {
		const a = turning(2, 11);
		const b = random.integer(3, 20);
		return choiceItem(random, {
			stem: `Which is the value of $(-${a})^2 - ${b}$?`,
			right: formatNumber(a * a - b),
			wrong: [
				[formatNumber(-a * a - b), 'squareKeepsMinus'],
				[formatNumber(-2 * a - b), 'exponentAsFactor'],
				[formatNumber(a * a + b), 'signIgnored']
			],
			hint: `The square is the number times itself: −${a} times −${a}.`,
			solution: [`−${a} × −${a} = ${a * a}.`, `${a * a} − ${b} = ${formatNumber(a * a - b)}.`]
		});
	})
];
