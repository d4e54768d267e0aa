import { choiceItem, family, numberItem, severalItem, type ItemFamily } from '../../family';
import { commonDivisor } from '../../rational';

const PRIMES = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47];

const divisorsOf = (number: number) =>
	Array.from({ length: number }, (_, i) => i + 1).filter((one) => number % one === 0);

export const factors: ItemFamily[] = [
	family('W45', 'mark-factors', ({ random, turning }) => {
		const number = [12, 16, 18, 20, 24, 28, 30, 32, 36, 40, 42, 45][turning(0, 11)];
		const factors = random.shuffle(divisorsOf(number).filter((one) => one > 2 && one < number)).slice(0, 2);
		const others = random.shuffle([5, 7, 8, 9, 11].filter((one) => number % one !== 0)).slice(0, 2);
		return severalItem(random, {
			stem: `Mark every factor of ${number}.`,
			options: [
				...factors.map((one) => ({ text: String(one), right: true })),
				...others.map((one) => ({ text: String(one), right: false, misconception: 'oneGroupOff' as const })),
				{ text: String(2 * number), right: false, misconception: 'multipleForFactor' }
			],
			hint: `A factor divides ${number} with nothing left over.`,
			solution: [
				...[...factors].sort((a, b) => a - b).map((one) => `${one} × ${number / one} = ${number}.`),
				`${2 * number} is a multiple of ${number}, not a factor.`
			]
		});
	}),
	family('W45', 'common-multiple', ({ random, turning }) => {
		const [a, b] = [
			[2, 3],
			[3, 4],
			[2, 5],
			[4, 6],
			[3, 5],
			[4, 5],
			[6, 8],
			[3, 7],
			[6, 9],
			[4, 7]
		][turning(0, 9)];
		const right = ((a * b) / commonDivisor(a, b)) * random.integer(1, 3);
		return choiceItem(random, {
			stem: `A bell rings every ${a} minutes and a light flashes every ${b} minutes. They start together. After which of these numbers of minutes do they come at the same time?`,
			right: String(right),
			wrong: [
				[String(right + a), 'multipleOfOneOnly'],
				[String(right + b), 'multipleOfOneOnly'],
				[String(a + b), 'addInsteadMultiply'],
				[String(right + 1), 'oneGroupOff']
			],
			hint: `The number must be a multiple of ${a} and of ${b}.`,
			solution: [
				`${right} ÷ ${a} = ${right / a} and ${right} ÷ ${b} = ${right / b}.`,
				`So ${right} is a multiple of both.`
			]
		});
	}),
	family('W54', 'mark-primes', ({ random, turning }) => {
		const start = turning(2, 13);
		const primes = [PRIMES[(start % 9) + 2], PRIMES[(start % 9) + 5]];
		const composites = random.shuffle([9, 15, 21, 27, 33, 39, 49, 51, 57]).slice(0, 2);
		return severalItem(random, {
			stem: 'Mark every prime number.',
			options: [
				...primes.map((one) => ({ text: String(one), right: true })),
				...composites.map((one) => ({ text: String(one), right: false, misconception: 'oddIsPrime' as const })),
				{ text: '1', right: false, misconception: 'oneIsPrime' }
			],
			hint: 'A prime number has exactly two factors: 1 and itself.',
			solution: [
				...composites.map((one) => {
					const factor = divisorsOf(one)[1];
					return `${factor} × ${one / factor} = ${one}, so ${one} is not prime.`;
				}),
				`1 has only one factor. ${primes.join(' and ')} are prime.`
			]
		});
	}),
	family('W54', 'last-prime-factor', ({ random, turning }) => {
		const parts = [random.pick([2, 3]), random.pick([2, 3, 5])].sort((a, b) => a - b);
		const key = PRIMES[turning(1, 10)];
		const number = parts[0] * parts[1] * key;
		return numberItem({
			stem: `${number} is written as a product of primes: ${number} = ${parts.join(' × ')} × ⬚. Which prime is missing?`,
			key,
			wrong: [
				[number / parts[0], 'stoppedAfterOneStep'],
				[number - parts[0] - parts[1], 'subtractInsteadDivide'],
				[key * parts[0], 'stoppedAfterOneStep']
			],
			hint: `Divide ${number} by ${parts[0]}, then by ${parts[1]}.`,
			solution: [`${number} ÷ ${parts[0]} = ${number / parts[0]}.`, `${number / parts[0]} ÷ ${parts[1]} = ${key}.`]
		});
	}),
	family('W63', 'greatest-common-factor', ({ random, turning }) => {
		const factor = turning(3, 12);
		const [p, q] = random.pick([
			[2, 3],
			[3, 4],
			[2, 5],
			[4, 5],
			[3, 5]
		]);
		const [a, b] = [factor * p, factor * q];
		const small = divisorsOf(factor).find((one) => one > 1) ?? 1;
		return numberItem({
			stem: `${a} red and ${b} white flowers are made into bunches that are all alike, with none left over. What is the greatest number of bunches?`,
			key: factor,
			wrong: [
				[(a * b) / factor, 'multipleForFactor'],
				...(small < factor ? [[small, 'notTheGreatest'] as [number, 'notTheGreatest']] : []),
				[b - a === factor ? a : b - a, 'subtractInsteadDivide']
			],
			hint: `Which is the greatest number that divides ${a} and ${b}?`,
			solution: [
				`${a} = ${factor} × ${p} and ${b} = ${factor} × ${q}.`,
				`${p} and ${q} have no more factor in common, so it is ${factor}.`
			]
		});
	}),
	family('W63', 'least-common-multiple', ({ random, turning }) => {
		const [a, b] = [
			[4, 6],
			[6, 8],
			[6, 9],
			[8, 12],
			[9, 12],
			[10, 15],
			[4, 10],
			[6, 10],
			[8, 10],
			[10, 12]
		][turning(0, 9)];
		const key = (a * b) / commonDivisor(a, b);
		const place = random.pick(['the harbor', 'the market', 'the school']);
		return numberItem({
			stem: `One bus leaves ${place} every ${a} minutes, another every ${b} minutes. They leave together now. In how many minutes do they next leave together?`,
			key,
			wrong: [
				[a * b, 'productForLeast'],
				[commonDivisor(a, b), 'factorForMultiple'],
				[a + b, 'addInsteadMultiply']
			],
			hint: `List the multiples of ${b}. Which is the first that ${a} divides?`,
			solution: [
				`${key} = ${a} × ${key / a} and ${key} = ${b} × ${key / b}.`,
				`No smaller number is a multiple of both, so it is ${key} minutes.`
			]
		});
	})
];
