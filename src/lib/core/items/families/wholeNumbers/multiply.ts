import {
	choiceItem,
	family,
	fillItem,
	numberChoice,
	numberItem,
	rectangleItem,
	severalItem,
	type ItemFamily
} from '../../family';
import { counted, formatNumber } from '../../text';

/** A whole number as the sum of its places: 243 → 200, 40, 3. */
const places = (number: number) =>
	[...String(number)].map((digit, i, all) => Number(digit) * 10 ** (all.length - 1 - i)).filter((part) => part > 0);

export const multiply: ItemFamily[] = [
	family('W31', 'build-rows', ({ random, turning }) => {
		const rows = random.integer(2, 6);
		const each = turning(1, 10);
		return rectangleItem({
			stem: `Build a rectangle of squares with ${rows} rows and ${counted(each, 'square')} in each row.`,
			rows: 8,
			columns: 10,
			key: [rows, each],
			wrong: [
				...(each <= 8 ? [[[each, rows], 'rowsForColumns'] as [number[], 'rowsForColumns']] : []),
				[[rows, rows], 'squareForRectangle']
			],
			hint: 'A row goes from left to right.',
			solution: [`${rows} rows of ${each}: ${rows} × ${each} = ${counted(rows * each, 'square')}.`],
			solutionFigure: { kind: 'dots', rows, columns: each }
		});
	}),
	family('W31', 'array-to-product', ({ random, turning }) => {
		const rows = random.integer(2, 6);
		const columns = turning(2, 11);
		return choiceItem(random, {
			stem: 'Which multiplication tells how many dots there are?',
			figure: { kind: 'dots', rows, columns },
			right: `${rows} × ${columns}`,
			wrong: [
				[`${rows} + ${columns}`, 'addInsteadMultiply'],
				[`${rows} × ${columns + 1}`, 'oneGroupOff'],
				[`${rows + 1} × ${columns}`, 'oneGroupOff']
			],
			hint: 'Count the rows. Then count the dots in one row.',
			solution: [`There are ${rows} rows with ${columns} dots each: ${rows} × ${columns} = ${rows * columns}.`]
		});
	}),
	family('W31', 'equal-groups', ({ random, turning }) => {
		const groups = random.integer(3, 6);
		const each = turning(2, 11);
		const key = groups * each;
		return numberChoice(random, {
			stem: `There are ${groups} nests. Each nest holds ${each} eggs. How many eggs is that in all?`,
			key,
			wrong: [
				[groups + each, 'addInsteadMultiply'],
				[key - each, 'oneGroupOff'],
				[key + each, 'oneGroupOff'],
				[key - 2 * each, 'oneGroupOff']
			],
			hint: `Count by ${each}s, once for each nest.`,
			solution: [`${groups} equal groups of ${each}: ${groups} × ${each}.`, `${groups} × ${each} = ${key}.`]
		});
	}),
	family('W32', 'facts', ({ random, turning }) => {
		const a = random.integer(3, 9);
		const b = turning(1, 10);
		return numberItem({
			stem: `What is ${a} × ${b}?`,
			key: a * b,
			wrong: [
				[a + b, 'addInsteadMultiply'],
				[a * (b - 1), 'oneGroupOff'],
				[a * (b + 1), 'oneGroupOff']
			],
			hint: `Start from a fact you know, such as 5 × ${a} = ${5 * a}.`,
			solution: [`${a} × ${b} means ${b} times ${a}.`, `${a} × ${b} = ${a * b}.`]
		});
	}),
	family('W32', 'multiples-true', ({ random, turning }) => {
		const factor = random.integer(3, 9);
		const many = turning(2, 11);
		const off = factor * (many + 2) + 1;
		return severalItem(random, {
			stem: `Mark every number that you say when you count by ${factor}s from 0.`,
			options: [
				{ text: String(factor * many), right: true },
				{ text: String(factor * (many + 1)), right: true },
				{ text: String(off), right: false, misconception: 'oneGroupOff' },
				{ text: String(factor * many + (factor > 3 ? 2 : 1)), right: false, misconception: 'addInsteadMultiply' }
			],
			hint: `Which of them are ${factor} times a whole number?`,
			solution: [
				`${factor} × ${many} = ${factor * many} and ${factor} × ${many + 1} = ${factor * (many + 1)}.`,
				'The others lie between.'
			]
		});
	}),
	family('W35', 'one-digit-times-tens', ({ random, turning }) => {
		const a = random.integer(3, 9);
		const tens = turning(2, 11);
		const key = a * tens * 10;
		return numberItem({
			stem: `A bus holds ${10 * tens} people. How many people do ${a} of these buses hold?`,
			key,
			wrong: [
				[a * tens, 'zeroDropped'],
				[key * 10, 'zeroTooMany'],
				[a + 10 * tens, 'addInsteadMultiply']
			],
			hint: `${10 * tens} is ${tens} tens. How many tens are ${a} times as many?`,
			solution: [`${a} × ${tens} = ${a * tens}.`, `${a * tens} tens are ${formatNumber(key)}.`]
		});
	}),
	family('W35', 'product-in-tens', ({ random, turning }) => {
		const a = random.integer(3, 9);
		const tens = turning(2, 11);
		return fillItem({
			stem: `Fill in both answers.`,
			blanks: [
				[`${a} × ${tens} =`, a * tens],
				[`${a} × ${10 * tens} =`, 10 * a * tens]
			],
			wrong: [
				[[a * tens, a * tens], 'zeroDropped'],
				[[a + tens, a + 10 * tens], 'addInsteadMultiply'],
				[[a * tens, 100 * a * tens], 'zeroTooMany']
			],
			hint: `${10 * tens} is ten times as much as ${tens}.`,
			solution: [
				`${a} × ${tens} = ${a * tens}.`,
				`Ten times as much: ${a} × ${10 * tens} = ${formatNumber(10 * a * tens)}.`
			]
		});
	}),
	family('W36', 'split-missing-part', ({ random, turning }) => {
		const each = turning(3, 12);
		const rows = random.integer(6, 9);
		const first = rows === 6 ? 4 : 5;
		return numberItem({
			stem: `${rows} × ${each} is cut into two easier products: ${rows} × ${each} = ${first} × ${each} + ⬚ × ${each}. Which number is missing?`,
			key: rows - first,
			wrong: [
				[rows, 'splitNotTaken'],
				[each - first, 'splitOtherFactor'],
				[rows + first, 'addInsteadTake']
			],
			hint: `${first} groups are taken. How many of the ${rows} groups are left?`,
			solution: [
				`${rows} groups are ${first} groups and ${rows - first} groups.`,
				`${rows} − ${first} = ${rows - first}.`
			],
			solutionFigure: { kind: 'product', rows: [first, rows - first], columns: [each] }
		});
	}),
	family('W36', 'same-product', ({ random, turning }) => {
		const each = turning(4, 13);
		const rows = random.integer(6, 9);
		return choiceItem(random, {
			stem: `Which is the same as ${rows} × ${each}?`,
			right: `5 × ${each} + ${rows - 5} × ${each}`,
			wrong: [
				[`5 × ${each} + ${rows} × ${each}`, 'splitNotTaken'],
				[`5 × ${each} + ${rows - 5}`, 'splitOnlyOnce'],
				[`5 + ${rows - 5} × ${each}`, 'splitOnlyOnce']
			],
			hint: `${rows} rows are 5 rows and some more rows. Each row has ${each}.`,
			solution: [
				`${rows} = 5 + ${rows - 5}.`,
				`5 × ${each} = ${5 * each} and ${rows - 5} × ${each} = ${(rows - 5) * each}.`,
				`${5 * each} + ${(rows - 5) * each} = ${rows * each}, and ${rows} × ${each} = ${rows * each}, too.`
			],
			solutionFigure: { kind: 'product', rows: [5, rows - 5], columns: [each] }
		});
	}),
	family('W42', 'parts-of-a-product', ({ random, turning }) => {
		const hundreds = 100 * random.integer(1, 6);
		const tens = 10 * random.integer(2, 9);
		const ones = random.integer(2, 9);
		const times = (turning(3, 12) % 7) + 3;
		return fillItem({
			stem: `${hundreds + tens + ones} × ${times} is worked out in three parts. Fill in the parts and the whole product.`,
			figure: { kind: 'product', rows: [times], columns: [hundreds, tens, ones] },
			blanks: [
				[`${hundreds} × ${times} =`, hundreds * times],
				[`${tens} × ${times} =`, tens * times],
				[`${ones} × ${times} =`, ones * times],
				['in all:', (hundreds + tens + ones) * times]
			],
			wrong: [
				[
					[hundreds * times, (tens / 10) * times, ones * times, hundreds * times + (tens / 10) * times + ones * times],
					'zeroDropped'
				]
			],
			hint: `Multiply each part by ${times}. Then add the three parts.`,
			solution: [
				`${formatNumber(hundreds * times)} + ${tens * times} + ${ones * times} = ${formatNumber((hundreds + tens + ones) * times)}.`
			]
		});
	}),
	family('W42', 'multiply-by-one-digit', ({ random, turning }) => {
		const a = 100 * random.integer(1, 4) + turning(21, 58);
		const b = random.integer(3, 8);
		const tens = Math.floor(a / 10) % 10;
		return numberItem({
			stem: `One bus ticket for the season costs ${a} dollars. How many dollars do ${b} of these tickets cost?`,
			key: a * b,
			wrong: [
				[Math.floor(a / 100) * 100 * b + (a % 100), 'partialProduct'],
				[a + b, 'addInsteadMultiply'],
				[a * b - Math.floor(((a % 10) * b) / 10) * 10, 'noCarry'],
				[a * (b - 1), 'oneGroupOff']
			],
			hint: `Split ${a} into hundreds, tens and ones. Multiply each by ${b}.`,
			solution: [
				`${Math.floor(a / 100) * 100} × ${b} = ${formatNumber(Math.floor(a / 100) * 100 * b)}, ${tens * 10} × ${b} = ${tens * 10 * b}, ${a % 10} × ${b} = ${(a % 10) * b}.`,
				`Together: ${formatNumber(a * b)}.`
			]
		});
	}),
	family('W52', 'four-parts', ({ random, turning }) => {
		const [a, b] = [turning(12, 48), 10 * random.integer(2, 4) + random.integer(2, 9)];
		const [[a1, a2 = 0], [b1, b2 = 0]] = [places(a), places(b)];
		return numberItem({
			stem: `The drawing cuts ${a} × ${b} into parts. What is ${a} × ${b}?`,
			figure: { kind: 'product', rows: a2 ? [a1, a2] : [a1], columns: [b1, b2] },
			key: a * b,
			wrong: [
				[a1 * b1 + a2 * b2, 'partialProduct'],
				[a * b - a2 * b2, 'partialProduct'],
				[a + b, 'addInsteadMultiply']
			],
			hint: 'Find each part, then add them all.',
			solution: [
				...(a2
					? [
							`${a1} × ${b1} = ${a1 * b1}, ${a1} × ${b2} = ${a1 * b2}, ${a2} × ${b1} = ${a2 * b1}, ${a2} × ${b2} = ${a2 * b2}.`
						]
					: [`${a1} × ${b1} = ${a1 * b1}, ${a1} × ${b2} = ${a1 * b2}.`]),
				`The parts together are ${formatNumber(a * b)}.`
			]
		});
	}),
	family('W52', 'multiply-two-digits', ({ random, turning }) => {
		const a = turning(13, 39);
		const b = 10 * random.integer(1, 4) + random.integer(2, 8);
		const [at, ao, bt, bo] = [a - (a % 10), a % 10, b - (b % 10), b % 10];
		return numberItem({
			stem: `A garden has ${a} rows with ${b} bean plants in each row. How many bean plants is that?`,
			key: a * b,
			wrong: [
				[at * bt + ao * bo, 'partialProduct'],
				[a + b, 'addInsteadMultiply'],
				[a * bo + a * (bt / 10), 'digitFace']
			],
			hint: `Multiply ${a} by ${bt}, then by ${bo}, and add.`,
			solution: [
				`${a} × ${bt} = ${formatNumber(a * bt)}.`,
				`${a} × ${bo} = ${a * bo}.`,
				`${formatNumber(a * bt)} + ${a * bo} = ${formatNumber(a * b)}.`
			]
		});
	})
];
