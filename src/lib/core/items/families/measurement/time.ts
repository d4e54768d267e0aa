import { choiceItem, clockItem, family, numberItem, type ItemFamily } from '../../family';
import { clockFace, clockTime, counted, duration } from '../../text';

const oclock = (minutes: number) => clockFace(((minutes % 720) + 720) % 720);

export const time: ItemFamily[] = [
	family('M12', 'set-half-hours', ({ turning }) => {
		const time = 30 * turning(0, 23);
		const half = time % 60 === 30;
		const hour = Math.floor(time / 60) || 12;
		return clockItem({
			stem: `Set the clock to ${half ? `half past ${hour}` : `${hour} o’clock`}.`,
			step: 30,
			key: time,
			wrong: [
				[half ? time - 60 : time + 30, half ? 'hourTooFew' : 'halfHourIgnored'],
				[half ? time + 60 : time - 30, half ? 'hourTooMany' : 'halfHourIgnored'],
				...(half ? [[time - 30, 'halfHourIgnored'] as [number, 'halfHourIgnored']] : [])
			],
			hint: half
				? 'At half past, the long hand points straight down.'
				: 'On the hour, the long hand points straight up.',
			solution: [
				half ? 'The long hand points at 6.' : 'The long hand points at 12.',
				half ? `The short hand is halfway between ${hour} and ${(hour % 12) + 1}.` : `The short hand points at ${hour}.`
			],
			solutionFigure: { kind: 'clock', hour, minute: time % 60 }
		});
	}),
	family('M12', 'read-half-hours', ({ random, turning }) => {
		const time = 30 * turning(0, 23);
		const [hour, minute] = [Math.floor(time / 60) || 12, time % 60];
		return choiceItem(random, {
			stem: 'What time does the clock show?',
			figure: { kind: 'clock', hour, minute },
			right: oclock(time),
			wrong: [
				[oclock(minute ? time + 60 : time + 30), minute ? 'hourTooMany' : 'halfHourIgnored'],
				[`${minute ? 6 : 12}:${String((hour * 5) % 60).padStart(2, '0')}`, 'handsSwapped'],
				[oclock(time - 30), 'halfHourIgnored']
			],
			hint: 'The short hand tells the hour. When the long hand points down, it is half past.',
			solution: [
				minute
					? `The short hand is past ${hour}, and the long hand is at 6: half past ${hour}.`
					: `The short hand is at ${hour}, and the long hand is at 12.`,
				`It is ${oclock(time)}.`
			]
		});
	}),
	family('M22', 'read-clock', ({ random, turning }) => {
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
	}),
	family('M22', 'set-five-minutes', ({ random, turning }) => {
		const minute = 5 * turning(1, 11);
		const hour = random.integer(1, 12);
		const time = (hour % 12) * 60 + minute;
		return clockItem({
			stem: `The bus leaves at ${hour}:${String(minute).padStart(2, '0')}. Set the clock to this time.`,
			step: 5,
			key: time,
			wrong: [
				[((minute / 5) % 12) * 60 + (hour % 12) * 5, 'handsSwapped'],
				[time + 60, 'hourTooMany'],
				[time - 60, 'hourTooFew']
			],
			hint: 'Count by fives for the long hand. The short hand is past the hour.',
			solution: [
				`${minute / 5} × 5 = ${minute}, so the long hand points at ${minute / 5}.`,
				`The short hand is past ${hour}.`
			],
			solutionFigure: { kind: 'clock', hour, minute }
		});
	}),
	family('M35', 'set-minutes', ({ random, turning }) => {
		const minute = [3, 8, 12, 17, 19, 23, 28, 33, 37, 42, 46, 51, 58][turning(0, 12)];
		const hour = random.integer(1, 12);
		const time = (hour % 12) * 60 + minute;
		return clockItem({
			stem: `High tide is at ${hour}:${String(minute).padStart(2, '0')}. Set the clock to this time.`,
			step: 1,
			key: time,
			wrong: [
				[time + 60, 'hourTooMany'],
				[time - (minute % 5), 'nearestFive'],
				[time - 60, 'hourTooFew']
			],
			hint: 'Go by fives with the long hand first, then minute by minute.',
			solution: [
				`By fives to ${minute - (minute % 5)} minutes, then ${counted(minute % 5, 'minute')} more.`,
				`The short hand is past ${hour}.`
			],
			solutionFigure: { kind: 'clock', hour, minute }
		});
	}),
	family('M35', 'read-minutes', ({ random, turning }) => {
		const minute = [4, 7, 13, 18, 22, 26, 31, 38, 41, 47, 53, 57][turning(0, 11)];
		const hour = random.integer(1, 12);
		const show = (h: number, m: number) => `${((h - 1 + 12) % 12) + 1}:${String(m).padStart(2, '0')}`;
		return choiceItem(random, {
			stem: 'What time does the clock show?',
			figure: { kind: 'clock', hour, minute },
			right: show(hour, minute),
			wrong: [
				[show(hour + 1, minute), 'hourNearest'],
				[show(hour, minute - (minute % 5)), 'nearestFive'],
				[show(hour, (minute + 5) % 60), null]
			],
			hint: 'Which hour has passed? Then count by fives and by ones.',
			solution: [
				`The short hand is past ${hour}.`,
				`The long hand is ${counted(minute % 5, 'mark')} after ${minute - (minute % 5)} minutes: ${show(hour, minute)}.`
			]
		});
	}),
	family('M33', 'elapsed-same-half', ({ random, turning }) => {
		const start = 60 * random.integer(13, 18) + 5 * random.integer(6, 11);
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
	}),
	family('M33', 'set-end-time', ({ random, turning }) => {
		const start = 60 * random.integer(1, 10) + 5 * random.integer(4, 11);
		const lasts = 5 * turning(4, 15);
		const end = start + lasts;
		return clockItem({
			stem: `The bread goes into the oven at ${oclock(start)}. It bakes for ${lasts} minutes. Set the clock to the time when it is done.`,
			step: 5,
			key: end,
			wrong: [
				[start, 'startForEnd'],
				[start - lasts, 'wrongDirection'],
				[start - (start % 60) + ((start + lasts) % 60), 'hourTooFew'],
				[end + 60, 'hourTooMany']
			],
			hint: 'Go to the next full hour first, then on.',
			solution:
				Math.floor(end / 60) > Math.floor(start / 60) && end % 60 > 0
					? [
							`From ${oclock(start)} to ${oclock(start - (start % 60) + 60)} is ${60 - (start % 60)} minutes.`,
							`${lasts} − ${60 - (start % 60)} = ${lasts - (60 - (start % 60))} minutes more: ${oclock(end)}.`
						]
					: [`${lasts} minutes after ${oclock(start)} is ${oclock(end)}.`],
			solutionFigure: { kind: 'clock', hour: Math.floor(end / 60) % 12 || 12, minute: end % 60 }
		});
	}),
	family('M51', 'elapsed-over-noon', ({ random, turning }) => {
		const start = 60 * random.integer(10, 11) + 5 * turning(1, 11);
		const lasts = 60 * random.integer(2, 5) + 5 * random.integer(1, 11);
		const end = start + lasts;
		return choiceItem(random, {
			stem: `A train along the coast leaves at ${clockTime(start)} It arrives at ${clockTime(end)} How long is the trip?`,
			right: duration(lasts),
			wrong: [
				[duration(lasts + 60), 'hourTooMany'],
				[duration(Math.max(5, lasts - 60)), 'hourTooFew'],
				[duration(lasts + 40), 'hourAsHundred']
			],
			hint: 'Jump to noon first, then on to the end.',
			solution: [
				`From ${clockTime(start)} to noon is ${duration(12 * 60 - start)}.`,
				`From noon to ${clockTime(end)} is ${duration(end - 12 * 60)}.`,
				`Together that is ${duration(lasts)}.`
			]
		});
	}),
	family('M51', 'arrival-from-timetable', ({ random, turning }) => {
		const start = 60 * random.integer(9, 11) + 5 * turning(1, 11);
		const legs = [35, 50, 65, 80].map((minutes) => minutes + 5 * random.integer(0, 3));
		const stops = ['Harbor', 'Mill', 'Dunes', 'Lighthouse'];
		const times = [
			start,
			start + legs[0] + 60,
			start + legs[0] + legs[1] + 120,
			start + legs[0] + legs[1] + legs[2] + 150
		];
		const show = (minutes: number) => `${oclock(minutes)} ${minutes < 720 ? 'a.m.' : 'p.m.'}`;
		const [from, to] = random.pick([
			[0, 2],
			[0, 3],
			[1, 3]
		]);
		const lasts = times[to] - times[from];
		return choiceItem(random, {
			stem: `The table shows when the boat calls. How long does it take from ${stops[from]} to ${stops[to]}?`,
			figure: { kind: 'table', head: ['Stop', 'Time'], rows: stops.map((stop, i) => [stop, show(times[i])]) },
			right: duration(lasts),
			wrong: [
				[duration(lasts + 60), 'hourTooMany'],
				[duration(lasts - 60), 'hourTooFew'],
				[duration(lasts + 40), 'hourAsHundred'],
				[duration(times[3] - times[0] === lasts ? times[2] - times[0] : times[3] - times[0]), 'wrongRow']
			],
			hint: 'Go from full hour to full hour, then add the minutes.',
			solution: [
				`It leaves ${stops[from]} at ${show(times[from])} and reaches ${stops[to]} at ${show(times[to])}`,
				`That is ${duration(lasts)}.`
			]
		});
	}),
	family('M65', 'speed-from-trip', ({ random, turning }) => {
		const speed = turning(6, 45);
		const hours = random.integer(2, 6);
		const asks = random.pick(['distance', 'speed', 'time'] as const);
		return numberItem({
			stem: {
				distance: `A boat goes ${speed} kilometers in each hour. How many kilometers does it go in ${hours} hours?`,
				speed: `A boat goes ${speed * hours} kilometers in ${hours} hours, always equally fast. How many kilometers does it go in one hour?`,
				time: `A boat goes ${speed} kilometers in each hour. How many hours does it take for ${speed * hours} kilometers?`
			}[asks],
			key: { distance: speed * hours, speed, time: hours }[asks],
			wrong: {
				distance: [[speed + hours, 'addInsteadMultiply']],
				speed: [
					[speed * hours * hours, 'multiplyInsteadDivide'],
					[speed * hours - hours, 'subtractInsteadDivide']
				],
				time: [
					[speed * hours - speed, 'subtractInsteadDivide'],
					[speed * hours * speed, 'multiplyInsteadDivide']
				]
			}[asks] as [number, 'addInsteadMultiply'][],
			hint: 'Distance is speed times time.',
			solution: [
				asks === 'distance'
					? `${speed} × ${hours} = ${speed * hours} kilometers.`
					: asks === 'speed'
						? `${speed * hours} ÷ ${hours} = ${speed} kilometers.`
						: `${speed * hours} ÷ ${speed} = ${hours} hours.`
			]
		});
	}),
	family('M65', 'time-with-minutes', ({ random, turning }) => {
		const per = turning(4, 15);
		const halves = random.pick([3, 5, 7]);
		return numberItem({
			stem: `A cyclist rides ${2 * per} kilometers in each hour. How many kilometers is that in ${duration(30 * halves)}?`,
			key: per * halves,
			unit: 'km',
			wrong: [
				[Math.round(2 * per * (Math.floor(halves / 2) + 0.3) * 10) / 10, 'minutesAsDecimal'],
				[2 * per * Math.floor(halves / 2), 'fractionPartDropped'],
				[2 * per + halves, 'addInsteadMultiply']
			],
			hint: '30 minutes is half an hour.',
			solution: [
				`${Math.floor(halves / 2)} × ${2 * per} = ${2 * per * Math.floor(halves / 2)} kilometers in whole hours.`,
				`Half an hour: ${per} kilometers. ${2 * per * Math.floor(halves / 2)} + ${per} = ${per * halves}.`
			]
		});
	})
];
