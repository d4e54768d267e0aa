import { lineItem, numberItem, orderItem, type ItemFamily } from '../family';
import { formatNumber } from '../text';

export const signedNumbers: ItemFamily[] = [
	{
		id: 'place-signed',
		skillCode: 'W12',
		make({ random, turning }) {
			const size = turning(1, 10);
			const [low, high] = random.pick([
				[-12, 12],
				[-15, 10],
				[-11, 14]
			]);
			const key = -size;
			return lineItem({
				stem: `The tide mark stands at ${formatNumber(key)} on a line from ${formatNumber(low)} to ${high}. Mark ${formatNumber(key)} on the line.`,
				line: { from: low, to: high, step: 1, labelEvery: high - low },
				key,
				wrong: [
					[size, 'signIgnored'],
					[low + size, 'biggerNegative'],
					[key + 1, 'countTicks'],
					[key - 1, 'countTicks']
				],
				hint: 'Find 0 first. Negative numbers lie to the left of 0.',
				solution: [`Start at 0 and count ${size} to the left.`, `That place is ${formatNumber(key)}.`]
			});
		}
	},
	{
		id: 'order-signed-values',
		skillCode: 'W12',
		make({ random, turning }) {
			const lowest = -turning(7, 16);
			const middle = -random.integer(2, 6);
			const values = [lowest, middle, random.integer(0, 1), random.integer(2, 9)];
			const texts = values.map(formatNumber);
			const bySize = [...values].sort((a, b) => Math.abs(a) - Math.abs(b)).map(formatNumber);
			return orderItem(random, {
				stem: 'Put these temperatures in order.',
				sorted: texts,
				direction: 'coldest first',
				misordered: [[bySize, 'signIgnored']],
				hint: 'The farther below 0, the colder.',
				solution: [`From coldest to warmest: ${texts.join(', ')}.`]
			});
		}
	},
	{
		id: 'add-signed',
		skillCode: 'W13',
		make({ random, turning }) {
			const start = -turning(3, 15);
			const rise = random.integer(2, 19);
			const key = start + rise;
			return numberItem({
				stem: `At dawn it was ${formatNumber(start)} degrees. By noon it was ${rise} degrees warmer. What was the temperature at noon, in degrees?`,
				key,
				wrong: [
					[-start + rise, 'signIgnored'],
					[start - rise, 'addSizes'],
					[-key, 'signIgnored']
				],
				hint: 'Warmer means up. Count up from the dawn temperature, through 0 if needed.',
				solution: [
					`${formatNumber(start)} + ${rise}: go ${rise} up from ${formatNumber(start)}.`,
					`That is ${formatNumber(key)}.`
				]
			});
		}
	}
];
