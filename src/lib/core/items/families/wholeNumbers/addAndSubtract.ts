import { choiceItem, family, numberItem, type ItemFamily } from '../../family';
import { formatNumber } from '../../text';

/** A subtraction with each place taken the smaller from the larger, as if nothing could be traded. */
function smallerFromLarger(a: number, b: number): number {
	let result = 0;
	for (let place = 1; place <= a; place *= 10)
		result += place * Math.abs((Math.floor(a / place) % 10) - (Math.floor(b / place) % 10));
	return result;
}

/** A sum with every carried ten dropped. */
function withoutCarrying(a: number, b: number): number {
	let result = 0;
	for (let place = 1; place <= Math.max(a, b); place *= 10)
		result += place * (((Math.floor(a / place) % 10) + (Math.floor(b / place) % 10)) % 10);
	return result;
}

export const addAndSubtract: ItemFamily[] = [
	family('W13', 'add-to-20', ({ random, turning }) => {
		const total = turning(9, 20);
		const first = random.integer(Math.max(2, total - 10), Math.min(10, total - 2));
		const more = total - first;
		return numberItem({
			stem: `${first} gulls sit on the pier. ${more} more gulls come. How many gulls are on the pier now?`,
			key: total,
			wrong: [
				[Math.abs(first - more), 'takeInsteadAdd'],
				[total - 1, 'countedStartAgain'],
				[total + 1, 'countedOneTooMany']
			],
			hint: `Start at ${Math.max(first, more)} and count on.`,
			solution: [`${first} + ${more} = ${total}.`],
			solutionFigure: {
				kind: 'parts',
				parts: [
					{ label: String(first), size: first },
					{ label: String(more), size: more }
				],
				total: String(total)
			}
		});
	}),
	family('W13', 'make-ten', ({ random, turning }) => {
		const [first, second] = [
			[9, 3],
			[9, 4],
			[9, 5],
			[9, 6],
			[9, 7],
			[8, 4],
			[8, 5],
			[8, 6],
			[8, 7],
			[7, 5],
			[7, 6]
		][turning(0, 10)];
		const flip = random.chance(0.5);
		const given = 10 - first;
		return numberItem({
			stem: `${flip ? second : first} + ${flip ? first : second} is the same as 10 + ⬚. Which number is missing?`,
			key: second - given,
			wrong: [
				[second, 'tenNotTaken'],
				[first + second, 'totalForMissing']
			],
			hint: `${first} needs ${given} more to make 10. Take that from ${second}.`,
			solution: [
				`${first} + ${given} = 10.`,
				`${second} − ${given} = ${second - given}, so it is 10 + ${second - given}.`
			]
		});
	}),
	family('W14', 'take-away-20', ({ random, turning }) => {
		const start = turning(11, 20);
		const gone = random.integer(3, 9);
		const key = start - gone;
		return numberItem({
			stem: `There were ${start} rolls in the basket. ${gone} rolls were sold. How many rolls are left?`,
			key,
			wrong: [
				[start + gone, 'addInsteadTake'],
				[key + 1, 'countedStartAgain'],
				[key - 1, 'countedOneTooMany']
			],
			hint: `Count back from ${start}, or think: ${gone} and how many make ${start}?`,
			solution: [`${start} − ${gone} = ${key}.`],
			solutionFigure: {
				kind: 'parts',
				parts: [
					{ label: String(gone), size: gone },
					{ label: String(key), size: Math.max(key, 2) }
				],
				total: String(start)
			}
		});
	}),
	family('W14', 'fact-family', ({ random, turning }) => {
		const total = turning(8, 17);
		const first = random.integer(Math.max(3, total - 9), Math.ceil(total / 2) - 1);
		const second = total - first;
		return choiceItem(random, {
			stem: `${first} + ${second} = ${total}. Which fact uses the same three numbers?`,
			right: `${total} − ${first} = ${second}`,
			wrong: [
				[`${second} − ${first} = ${second - first}`, 'familyWithoutTotal'],
				[`${total} + ${first} = ${total + first}`, 'sameOperation'],
				[`${first} − ${second} = ${total}`, 'smallerMinusLarger']
			],
			hint: 'Start from the total and take one part away.',
			solution: [`The total is ${total}; its parts are ${first} and ${second}.`, `${total} − ${first} = ${second}.`]
		});
	}),
	family('W22', 'put-together-100', ({ random, turning }) => {
		const a = 10 * random.integer(1, 4) + random.integer(5, 9);
		const b = turning(15, 44);
		return numberItem({
			stem: `One tray holds ${a} muffins, another tray holds ${b}. How many muffins are on the two trays?`,
			key: a + b,
			wrong: [
				[withoutCarrying(a, b), 'noCarry'],
				[Math.abs(a - b), 'takeInsteadAdd']
			],
			hint: 'Add the tens, then the ones. Ten ones make one more ten.',
			solution: [
				`Tens: ${a - (a % 10)} + ${b - (b % 10)} = ${a - (a % 10) + b - (b % 10)}.`,
				`Ones: ${a % 10} + ${b % 10} = ${(a % 10) + (b % 10)}.`,
				`${a - (a % 10) + b - (b % 10)} + ${(a % 10) + (b % 10)} = ${a + b}.`
			]
		});
	}),
	family('W22', 'take-away-100', ({ random, turning }) => {
		const start = 10 * random.integer(5, 9) + random.integer(0, 4);
		const left = turning(15, 29) + 10 * random.integer(0, 1);
		const key = start - left;
		const noRegroup = 10 * (Math.floor(start / 10) - Math.floor(left / 10)) + Math.abs((start % 10) - (left % 10));
		return numberItem({
			stem: `${start} boats were in the harbor. ${left} boats sailed out. How many boats are still in the harbor?`,
			key,
			wrong: [
				[noRegroup, 'noRegroup'],
				[start + left, 'addInsteadTake']
			],
			hint: 'Boats went away. Take the tens first, then the ones.',
			solution: [
				`Take the tens: ${start} − ${left - (left % 10)} = ${start - (left - (left % 10))}.`,
				...(left % 10 ? [`Then the ones: ${start - (left - (left % 10))} − ${left % 10} = ${key}.`] : [])
			]
		});
	}),
	family('W23', 'take-away-1000', ({ random, turning }) => {
		const start = 100 * random.integer(5, 9) + 10 * random.integer(0, 3) + random.integer(0, 4);
		const gone = 100 * random.integer(1, 3) + turning(45, 89);
		const key = start - gone;
		const hundreds = 100 * Math.floor(gone / 100);
		const tens = 10 * (Math.floor(gone / 10) % 10);
		return numberItem({
			stem: `A ferry has ${start} seats. ${gone} seats are taken. How many seats are free?`,
			key,
			wrong: [
				[smallerFromLarger(start, gone), 'noRegroup'],
				[start + gone, 'addInsteadTake']
			],
			hint: 'Take the hundreds, then the tens, then the ones. Or count up to the number of seats.',
			solution: [
				`${start} − ${hundreds} = ${start - hundreds}.`,
				`${start - hundreds} − ${tens} = ${start - hundreds - tens}.`,
				`${start - hundreds - tens} − ${gone % 10} = ${key}.`
			]
		});
	}),
	family('W23', 'put-together-1000', ({ random, turning }) => {
		const a = 100 * random.integer(1, 4) + 10 * random.integer(4, 9) + random.integer(5, 9);
		const b = 100 * random.integer(1, 4) + turning(45, 99);
		const key = a + b;
		const drop = (place: number) => (Math.floor(a / place) % 10) + (Math.floor(b / place) % 10);
		const noCarry = drop(100) * 100 + (drop(10) % 10) * 10 + (drop(1) % 10);
		return numberItem({
			stem: `A bakery sold ${a} rolls on Friday and ${b} rolls on Saturday. How many rolls did it sell on the two days together?`,
			key,
			wrong: [
				[noCarry, 'noCarry'],
				[Math.abs(a - b), 'takeInsteadAdd']
			],
			hint: 'Add hundreds, tens and ones. Ten ones make one more ten.',
			solution: [
				`Hundreds: ${drop(100) * 100}. Tens: ${drop(10) * 10}. Ones: ${drop(1)}.`,
				`${drop(100) * 100} + ${drop(10) * 10} + ${drop(1)} = ${key}.`
			]
		});
	}),
	family('W34', 'two-step-packs', ({ random, turning }) => {
		const packs = turning(3, 12);
		const each = random.integer(3, 8);
		const used = random.integer(2, each);
		const key = packs * each - used;
		return numberItem({
			stem: `A crew buys ${packs} packs of ${each} bottles of water. They drink ${used} bottles. How many bottles are left?`,
			key,
			wrong: [
				[packs * each, 'stoppedAfterOneStep'],
				[packs * each + used, 'addInsteadTake'],
				[packs + each - used, 'addInsteadMultiply']
			],
			hint: 'First find how many bottles they bought. Then take away what they drank.',
			solution: [`${packs} × ${each} = ${packs * each} bottles.`, `${packs * each} − ${used} = ${key} bottles.`]
		});
	}),
	family('W34', 'which-calculation', ({ random, turning }) => {
		const start = turning(21, 60);
		const rows = random.integer(3, 6);
		const each = random.integer(4, 9);
		return choiceItem(random, {
			stem: `A garden has ${start} bean plants. The class plants ${rows} more rows of ${each}. Which calculation gives the number of bean plants now?`,
			right: `${start} + ${rows} × ${each}`,
			wrong: [
				[`${start} + ${rows} + ${each}`, 'addInsteadMultiply'],
				[`${start} × ${rows} + ${each}`, 'multipliedWrongPair'],
				[`${start} − ${rows} × ${each}`, 'takeInsteadAdd']
			],
			hint: 'Which two numbers belong together as equal groups?',
			solution: [`The new plants are ${rows} × ${each}.`, `They come to the ${start}: ${start} + ${rows} × ${each}.`]
		});
	}),
	family('W46', 'add-large', ({ random, turning }) => {
		const a = 1_000 * turning(3, 42) + random.integer(256, 989);
		const b = 1_000 * random.integer(2, 38) + random.integer(317, 978);
		return numberItem({
			stem: `${formatNumber(a)} people visited the lighthouse last year and ${formatNumber(b)} this year. How many visited in the two years together?`,
			key: a + b,
			wrong: [
				[withoutCarrying(a, b), 'noCarry'],
				[Math.abs(a - b), 'takeInsteadAdd']
			],
			hint: 'Write the numbers one below the other, ones under ones. Add from the right and carry.',
			solution: [
				`Thousands: ${formatNumber(a - (a % 1_000))} + ${formatNumber(b - (b % 1_000))} = ${formatNumber(a - (a % 1_000) + b - (b % 1_000))}.`,
				`The rest: ${a % 1_000} + ${b % 1_000} = ${formatNumber((a % 1_000) + (b % 1_000))}.`,
				`Together: ${formatNumber(a + b)}.`
			]
		});
	}),
	family('W46', 'subtract-large', ({ random, turning }) => {
		const a = 1_000 * turning(12, 61) + random.integer(1, 99);
		const b = 1_000 * random.integer(2, 9) + random.integer(356, 987);
		const thousands = b - (b % 1_000);
		return numberItem({
			stem: `Out of ${formatNumber(a)} seeds, ${formatNumber(b)} have sprouted. How many have not?`,
			key: a - b,
			wrong: [
				[smallerFromLarger(a, b), 'noRegroup'],
				[a + b, 'addInsteadTake']
			],
			hint: 'Take the thousands away first, then the rest. Check by adding.',
			solution: [
				`${formatNumber(a)} − ${formatNumber(thousands)} = ${formatNumber(a - thousands)}.`,
				`${formatNumber(a - thousands)} − ${b - thousands} = ${formatNumber(a - b)}.`
			]
		});
	})
];
