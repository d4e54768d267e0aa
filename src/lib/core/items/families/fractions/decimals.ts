import type { Random } from '../../../random';
import {
	choiceItem,
	family,
	lineItem,
	matchItem,
	numberItem,
	orderItem,
	shadeItem,
	type ItemFamily
} from '../../family';
import { counted, exact, formatNumber, tex } from '../../text';

/** Hundredths of a whole: tens of them for 1 to 9, and for 10 to 19 others, from blocks of nine that do not overlap. */
function tenOrHundredths(random: Random, turn: number): number {
	if (turn <= 9) return 10 * turn;
	const block = 9 * (turn - 10);
	return random.pick([1, 2, 3, 4, 5, 6, 7, 8, 9].map((one) => block + one).filter((one) => one % 10));
}

export const decimals: ItemFamily[] = [
	family('F45', 'shade-decimal', ({ random, turning }) => {
		const hundredths = tenOrHundredths(random, turning(1, 19));
		return shadeItem({
			stem: `The square has 100 equal parts. Shade ${formatNumber(hundredths / 100)} of it.`,
			rows: 10,
			columns: 10,
			key: hundredths,
			wrong: [
				...(hundredths % 10 === 0 ? [[hundredths / 10, 'decimalAsWhole'] as [number, 'decimalAsWhole']] : []),
				...(hundredths < 10 ? [[hundredths * 10, 'tenthsForHundredths'] as [number, 'tenthsForHundredths']] : []),
				[100 - hundredths, 'percentLeft']
			],
			hint: 'Each column is one tenth. Each small part is one hundredth.',
			solution: [
				`${formatNumber(hundredths / 100)} is ${counted(hundredths, 'hundredth')}.`,
				`So ${hundredths} of the 100 parts are shaded.`
			],
			solutionFigure: { kind: 'grid', rows: 10, columns: 10, shaded: hundredths }
		});
	}),
	family('F45', 'fraction-to-decimal', ({ random, turning }) => {
		const hundredths = tenOrHundredths(random, turning(1, 19));
		const bottom = hundredths % 10 ? 100 : 10;
		const top = (hundredths * bottom) / 100;
		return numberItem({
			stem: `Write ${tex(top, bottom)} as a decimal.`,
			form: 'decimal',
			key: top / bottom,
			wrong: [
				[exact(top / (bottom === 100 ? 10 : 100)), 'tenthsForHundredths'],
				[exact(Number(`${top}.${bottom}`)), 'fractionAsDigits']
			],
			hint: `The first place after the point is tenths, the second is hundredths.`,
			solution: [`${counted(top, bottom === 10 ? 'tenth' : 'hundredth')} is ${formatNumber(top / bottom)}.`]
		});
	}),
	family('F46', 'place-decimal', ({ random, turning }) => {
		const whole = random.integer(0, 8);
		const tenths = turning(1, 19);
		const key = exact(whole + tenths / 10);
		return lineItem({
			stem: `Mark ${formatNumber(key)} on the line.`,
			line: { from: whole, to: whole + 2, step: 0.1, labelEvery: 1 },
			key,
			wrong: [
				[exact(key - 0.1), 'countTicks'],
				[exact(Math.min(whole + 2, key + 0.1)), 'countTicks']
			],
			hint: 'Each small space is one tenth.',
			solution: [
				`Start at ${Math.floor(key)}. Each space is 0.1.`,
				`Go ${counted(Math.round((key - Math.floor(key)) * 10), 'space')} to the right.`
			]
		});
	}),
	family('F46', 'read-decimal-mark', ({ random, turning }) => {
		const base = random.integer(1, 9) + turning(0, 9) / 10;
		const hundredths = random.pick([1, 2, 3, 4, 6, 7, 8, 9]);
		const key = exact(base + hundredths / 100);
		return numberItem({
			stem: 'Which number does the mark A show?',
			figure: {
				kind: 'line',
				from: exact(base),
				to: exact(base + 0.1),
				step: 0.01,
				labelEvery: 0.1,
				marks: [{ at: key, label: 'A' }]
			},
			key,
			wrong: [
				[exact(base + hundredths / 10), 'tenthsForHundredths'],
				[exact(key + 0.01), 'countTicks'],
				[exact(key - 0.01), 'countTicks']
			],
			hint: `From ${formatNumber(exact(base))} to ${formatNumber(exact(base + 0.1))} there are ten spaces. How much is each?`,
			solution: [
				`Each space is one hundredth: 0.01.`,
				`A is ${counted(hundredths, 'space')} after ${formatNumber(exact(base))}: ${formatNumber(key)}.`
			]
		});
	}),
	family('F51', 'order-decimals', ({ random, turning }) => {
		const whole = turning(0, 9);
		const values = [
			exact(whole + random.integer(1, 2) / 10 + random.integer(1, 9) / 100),
			exact(whole + random.integer(4, 5) / 10),
			exact(whole + random.integer(6, 7) / 10 + random.integer(1, 9) / 100),
			exact(whole + random.integer(8, 9) / 10)
		];
		const digits = (value: number) => Number(formatNumber(value).split('.')[1] ?? '0');
		const asWhole = [...values].sort((a, b) => digits(a) - digits(b) || a - b);
		return orderItem(random, {
			stem: 'Four jumps were measured in meters. Put them in order.',
			sorted: values.map(formatNumber),
			direction: 'shortest first',
			misordered: [[asWhole.map(formatNumber), 'decimalAsWhole']],
			hint: 'Write all with two places after the point.',
			solution: [`With two places: ${values.map((value) => value.toFixed(2)).join(', ')}.`]
		});
	}),
	family('F51', 'compare-decimals', ({ random, turning }) => {
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
	}),
	family('F54', 'digit-worth-decimal', ({ random, turning }) => {
		const digits = random.shuffle([2, 3, 4, 5, 6, 7, 8, 9]).slice(0, 3);
		const place = random.integer(1, 3);
		const whole = turning(1, 12);
		const number = exact(whole + digits[0] / 10 + digits[1] / 100 + digits[2] / 1_000);
		const name = ['tenths', 'hundredths', 'thousandths'][place - 1];
		return choiceItem(random, {
			stem: `How much is the digit in the ${name} place of ${number.toFixed(3)} worth?`,
			right: formatNumber(digits[place - 1] / 10 ** place),
			wrong: [
				[formatNumber(digits[place - 1]), 'digitFace'],
				[formatNumber(digits[place - 1] * 10 ** place), 'placeMirrored'],
				[formatNumber(exact(digits[place - 1] / 10 ** (place + 1))), 'placeOneOff']
			],
			hint: 'After the point come tenths, then hundredths, then thousandths.',
			solution: [
				`The digit in the ${name} place is ${digits[place - 1]}.`,
				`It is worth ${digits[place - 1]} ${name}: ${formatNumber(digits[place - 1] / 10 ** place)}.`
			]
		});
	}),
	family('F54', 'thousandths-as-decimal', ({ random, turning }) => {
		const whole = random.integer(1, 9);
		const thousandths = turning(2, 98);
		const key = exact(whole + thousandths / 1_000);
		return numberItem({
			stem: `A bird weighs ${whole} kilograms and ${thousandths} thousandths of a kilogram. Write the weight as a decimal, in kilograms.`,
			form: 'decimal',
			key,
			wrong: [
				[exact(whole + thousandths / 100), 'zeroPlaceLost'],
				[exact(whole + thousandths / (thousandths < 10 ? 10 : 100)), 'zeroPlaceLost'],
				[whole * 1_000 + thousandths, 'decimalAsWhole']
			],
			hint: 'Thousandths fill three places after the point.',
			solution: [
				`${thousandths} thousandths: .${String(thousandths).padStart(3, '0')}.`,
				`The weight is ${formatNumber(key)} kilograms.`
			]
		});
	}),
	family('F66', 'match-forms', ({ random, turning }) => {
		const cases: [string, string][] = [
			[tex(1, 2), '50%'],
			[tex(1, 4), '25%'],
			[tex(3, 4), '75%'],
			[tex(1, 5), '20%'],
			[tex(2, 5), '40%'],
			[tex(3, 5), '60%'],
			[tex(4, 5), '80%'],
			[tex(1, 10), '10%'],
			[tex(3, 10), '30%'],
			[tex(7, 10), '70%'],
			[tex(9, 10), '90%'],
			[tex(1, 8), '12.5%']
		];
		const first = turning(0, 11);
		const pairs = [first, (first + random.integer(2, 4)) % 12, (first + random.integer(6, 9)) % 12].map(
			(i) => cases[i]
		);
		return matchItem(random, {
			stem: 'Match each fraction with its percent.',
			pairs,
			wrong: [],
			hint: 'Write each fraction with the bottom number 100, or divide the top by the bottom.',
			solution: pairs.map(([one, percent]) => `${one} is ${percent}.`)
		});
	}),
	family('F66', 'percent-to-decimal', ({ turning }) => {
		const percent = turning(1, 99);
		return numberItem({
			stem: `Write ${percent}% as a decimal.`,
			form: 'decimal',
			key: percent / 100,
			wrong: [
				[percent / 10, 'tenthsForHundredths'],
				[exact(percent / 1_000), 'zeroTooMany'],
				[percent, 'percentAsAmount']
			],
			hint: 'Percent means hundredths.',
			solution: [`${percent}% is ${counted(percent, 'hundredth')}.`, `That is written ${formatNumber(percent / 100)}.`]
		});
	}),
	family('F72', 'fraction-as-long-decimal', ({ random, turning }) => {
		const [top, bottom] = [
			[3, 8],
			[5, 8],
			[7, 8],
			[1, 8],
			[3, 16],
			[7, 20],
			[9, 20],
			[11, 25],
			[7, 40],
			[13, 20],
			[5, 16],
			[17, 25]
		][turning(0, 11)];
		const whole = random.integer(0, 4);
		const key = exact(whole + top / bottom);
		return numberItem({
			stem: `Write $${whole || ''}\\frac{${top}}{${bottom}}$ as a decimal.`,
			form: 'decimal',
			key,
			wrong: [
				[exact(Number(`${whole}.${top}${bottom}`)), 'fractionAsDigits'],
				[exact(whole + bottom / top), 'invertedFraction'],
				[exact(whole + top / 10), 'fractionAsDigits']
			],
			hint: 'Divide the top by the bottom.',
			solution: [`${top} ÷ ${bottom} = ${formatNumber(top / bottom)}.`, `So it is ${formatNumber(key)}.`]
		});
	}),
	family('F72', 'which-repeats', ({ random, turning }) => {
		const repeating = [3, 6, 7, 9, 11, 12, 13, 14, 15, 18][turning(0, 9)];
		const ending = random.shuffle([4, 5, 8, 10, 16, 20, 25]).slice(0, 3);
		return choiceItem(random, {
			stem: 'Which fraction is a decimal that repeats without end?',
			right: tex(1, repeating),
			wrong: ending.map((bottom) => [tex(1, bottom), 'longDecimalRepeats']),
			hint: 'Which bottom number has another prime factor than 2 and 5?',
			solution: [
				`${ending.join(', ')} are made of the factors 2 and 5 only, so their decimals end.`,
				`${repeating} is not, so ${tex(1, repeating)} repeats.`
			]
		});
	})
];
