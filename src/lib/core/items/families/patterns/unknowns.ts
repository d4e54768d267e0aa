import { choiceItem, family, numberItem, severalItem, type ItemFamily } from '../../family';

export const unknowns: ItemFamily[] = [
	family('P11', 'true-equations', ({ random, turning }) => {
		const total = turning(8, 17);
		const a = random.integer(2, 5);
		const b = random.integer(6, 7);
		return severalItem(random, {
			stem: 'Mark every line where both sides are the same.',
			options: [
				{ text: `${total - a} + ${a} = ${total}`, right: true },
				{ text: `${total} = ${total - b} + ${b}`, right: true },
				{ text: `${total - a} + ${a} = ${total - b} + ${b + 1}`, right: false, misconception: 'equalAsAnswerNext' },
				{ text: `${total} + ${a} = ${total - a}`, right: false, misconception: 'equalAsAnswerNext' }
			],
			hint: 'Work out the left side and the right side of each line.',
			solution: [
				`${total - a} + ${a} = ${total} and ${total - b} + ${b} = ${total}.`,
				'In the other two lines the sides differ.'
			]
		});
	}),
	family('P11', 'balance-sides', ({ random, turning }) => {
		const total = turning(9, 18);
		const a = random.integer(3, 7);
		const b = random.integer(1, 6);
		const left = total - a;
		return numberItem({
			stem: `Both sides are the same: ${left} + ${a} = ⬚ + ${b}. Which number is missing?`,
			key: total - b,
			wrong: [
				[total, 'equalAsAnswerNext'],
				[total + b, 'addedAll'],
				[left, 'copiedNumber']
			],
			hint: `How much is ${left} + ${a}? The right side must be as much.`,
			solution: [`${left} + ${a} = ${total}.`, `${total} − ${b} = ${total - b}.`]
		});
	}),
	family('P13', 'missing-addend', ({ random, turning }) => {
		const total = turning(8, 19);
		const known = random.integer(3, Math.min(10, total - 2));
		const first = random.chance(0.5);
		return numberItem({
			stem: `${first ? `⬚ + ${known}` : `${known} + ⬚`} = ${total}. Which number is missing?`,
			key: total - known,
			wrong: [
				[total + known, 'addedAll'],
				[total, 'totalForMissing'],
				[total - known + 1, 'countedStartAgain']
			],
			hint: `How many steps is it from ${known} up to ${total}?`,
			solution: [`${total} − ${known} = ${total - known}.`],
			solutionFigure: { kind: 'jumps', stops: [String(known), String(total)], jumps: [String(total - known)] }
		});
	}),
	family('P13', 'missing-start', ({ random, turning }) => {
		const start = turning(9, 20);
		const gone = random.integer(2, 8);
		return numberItem({
			stem: `Some boats were in the harbor. ${gone} boats left. Now there are ${start - gone} boats. How many boats were there at first?`,
			key: start,
			wrong: [
				[Math.abs(start - 2 * gone), 'keywordOperation'],
				[start - gone, 'copiedNumber']
			],
			hint: 'Put the boats that left back.',
			solution: [`${start - gone} + ${gone} = ${start}.`],
			solutionFigure: {
				kind: 'parts',
				parts: [
					{ label: `${gone} left`, size: gone + 2 },
					{ label: `${start - gone} stay`, size: start - gone + 2 }
				],
				total: String(start)
			}
		});
	}),
	family('P21', 'missing-number-100', ({ random, turning }) => {
		const known = turning(17, 46);
		const key = random.integer(15, 48);
		const takes = random.chance(0.5);
		return numberItem({
			stem: takes
				? `⬚ − ${known} = ${key}. Which number is missing?`
				: `${known} + ⬚ = ${known + key}. Which number is missing?`,
			key: takes ? known + key : key,
			wrong: takes
				? [
						[Math.abs(key - known), 'keywordOperation'],
						[key, 'copiedNumber']
					]
				: [
						[2 * known + key, 'addedAll'],
						[known + key, 'totalForMissing']
					],
			hint: takes ? `Put the ${known} back.` : `How far is it from ${known} to ${known + key}?`,
			solution: [takes ? `${key} + ${known} = ${known + key}.` : `${known + key} − ${known} = ${key}.`]
		});
	}),
	family('P21', 'change-unknown', ({ random, turning }) => {
		const start = turning(21, 50);
		const more = random.integer(12, 39);
		return numberItem({
			stem: `${start} people were on the ferry. At the island more people came on. Now there are ${start + more} people. How many came on?`,
			key: more,
			wrong: [
				[2 * start + more, 'keywordOperation'],
				[start + more, 'totalForMissing']
			],
			hint: `Count up from ${start} to ${start + more}, by tens first.`,
			solution: [`${start + more} − ${start} = ${more}.`],
			solutionFigure: {
				kind: 'parts',
				parts: [
					{ label: String(start), size: start },
					{ label: '?', size: more }
				],
				total: String(start + more)
			}
		});
	}),
	family('P32', 'unknown-factor', ({ random, turning }) => {
		const known = random.integer(3, 9);
		const key = turning(2, 11);
		return numberItem({
			stem: `${known} × ⬚ = ${known * key}. Which number is missing?`,
			key,
			wrong: [
				[known * key - known, 'subtractInsteadDivide'],
				[known * key * known, 'multiplyInsteadDivide'],
				[key + 1, 'oneGroupOff']
			],
			hint: `How many ${known}s make ${known * key}?`,
			solution: [`${known * key} ÷ ${known} = ${key}.`]
		});
	}),
	family('P32', 'unknown-dividend', ({ random, turning }) => {
		const divisor = random.integer(3, 9);
		const quotient = turning(2, 11);
		return numberItem({
			stem: `⬚ ÷ ${divisor} = ${quotient}. Which number is missing?`,
			key: divisor * quotient,
			wrong: [
				[divisor + quotient, 'addInsteadMultiply'],
				...(quotient % divisor === 0 ? [[quotient / divisor, 'keywordOperation'] as [number, 'keywordOperation']] : [])
			],
			hint: `${divisor} equal parts of ${quotient}: how much is the whole?`,
			solution: [`${divisor} × ${quotient} = ${divisor * quotient}.`]
		});
	}),
	family('P43', 'equation-for-story', ({ random, turning }) => {
		const each = random.integer(4, 9);
		const total = each * turning(3, 12);
		return choiceItem(random, {
			stem: `${total} eggs are put into boxes of ${each}. The letter $b$ stands for the number of boxes. Which equation fits?`,
			right: `$b \\times ${each} = ${total}$`,
			wrong: [
				[`$b + ${each} = ${total}$`, 'addInsteadMultiply'],
				[`$b = ${total} \\times ${each}$`, 'multiplyInsteadDivide'],
				[`$b \\times ${total} = ${each}$`, 'reversedExpression']
			],
			hint: 'Say it in words: so many boxes of so many eggs make so many eggs.',
			solution: [`$b$ boxes of ${each} eggs are $b \\times ${each}$ eggs.`, `That is ${total} eggs.`]
		});
	}),
	family('P43', 'solve-story-letter', ({ random, turning }) => {
		const each = random.integer(3, 9);
		const key = turning(2, 11);
		const rest = random.integer(5, 20);
		return numberItem({
			stem: `A coach has ${each * key + rest} balls. ${rest} are new; the others lie in nets of ${each}. The letter $n$ stands for the number of nets. What is $n$?`,
			key,
			wrong: [
				[each * key, 'stoppedAfterOneStep'],
				[each * key + rest - each, 'subtractInsteadDivide']
			],
			hint: 'Take the new balls away first.',
			solution: [`${each * key + rest} − ${rest} = ${each * key}.`, `${each * key} ÷ ${each} = ${key}.`]
		});
	}),
	family('P51', 'words-to-calculation', ({ random, turning }) => {
		const a = turning(6, 21);
		const b = random.integer(2, 9);
		const c = random.integer(3, 9);
		return choiceItem(random, {
			stem: `Which calculation says: add ${a} and ${b}, then multiply by ${c}?`,
			right: `(${a} + ${b}) × ${c}`,
			wrong: [
				[`${a} + ${b} × ${c}`, 'parenthesesLeftOut'],
				[`${a} + (${b} × ${c})`, 'parenthesesLeftOut'],
				[`${a} × ${c} + ${b}`, 'multipliedWrongPair']
			],
			hint: 'What is done first? Parentheses show it.',
			solution: [`First the sum, in parentheses: (${a} + ${b}).`, `Then times ${c}: (${a} + ${b}) × ${c}.`]
		});
	}),
	family('P51', 'times-as-large', ({ random, turning }) => {
		const a = turning(112, 489);
		const b = random.integer(23, 98);
		const times = random.integer(3, 9);
		return choiceItem(random, {
			stem: `Without working it out: which is ${times} times as large as ${a} + ${b}?`,
			right: `${times} × (${a} + ${b})`,
			wrong: [
				[`${times} × ${a} + ${b}`, 'parenthesesLeftOut'],
				[`${times} + (${a} + ${b})`, 'factorAdded'],
				[`${a} + ${b} × ${times}`, 'parenthesesLeftOut']
			],
			hint: `The whole sum is taken ${times} times.`,
			solution: [`The sum stays together in parentheses: ${times} × (${a} + ${b}).`]
		});
	})
];
