import {
	choiceItem,
	family,
	fillItem,
	numberChoice,
	numberItem,
	orderItem,
	severalItem,
	type ItemFamily
} from '../../family';
import { counted, formatNumber, numberInWords } from '../../text';

const placeNames = ['ones', 'tens', 'hundreds'];

const WHO = ['Ana', 'Ben', 'Cleo', 'Dara', 'Emil', 'Fay', 'Gus', 'Hana', 'Ivo', 'Juno'];

export const placeValue: ItemFamily[] = [
	family('W21', 'expanded-to-number', ({ random, turning }) => {
		const [hundreds, tens, ones] = [random.integer(1, 9), random.integer(1, 9), turning(0, 9)];
		const key = 100 * hundreds + 10 * tens + ones;
		return numberItem({
			stem: `A warehouse has ${counted(ones, 'loose box', 'loose boxes')}, ${hundreds} pallets of 100 and ${counted(tens, 'stack')} of 10. How many boxes is that?`,
			key,
			wrong: [
				[100 * ones + 10 * hundreds + tens, 'digitsInReadingOrder'],
				[hundreds + tens + ones, 'digitFace']
			],
			hint: 'Start with the hundreds, then the tens, then the ones.',
			solution: [`${100 * hundreds} + ${10 * tens} + ${ones} = ${key}.`],
			solutionFigure: { kind: 'blocks', hundreds, tens, ones }
		});
	}),
	family('W21', 'blocks-to-1000', ({ random, turning }) => {
		const ones = turning(0, 9);
		const tens = random.integer(0, 4);
		const hundreds = random.integer(1, 4);
		const key = 100 * hundreds + 10 * tens + ones;
		return numberItem({
			stem: 'A flat is 100 cubes and a rod is 10 cubes. Which number do the blocks show?',
			figure: { kind: 'blocks', hundreds, tens, ones },
			key,
			wrong: [
				[hundreds + tens + ones, 'digitFace'],
				[100 * hundreds + 10 * ones + tens, 'digitsSwapped'],
				...(tens === 0 ? [[10 * hundreds + ones, 'zeroPlaceLost'] as [number, 'zeroPlaceLost']] : [])
			],
			hint: 'Count the flats by hundreds, then the rods by tens, then the cubes.',
			solution: [
				`Flats: ${100 * hundreds}. Rods: ${10 * tens}. Cubes: ${ones}.`,
				`${100 * hundreds} + ${10 * tens} + ${ones} = ${key}.`
			]
		});
	}),
	family('W21', 'digit-worth', ({ random, turning }) => {
		const place = random.integer(1, 2);
		const number = 100 * random.integer(1, 9) + 10 * random.integer(1, 9) + turning(0, 9);
		const digit = Math.floor(number / 10 ** place) % 10;
		const key = digit * 10 ** place;
		return numberItem({
			stem: `The lighthouse has ${number} steps. How much is the digit in the ${placeNames[place]} place worth?`,
			key,
			wrong: [
				[digit, 'digitFace'],
				[digit * 10 ** (place - 1), 'placeOneOff'],
				[digit * 10 ** (place + 1), 'placeOneOff']
			],
			hint: `Write ${number} in a chart: hundreds, tens, ones.`,
			solution: [
				`In ${number}, the digit in the ${placeNames[place]} place is ${digit}.`,
				`${digit} ${placeNames[place]} is ${digit} × ${10 ** place} = ${key}.`
			]
		});
	}),
	family('W26', 'order-to-1000', ({ random, turning }) => {
		const hundreds = random.integer(2, 8);
		const values = [
			100 * hundreds + 10 * random.integer(0, 3) + random.integer(5, 9),
			100 * hundreds + 10 * random.integer(5, 9) + random.integer(0, 4),
			100 * (hundreds + 1) + turning(0, 9),
			10 * random.integer(5, 9) + 9
		].sort((a, b) => a - b);
		const byLast = [...values].sort((a, b) => (a % 10) - (b % 10) || a - b);
		return orderItem(random, {
			stem: 'Four bakeries baked these numbers of rolls. Put the numbers in order.',
			sorted: values.map(String),
			direction: 'smallest first',
			misordered: [
				[byLast.map(String), 'onesFirst'],
				[[...values].reverse().map(String), 'wrongDirection']
			],
			hint: 'Compare the hundreds first. When they are equal, compare the tens.',
			solution: [`${values[0]} has no hundreds, so it is the smallest.`, `In order: ${values.join(', ')}.`]
		});
	}),
	family('W26', 'greatest-of-three-digits', ({ random, turning }) => {
		const [low, middle, high] = [random.integer(1, 3), random.integer(4, 6), (turning(0, 9) % 3) + 7];
		const digits = random.shuffle([low, middle, high]);
		const pair = turning(0, 9);
		const right = 100 * high + 10 * middle + low;
		return choiceItem(random, {
			stem: `${WHO[pair]} has three cards with the digits ${digits.join(', ')}. Which is the greatest number that uses each card once?`,
			right: String(right),
			wrong: [
				[String(100 * high + 10 * low + middle), 'onesFirst'],
				[String(100 * low + 10 * middle + high), 'digitsSwapped'],
				[String(100 * middle + 10 * high + low), 'digitsSwapped']
			],
			hint: 'Which digit should stand in the hundreds place?',
			solution: [
				`The largest digit counts most in the hundreds place: ${high}.`,
				`Then ${middle}, then ${low}: ${right}.`
			]
		});
	}),
	family('W41', 'rounds-to', ({ random, turning }) => {
		const target = 10 * turning(12, 87);
		const inside = [target - random.integer(1, 4), target + random.integer(1, 4)];
		const outside = [target - random.integer(6, 9), target + random.integer(6, 9), target + 5];
		return severalItem(random, {
			stem: `Mark every number that rounds to ${target} when it is rounded to the nearest ten.`,
			options: [
				...inside.map((value) => ({ text: String(value), right: true })),
				...outside.map((value) => ({
					text: String(value),
					right: false,
					misconception: value > target ? ('roundDown' as const) : ('roundUp' as const)
				}))
			],
			hint: `Which numbers lie nearer to ${target} than to the tens beside it? Halfway goes up.`,
			solution: [`Numbers from ${target - 5} to ${target + 4} round to ${target}.`, `So ${inside.join(' and ')} do.`]
		});
	}),
	family('W41', 'round', ({ random, turning }) => {
		const place = random.pick([10, 100]);
		const number = 1_000 * random.integer(1, 8) + 100 * random.integer(0, 9) + turning(51, 98);
		const key = Math.round(number / place) * place;
		const other = place === 10 ? 100 : 10;
		return numberChoice(random, {
			stem: `The ferry carried ${formatNumber(number)} people. Round this number to the nearest ${place === 10 ? 'ten' : 'hundred'}.`,
			key,
			wrong: [
				[Math.floor(number / place) * place, 'roundDown'],
				[Math.round(number / other) * other, 'roundWrongPlace'],
				[Math.round(number / 1_000) * 1_000, 'roundWrongPlace'],
				[key + place, 'roundWrongPlace'],
				[key - place, 'roundDown'],
				[key + 2 * place, 'roundWrongPlace']
			],
			hint: `Which two ${place === 10 ? 'tens' : 'hundreds'} does it lie between? Which is nearer?`,
			solution: [
				`${formatNumber(number)} lies between ${formatNumber(Math.floor(number / place) * place)} and ${formatNumber(Math.floor(number / place) * place + place)}.`,
				`It is nearer to ${formatNumber(key)}.`
			]
		});
	}),
	family('W44', 'words-to-number', ({ random, turning }) => {
		const thousands = turning(12, 905);
		const rest = random.pick([
			random.integer(2, 9),
			10 * random.integer(2, 9),
			100 * random.integer(1, 9) + random.integer(1, 9)
		]);
		const key = 1_000 * thousands + rest;
		return numberItem({
			stem: `An island has ${numberInWords(key)} birds. Write this number in digits.`,
			key,
			wrong: [
				[Number(`${thousands}${rest}`), 'zeroPlaceLost'],
				[Number(`${thousands}000${rest}`), 'wroteEachPart']
			],
			hint: 'After the thousands there are always three more digits.',
			solution: [
				`Thousands: ${thousands}. Then three digits: ${String(rest).padStart(3, '0')}.`,
				`The number is ${formatNumber(key)}.`
			]
		});
	}),
	family('W44', 'digit-worth-large', ({ random, turning }) => {
		const place = random.integer(3, 5);
		const digits = [random.integer(1, 9), ...random.shuffle([1, 2, 3, 4, 5, 6, 7, 8, 9]).slice(0, 4), turning(0, 9)];
		const number = Number(digits.join(''));
		const digit = digits[5 - place];
		const name = ['thousands', 'ten thousands', 'hundred thousands'][place - 3];
		return numberItem({
			stem: `A library counts ${formatNumber(number)} loans. How much is the digit in the ${name} place worth?`,
			key: digit * 10 ** place,
			wrong: [
				[digit, 'digitFace'],
				[digit * 10 ** (place - 1), 'placeOneOff'],
				[digit * 10 ** (place + 1), 'placeOneOff']
			],
			hint: `Count the places from the right. Which digit is in the ${name} place?`,
			solution: [
				`The digit is ${digit}.`,
				`${digit} × ${formatNumber(10 ** place)} = ${formatNumber(digit * 10 ** place)}.`
			]
		});
	}),
	family('W53', 'times-power-of-ten', ({ random, turning }) => {
		const [factor, zeros] = random.pick([
			[10, 1],
			[100, 2],
			[1_000, 3]
		]);
		const number = turning(24, 93);
		return numberItem({
			stem: `A crate weighs ${number} grams. How many grams do ${formatNumber(factor)} of these crates weigh?`,
			key: number * factor,
			wrong: [
				[(number * factor) / 10, 'zeroDropped'],
				[number * factor * 10, 'zeroTooMany'],
				[number + factor, 'addInsteadMultiply']
			],
			hint: `Times ${formatNumber(factor)} moves each digit ${counted(zeros, 'place')} to the left.`,
			solution: [`${number} × ${formatNumber(factor)} = ${formatNumber(number * factor)}.`]
		});
	}),
	family('W53', 'power-of-ten-table', ({ random, turning }) => {
		const number = turning(13, 76) * random.pick([100, 1_000]);
		return fillItem({
			stem: `Divide ${formatNumber(number * 10)} by 10 and by 100.`,
			blanks: [
				['÷ 10 =', number],
				['÷ 100 =', number / 10]
			],
			wrong: [
				[[number * 100, number * 1_000], 'multiplyInsteadDivide'],
				[[number, number / 100], 'zeroDropped']
			],
			hint: 'Divided by 10, each digit moves one place to the right.',
			solution: [
				`${formatNumber(number * 10)} ÷ 10 = ${formatNumber(number)}.`,
				`${formatNumber(number * 10)} ÷ 100 = ${formatNumber(number / 10)}.`
			]
		});
	})
];
