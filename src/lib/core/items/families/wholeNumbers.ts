import { numberChoice, numberItem, severalItem, type ItemFamily } from '../family';
import { formatNumber } from '../text';

const placeNames = ['ones', 'tens', 'hundreds'];

export const wholeNumbers: ItemFamily[] = [
	{
		id: 'digit-worth',
		skillCode: 'W01',
		make({ random, turning }) {
			const place = random.integer(1, 2);
			const number = 100 * random.integer(1, 9) + 10 * random.integer(1, 9) + turning(0, 9);
			const digit = Math.floor(number / 10 ** place) % 10;
			const key = digit * 10 ** place;
			return numberItem({
				stem: `The lighthouse has ${number} steps. How much is the digit in the ${placeNames[place]} place worth?`,
				key,
				wrong: [
					[digit, 'digitFace'],
					[digit * 10 ** (place - 1), 'placeOneOff'],
					[digit * 10 ** (place + 1), 'placeOneOff']
				],
				hint: `Write ${number} in a chart: hundreds, tens, ones.`,
				solution: [
					`In ${number}, the digit in the ${placeNames[place]} place is ${digit}.`,
					`${digit} ${placeNames[place]} is ${digit} × ${10 ** place} = ${key}.`
				]
			});
		}
	},
	{
		id: 'take-away-100',
		skillCode: 'W02',
		make({ random, turning }) {
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
					`Take ${left} from ${start}.`,
					`${start} − ${Math.floor(left / 10) * 10} = ${start - Math.floor(left / 10) * 10}.`,
					`${start - Math.floor(left / 10) * 10} − ${left % 10} = ${key}.`
				]
			});
		}
	},
	{
		id: 'put-together-1000',
		skillCode: 'W03',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'equal-groups',
		skillCode: 'W04',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'facts',
		skillCode: 'W05',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'multiples-true',
		skillCode: 'W05',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'share-equally',
		skillCode: 'W06',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'round',
		skillCode: 'W07',
		make({ random, turning }) {
			const place = random.pick([10, 100]);
			const number = 1_000 * random.integer(1, 8) + 100 * random.integer(0, 9) + turning(51, 98);
			const key = Math.round(number / place) * place;
			const other = place === 10 ? 100 : 10;
			return numberChoice(random, {
				stem: `The ferry carried ${formatNumber(number)} people. Round this number to the nearest ${place === 10 ? 'ten' : 'hundred'}.`,
				key,
				wrong: [
					[Math.floor(number / place) * place, 'roundDown'],
					[Math.round(number / other) * other, 'roundWrongPlace'],
					[Math.round(number / 1_000) * 1_000, 'roundWrongPlace'],
					[key + place, 'roundWrongPlace'],
					[key - place, 'roundDown'],
					[key + 2 * place, 'roundWrongPlace']
				],
				hint: `Which two ${place === 10 ? 'tens' : 'hundreds'} does it lie between? Which is nearer?`,
				solution: [
					`${formatNumber(number)} lies between ${formatNumber(Math.floor(number / place) * place)} and ${formatNumber(Math.floor(number / place) * place + place)}.`,
					`It is nearer to ${formatNumber(key)}.`
				]
			});
		}
	},
	{
		id: 'multiply-by-one-digit',
		skillCode: 'W08',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'remainder-in-context',
		skillCode: 'W09',
		make({ random, turning }) {
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
					`${people} ÷ ${seats} = ${full}, and ${rest} ${rest === 1 ? 'person is' : 'people are'} left over.`,
					`They need one more boat: ${full} + 1 = ${full + 1}.`
				]
			});
		}
	},
	{
		id: 'order-of-operations',
		skillCode: 'W10',
		make({ random, turning }) {
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
		}
	},
	{
		id: 'multiply-two-digits',
		skillCode: 'W11',
		make({ random, turning }) {
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
		}
	}
];
