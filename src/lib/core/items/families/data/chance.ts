import { choiceItem, family, fractionItem, numberItem, severalItem, type ItemFamily } from '../../family';
import { formatNumber, tex } from '../../text';

export const chance: ItemFamily[] = [
	family('D71', 'probability-of-cards', ({ random, turning }) => {
		const count = turning(10, 21);
		const factor = random.pick([2, 3, 5]);
		const hits = Math.floor(count / factor);
		return fractionItem({
			stem: `Cards with the numbers 1 to ${count} lie face down. One is turned. What is the probability that its number is a multiple of ${factor}?`,
			key: [hits, count],
			wrong: [
				[hits, count - hits, 'partToPart'],
				[1, factor, 'approximateShare'],
				[factor, count, 'copiedNumber']
			],
			hint: `Which numbers up to ${count} are multiples of ${factor}? Count them.`,
			solution: [
				`The multiples are ${Array.from({ length: hits }, (_, i) => factor * (i + 1)).join(', ')}: ${hits} numbers.`,
				`${hits} of ${count} cards: ${tex(hits, count)}.`
			]
		});
	}),
	family('D71', 'probability-of-not', ({ random, turning }) => {
		const bottom = turning(5, 14);
		const top = random.integer(1, bottom - 1);
		return fractionItem({
			stem: `The probability of rain tomorrow is ${tex(top, bottom)}. What is the probability that it does not rain?`,
			key: [bottom - top, bottom],
			wrong: [
				[top, bottom, 'copiedNumber'],
				[bottom, top, 'invertedFraction'],
				[top, bottom - top || 1, 'partToPart']
			],
			hint: 'Both together are certain: 1.',
			solution: [
				`1 is ${tex(bottom, bottom)}.`,
				`${bottom} − ${top} = ${bottom - top}, so it is ${tex(bottom - top, bottom)}.`
			]
		});
	}),
	family('D71', 'simple-probability', ({ random, turning }) => {
		const wanted = turning(2, 11);
		const rest = random.integer(3, 15);
		return fractionItem({
			stem: `A bag holds ${wanted} white and ${rest} gray pebbles. One is drawn without looking. What is the probability that it is white, as a fraction?`,
			key: [wanted, wanted + rest],
			wrong: [
				[wanted, rest, 'partToPart'],
				[rest, wanted + rest, 'percentLeft']
			],
			hint: 'How many pebbles are there in all?',
			solution: [
				`There are ${wanted} + ${rest} = ${wanted + rest} pebbles.`,
				`${wanted} of them are white: $\\frac{${wanted}}{${wanted + rest}}$.`
			]
		});
	}),
	family('D72', 'from-sample-to-all', ({ random, turning }) => {
		const sample = random.pick([20, 25, 40, 50]);
		const hits = turning(3, 14);
		const times = random.pick([10, 20, 30]);
		return numberItem({
			stem: `In a random sample of ${sample} students, ${hits} walk to school. The school has ${sample * times} students. About how many walk?`,
			key: hits * times,
			wrong: [
				[sample * times - (sample - hits), 'additiveRatio'],
				[hits, 'sampleForAll'],
				[hits + times, 'factorAdded']
			],
			hint: `How many times as large as the sample is the school?`,
			solution: [
				`${formatNumber(sample * times)} ÷ ${sample} = ${times}.`,
				`${times} × ${hits} = ${hits * times} students.`
			]
		});
	}),
	family('D72', 'fair-sample', ({ random, turning }) => {
		const what = [
			'lunch',
			'the library',
			'bus times',
			'the garden',
			'clubs',
			'the playground',
			'homework',
			'a new mural',
			'the choir',
			'a trip'
		][turning(0, 9)];
		const size = 10 * random.integer(3, 6);
		return choiceItem(random, {
			stem: `A school of 600 wants to know what its students think of ${what}. Whom should it ask?`,
			right: `${size} students drawn by lot from all names`,
			wrong: [
				[`all ${size} students who eat at one table`, 'convenientSample'],
				[`the first ${size} who write a note`, 'convenientSample'],
				[`${size} students of grade 8, drawn by lot`, 'partForPopulation']
			],
			hint: 'Each student should have the same chance to be asked.',
			solution: ['Drawn by lot from all names, each student has the same chance.']
		});
	}),
	family('D73', 'two-draws', ({ random, turning }) => {
		const [b, d] = [turning(3, 12), random.pick([2, 4, 6])];
		const a = random.integer(1, b - 1);
		const c = random.integer(1, d - 1);
		return fractionItem({
			stem: `A spinner shows white with probability ${tex(a, b)}. A second spinner shows white with probability ${tex(c, d)}. What is the probability that both show white?`,
			key: [a * c, b * d],
			wrong: [
				[a + c, b + d, 'addTopsAndBottoms'],
				[a * d + c * b, b * d, 'chancesAdded'],
				[a, b, 'oneValueOnly']
			],
			hint: 'Multiply the two probabilities.',
			solution: [`${a} × ${c} = ${a * c} and ${b} × ${d} = ${b * d}.`, `So it is ${tex(a * c, b * d)}.`]
		});
	}),
	family('D73', 'count-outcomes', ({ random, turning }) => {
		const [breads, fillings, drinks] = [turning(2, 11), random.integer(2, 5), random.integer(2, 4)];
		return numberItem({
			stem: `A lunch is one of ${breads} sandwiches, one of ${fillings} fruits and one of ${drinks} drinks. How many different lunches are there?`,
			key: breads * fillings * drinks,
			wrong: [
				[breads + fillings + drinks, 'addInsteadMultiply'],
				[breads * fillings, 'stoppedAfterOneStep']
			],
			hint: 'For each sandwich there are all the fruits, and for each of these all the drinks.',
			solution: [
				`${breads} × ${fillings} = ${breads * fillings}.`,
				`${breads * fillings} × ${drinks} = ${breads * fillings * drinks}.`
			]
		});
	}),
	family('D74', 'expected-number', ({ random, turning }) => {
		const sides = random.pick([4, 5, 6, 8, 10]);
		const times = sides * turning(5, 24);
		return numberItem({
			stem: `A fair spinner has ${sides} equal parts; one of them wins. It is spun ${times} times. About how many wins are to be expected?`,
			key: times / sides,
			wrong: [
				[times / 2, 'fiftyFifty'],
				[times - sides, 'subtractInsteadDivide'],
				[sides, 'copiedNumber']
			],
			hint: `One of ${sides} spins wins, in the long run.`,
			solution: [`${times} ÷ ${sides} = ${times / sides}.`]
		});
	}),
	family('D74', 'expected-from-trials', ({ random, turning }) => {
		const trials = random.pick([20, 40, 50]);
		const hits = turning(6, 15);
		const more = random.pick([2, 3, 5]);
		return severalItem(random, {
			stem: `A bottle cap was thrown ${trials} times and landed upright ${hits} times. Mark every statement that this supports.`,
			options: [
				{ text: `In ${trials * more} throws, about ${hits * more} land upright.`, right: true },
				{ text: `The probability of upright is about ${tex(hits, trials)}.`, right: true },
				{
					text: `The next throw will land upright if the last ones did not.`,
					right: false,
					misconception: 'chanceRemembers'
				},
				{
					text: `In ${trials * more} throws, exactly ${hits * more} land upright.`,
					right: false,
					misconception: 'expectedAsCertain'
				}
			],
			hint: 'What happens in the long run, and what is certain for one throw?',
			solution: [
				`${more} times as many throws give about ${more} × ${hits} = ${more * hits} upright.`,
				'Each throw is new; nothing makes up for earlier ones, and the count may differ.'
			]
		});
	})
];
