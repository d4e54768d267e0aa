import { choiceItem, numberItem, type ItemFamily } from '../family';
import { clockTime, duration, formatNumber } from '../text';

export const measurement: ItemFamily[] = [
	{
		id: 'read-ruler',
		skillCode: 'M01',
		make({ random, turning }) {
			const length = turning(3, 12);
			const from = random.integer(1, 14 - length + 1);
			return numberItem({
				stem: 'How long is the pencil, in centimeters?',
				figure: { kind: 'ruler', from, to: from + length, unit: 'cm' },
				key: length,
				unit: 'cm',
				wrong: [
					[from + length, 'rulerEnd'],
					[length + 1, 'countTicks']
				],
				hint: 'The pencil does not start at 0. Count the spaces beside it.',
				solution: [
					`The pencil goes from ${from} to ${from + length}.`,
					`${from + length} − ${from} = ${length} centimeters.`
				]
			});
		}
	},
	{
		id: 'read-clock',
		skillCode: 'M02',
		make({ random, turning }) {
			const hour = random.integer(1, 12);
			const mark = turning(1, 11);
			const minute = 5 * mark;
			const show = (h: number, m: number) => `${((h - 1 + 12) % 12) + 1}:${String(m).padStart(2, '0')}`;
			return choiceItem(random, {
				stem: 'What time does the clock show?',
				figure: { kind: 'clock', hour, minute },
				right: show(hour, minute),
				wrong: [
					[show(mark, (hour % 12) * 5), 'handsSwapped'],
					[show(hour, mark), 'minuteFace'],
					[show(hour + 1, minute), 'hourNearest'],
					[show(hour, (minute + 30) % 60), null]
				],
				hint: 'The short hand tells the hour that has passed. Count by fives for the long hand.',
				solution: [
					`The short hand is past ${hour}.`,
					`The long hand is at ${mark}: ${mark} × 5 = ${minute} minutes.`,
					`It is ${show(hour, minute)}.`
				]
			});
		}
	},
	{
		id: 'elapsed-same-half',
		skillCode: 'M05',
		make({ random, turning }) {
			const start = 60 * random.integer(13, 18) + 5 * random.integer(4, 11);
			const lasts = 5 * turning(7, 20);
			const end = start + lasts;
			const hundred = Math.floor(end / 60) * 100 + (end % 60) - (Math.floor(start / 60) * 100 + (start % 60));
			return numberItem({
				stem: `A boat leaves at ${clockTime(start)} for its tour. It is back at ${clockTime(end)} How many minutes does the tour take?`,
				key: lasts,
				unit: 'minutes',
				wrong: [
					[hundred, 'hourAsHundred'],
					[lasts + 60, 'hourTooMany'],
					[Math.abs((end % 60) - (start % 60)), 'minutesOnly']
				],
				hint: 'Jump to the next full hour first, then on to the end.',
				solution: [
					`From ${clockTime(start)} to ${clockTime(start - (start % 60) + 60)} is ${60 - (start % 60)} minutes.`,
					`From there to ${clockTime(end)} is ${end - (start - (start % 60) + 60)} minutes.`,
					`${60 - (start % 60)} + ${end - (start - (start % 60) + 60)} = ${lasts} minutes.`
				]
			});
		}
	},
	{
		id: 'convert-to-smaller',
		skillCode: 'M06',
		make({ random, turning }) {
			const [large, small, factor, thing] = random.pick([
				['meters', 'centimeters', 100, 'rope'],
				['kilometers', 'meters', 1_000, 'shore path'],
				['liters', 'milliliters', 1_000, 'soup'],
				['kilograms', 'grams', 1_000, 'flour'],
				['hours', 'minutes', 60, 'tide watch']
			] as const);
			const amount = turning(3, 17);
			const is = { rope: 'long', 'shore path': 'long', 'tide watch': 'long' }[thing as string];
			const other = factor === 60 ? 100 : factor === 100 ? 10 : 100;
			return numberItem({
				stem: is
					? `A ${thing} is ${amount} ${large} long. How many ${small} is that?`
					: `A cook has ${amount} ${large} of ${thing}. How many ${small} is that?`,
				key: amount * factor,
				unit: small,
				wrong: [
					[amount * other, factor === 60 ? 'hourAsHundred' : 'wrongFactor'],
					[amount + factor, 'addInsteadMultiply'],
					[amount * 10, 'wrongFactor']
				],
				hint: `How many ${small} are in 1 ${large.slice(0, -1)}?`,
				solution: [
					`1 ${large.slice(0, -1)} is ${formatNumber(factor)} ${small}.`,
					`${amount} × ${formatNumber(factor)} = ${formatNumber(amount * factor)} ${small}.`
				]
			});
		}
	},
	{
		id: 'missing-angle',
		skillCode: 'M07',
		make({ random, turning }) {
			const whole = random.pick([90, 180]);
			const first = whole === 90 ? 5 * turning(4, 14) : 5 * turning(9, 29);
			const key = whole - first;
			const other = (whole === 90 ? 180 : 90) - first;
			return numberItem({
				stem:
					whole === 90
						? `A square corner is split in two. One part measures ${first}°. How many degrees does the other part measure?`
						: `A straight angle is split in two. One part measures ${first}°. How many degrees does the other part measure?`,
				figure: { kind: 'angle', first, second: key },
				key,
				wrong: [
					other > 0 ? [other, 'otherWholeAngle'] : [360 - first, 'angleFullTurn'],
					[360 - first, 'angleFullTurn'],
					[whole + first, 'angleAddGiven']
				],
				hint: whole === 90 ? 'A square corner is 90°.' : 'A straight angle is 180°.',
				solution: [`The two parts make ${whole}°.`, `${whole} − ${first} = ${key}, so it is ${key}°.`]
			});
		}
	},
	{
		id: 'elapsed-over-noon',
		skillCode: 'M09',
		make({ random, turning }) {
			const start = 60 * random.integer(9, 11) + 5 * turning(1, 11);
			const lasts = 60 * random.integer(2, 5) + 5 * random.integer(1, 11);
			const end = start + lasts;
			return choiceItem(random, {
				stem: `A train along the coast leaves at ${clockTime(start)} It arrives at ${clockTime(end)} How long is the trip?`,
				right: duration(lasts),
				wrong: [
					[duration(lasts + 60), 'hourTooMany'],
					[duration(Math.max(5, lasts - 60)), 'hourTooFew'],
					[duration(lasts + 40), 'hourAsHundred'],
					[duration(lasts + 12 * 60), 'noonTwice']
				],
				hint: 'Jump to noon first, then on to the end.',
				solution: [
					`From ${clockTime(start)} to noon is ${duration(12 * 60 - start)}.`,
					`From noon to ${clockTime(end)} is ${duration(end - 12 * 60)}.`,
					`Together that is ${duration(lasts)}.`
				]
			});
		}
	},
	{
		id: 'map-scale',
		skillCode: 'M12',
		make({ random, turning }) {
			const shown = random.pick([2, 4, 5]);
			const means = shown * random.pick([3, 5, 6, 8]);
			const length = shown * turning(2, 11);
			const key = (length / shown) * means;
			return numberItem({
				stem: `On a map, ${shown} cm stands for ${means} km. Two harbors are ${length} cm apart on the map. How many kilometers apart are they?`,
				key,
				unit: 'km',
				wrong: [
					[length, 'scaleUnused'],
					[length + means - shown, 'additiveRatio'],
					[length * means, 'amountAsFactor']
				],
				hint: `How many times does ${shown} cm fit into ${length} cm?`,
				solution: [`${length} ÷ ${shown} = ${length / shown}.`, `${length / shown} × ${means} = ${key} kilometers.`]
			});
		}
	}
];
