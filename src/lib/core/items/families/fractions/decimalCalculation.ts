import { family, numberChoice, numberItem, orderItem, type ItemFamily } from '../../family';
import { exact, formatNumber, money, tex } from '../../text';

export const decimalCalculation: ItemFamily[] = [
	family('F55', 'add-decimals', ({ random, turning }) => {
		const a = turning(12, 89) / 10;
		const b = random.integer(105, 495) / 100;
		const key = exact(a + b);
		return numberItem({
			stem: `A plank of ${formatNumber(a)} meters and one of ${formatNumber(b)} meters are laid end to end. How long are they together, in meters?`,
			key,
			unit: 'm',
			wrong: [
				[exact((a * 10 + b * 100) / 100), 'pointsNotLined'],
				[exact(Math.abs(a - b)), 'takeInsteadAdd']
			],
			hint: 'Line up the points. Tenths under tenths, hundredths under hundredths.',
			solution: [`${a.toFixed(2)} + ${b.toFixed(2)} = ${formatNumber(key)}.`]
		});
	}),
	family('F55', 'subtract-decimals', ({ random, turning }) => {
		const a = turning(4, 23);
		const b = exact(random.integer(1, 2) + random.integer(11, 98) / 100);
		const key = exact(a - b);
		return numberItem({
			stem: `You pay ${money(b)} dollars with ${a} dollars. How much do you get back, in dollars?`,
			key,
			wrong: [
				[exact(a - Math.floor(b) + (b - Math.floor(b))), 'noRegroup'],
				[exact(key + 1), 'carriedOneTooMany'],
				[exact(a + b), 'addInsteadTake']
			],
			hint: `Write ${a} as ${a}.00. Or count up from ${money(b)}.`,
			solution: [`${a}.00 − ${b.toFixed(2)} = ${key.toFixed(2)}.`]
		});
	}),
	family('F59', 'multiply-decimals', ({ random, turning }) => {
		const a = turning(11, 48);
		const b = random.integer(2, 9);
		const key = exact((a * b) / 100);
		return numberItem({
			stem: `What is ${formatNumber(a / 10)} × ${formatNumber(b / 10)}?`,
			key,
			wrong: [
				[exact((a * b) / 10), 'pointPlacedLikeSum'],
				[a * b, 'pointForgotten'],
				[exact((a + b) / 10), 'addInsteadMultiply']
			],
			hint: 'Multiply without the points. Then think: tenths times tenths are hundredths.',
			solution: [`${a} × ${b} = ${formatNumber(a * b)}.`, `Tenths times tenths are hundredths: ${formatNumber(key)}.`]
		});
	}),
	family('F59', 'price-of-weight', ({ random, turning }) => {
		const price = random.integer(2, 9);
		const weight = turning(3, 22) / 4;
		const key = exact(price * weight);
		return numberItem({
			stem: `One kilogram of pears costs ${price} dollars. How many dollars do ${formatNumber(weight)} kilograms cost?`,
			key,
			wrong: [
				[exact(price + weight), 'addInsteadMultiply'],
				[exact(key / 10), 'pointPlacedLikeSum'],
				[price * Math.floor(weight), 'fractionPartDropped']
			],
			hint: `${Math.floor(weight)} whole kilograms first, then the part of a kilogram.`,
			solution: [
				`${price} × ${Math.floor(weight)} = ${price * Math.floor(weight)}.`,
				...(weight % 1 ? [`${price} × ${formatNumber(weight % 1)} = ${formatNumber(price * (weight % 1))}.`] : []),
				`In all ${formatNumber(key)} dollars.`
			]
		});
	}),
	family('F65', 'divide-by-decimal', ({ random, turning }) => {
		const divisor = random.pick([2, 3, 4, 5, 6, 8]);
		const key = turning(4, 25);
		const total = exact((divisor * key) / 10);
		return numberItem({
			stem: `A ribbon of ${formatNumber(total)} meters is cut into pieces of ${formatNumber(divisor / 10)} meter. How many pieces is that?`,
			key,
			wrong: [
				[exact(key / 10), 'pointPlacedLikeSum'],
				[key * 10, 'pointMovedOnce'],
				[exact(total * (divisor / 10)), 'multiplyInsteadDivide']
			],
			hint: 'Count both lengths in tenths of a meter.',
			solution: [`${formatNumber(total)} is ${divisor * key} tenths.`, `${divisor * key} ÷ ${divisor} = ${key}.`]
		});
	}),
	family('F65', 'share-decimal', ({ random, turning }) => {
		const people = random.integer(3, 8);
		const each = turning(21, 95) / 100;
		const total = exact(people * each);
		return numberItem({
			stem: `${people} friends share a bill of ${money(total)} dollars equally. How many dollars does each pay?`,
			key: each,
			wrong: [
				[exact(each * 10), 'pointMovedOnce'],
				[exact(each / 10), 'pointMovedOnce'],
				[exact(total * people), 'multiplyInsteadDivide']
			],
			hint: `Divide as if it were ${Math.round(total * 100)} cents.`,
			solution: [
				`${Math.round(total * 100)} ÷ ${people} = ${Math.round(each * 100)} cents.`,
				`That is ${formatNumber(each)} dollars.`
			]
		});
	}),
	family('F73', 'add-signed-decimals', ({ random, turning }) => {
		const a = -turning(12, 71) / 10;
		const b = random.integer(5, 48) / 10;
		const key = exact(a + b);
		return numberItem({
			stem: `A diver is at ${formatNumber(a)} meters and rises ${formatNumber(b)} meters. At which height is the diver now, in meters?`,
			key,
			unit: 'm',
			wrong: [
				[exact(a - b), 'addSizes'],
				[exact(-key), 'signIgnored'],
				[exact(-a + b), 'signIgnored']
			],
			hint: 'Rising goes up, toward 0.',
			solution: [`${formatNumber(a)} + ${formatNumber(b)} = ${formatNumber(key)}.`]
		});
	}),
	family('F73', 'order-signed-fractions', ({ random, turning }) => {
		const bottom = turning(3, 12);
		const top = random.integer(1, bottom - 2);
		const shown: [number, string][] = [
			[-(top + 1) / bottom, `$-\\frac{${top + 1}}{${bottom}}$`],
			[-top / bottom, `$-\\frac{${top}}{${bottom}}$`],
			[0.05, '0.05'],
			[top / bottom, tex(top, bottom)]
		];
		const sorted = [...shown].sort((a, b) => a[0] - b[0]).map(([, text]) => text);
		const bySize = [...shown].sort((a, b) => Math.abs(a[0]) - Math.abs(b[0]) || a[0] - b[0]).map(([, text]) => text);
		return orderItem(random, {
			stem: 'Put the numbers in order.',
			sorted,
			direction: 'smallest first',
			misordered: [[bySize, 'signIgnored']],
			hint: 'Negative numbers come first. The farther from 0, the smaller.',
			solution: [`Below 0: ${sorted[0]}, then ${sorted[1]}.`, `Above 0: ${sorted[2]}, then ${sorted[3]}.`]
		});
	}),
	family('F56', 'round-decimal', ({ random, turning }) => {
		const hundredths = random.pick([1, 2, 3, 4, 6, 7, 8, 9]);
		const tenths = random.integer(0, 9);
		const whole = turning(2, 31);
		const number = exact(whole + tenths / 10 + hundredths / 100);
		const key = exact(Math.round(number * 10) / 10);
		return numberChoice(random, {
			stem: `Round ${formatNumber(number)} to the nearest tenth.`,
			key,
			wrong: [
				[exact(Math.floor(number * 10) / 10), 'roundDown'],
				[exact(Math.ceil(number * 10) / 10), 'roundUp'],
				[Math.round(number), 'roundWrongPlace'],
				[exact(key + 1), 'roundWrongPlace']
			],
			hint: 'Look at the hundredths: under 5 goes down, 5 and more goes up.',
			solution: [
				`The hundredths digit is ${hundredths}, so the tenth ${hundredths >= 5 ? 'goes up' : 'stays'}.`,
				`It is ${formatNumber(key)}.`
			]
		});
	}),
	family('F56', 'round-to-whole', ({ random, turning }) => {
		const whole = turning(11, 48);
		const tenths = random.pick([1, 2, 3, 4, 6, 7, 8, 9]);
		const number = exact(whole + tenths / 10 + random.integer(1, 9) / 100);
		return numberItem({
			stem: `Round ${formatNumber(number)} kilograms to the nearest whole kilogram.`,
			key: Math.round(number),
			wrong: [
				[tenths >= 5 ? whole : whole + 1, tenths >= 5 ? 'roundDown' : 'roundUp'],
				[exact(Math.round(number * 10) / 10), 'roundWrongPlace'],
				[Math.round(number / 10) * 10, 'roundWrongPlace']
			],
			hint: 'Look at the tenths: under 5 goes down, 5 and more goes up.',
			solution: [`The tenths digit is ${tenths}, so it is nearer to ${Math.round(number)}.`]
		});
	})
];
