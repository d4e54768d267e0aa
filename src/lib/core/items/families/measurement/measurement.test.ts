import { checkFamilies, figureOf, marks, numbersIn, ordered, timesIn } from '../familyChecks';
import { measurementFamilies } from '.';

const perUnit: Record<string, number> = { meters: 100, kilometers: 1_000, liters: 1_000, kilograms: 1_000, hours: 60 };
const COINS: [RegExp, number][] = [
	[/(\d+) quarters?/, 25],
	[/(\d+) dimes?/, 10],
	[/(\d+) nickels?/, 5],
	[/(\d+) (?:pennies|penny)/, 1]
];
const worth = (text: string) =>
	COINS.reduce((sum, [name, cents]) => sum + cents * Number(name.exec(text)?.[1] ?? 0), 0);
const total = (values: number[]) => values.reduce((a, b) => a + b, 0);
const inWords = (minutes: number) => {
	const [h, m] = [Math.floor(minutes / 60), minutes % 60];
	return [h && `${h} ${h === 1 ? 'hour' : 'hours'}`, m && `${m} minutes`].filter(Boolean).join(' ');
};
const meters = (text: string) => numbersIn(text)[0] * { km: 1_000, m: 1, cm: 0.01 }[/(km|cm|m)$/.exec(text)![1]]!;
/** Area of a drawn shape from its corners (the shoelace formula). */
const areaOf = (corners: [number, number][]) =>
	Math.abs(
		corners.reduce((sum, [x, y], i) => {
			const [u, v] = corners[(i + 1) % corners.length];
			return sum + x * v - u * y;
		}, 0)
	) / 2;
const labelNumber = (text: string) => numbersIn(text)[0];

checkFamilies(measurementFamilies, {
	'order-lengths': (_, item) => ordered(item, labelNumber),
	'longer-than': (_, { stem }) => {
		const names = [...stem.matchAll(/of (Ana|Ben|Cleo)/g)].map(([, name]) => name);
		// The one that is never said to be longer than another.
		return names.find((name, i) => i % 2 === 1 && !names.filter((__, j) => j % 2 === 0).includes(name)) ?? '';
	},
	'set-half-hours': (n, { stem }) => (stem.includes('half past') ? n[0] * 60 + 30 : n[0] * 60) % 720,
	'read-half-hours': (_, item) => {
		const { hour, minute } = figureOf(item, 'clock');
		return `${hour}:${minute ? 30 : '00'}`;
	},
	'count-coins': (_, item) => total(figureOf(item, 'coins').cents),
	'match-coins': (_, { response, key }) =>
		response.kind === 'match' &&
		response.left.every((text, i) => worth(text) === labelNumber(response.options[(key as number[])[i]])),
	'ruler-from-zero': (_, item) => figureOf(item, 'ruler').to - figureOf(item, 'ruler').from,
	'set-five-minutes': (_, { stem }) => timesIn(stem)[0],
	'coins-to-dollar': (_, item) => 100 - total(figureOf(item, 'coins').cents),
	'mark-amounts': ([cents], item) => marks(item, (text) => worth(text) === cents),
	'lengths-together': ([a, b]) => a + b,
	'how-much-longer': ([a, b]) => a - b,
	'set-minutes': (_, { stem }) => timesIn(stem)[0],
	'read-minutes': (_, item) => {
		const { hour, minute } = figureOf(item, 'clock');
		return `${hour}:${String(minute).padStart(2, '0')}`;
	},
	'set-end-time': (_, { stem }) => (timesIn(stem)[0] + Number(/for (\d+) minutes/.exec(stem)![1])) % 720,
	'read-jug': (_, item) => figureOf(item, 'scale').value,
	'read-weight': (_, item) => figureOf(item, 'scale').value,
	'set-temperature': ([n]) => n,
	'mixed-units': ([whole, rest], { stem }) =>
		whole * (stem.startsWith('How many meters') ? 1_000 : perUnit[/are \d+ (\w+)/.exec(stem)![1]]) + rest,
	'change-from-bill': ([price, bill]) => bill - price,
	'cents-together': ([count, each, bus]) => count * each + bus,
	'arrival-from-timetable': (_, item) => {
		const [, from, to] = /from (\w+) to (\w+)\?/.exec(item.stem)!;
		const rows = figureOf(item, 'table').rows;
		const [start, end] = [from, to].map((stop) => timesIn(rows.find(([name]) => name === stop)![1])[0]);
		return inWords(end - start);
	},
	'to-larger-units': ([n], { stem }) =>
		n / { meters: 100, kilometers: 1_000, kilograms: 1_000, liters: 1_000 }[/many (\w+) are/.exec(stem)![1]]!,
	'order-units': (_, item) => ordered(item, meters),
	'speed-from-trip': (n, { stem }) => {
		if (stem.includes('always equally fast')) return n[0] / n[1];
		return stem.includes('How many hours') ? n[1] / n[0] : n[0] * n[1];
	},
	'time-with-minutes': ([perHour, hours]) => perHour * (hours + 0.5),
	'real-to-map': ([one, per, length]) => (length / per) * one,
	'read-ruler': (_, item) => figureOf(item, 'ruler').to - figureOf(item, 'ruler').from,
	'read-clock': (_, item) => {
		const { hour, minute } = figureOf(item, 'clock');
		return `${hour}:${String(minute).padStart(2, '0')}`;
	},
	'elapsed-same-half': (_, { stem }) => timesIn(stem)[1] - timesIn(stem)[0],
	'convert-to-smaller': ([n], { stem }) =>
		n * perUnit[Object.keys(perUnit).find((unit) => new RegExp(`\\d ${unit}`).test(stem))!],
	'elapsed-over-noon': (_, { stem }) => {
		const [start, end] = timesIn(stem);
		return start < 720 && end > 720 && inWords(end - start);
	},
	'map-scale': ([shown, means, length]) => (length * means) / shown,
	perimeter: ([a, b]) => a + b + a + b,
	'area-in-squares': ([a, b]) => a * b,
	'area-with-corner-cut': ([a, b, c, d]) => a * b - c * d,
	'volume-of-box': ([a, b, c]) => a * b * c,
	'area-of-triangle': ([a, b]) => a * b * 0.5,
	'side-from-perimeter': ([around, side]) => (around - side - side) / 2,
	'build-perimeter': ([rows, around]) => [rows, around / 2 - rows],
	'build-area': ([rows, area]) => [rows, area / rows],
	'side-from-area': ([area, side]) => area / side,
	'area-from-perimeter': ([around, side]) => side * (around / 2 - side),
	'l-shape': (_, item) => areaOf(figureOf(item, 'shape').corners),
	'cubes-in-box': ([a, b, c]) => a * b * c,
	'area-with-half': ([length, top, bottom]) => (length * top) / bottom,
	'area-fraction-by-fraction': ([a, b, c, d]) => (a / b) * (c / d),
	'area-of-parallelogram': (_, item) => areaOf(figureOf(item, 'shape').corners),
	'height-of-parallelogram': ([area, base]) => area / base,
	'triangle-of-three-lengths': (_, item) => areaOf(figureOf(item, 'shape').corners),
	'house-shape': (_, item) => areaOf(figureOf(item, 'shape').corners),
	trapezoid: (_, item) => areaOf(figureOf(item, 'shape').corners),
	'surface-of-box': (_, item) => {
		const { length, width, height } = figureOf(item, 'box');
		return [length * width, length * height, width * height].reduce((sum, face) => sum + 2 * face, 0);
	},
	'surface-in-parts': ([a, b, c]) => [a * b * 2, a * c * 2, b * c * 2],
	circumference: (_, item) => {
		const { line, label } = figureOf(item, 'circle');
		return labelNumber(label) * (line === 'radius' ? 2 : 1) * 3.14;
	},
	'diameter-from-edge': ([edge]) => edge / 3.14,
	'area-of-circle': (_, item) => {
		const { line, label } = figureOf(item, 'circle');
		return 3.14 * (labelNumber(label) / (line === 'radius' ? 1 : 2)) ** 2;
	},
	'ring-or-half': ([radius]) => (3.14 * radius * radius) / 2,
	'volume-of-triangular-prism': ([base, height, length]) => (base * height * length) / 2,
	'prism-from-base-area': ([area, volume]) => volume / area,
	'volume-of-cylinder': ([radius, height]) => 3.14 * radius ** 2 * height,
	'compare-cylinders': ([small, large]) => (large / small) ** 2,
	'volume-of-cone': ([radius, height]) => (3.14 * radius ** 2 * height) / 3,
	'volume-of-sphere': ([radius]) => (4 * 3.14 * radius ** 3) / 3
});
