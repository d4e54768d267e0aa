import { choiceItem, family, numberItem, severalItem, type ItemFamily } from '../../family';
import { formatNumber, signed } from '../../text';

export const equations: ItemFamily[] = [
	family('P62', 'one-step-story', ({ random, turning }) => {
		const each = random.integer(3, 9);
		const key = turning(5, 24);
		return numberItem({
			stem: `A group pays ${each * key} dollars for ${each} equal tickets. With $t$ for the price of one ticket, $${each}t = ${each * key}$. What is $t$?`,
			key,
			wrong: [
				[each * key - each, 'subtractInsteadDivide'],
				[each * each * key, 'sameOperation']
			],
			hint: 'Undo the multiplication on both sides.',
			solution: [`Divide both sides by ${each}: ${each * key} ÷ ${each} = ${key}.`]
		});
	}),
	family('P62', 'one-step-divided', ({ random, turning }) => {
		const by = random.integer(2, 9);
		const quotient = turning(3, 14);
		const minus = random.chance(0.5);
		const b = random.integer(4, 19);
		return numberItem({
			stem: minus
				? `Solve $x - ${b} = ${quotient}$. What is $x$?`
				: `Solve $\\frac{x}{${by}} = ${quotient}$. What is $x$?`,
			key: minus ? quotient + b : quotient * by,
			wrong: minus
				? [[quotient - b, 'sameOperation']]
				: [
						...(quotient % by === 0 ? [[quotient / by, 'sameOperation'] as [number, 'sameOperation']] : []),
						[quotient + by, 'addInsteadMultiply']
					],
			hint: 'What undoes the step that was done to x?',
			solution: [
				minus
					? `Add ${b} to both sides: ${quotient} + ${b} = ${quotient + b}.`
					: `Multiply both sides by ${by}: ${quotient} × ${by} = ${quotient * by}.`
			]
		});
	}),
	family('P62', 'one-step-equation', ({ random, turning }) => {
		const x = turning(4, 23);
		const a = random.integer(3, 12);
		const times = random.chance(0.5);
		const total = times ? a * x : x + a;
		return numberItem({
			stem: times ? `Solve $${a}x = ${total}$. What is $x$?` : `Solve $x + ${a} = ${total}$. What is $x$?`,
			key: x,
			wrong: times
				? [
						[a * total, 'sameOperation'],
						[total - a, 'subtractInsteadDivide']
					]
				: [[total + a, 'sameOperation']],
			hint: 'Undo what was done to $x$, on both sides.',
			solution: times
				? [`Divide both sides by ${a}: ${total} ÷ ${a} = ${x}.`]
				: [`Take ${a} from both sides: ${total} − ${a} = ${x}.`]
		});
	}),
	family('P65', 'inequality-of-story', ({ random, turning }) => {
		const limit = turning(5, 24);
		const most = random.chance(0.5);
		return choiceItem(random, {
			stem: `A boat may carry ${most ? 'at most' : 'no fewer than'} ${limit} people. The letter $p$ stands for the number of people. Which inequality fits?`,
			right: most ? `$p \\le ${limit}$` : `$p \\ge ${limit}$`,
			wrong: [
				[most ? `$p \\ge ${limit}$` : `$p \\le ${limit}$`, 'signReversed'],
				[most ? `$p < ${limit}$` : `$p > ${limit}$`, 'boundaryLeftOut'],
				[`$p = ${limit}$`, 'inequalityAsEquation']
			],
			hint: `May exactly ${limit} people be on board? May there be one more?`,
			solution: [
				most ? `${limit} is allowed, and every smaller number.` : `${limit} is allowed, and every larger number.`
			]
		});
	}),
	family('P65', 'numbers-of-inequality', ({ random, turning }) => {
		const limit = turning(-4, 9);
		const add = random.integer(2, 6);
		const offsets = [-3, -1, 0, 1, 4];
		return severalItem(random, {
			stem: `Mark every number that makes $x + ${add} > ${limit + add}$ true.`,
			options: offsets.map((offset) => ({
				text: formatNumber(limit + offset),
				right: offset > 0,
				misconception: offset === 0 ? ('boundaryIncluded' as const) : ('signReversed' as const)
			})),
			hint: 'Try each number in the place of x.',
			solution: [
				`Take ${add} from both sides: x is more than ${formatNumber(limit)}.`,
				`${formatNumber(limit)} itself does not fit; ${formatNumber(limit + 1)} and ${formatNumber(limit + 4)} do.`
			],
			solutionFigure: {
				kind: 'line',
				from: limit - 4,
				to: limit + 5,
				step: 1,
				labelEvery: 1,
				marks: [
					{ at: limit + 1, label: 'yes' },
					{ at: limit, label: 'no' }
				]
			}
		});
	}),
	family('P71', 'two-step-story', ({ random, turning }) => {
		const each = random.integer(2, 9);
		const key = turning(3, 16);
		const fixed = random.integer(5, 30);
		return numberItem({
			stem: `Renting a bike costs ${fixed} dollars plus ${each} dollars an hour. Mira pays ${fixed + each * key} dollars. How many hours did she rent it?`,
			key,
			wrong: [
				[each * key, 'stepSkipped'],
				...((fixed + each * key) % each === 0
					? [[(fixed + each * key) / each, 'stepSkipped'] as [number, 'stepSkipped']]
					: []),
				[fixed + each * key - fixed - each, 'subtractInsteadDivide']
			],
			hint: 'Take away what is paid once. Then ask how many hours the rest pays for.',
			solution: [`${fixed + each * key} − ${fixed} = ${each * key}.`, `${each * key} ÷ ${each} = ${key} hours.`]
		});
	}),
	family('P71', 'two-step-equation', ({ random, turning }) => {
		const x = turning(2, 15);
		const a = random.integer(2, 8);
		const b = random.integer(2, 12);
		const total = a * x + b;
		return numberItem({
			stem: `Solve $${a}x + ${b} = ${total}$. What is $x$?`,
			key: x,
			wrong: [
				[total - b, 'stepSkipped'],
				[(total + b) / a === Math.round((total + b) / a) ? (total + b) / a : total + b, 'sameOperation'],
				[total - b - a, 'subtractInsteadDivide']
			],
			hint: `First undo the + ${b}. Then undo the × ${a}.`,
			solution: [`${total} − ${b} = ${total - b}.`, `${total - b} ÷ ${a} = ${x}.`]
		});
	}),
	family('P73', 'solve-two-step-inequality', ({ random, turning }) => {
		const a = random.integer(2, 6);
		const b = random.integer(3, 12);
		const x = turning(2, 15);
		const flips = random.chance(0.5);
		const total = flips ? b - a * x : a * x + b;
		return choiceItem(random, {
			stem: flips ? `Solve $${b} - ${a}x < ${total}$.` : `Solve $${a}x + ${b} < ${total}$.`,
			right: flips ? `$x > ${x}$` : `$x < ${x}$`,
			wrong: [
				[flips ? `$x < ${x}$` : `$x > ${x}$`, flips ? 'signNotTurned' : 'signReversed'],
				[flips ? `$x > ${-x}$` : `$x < ${a * x}$`, flips ? 'signIgnored' : 'stepSkipped'],
				[`$x = ${x}$`, 'inequalityAsEquation']
			],
			hint: flips
				? 'Dividing by a negative number turns the sign around.'
				: 'Undo the plus, then the times, as in an equation.',
			solution: flips
				? [`Take ${b} from both sides: $-${a}x < ${total - b}$.`, `Divide by $-${a}$ and turn the sign: $x > ${x}$.`]
				: [`Take ${b} from both sides: $${a}x < ${a * x}$.`, `Divide by ${a}: $x < ${x}$.`]
		});
	}),
	family('P73', 'least-whole-number', ({ random, turning }) => {
		const each = random.integer(4, 9);
		const have = turning(10, 39);
		const need = have + each * random.integer(3, 9) + random.integer(1, each - 1);
		const key = Math.ceil((need - have) / each);
		return numberItem({
			stem: `Lena has ${have} dollars and saves ${each} dollars a week. She needs at least ${need} dollars. What is the least whole number of weeks?`,
			key,
			wrong: [
				[key - 1, 'remainderDropped'],
				[Math.ceil(need / each), 'startForgotten'],
				[need - have, 'stepSkipped']
			],
			hint: `How much is still missing? How many weeks of ${each} dollars cover it?`,
			solution: [
				`${need} − ${have} = ${need - have} dollars are missing.`,
				`${key - 1} × ${each} = ${(key - 1) * each} is too little; ${key} × ${each} = ${key * each} is enough.`
			]
		});
	}),
	family('P74', 'equation-with-parentheses', ({ random, turning }) => {
		const a = random.integer(2, 8);
		const b = random.integer(1, 9);
		const x = turning(2, 15);
		return numberItem({
			stem: `Solve $${a}(x + ${b}) = ${a * (x + b)}$. What is $x$?`,
			key: x,
			wrong: [
				[x + b, 'stepSkipped'],
				...((a * (x + b) - b) % a === 0
					? [[(a * (x + b) - b) / a, 'distributedOnce'] as [number, 'distributedOnce']]
					: []),
				[a * (x + b) - a - b, 'subtractInsteadDivide']
			],
			hint: `Divide both sides by ${a} first.`,
			solution: [`${a * (x + b)} ÷ ${a} = ${x + b}, so $x + ${b} = ${x + b}$.`, `${x + b} − ${b} = ${x}.`]
		});
	}),
	family('P74', 'equation-with-fraction', ({ random, turning }) => {
		const [top, bottom] = random.pick([
			[2, 3],
			[3, 4],
			[2, 5],
			[3, 5],
			[5, 6]
		]);
		const x = bottom * turning(2, 13);
		const b = random.integer(2, 12);
		const total = (top * x) / bottom + b;
		return numberItem({
			stem: `Solve $\\frac{${top}}{${bottom}}x + ${b} = ${total}$. What is $x$?`,
			key: x,
			wrong: [
				[total - b, 'stepSkipped'],
				[((total - b) * top) / bottom, 'sameOperation'],
				[(total - b) / top, 'bottomForgotten']
			].filter(([value]) => Number.isInteger(value)) as [number, 'stepSkipped' | 'sameOperation' | 'bottomForgotten'][],
			hint: `Take away ${b}. Then divide by the fraction: divide by ${top}, multiply by ${bottom}.`,
			solution: [
				`${total} − ${b} = ${total - b}.`,
				`${total - b} ÷ ${top} = ${(total - b) / top}, and ${(total - b) / top} × ${bottom} = ${x}.`
			]
		});
	}),
	family('P83', 'letters-on-both-sides', ({ random, turning }) => {
		const x = turning(-4, 9);
		const c = random.integer(2, 5);
		const a = c + random.integer(2, 5);
		const b = random.integer(1, 12);
		const d = (a - c) * x + b;
		return numberItem({
			stem: `Solve $${a}x + ${b} = ${c}x ${signed(d)}$. What is $x$?`,
			key: x,
			wrong: [
				[d - b, 'stepSkipped'],
				...((d - b) % (a + c) === 0 ? [[(d - b) / (a + c), 'sidesAdded'] as [number, 'sidesAdded']] : []),
				[-x, 'signIgnored']
			],
			hint: `Take $${c}x$ from both sides first.`,
			solution: [
				`$${a}x - ${c}x = ${a - c}x$, so $${a - c}x + ${b} = ${d}$.`,
				`${formatNumber(d)} − ${b} = ${formatNumber(d - b)}.`,
				`${formatNumber(d - b)} ÷ ${a - c} = ${formatNumber(x)}.`
			]
		});
	}),
	family('P83', 'how-many-solutions', ({ random, turning }) => {
		const a = turning(2, 11);
		const b = random.integer(1, 9);
		const kind = random.integer(0, 2);
		const stem = [
			`$${a}(x + ${b}) = ${a}x + ${a * b}$`,
			`$${a}x + ${b} = ${a}x + ${b + 3}$`,
			`$${a}x + ${b} = ${a + 2}x + ${b}$`
		][kind];
		const answers = ['Every number is a solution', 'There is no solution', 'There is exactly one solution'];
		return choiceItem(random, {
			stem: `How many solutions does this equation have? ${stem}`,
			right: answers[kind],
			wrong: answers
				.filter((_, i) => i !== kind)
				.map((text) => [text, kind === 2 && text.includes('no') ? 'zeroAsNoSolution' : 'solutionsMixed']),
			hint: 'Write both sides as short as you can. What is left when you take the letter away?',
			solution: [
				[
					`The left side is $${a}x + ${a * b}$, the same as the right side: every number fits.`,
					`Without $${a}x$ it says ${b} is equal to ${b + 3}, which is never true: there is no solution.`,
					`Only $x = 0$ fits: there is exactly one solution.`
				][kind]
			]
		});
	})
];
