import { choiceItem, family, fillItem, numberItem, plotItem, type ItemFamily } from '../../family';

const SHAPES = ['circle', 'square', 'triangle', 'star'];

export const numberPatterns: ItemFamily[] = [
	family('P12', 'next-shape', ({ random, turning }) => {
		const unit = [
			[0, 1],
			[0, 0, 1],
			[0, 1, 1],
			[0, 1, 2],
			[0, 0, 1, 1],
			[0, 1, 2, 1],
			[0, 0, 0, 1],
			[0, 1, 1, 1],
			[0, 1, 1, 2],
			[0, 1, 0, 2]
		][turning(0, 9)];
		const names = random.shuffle(SHAPES);
		const length = 2 * unit.length + random.integer(0, unit.length - 1);
		const at = (i: number) => names[unit[i % unit.length]];
		const right = at(length);
		return choiceItem(random, {
			stem: 'The shapes repeat. Which shape comes next?',
			figure: { kind: 'row', shapes: Array.from({ length }, (_, i) => at(i)) },
			right: `a ${right}`,
			wrong: names.filter((name) => name !== right).map((name) => [`a ${name}`, 'repeatsLast']),
			hint: 'Find the part that comes again and again. Say it aloud.',
			solution: [`The part that repeats is: ${unit.map((i) => names[i]).join(', ')}.`, `So a ${right} comes next.`]
		});
	}),
	family('P31', 'pattern-in-the-middle', ({ random, turning }) => {
		const step = random.integer(3, 9);
		const start = turning(40, 69) + step;
		const down = [0, 1, 2, 3, 4].map((i) => start - i * step);
		return fillItem({
			stem: `The water falls by the same amount each hour: ${down[0]}, ${down[1]}, ⬚, ${down[3]}, ⬚. Fill in the missing heights.`,
			blanks: [
				['first', down[2]],
				['second', down[4]]
			],
			wrong: [
				[[down[1] - 1, down[3] - 1], 'countedByOnes'],
				[[down[1] + step, down[3] + step], 'wrongDirection']
			],
			hint: `How much does it fall from ${down[0]} to ${down[1]}?`,
			solution: [
				`Each number is ${step} less than the one before.`,
				`${down[1]} − ${step} = ${down[2]} and ${down[3]} − ${step} = ${down[4]}.`
			]
		});
	}),
	family('P31', 'continue-pattern', ({ random, turning }) => {
		const start = turning(2, 31);
		const step = random.integer(3, 9);
		const terms = [0, 1, 2, 3].map((i) => start + i * step);
		return numberItem({
			stem: `Posts stand along the pier at these marks: ${terms.join(', ')}, … What is the next number?`,
			key: start + 4 * step,
			wrong: [
				[step, 'ruleOneStep'],
				[start + 5 * step, 'tooManySteps'],
				[terms[3] + 1, 'tooManySteps']
			],
			hint: 'How much is added each time?',
			solution: [`Each number is ${step} more than the one before.`, `${terms[3]} + ${step} = ${start + 4 * step}.`]
		});
	}),
	family('P42', 'tiles-at-step', ({ random, turning }) => {
		const start = (turning(1, 10) % 4) + 1;
		const add = random.integer(2, 4);
		const wanted = turning(6, 15);
		const stages = [0, 1, 2].map((i) => {
			const count = start + i * add;
			return Array.from({ length: Math.ceil(count / 3) }, (_, column) => Math.min(3, count - 3 * column));
		});
		const key = start + (wanted - 1) * add;
		return numberItem({
			stem: `The pattern of squares grows by the same number each step. How many squares are in step ${wanted}?`,
			figure: { kind: 'stages', stages },
			key,
			wrong: [
				[start + 3 * add, 'nextStepOnly'],
				[start + wanted * add, 'tooManySteps'],
				[wanted * add, 'startForgotten']
			],
			hint: `Step 1 has ${start}. How many steps more is step ${wanted}?`,
			solution: [
				`Each step adds ${add} squares.`,
				`From step 1 to step ${wanted} are ${wanted - 1} steps: ${wanted - 1} × ${add} = ${(wanted - 1) * add}.`,
				`${start} + ${(wanted - 1) * add} = ${key}.`
			]
		});
	}),
	family('P42', 'pattern-table', ({ random, turning }) => {
		const add = random.integer(2, 5);
		const start = turning(4, 13);
		const count = (step: number) => start + (step - 1) * add;
		return fillItem({
			stem: `One table seats ${count(1)} people. Each table set beside it adds ${add} seats. Fill in the seats for 4 and for 10 tables.`,
			blanks: [
				['4 tables:', count(4)],
				['10 tables:', count(10)]
			],
			wrong: [
				[[start + 4 * add, start + 10 * add], 'tooManySteps'],
				[[4 * start, 10 * start], 'steadyIsProportional']
			],
			hint: 'Four tables are one table and three more.',
			solution: [
				`3 × ${add} = ${3 * add} and ${count(1)} + ${3 * add} = ${count(4)}.`,
				`9 × ${add} = ${9 * add} and ${count(1)} + ${9 * add} = ${count(10)}.`
			]
		});
	}),
	family('P41', 'table-with-rule', ({ random, turning }) => {
		const factor = random.integer(3, 9);
		const inputs = [2, 4, 7];
		const out = turning(8, 17);
		return fillItem({
			stem: 'The same rule works in every row. Fill in the two missing numbers.',
			figure: {
				kind: 'table',
				head: ['In', 'Out'],
				rows: [...inputs.map((x) => [String(x), String(x * factor)]), [String(out), '⬚'], ['⬚', String(10 * factor)]]
			},
			blanks: [
				[`out for ${out}:`, out * factor],
				[`in for ${10 * factor}:`, 10]
			],
			wrong: [
				[[out + 2 * factor - 2, 10 * factor - (2 * factor - 2)], 'firstRowRule'],
				[[out * factor, 10 * factor * factor], 'sameOperation']
			],
			hint: 'What is done to 2, to 4 and to 7? The same each time.',
			solution: [
				`The rule is: times ${factor}.`,
				`${out} × ${factor} = ${out * factor} and ${10 * factor} ÷ ${factor} = 10.`
			]
		});
	}),
	family('P41', 'rule-of-table', ({ random, turning }) => {
		const factor = turning(3, 12);
		const inputs = random
			.shuffle([2, 3, 4, 5, 6, 7])
			.slice(0, 3)
			.sort((a, b) => a - b);
		const [a, b] = inputs;
		return choiceItem(random, {
			stem: 'Which rule turns each number in into the number out?',
			figure: { kind: 'table', head: ['In', 'Out'], rows: inputs.map((x) => [String(x), String(x * factor)]) },
			right: `Multiply by ${factor}`,
			wrong: [
				[`Add ${a * factor - a}`, 'firstRowRule'],
				[`Add ${b * factor - b}`, 'additiveRule'],
				[`Multiply by ${factor + 1}`, 'oneGroupOff']
			],
			hint: 'A rule must work in every row. Try it on all three.',
			solution: inputs.map((x) => `${x} × ${factor} = ${x * factor}.`)
		});
	}),
	family('P52', 'compare-two-rules', ({ random, turning }) => {
		const a = turning(2, 11);
		const times = random.integer(2, 4);
		return numberItem({
			stem: `Two rows of numbers start at 0. In the first, ${a} is added each time. In the second, ${a * times} is added each time. Write the second row below the first. By what is each number multiplied to get the one below it?`,
			key: times,
			wrong: [
				[a * times - a, 'additiveRule'],
				[a * times, 'factorAsAnswer']
			],
			hint: 'Write the first four numbers of each row below each other.',
			solution: [
				`First row: 0, ${a}, ${2 * a}, ${3 * a}. Second row: 0, ${a * times}, ${2 * a * times}, ${3 * a * times}.`,
				`${a} × ${times} = ${a * times}, and the same at each place.`
			]
		});
	}),
	family('P52', 'plot-pair', ({ random, turning }) => {
		const [a, b] = [
			[1, 2],
			[1, 3],
			[2, 1],
			[2, 3],
			[3, 1],
			[3, 2],
			[1, 4],
			[4, 1],
			[2, 4],
			[4, 3]
		][turning(0, 9)];
		const place = random.integer(2, Math.floor(12 / Math.max(a, b)));
		return plotItem({
			stem: `The first number starts at 0 and grows by ${a} each time, the second starts at 0 and grows by ${b}. Plot the pair after ${place} steps: the first number across, the second up.`,
			plane: { from: 0, to: 12 },
			key: [place * a, place * b],
			wrong: [
				[[place * b, place * a], 'coordinatesSwapped'],
				[[(place - 1) * a, (place - 1) * b], 'tooManySteps'],
				[[a, b], 'nextStepOnly']
			],
			hint: `Take ${place} steps of each.`,
			solution: [`Across: ${place} × ${a} = ${place * a}. Up: ${place} × ${b} = ${place * b}.`]
		});
	})
];
