import { choiceItem, expressionItem, family, fillItem, numberItem, severalItem, type ItemFamily } from '../../family';
import { formatNumber } from '../../text';

export const expressions: ItemFamily[] = [
	family('P61', 'expression-of-story', ({ random, turning }) => {
		const each = random.integer(2, 9);
		const start = turning(12, 41);
		return expressionItem({
			stem: `A tank holds ${start * 10} liters. Each hour ${each} liters run out. Write how many liters are left after $h$ hours.`,
			letters: ['h'],
			key: `${start * 10}-${each}h`,
			wrong: [
				[`${each}h-${start * 10}`, 'smallerMinusLarger'],
				[`${start * 10}+${each}h`, 'addInsteadTake'],
				[`${start * 10}-${each}-h`, 'addInsteadMultiply']
			],
			hint: 'How much runs out in h hours? Take that from what was there.',
			solution: [`In $h$ hours $${each}h$ liters run out.`, `$${start * 10} - ${each}h$ liters are left.`]
		});
	}),
	family('P61', 'write-expression', ({ random, turning }) => {
		const times = random.integer(2, 9);
		const fixed = turning(11, 30);
		return choiceItem(random, {
			stem: `A canoe costs ${fixed} dollars plus ${times} dollars for each hour. Which expression gives the cost of $h$ hours, in dollars?`,
			right: `$${times}h + ${fixed}$`,
			wrong: [
				[`$${fixed}h + ${times}$`, 'reversedExpression'],
				[`$${times + fixed}h$`, 'unlikeTermsJoined'],
				[`$${times} + h + ${fixed}$`, 'addInsteadMultiply']
			],
			hint: 'Which amount comes again with every hour?',
			solution: [
				`${times} dollars for each of $h$ hours is $${times}h$.`,
				`The ${fixed} dollars come once: $${times}h + ${fixed}$.`
			]
		});
	}),
	family('P63', 'value-with-letter', ({ random, turning }) => {
		const a = random.integer(2, 9);
		const b = turning(3, 22);
		const x = random.integer(3, 9);
		return numberItem({
			stem: `What is the value of $${a}x + ${b}$ for $x = ${x}$?`,
			key: a * x + b,
			wrong: [
				[Number(`${a}${x}`) + b, 'letterAsDigit'],
				[a + x + b, 'addInsteadMultiply'],
				[a * (x + b), 'leftToRight']
			],
			hint: `$${a}x$ means ${a} times x.`,
			solution: [`${a} × ${x} = ${a * x}.`, `${a * x} + ${b} = ${a * x + b}.`]
		});
	}),
	family('P63', 'value-of-formula', ({ random, turning }) => {
		const a = turning(3, 12);
		const b = random.integer(2, 9);
		return numberItem({
			stem: `What is the value of $a^2 - 2b$ for $a = ${a}$ and $b = ${b}$?`,
			key: a * a - 2 * b,
			wrong: [
				[2 * a - 2 * b, 'exponentAsFactor'],
				[a * a - Number(`2${b}`), 'letterAsDigit'],
				[(a * a - 2) * b, 'leftToRight']
			],
			hint: 'The square first, then the product, then take away.',
			solution: [
				`${a} × ${a} = ${a * a} and 2 × ${b} = ${2 * b}.`,
				`${a * a} − ${2 * b} = ${formatNumber(a * a - 2 * b)}.`
			]
		});
	}),
	family('P64', 'mark-equal-expressions', ({ random, turning }) => {
		const a = turning(3, 12);
		const b = random.integer(2, 9);
		return severalItem(random, {
			stem: `Mark every expression that is equal to $${a}(x + ${b})$.`,
			options: [
				{ text: `$${a}x + ${a * b}$`, right: true },
				{ text: `$${a}x + ${a} \\cdot ${b}$`, right: true },
				{ text: `$${a}x + ${b}$`, right: false, misconception: 'distributedOnce' },
				{ text: `$${a + b}x$`, right: false, misconception: 'unlikeTermsJoined' },
				{ text: `$${a} + x + ${b}$`, right: false, misconception: 'addInsteadMultiply' }
			],
			hint: `${a} groups of x and ${b}. What do they make together?`,
			solution: [`${a} times $x$ is $${a}x$, and ${a} × ${b} = ${a * b}.`, `So $${a}(x + ${b}) = ${a}x + ${a * b}$.`],
			solutionFigure: {
				kind: 'parts',
				parts: [
					{ label: `${a}x`, size: 3 },
					{ label: String(a * b), size: 2 }
				],
				total: `${a}(x + ${b})`
			}
		});
	}),
	family('P64', 'common-factor', ({ random, turning }) => {
		const factor = random.integer(2, 6);
		const first = turning(2, 11);
		const q = random.pick([3, 5, 7].filter((one) => one !== first));
		return fillItem({
			stem: `$${factor * first}x + ${factor * q} = ${factor}(⬚x + ⬚)$. Fill in the two missing numbers.`,
			blanks: [
				['before x:', first],
				['after the plus:', q]
			],
			wrong: [
				[[first, factor * q], 'distributedOnce'],
				[[factor * first, factor * q], 'copiedNumber'],
				[[factor * first - factor, factor * q - factor], 'subtractInsteadDivide']
			],
			hint: `Divide both parts by ${factor}.`,
			solution: [
				`${factor * first} ÷ ${factor} = ${first} and ${factor * q} ÷ ${factor} = ${q}.`,
				`So it is $${factor}(${first}x + ${q})$.`
			]
		});
	}),
	family('P72', 'collect-terms', ({ random, turning }) => {
		const [a, b, c] = [turning(2, 11), random.integer(2, 9), random.integer(2, 9)];
		return expressionItem({
			stem: `Write as short as you can: $${a}x + ${b} + ${c}x$.`,
			letters: ['x'],
			key: `${a + c}x+${b}`,
			wrong: [
				[`${a + b + c}x`, 'unlikeTermsJoined'],
				[`${a * c}x+${b}`, 'lettersMultiplied'],
				[`${a + c}x^2+${b}`, 'lettersMultiplied']
			],
			hint: 'Only like terms go together.',
			solution: [`${a} + ${c} = ${a + c}, so there are $${a + c}x$.`, `The ${b} stays: $${a + c}x + ${b}$.`]
		});
	}),
	family('P72', 'multiply-out', ({ random, turning }) => {
		const [a, b, c] = [random.integer(2, 6), turning(2, 11), random.integer(1, 9)];
		return expressionItem({
			stem: `Multiply out and write as short as you can: $${a}(${b}x - ${c})$.`,
			letters: ['x'],
			key: `${a * b}x-${a * c}`,
			wrong: [
				[`${a * b}x-${c}`, 'distributedOnce'],
				[`${a * b}x+${a * c}`, 'signIgnored'],
				[`${a * b - a * c}x`, 'unlikeTermsJoined']
			],
			hint: `Multiply both parts by ${a}.`,
			solution: [`${a} × ${b} = ${a * b} and ${a} × ${c} = ${a * c}.`, `So it is $${a * b}x - ${a * c}$.`]
		});
	}),
	family('P66', 'equation-for-table', ({ random, turning }) => {
		const rate = turning(3, 12);
		const inputs = random
			.shuffle([1, 2, 4, 5, 8])
			.slice(0, 3)
			.sort((a, b) => a - b);
		return expressionItem({
			stem: 'The table shows how the cost $c$ depends on the hours $h$. Write the cost with the letter $h$.',
			figure: { kind: 'table', head: ['h', 'c'], rows: inputs.map((x) => [String(x), String(x * rate)]) },
			letters: ['h'],
			before: 'c =',
			key: `${rate}h`,
			wrong: [
				[`h+${inputs[0] * rate - inputs[0]}`, 'additiveRule'],
				[`h/${rate}`, 'rateInverted']
			],
			hint: 'What is done to h in every row?',
			solution: [...inputs.map((x) => `${x} × ${rate} = ${x * rate}.`), `So $c = ${rate}h$.`]
		});
	}),
	family('P66', 'value-from-equation', ({ random, turning }) => {
		const rate = random.integer(3, 9);
		const start = turning(5, 24);
		const hours = random.integer(4, 9);
		return fillItem({
			stem: `The depth of a pool is $d = ${start} + ${rate}h$ centimeters after $h$ hours. Fill in the depth after 2 and after ${hours} hours.`,
			blanks: [
				['after 2 hours:', start + 2 * rate],
				[`after ${hours} hours:`, start + hours * rate]
			],
			wrong: [
				[[(start + rate) * 2, (start + rate) * hours], 'leftToRight'],
				[[2 * rate, hours * rate], 'startForgotten']
			],
			hint: 'Put the number of hours in the place of h. Times comes first.',
			solution: [
				`${rate} × 2 = ${2 * rate} and ${start} + ${2 * rate} = ${start + 2 * rate}.`,
				`${rate} × ${hours} = ${hours * rate} and ${start} + ${hours * rate} = ${formatNumber(start + hours * rate)}.`
			]
		});
	})
];
