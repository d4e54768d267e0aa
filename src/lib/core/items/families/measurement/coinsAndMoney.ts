import { choiceItem, family, matchItem, numberItem, severalItem, type ItemFamily } from '../../family';
import { coinNames } from '../../figure';
import { counted, formatNumber } from '../../text';

/** Coins of an amount, largest first, as few as possible unless a coin is left out. */
function coinsFor(cents: number, kinds: number[]): number[] {
	const coins: number[] = [];
	for (const kind of kinds) {
		while (cents >= kind) {
			coins.push(kind);
			cents -= kind;
		}
	}
	return coins;
}

/** Coins in words: quarters, dimes, nickels, pennies. */
function describeCoins(counts: [number, number, number, number]): string {
	const names = ['quarter', 'dime', 'nickel', 'penny'];
	return counts
		.flatMap((count, i) => (count ? [counted(count, names[i], names[i] === 'penny' ? 'pennies' : undefined)] : []))
		.join(', ');
}

export const coinsAndMoney: ItemFamily[] = [
	family('M13', 'count-coins', ({ random, turning }) => {
		const cents = turning(12, 49);
		const coins = coinsFor(
			cents,
			random.pick([
				[10, 5, 1],
				[25, 10, 5, 1],
				[25, 5, 1]
			])
		);
		return numberItem({
			stem: 'How many cents are the coins together?',
			figure: { kind: 'coins', cents: coins },
			key: cents,
			unit: 'cents',
			wrong: [
				[coins.length, 'countedCoins'],
				...(coins.includes(10) && coins.includes(5)
					? [
							[coins.reduce((sum, one) => sum + (one === 10 ? 5 : one === 5 ? 10 : one), 0), 'coinValuesSwapped'] as [
								number,
								'coinValuesSwapped'
							]
						]
					: [])
			],
			hint: 'Start with the coins that are worth most, and count on.',
			solution: [`${coins.join(' + ')} = ${cents}.`]
		});
	}),
	family('M13', 'match-coins', ({ random, turning }) => {
		// No two are worth the same: at most 11 cents in pennies, 15 or 20 in nickels, 30 or more in dimes.
		const sets: [count: number, kind: number][] = random.shuffle([
			[turning(2, 11), 1],
			[random.integer(3, 4), 5],
			[random.integer(3, 5), 10]
		]);
		return matchItem(random, {
			stem: 'Match the coins with their value.',
			pairs: sets.map(([count, kind]) => [
				`${count} ${kind === 1 ? 'pennies' : `${coinNames[kind]}s`}`,
				`${count * kind} cents`
			]),
			wrong: [],
			hint: 'A penny is 1 cent, a nickel 5, and a dime 10.',
			solution: sets.map(([count, kind]) => `${count} × ${kind} = ${count * kind} cents.`)
		});
	}),
	family('M23', 'coins-to-dollar', ({ random, turning }) => {
		const cents = 5 * turning(9, 19);
		const coins = coinsFor(cents, [25, 10, 5]);
		return numberItem({
			stem: 'You pay with one dollar and get these coins back. How many cents did you pay?',
			figure: { kind: 'coins', cents: random.shuffle(coins).sort((a, b) => b - a) },
			key: 100 - cents,
			unit: 'cents',
			wrong: [
				[cents, 'stoppedAfterOneStep'],
				[100 + cents, 'addInsteadTake'],
				[110 - cents, 'noRegroup']
			],
			hint: 'Count the coins. How much is missing to 100 cents?',
			solution: [`${coins.join(' + ')} = ${cents}.`, `100 − ${cents} = ${100 - cents} cents.`]
		});
	}),
	family('M23', 'mark-amounts', ({ random, turning }) => {
		const quarters = random.integer(1, 2);
		const nickels = turning(1, 10);
		const target = 25 * quarters + 5 * nickels;
		return severalItem(random, {
			stem: `Mark every set of coins that is worth ${target} cents.`,
			options: [
				{ text: describeCoins([quarters, 0, nickels, 0]), right: true },
				{ text: describeCoins([quarters - 1, 2, nickels + 1, 0]), right: true },
				{ text: describeCoins([quarters, 1, nickels, 0]), right: false, misconception: 'countedOneTooMany' },
				{ text: describeCoins([quarters, nickels, 0, 0]), right: false, misconception: 'coinValuesSwapped' }
			],
			hint: 'Work out each set: quarters 25, dimes 10, nickels 5.',
			solution: [
				`${quarters} × 25 = ${25 * quarters}, ${nickels} × 5 = ${5 * nickels}, and ${25 * quarters} + ${5 * nickels} = ${target}.`,
				'A quarter is as much as two dimes and a nickel.'
			]
		});
	}),
	family('M43', 'change-from-bill', ({ random, turning }) => {
		const cents = 100 * random.integer(2, 8) + 5 * turning(1, 19);
		const bill = cents < 500 ? 5 : 10;
		const key = bill * 100 - cents;
		const money = (amount: number) => (amount / 100).toFixed(2);
		return choiceItem(random, {
			stem: `A snack costs ${money(cents)} dollars. You pay with a ${bill}-dollar bill. How much change do you get?`,
			right: `${money(key)} dollars`,
			wrong: [
				[`${money(key + 100)} dollars`, 'carriedOneTooMany'],
				[`${money(bill * 100 + cents)} dollars`, 'addInsteadTake'],
				[`${money(key + 10)} dollars`, 'noRegroup'],
				[`${money(cents)} dollars`, 'copiedNumber']
			],
			hint: 'Count up from the price to the next dollar, then to the bill.',
			solution: [
				`From ${money(cents)} to ${money(Math.ceil(cents / 100) * 100)} is ${Math.ceil(cents / 100) * 100 - cents} cents.`,
				`From there to ${money(bill * 100)} is ${counted(bill - Math.ceil(cents / 100), 'dollar')}.`
			]
		});
	}),
	family('M43', 'cents-together', ({ random, turning }) => {
		const price = 5 * turning(5, 24) + 100;
		const count = random.integer(2, 4);
		const fare = 100 * random.integer(1, 4) + 50;
		const total = count * price + fare;
		return numberItem({
			stem: `${count} cards cost ${formatNumber(price)} cents each and the bus costs ${fare} cents. How many cents is that in all?`,
			key: total,
			unit: 'cents',
			wrong: [
				[price + fare, 'oneValueOnly'],
				[count * (price + fare), 'multipliedWrongPair'],
				[count * price, 'stoppedAfterOneStep']
			],
			hint: 'First all the cards. Then the bus.',
			solution: [
				`${count} × ${price} = ${formatNumber(count * price)}.`,
				`${formatNumber(count * price)} + ${fare} = ${formatNumber(total)} cents.`
			]
		});
	})
];
