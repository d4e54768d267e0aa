import { family, fillItem, numberChoice, numberItem, type ItemFamily } from '../../family';
import { counted, formatNumber } from '../../text';

export const divide: ItemFamily[] = [
	family('W33', 'divide-fact', ({ random, turning }) => {
		const divisor = random.integer(3, 9);
		const key = turning(2, 11);
		return numberItem({
			stem: `What is ${divisor * key} ÷ ${divisor}?`,
			key,
			wrong: [
				[divisor * key - divisor, 'subtractInsteadDivide'],
				[key + 1, 'oneGroupOff'],
				[key - 1, 'oneGroupOff']
			],
			hint: `Which number times ${divisor} makes ${divisor * key}?`,
			solution: [`${key} × ${divisor} = ${divisor * key}.`, `So ${divisor * key} ÷ ${divisor} = ${key}.`]
		});
	}),
	family('W33', 'share-equally', ({ random, turning }) => {
		const plates = random.integer(3, 9);
		const each = turning(3, 12);
		const total = plates * each;
		return numberItem({
			stem: `${total} strawberries are shared equally onto ${plates} plates. How many strawberries are on each plate?`,
			key: each,
			wrong: [
				[total * plates, 'multiplyInsteadDivide'],
				[total - plates, 'subtractInsteadDivide'],
				[each + 1, 'oneGroupOff'],
				[each - 1, 'oneGroupOff']
			],
			hint: `Ask: ${plates} times what makes ${total}?`,
			solution: [`${plates} × ${each} = ${total}.`, `So ${total} ÷ ${plates} = ${each}.`]
		});
	}),
	family('W43', 'quotient-and-remainder', ({ random, turning }) => {
		const divisor = random.integer(4, 9);
		const quotient = turning(5, 16);
		const rest = random.integer(1, divisor - 1);
		const total = divisor * quotient + rest;
		return fillItem({
			stem: `A baker packs ${total} buns into boxes of ${divisor}. How many boxes are full, and how many buns are left over?`,
			blanks: [
				['full boxes', quotient],
				['buns left over', rest]
			],
			wrong: [
				[[quotient - 1, rest + divisor], 'remainderTooLarge'],
				[[quotient + 1, divisor - rest], 'remainderMissing'],
				[[rest, quotient], 'remainderAsAnswer']
			],
			hint: `Which multiple of ${divisor} is just below ${total}?`,
			solution: [
				`${quotient} × ${divisor} = ${quotient * divisor}.`,
				`${total} − ${quotient * divisor} = ${rest}, so ${counted(rest, 'bun')} left over.`
			],
			solutionFigure: {
				kind: 'parts',
				parts: [
					{ label: `${quotient} × ${divisor}`, size: quotient * divisor },
					{ label: String(rest), size: Math.max(rest, quotient) }
				],
				total: String(total)
			}
		});
	}),
	family('W43', 'remainder-in-context', ({ random, turning }) => {
		const seats = random.integer(4, 8);
		const full = turning(6, 17);
		const rest = random.integer(1, seats - 1);
		const people = seats * full + rest;
		return numberItem({
			stem: `${people} people want to cross the bay. Each boat seats ${seats} people. How many boats are needed so that everyone crosses at once?`,
			key: full + 1,
			wrong: [
				[full, 'remainderDropped'],
				[rest, 'remainderAsAnswer'],
				[people * seats, 'multiplyInsteadDivide']
			],
			hint: 'Divide. Then ask: do the people left over need a boat?',
			solution: [
				`${seats} × ${full} = ${seats * full}, and ${rest} ${rest === 1 ? 'person is' : 'people are'} left over.`,
				`They need one more boat: ${full} + 1 = ${full + 1}.`
			]
		});
	}),
	family('W47', 'divide-three-digits', ({ random, turning }) => {
		const divisor = random.integer(3, 9);
		const quotient = turning(34, 98);
		const total = divisor * quotient;
		const tens = 10 * Math.floor(quotient / 10);
		return numberItem({
			stem: `${total} oranges are put equally into ${divisor} crates. How many oranges are in each crate?`,
			key: quotient,
			wrong: [
				[total * divisor, 'multiplyInsteadDivide'],
				[total - divisor, 'subtractInsteadDivide'],
				[tens, 'stoppedAfterOneStep']
			],
			hint: `How many tens can each crate get? Then share what is left.`,
			solution: [
				`${tens} × ${divisor} = ${tens * divisor}.`,
				`${total} − ${tens * divisor} = ${total - tens * divisor}, and ${total - tens * divisor} ÷ ${divisor} = ${quotient - tens}.`,
				`${tens} + ${quotient - tens} = ${quotient}.`
			]
		});
	}),
	family('W47', 'zero-in-quotient', ({ random, turning }) => {
		const divisor = (turning(3, 12) % 7) + 3;
		const ones = random.integer(2, 9);
		const hundreds = random.integer(1, 3);
		const quotient = 100 * hundreds + ones;
		const total = divisor * quotient;
		return numberChoice(random, {
			stem: `What is ${formatNumber(total)} ÷ ${divisor}?`,
			key: quotient,
			wrong: [
				[10 * hundreds + ones, 'zeroPlaceLost'],
				[100 * hundreds + 10 * ones, 'digitsSwapped'],
				[quotient + 10, 'placeOneOff']
			],
			hint: `How many hundreds, how many tens, how many ones does each of ${divisor} parts get?`,
			solution: [
				`${100 * hundreds} × ${divisor} = ${formatNumber(100 * hundreds * divisor)}.`,
				`${ones} × ${divisor} = ${ones * divisor}, and there are no tens.`,
				`So ${formatNumber(total)} ÷ ${divisor} = ${quotient}.`
			]
		});
	}),
	family('W51', 'without-parentheses', ({ random, turning }) => {
		const a = turning(21, 60);
		const b = random.integer(3, 9);
		const c = random.integer(2, 6);
		const d = random.integer(2, 9);
		return numberItem({
			stem: `Work out ${a + b * c} − ${b} × ${c} + ${d}.`,
			key: a + d,
			wrong: [
				[(a + b * c - b) * c + d, 'leftToRight'],
				[a - d, 'plusBeforeMinus']
			],
			hint: 'Times first. Then go from left to right.',
			solution: [`${b} × ${c} = ${b * c}.`, `${a + b * c} − ${b * c} = ${a}.`, `${a} + ${d} = ${a + d}.`]
		});
	}),
	family('W51', 'order-of-operations', ({ random, turning }) => {
		const a = turning(4, 23);
		const b = random.integer(2, 6);
		const c = random.integer(2, 5);
		const d = random.integer(1, c - 1);
		const key = a + b * (c - d);
		return numberItem({
			stem: `Work out ${a} + ${b} × (${c} − ${d}).`,
			key,
			wrong: [
				[(a + b) * (c - d), 'leftToRight'],
				[(a + b) * c - d, 'leftToRight'],
				[a + b * c - d, 'leftToRight']
			],
			hint: 'Parentheses first, then times, then plus.',
			solution: [`${c} − ${d} = ${c - d}.`, `${b} × ${c - d} = ${b * (c - d)}.`, `${a} + ${b * (c - d)} = ${key}.`]
		});
	}),
	family('W55', 'divide-by-two-digits', ({ random, turning }) => {
		const divisor = random.integer(12, 35);
		const quotient = turning(13, 46);
		const total = divisor * quotient;
		const tens = 10 * Math.floor(quotient / 10);
		return numberItem({
			stem: `${formatNumber(total)} chairs stand in rows of ${divisor}. How many rows are there?`,
			key: quotient,
			wrong: [
				[total - divisor, 'subtractInsteadDivide'],
				[tens, 'stoppedAfterOneStep'],
				[quotient * 10, 'zeroTooMany']
			],
			hint: `10 rows are ${10 * divisor} chairs. How many tens of rows fit?`,
			solution: [
				`${tens} × ${divisor} = ${formatNumber(tens * divisor)}.`,
				...(quotient > tens
					? [
							`${formatNumber(total)} − ${formatNumber(tens * divisor)} = ${total - tens * divisor}, and ${total - tens * divisor} ÷ ${divisor} = ${quotient - tens}.`
						]
					: []),
				`${tens} + ${quotient - tens} = ${quotient} rows.`
			]
		});
	}),
	family('W55', 'two-digit-remainder', ({ random, turning }) => {
		const divisor = random.integer(12, 28);
		const quotient = turning(11, 34);
		const rest = random.integer(1, divisor - 1);
		const total = divisor * quotient + rest;
		return fillItem({
			stem: `${total} pages are bound into booklets of ${divisor} pages. How many whole booklets is that, and how many pages are left over?`,
			blanks: [
				['booklets', quotient],
				['pages left over', rest]
			],
			wrong: [
				[[quotient - 1, rest + divisor], 'remainderTooLarge'],
				[[quotient + 1, divisor - rest], 'remainderMissing']
			],
			hint: `Take away 10 booklets first: ${10 * divisor} pages.`,
			solution: [`${quotient} × ${divisor} = ${quotient * divisor}.`, `${total} − ${quotient * divisor} = ${rest}.`]
		});
	})
];
