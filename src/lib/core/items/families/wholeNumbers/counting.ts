import { choiceItem, family, fillItem, numberItem, orderItem, severalItem, type ItemFamily } from '../../family';
import { counted } from '../../text';

export const counting: ItemFamily[] = [
	family('W11', 'number-after', ({ turning }) => {
		const number = turning(27, 118);
		return numberItem({
			stem: `A gull counts the steps of the pier. It has just said ${number}. Which number comes next?`,
			key: number + 1,
			wrong: [
				[number - 1, 'countedBack'],
				[number + 10, 'tenForOne']
			],
			hint: `Say the numbers aloud, from ${number - 2}: ${number - 2}, ${number - 1}, ${number}, …`,
			solution: [`One more than ${number} is ${number + 1}.`],
			solutionFigure: { kind: 'jumps', stops: [String(number), String(number + 1)], jumps: ['1 more'] }
		});
	}),
	family('W11', 'count-back', ({ turning }) => {
		const start = turning(23, 112);
		return fillItem({
			stem: `Count back by ones. Fill in the next two numbers: ${start}, ${start - 1}, …`,
			blanks: [
				['first', start - 2],
				['then', start - 3]
			],
			wrong: [[[start, start + 1], 'countedForward']],
			hint: 'Each number is 1 less than the one before.',
			solution: [`${start - 1} − 1 = ${start - 2}.`, `${start - 2} − 1 = ${start - 3}.`]
		});
	}),
	family('W12', 'blocks-to-number', ({ random, turning }) => {
		const ones = turning(0, 9);
		const tens = random.pick([2, 3, 4, 5, 6, 7, 8, 9].filter((digit) => digit !== ones));
		return numberItem({
			stem: 'A rod is ten cubes. Which number do the blocks show?',
			figure: { kind: 'blocks', hundreds: 0, tens, ones },
			key: 10 * tens + ones,
			wrong: [
				[10 * ones + tens, 'digitsSwapped'],
				[tens + ones, 'tenForOne']
			],
			hint: 'Count the rods by tens. Then count on with the small cubes.',
			solution: [
				`${counted(tens, 'rod')}: ${10 * tens}. ${counted(ones, 'cube')}: ${ones}.`,
				`${10 * tens} + ${ones} = ${10 * tens + ones}.`
			]
		});
	}),
	family('W12', 'tens-and-ones', ({ random, turning }) => {
		const ones = turning(0, 9);
		const tens = random.pick([1, 2, 3, 4, 5, 6, 7, 8, 9].filter((digit) => digit !== ones));
		const number = 10 * tens + ones;
		return fillItem({
			stem: `${number} shells are put in bags of ten. How many full bags are there, and how many shells are left over?`,
			blanks: [
				['bags of ten', tens],
				['shells left over', ones]
			],
			wrong: [[[ones, tens], 'digitsSwapped']],
			hint: `Count to ${number} by tens as far as you can.`,
			solution: [
				`${counted(tens, 'bag')} of ten: ${10 * tens} shells.`,
				`${number} − ${10 * tens} = ${ones}, so ${ones} left over.`
			],
			solutionFigure: { kind: 'blocks', hundreds: 0, tens, ones }
		});
	}),
	family('W15', 'compare-sign', ({ random, turning }) => {
		const first = turning(21, 92);
		const swapped = 10 * (first % 10) + Math.floor(first / 10);
		const second = swapped !== first && swapped >= 10 ? swapped : first + random.pick([-9, 9]);
		const right = first < second ? '<' : '>';
		return choiceItem(random, {
			stem: `Which sign belongs between the numbers? ${first} ⬚ ${second}`,
			right,
			wrong: [
				[right === '<' ? '>' : '<', 'signReversed'],
				['=', 'sameDigitsEqual']
			],
			hint: 'Which number has more tens? The sign opens to the larger number.',
			solution: [
				`${first} has ${counted(Math.floor(first / 10), 'ten')}, ${second} has ${counted(Math.floor(second / 10), 'ten')}.`,
				`So ${first} ${right} ${second}.`
			]
		});
	}),
	family('W15', 'order-to-100', ({ random, turning }) => {
		const tens = random.shuffle([1, 2, 3, 4, 5, 6, 7, 8]).slice(0, 3);
		const values = [...tens.map((ten) => 10 * ten + random.integer(0, 9)), 90 + turning(0, 9)].sort((a, b) => a - b);
		const byOnes = [...values].sort((a, b) => (a % 10) - (b % 10) || a - b);
		return orderItem(random, {
			stem: 'Four boats have these numbers. Put them in order.',
			sorted: values.map(String),
			direction: 'smallest first',
			misordered: [
				[byOnes.map(String), 'onesFirst'],
				[[...values].reverse().map(String), 'wrongDirection']
			],
			hint: 'Look at the tens first.',
			solution: [
				`By tens: ${values.map((value) => Math.floor(value / 10)).join(', ')}.`,
				`In order: ${values.join(', ')}.`
			]
		});
	}),
	family('W16', 'add-tens', ({ random, turning }) => {
		const start = 10 * random.integer(1, 4) + turning(0, 9);
		const tens = random.integer(2, 5);
		return numberItem({
			stem: `${start} apples are on the table. ${tens} full bags of ten apples each come. How many apples is that now?`,
			key: start + 10 * tens,
			wrong: [
				[start + tens, 'tenForOne'],
				[10 * tens, 'startForgotten']
			],
			hint: `Start at ${start} and count on by tens.`,
			solution: [`${tens} bags of ten are ${10 * tens}.`, `${start} + ${10 * tens} = ${start + 10 * tens}.`],
			solutionFigure: {
				kind: 'jumps',
				stops: Array.from({ length: tens + 1 }, (_, i) => String(start + 10 * i)),
				jumps: Array.from({ length: tens }, () => '10')
			}
		});
	}),
	family('W16', 'ten-less-ten-more', ({ turning }) => {
		const number = turning(13, 88);
		return fillItem({
			stem: `Fill in the number that is 10 less than ${number}, and the number that is 10 more.`,
			blanks: [
				['10 less:', number - 10],
				['10 more:', number + 10]
			],
			wrong: [
				[[number - 1, number + 1], 'tenForOne'],
				[[number + 10, number - 10], 'wrongDirection']
			],
			hint: 'Only the tens change. The ones stay.',
			solution: [`${number} − 10 = ${number - 10}.`, `${number} + 10 = ${number + 10}.`]
		});
	}),
	family('W24', 'skip-count-next', ({ random, turning }) => {
		const by = random.pick([2, 5, 10]);
		const start = by * turning(3, 16);
		const shown = [0, 1, 2].map((i) => start + i * by);
		const key = start + 3 * by;
		return numberItem({
			stem: `Count by ${{ 2: 'twos', 5: 'fives', 10: 'tens' }[by]}: ${shown.join(', ')}, … Which number comes next?`,
			key,
			wrong: [
				[shown[2] + 1, 'countedByOnes'],
				[key + by, 'tooManySteps'],
				[shown[1], 'countedBack']
			],
			hint: `Each number is ${by} more than the one before.`,
			solution: [`${shown[2]} + ${by} = ${key}.`],
			solutionFigure: { kind: 'jumps', stops: [...shown, key].map(String), jumps: [by, by, by].map(String) }
		});
	}),
	family('W24', 'skip-count-gap', ({ random, turning }) => {
		const by = random.pick([2, 5, 10, 100]);
		const start = by * turning(1, 5 * 2);
		const [a, b, c, d, e] = [0, 1, 2, 3, 4].map((i) => start + i * by);
		return fillItem({
			stem: `A boat passes buoys that are counted by ${{ 2: 'twos', 5: 'fives', 10: 'tens', 100: 'hundreds' }[by]}: ${a}, ⬚, ${c}, ⬚, ${e}. Fill in the two missing numbers.`,
			blanks: [
				['first', b],
				['second', d]
			],
			wrong: [[[a + 1, c + 1], 'countedByOnes']],
			hint: `How much is it from ${a} to ${c}? Each of the two steps is half of that.`,
			solution: [`${a} + ${by} = ${b}.`, `${c} + ${by} = ${d}.`]
		});
	}),
	family('W25', 'mark-even', ({ random, turning }) => {
		const wantsEven = random.chance(0.5);
		const fits = (value: number) => (value % 2 === 0) === wantsEven;
		const start = turning(11, 40);
		const values = [start, start + 3, start + 14, start + 27, start + 36];
		return severalItem(random, {
			stem: `Mark every ${wantsEven ? 'even' : 'odd'} number.`,
			options: values.map((value) => ({
				text: String(value),
				right: fits(value),
				misconception: fits(Math.floor(value / 10)) ? 'firstDigitParity' : 'evenOddMixed'
			})),
			hint: 'Look at the ones digit: 0, 2, 4, 6, and 8 are even.',
			solution: values.map((value) => `${value} ends in ${value % 10}, so it is ${value % 2 ? 'odd' : 'even'}.`)
		});
	}),
	family('W25', 'all-in-pairs', ({ random, turning }) => {
		const right = 2 * turning(6, 24);
		return choiceItem(random, {
			stem: 'Oars are stored in pairs. Which number of oars can be stored with none left over?',
			right: String(right),
			wrong: [
				[String(right + 1), 'evenOddMixed'],
				[String(right - 1), 'evenOddMixed'],
				[String(right + 11), 'firstDigitParity']
			],
			hint: 'A number of things that makes pairs ends in 0, 2, 4, 6, or 8.',
			solution: [
				`${right} is even: ${right / 2} + ${right / 2} = ${right}.`,
				'The other numbers are odd; one oar would be left over.'
			]
		});
	})
];
