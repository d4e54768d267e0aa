import {
	choiceItem,
	expressionItem,
	family,
	fillItem,
	lineItem,
	numberItem,
	orderItem,
	type ItemFamily
} from '../../family';
import { formatNumber } from '../../text';

export const powersAndRoots: ItemFamily[] = [
	family('W62', 'value-of-power', ({ random, turning }) => {
		const base = turning(2, 11);
		const exponent = base > 6 ? 2 : base > 4 ? random.integer(2, 3) : random.integer(3, 4);
		const steps = Array.from({ length: exponent - 1 }, (_, i) => `${base ** (i + 1)} × ${base} = ${base ** (i + 2)}`);
		return numberItem({
			stem: `What is the value of $${base}^${exponent}$?`,
			key: base ** exponent,
			wrong: [
				[base * exponent, 'exponentAsFactor'],
				[exponent ** base, 'baseExponentSwapped'],
				[base + exponent, 'addInsteadMultiply']
			],
			hint: `Multiply ${base} by itself: write it ${exponent} times.`,
			solution: [`$${base}^${exponent}$ is ${Array(exponent).fill(base).join(' × ')}.`, `${steps.join(', ')}.`]
		});
	}),
	family('W62', 'write-as-power', ({ random, turning }) => {
		const base = turning(3, 12);
		const exponent = random.pick([2, 3, 4, 5].filter((one) => one !== base));
		return choiceItem(random, {
			stem: `Which is the same as ${Array(exponent).fill(base).join(' × ')}?`,
			right: `$${base}^{${exponent}}$`,
			wrong: [
				[`$${exponent}^{${base}}$`, 'baseExponentSwapped'],
				[`$${base} \\times ${exponent}$`, 'exponentAsFactor'],
				[`$${base}^{${exponent + 1}}$`, 'oneGroupOff']
			],
			hint: 'The exponent tells how many times the base is a factor.',
			solution: [`The factor ${base} stands ${exponent} times, so it is $${base}^{${exponent}}$.`]
		});
	}),
	family('W81', 'product-of-powers', ({ random, turning }) => {
		const [a, b] = [turning(2, 11), random.integer(3, 6)];
		return expressionItem({
			stem: `Write $x^{${a}} \\cdot x^{${b}}$ as one power of $x$.`,
			letters: ['x'],
			key: `x^${a + b}`,
			wrong: [
				[`x^${Math.min(30, a * b)}`, 'exponentsMultiplied'],
				[`2x^${a + b}`, 'basesAdded'],
				[`x^${Math.abs(a - b)}`, 'exponentsSubtracted']
			],
			hint: `How many factors $x$ are there in all?`,
			solution: [`${a} factors and ${b} factors are ${a} + ${b} = ${a + b} factors: $x^{${a + b}}$.`]
		});
	}),
	family('W81', 'quotient-of-powers', ({ random, turning }) => {
		const base = random.pick([2, 3, 5, 10]);
		const b = random.integer(2, 5);
		const key = turning(-4, 6);
		const a = b + key;
		return numberItem({
			stem: `$${base}^{${a}} \\div ${base}^{${b}} = ${base}^n$. What is $n$?`,
			key,
			wrong: [
				[a + b, 'exponentsAdded'],
				[b - a, 'smallerFromLargerExponent'],
				[a * b, 'exponentsMultiplied']
			],
			hint: 'Dividing takes factors away. Subtract the exponents.',
			solution: [
				`${formatNumber(a)} − ${b} = ${formatNumber(key)}.`,
				...(key < 0 ? [`A negative exponent means 1 divided by $${base}^{${-key}}$.`] : [])
			]
		});
	}),
	family('W82', 'side-of-square', ({ turning }) => {
		const key = turning(4, 20);
		return numberItem({
			stem: `A square sail has an area of ${key * key} square meters. How long is one side, in meters?`,
			key,
			unit: 'm',
			wrong: [
				[(key * key) / 2, 'halfForRoot'],
				[(key * key) / 4, 'areaAsPerimeter'],
				[key ** 4, 'squaredAgain']
			],
			hint: 'Which number times itself gives the area?',
			solution: [`${key} × ${key} = ${key * key}.`, `So the side is ${key} m.`]
		});
	}),
	family('W82', 'cube-root', ({ random, turning }) => {
		const key = turning(1, 10);
		const also = random.integer(2, 9);
		return fillItem({
			stem: `Fill in the two roots.`,
			blanks: [
				[`³√${formatNumber(key ** 3)} =`, key],
				[`√${also ** 2} =`, also]
			],
			wrong: [[[key ** 3 / 3, also ** 2 / 2], 'halfForRoot']],
			hint: 'A cube root times itself three times gives the number. A square root times itself twice.',
			solution: [`${key} × ${key} × ${key} = ${formatNumber(key ** 3)}.`, `${also} × ${also} = ${also ** 2}.`]
		});
	}),
	family('W83', 'root-between', ({ random, turning }) => {
		const low = turning(3, 12);
		const number = low * low + random.integer(1, 2 * low);
		return fillItem({
			stem: `$\\sqrt{${number}}$ lies between two whole numbers that follow each other. Which two?`,
			blanks: [
				['between', low],
				['and', low + 1]
			],
			wrong: [
				[[Math.floor(number / 2), Math.floor(number / 2) + 1], 'halfForRoot'],
				[[low - 1, low], 'oneGroupOff'],
				[[low * low, (low + 1) * (low + 1)], 'squareForRoot']
			],
			hint: `Which square numbers lie just below and just above ${number}?`,
			solution: [
				`${low} × ${low} = ${low * low} and ${low + 1} × ${low + 1} = ${(low + 1) ** 2}.`,
				`${number} lies between them.`
			]
		});
	}),
	family('W83', 'root-on-line', ({ turning }) => {
		const numbers = Array.from({ length: 60 }, (_, i) => i + 4).filter((one) => !Number.isInteger(Math.sqrt(one)));
		const number = numbers[turning(0, 49)];
		const low = Math.floor(Math.sqrt(number));
		const key = Math.round(Math.sqrt(number) * 10) / 10;
		return lineItem({
			stem: `Mark the tenth that is nearest to $\\sqrt{${number}}$ on the line.`,
			line: { from: low, to: low + 1, step: 0.1, labelEvery: 1 },
			key,
			wrong: [
				[
					Math.round((low + (number - low * low) / 10) * 10) / 10 <= low + 1
						? Math.round((low + (number - low * low) / 10) * 10) / 10
						: low + 1,
					'differenceAsTenths'
				]
			],
			hint: `${low} × ${low} = ${low * low}. Try the tenths between ${low} and ${low + 1}.`,
			solution: [
				`${formatNumber(key)} × ${formatNumber(key)} = ${formatNumber(Math.round(key * key * 100) / 100)}, which is nearest to ${number}.`
			]
		});
	}),
	family('W84', 'exponent-of-ten', ({ random, turning }) => {
		const exponent = turning(-4, 8);
		const power = exponent >= 0 ? exponent + 2 : exponent;
		const digits = 10 * random.integer(2, 9) + random.integer(1, 9);
		const decimals = Math.max(0, 1 - power);
		const number = ((digits / 10) * 10 ** power).toFixed(decimals);
		const shown = decimals ? number : formatNumber(Number(number));
		return fillItem({
			stem: `Write ${shown} in scientific notation.`,
			blanks: [
				['', digits / 10, '×'],
				['10 to the power', power]
			],
			wrong: [
				[[digits, power - 1], 'firstFactorTooLarge'],
				[[digits / 10, -power], 'exponentSign'],
				[[digits / 10, power > 0 ? power + 1 : power - 1], 'countedAllPlaces']
			],
			hint: 'The first number is from 1 to less than 10. How many places did the point move?',
			solution: [
				`The point moves ${Math.abs(power)} places to stand after the first digit: ${digits / 10}.`,
				`The number is ${power > 0 ? 'large, so the exponent is positive' : 'small, so the exponent is negative'}: ${formatNumber(power)}.`
			]
		});
	}),
	family('W84', 'order-scientific', ({ random, turning }) => {
		const base = turning(2, 11);
		const values: [number, number][] = [
			[random.integer(12, 49) / 10, base + 2],
			[random.integer(51, 95) / 10, base + 1],
			[random.integer(61, 99) / 10, base],
			[random.integer(12, 30) / 10, base + 1]
		];
		const show = ([a, n]: [number, number]) => `$${a} \\times 10^{${n}}$`;
		const sorted = [...values].sort((a, b) => a[1] - b[1] || a[0] - b[0]);
		const byFirst = [...values].sort((a, b) => a[0] - b[0]);
		return orderItem(random, {
			stem: 'These are distances in space, in kilometers. Put them in order.',
			sorted: sorted.map(show),
			direction: 'shortest first',
			misordered: [[byFirst.map(show), 'firstFactorOnly']],
			hint: 'Compare the powers of ten first.',
			solution: [
				`By powers of ten: ${sorted.map(([, n]) => n).join(', ')}.`,
				'Where these are equal, compare the first numbers.'
			]
		});
	})
];
