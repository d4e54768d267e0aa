import { choiceItem, family, numberItem, type ItemFamily } from '../../family';

export const scatter: ItemFamily[] = [
	family('D81', 'kind-of-association', ({ random, turning }) => {
		const kind = random.integer(0, 2);
		const start = turning(1, 10);
		const points = Array.from({ length: 8 }, (_, i): [number, number] => {
			const y = [
				2 + i + random.integer(0, 2),
				11 - i - random.integer(0, 2),
				[6, 2, 9, 4, 8, 3, 7, 5][(i + start) % 8]
			][kind];
			return [i + 1, Math.max(1, Math.min(12, y))];
		});
		const names = [
			'As one goes up, the other goes up.',
			'As one goes up, the other goes down.',
			'There is no clear pattern.'
		];
		return choiceItem(random, {
			stem: `Scatter plot ${start} shows hours of practice and mistakes of eight players. What does it show?`,
			figure: {
				kind: 'scatter',
				points,
				across: { name: 'hours', to: 10, step: 1 },
				up: { name: 'mistakes', to: 12, step: 2 }
			},
			right: names[kind],
			wrong: names.filter((_, i) => i !== kind).map((name) => [name, 'associationMixed']),
			hint: 'Follow the points from left to right. Do they rise, fall, or neither?',
			solution: [
				[
					'The points rise from left to right.',
					'The points fall from left to right.',
					'The points neither rise nor fall.'
				][kind]
			]
		});
	}),
	family('D81', 'find-outlier', ({ random, turning }) => {
		const rate = random.pick([1, 2]);
		const at = (turning(1, 10) % 6) + 2;
		const base = turning(1, 10) % 3;
		const points = Array.from({ length: 8 }, (_, i): [number, number] => [i + 1, base + rate * (i + 1) + (i % 2)]);
		const odd: [number, number] = [at, at < 5 ? base + rate * at + 9 : base + Math.max(0, rate * at - 7)];
		points[at - 1] = odd;
		const others = random.shuffle(points.filter(([x]) => x !== at)).slice(0, 3);
		return choiceItem(random, {
			stem: `Eight plants were measured; the points show weeks and height. Which point does not fit the others?`,
			figure: {
				kind: 'scatter',
				points,
				across: { name: 'weeks', to: 10, step: 1 },
				up: { name: 'height, cm', to: 20, step: 2 }
			},
			right: `(${odd.join(', ')})`,
			wrong: others.map((point) => [`(${point.join(', ')})`, 'extremeForOutlier']),
			hint: 'Lay a straight line through the points. Which is far from it?',
			solution: [`All points lie near a line but (${odd.join(', ')}).`]
		});
	}),
	family('D82', 'predict-from-fit', ({ random, turning }) => {
		const slope = random.pick([2, 3, 4]);
		const start = turning(1, 10);
		const at = random.integer(12, 20);
		return numberItem({
			stem: `A line of fit for the weight of pumpkins is $w = ${slope}t + ${start}$, with $t$ in weeks and $w$ in kilograms. What weight does it predict for week ${at}, in kilograms?`,
			key: slope * at + start,
			unit: 'kg',
			wrong: [
				[slope + at + start, 'addInsteadMultiply'],
				[slope * (at + start), 'distributedOnce'],
				[slope * at, 'startForgotten']
			],
			hint: `Put ${at} in the place of t.`,
			solution: [`${slope} × ${at} = ${slope * at}.`, `${slope * at} + ${start} = ${slope * at + start} kilograms.`]
		});
	}),
	family('D82', 'read-line-of-fit', ({ random, turning }) => {
		const slope = random.pick([1, 2]);
		const start = (turning(1, 10) % 4) + 1;
		const at = (turning(1, 10) % 7) + 1;
		const points = [1, 2, 3, 5, 6, 8].map((x, i): [number, number] => [x, slope * x + start + [1, -1, 0, 1, -1, 0][i]]);
		return numberItem({
			stem: `The line fits the points. Which height does the line give for ${at} ${at === 1 ? 'week' : 'weeks'}, in centimeters?`,
			figure: {
				kind: 'scatter',
				points,
				across: { name: 'weeks', to: 10, step: 1 },
				up: { name: 'height, cm', to: 24, step: 2 },
				fit: [0, start, 9, slope * 9 + start]
			},
			key: slope * at + start,
			unit: 'cm',
			wrong: [
				[points.find(([x]) => x === at)?.[1] ?? slope * at + start + 1, 'pointForLine'],
				[at, 'coordinatesSwapped'],
				[slope * at, 'startForgotten']
			],
			hint: 'Go up from the weeks to the line, then across to the number.',
			solution: [`At ${at} the line is at ${slope * at + start}.`]
		});
	})
];
