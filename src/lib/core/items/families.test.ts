import { describe, expect, it } from 'vitest';
import katex from 'katex';
import {
	check,
	describeAnswer,
	itemFamilies,
	itemFrom,
	misconceptionById,
	withoutKey,
	type Answer,
	type Item
} from '.';

const SEEDS = Array.from({ length: 200 }, (_, seed) => seed);

/** Numbers as a reader of the stem finds them, in order; a true minus sign makes them negative. */
function numbersIn(stem: string): number[] {
	return [
		...stem.replaceAll(/\\frac\{(\d+)\}\{(\d+)\}/g, ' $1 $2 ').matchAll(/(?<![\w.])(\u2212)?(\d[\d,]*(?:\.\d+)?)/g)
	].map(([, minus, digits]) => Number(digits.replaceAll(',', '')) * (minus ? -1 : 1));
}

const minutesOf = (text: string) => {
	const [, hour, minute, half] = /(\d+):(\d+) ([ap])/.exec(text)!;
	return (Number(hour) % 12) * 60 + Number(minute) + (half === 'p' ? 720 : 0);
};
const times = (stem: string) => [...stem.matchAll(/\d+:\d+ [ap]\.m\./g)].map(([text]) => minutesOf(text));
const optionText = (item: Item, index: number) => ('options' in item.response ? item.response.options[index] : '');
const rowOf = (item: Item, word: string) =>
	item.figure?.kind === 'table' ? item.figure.rows.find((row) => row[0].toLowerCase() === word.toLowerCase())! : [];
const fraction = (text: string) => {
	const [top, bottom] = numbersIn(text);
	return top / bottom;
};
const perUnit: Record<string, number> = { meters: 100, kilometers: 1_000, liters: 1_000, kilograms: 1_000, hours: 60 };

/**
 * The right answer worked out anew from what a student reads: the numbers in the stem and the figure. A number, a
 * text that the right option must be, or a test of the item.
 */
const independentKeys: Record<string, (n: number[], item: Item) => number | string | boolean> = {
	'digit-worth': ([n], { stem }) => {
		const place = ['ones', 'tens', 'hundreds'].findIndex((name) => stem.includes(`the ${name} place`));
		return Number(String(n)[2 - place] + '0'.repeat(place));
	},
	'take-away-100': ([a, b]) => a - b,
	'put-together-1000': ([a, b]) => a + b,
	'equal-groups': ([a, b]) => a * b,
	facts: ([a, b]) => a * b,
	'share-equally': ([a, b]) => a / b,
	round: ([n], { stem }) =>
		stem.includes('ten?') || stem.includes('ten.') ? Math.floor((n + 5) / 10) * 10 : Math.floor((n + 50) / 100) * 100,
	'multiply-by-one-digit': ([a, b]) => a * b,
	'remainder-in-context': ([people, seats]) => Math.ceil(people / seats),
	'order-of-operations': ([a, b, c, d]) => a + b * (c - d),
	'multiply-two-digits': ([a, b]) => a * b,
	'place-signed': ([n]) => n,
	'add-signed': ([a, b]) => a + b,
	'equal-parts': ([n]) => ({ 2: 'a half', 3: 'a third', 4: 'a fourth' })[n]!,
	'shaded-strip': (_, { figure }) => (figure?.kind === 'strip' ? figure.shaded / figure.parts : NaN),
	'place-fraction': ([top, bottom]) => top / bottom,
	'equivalent-missing': ([top, bottom, wanted]) => (top / bottom) * wanted,
	'order-fractions': (_, item) => ascending((item.key as number[]).map((i) => fraction(optionText(item, i)))),
	'add-like-parts': ([a, p, b, q]) => a / p + b / q,
	'compare-decimals': (n) => Math.max(...n),
	'add-unlike-parts': ([a, p, b, q]) => a / p + b / q,
	'fraction-times-whole': ([a, p, n]) => (a / p) * n,
	'scale-ratio': ([a, b, wanted]) => (wanted / a) * b,
	'percent-of': ([amount, percent]) => (amount * percent) / 100,
	'percent-change-true': ([price, percent], item) => {
		const now = price * (1 - percent / 100);
		const trueOnes = (item.response as { options: string[] }).options.map((text) => {
			const [value] = numbersIn(text);
			if (text.startsWith('The new price')) return Math.abs(value - now) < 1e-9;
			if (text.startsWith('The price fell')) return Math.abs(value - (price - now)) < 1e-9;
			return Math.abs(now * (1 + value / 100) - price) < 1e-9;
		});
		return trueOnes.every((right, i) => right === (item.key as number[]).includes(i));
	},
	'read-ruler': (_, { figure }) => (figure?.kind === 'ruler' ? figure.to - figure.from : NaN),
	'read-clock': (_, { figure }) =>
		figure?.kind === 'clock' ? `${figure.hour}:${String(figure.minute).padStart(2, '0')}` : '',
	perimeter: ([a, b]) => a + b + a + b,
	'area-in-squares': ([a, b]) => a * b,
	'elapsed-same-half': (_, { stem }) => times(stem)[1] - times(stem)[0],
	'convert-to-smaller': ([n], { stem }) =>
		n * perUnit[Object.keys(perUnit).find((unit) => new RegExp(`\\d ${unit}`).test(stem))!],
	'missing-angle': ([n], { stem }) => (stem.startsWith('A square') ? 90 : 180) - n,
	'area-with-corner-cut': ([a, b, c, d]) => a * b - c * d,
	'elapsed-over-noon': (_, { stem }) => {
		const [start, end] = times(stem);
		const [h, m] = [Math.floor((end - start) / 60), (end - start) % 60];
		return `${h} ${h === 1 ? 'hour' : 'hours'}${m ? ` ${m} minutes` : ''}`;
	},
	'volume-of-box': ([a, b, c]) => a * b * c,
	'area-of-triangle': ([a, b]) => a * b * 0.5,
	'map-scale': ([shown, means, length]) => (length * means) / shown,
	'read-bars': (_, { stem, figure }) => {
		if (figure?.kind !== 'bars') return NaN;
		const [, more, less] = /more (\w+) than (\w+)/.exec(stem)!;
		return figure.values[figure.labels.indexOf(more)] - figure.values[figure.labels.indexOf(less)];
	},
	'read-two-way-table': (_, item) => {
		if (item.figure?.kind !== 'table') return NaN;
		const [, bird, one, two] = /many (\w+) were counted on (\w+) and (\w+)/.exec(item.stem)!;
		const column = item.figure.head.indexOf(bird);
		return Number(rowOf(item, one)[column]) + Number(rowOf(item, two)[column]);
	},
	'continue-pattern': (n) => 2 * n[3] - n[2],
	'table-total-cost': ([adults, children], item) =>
		adults * Number(rowOf(item, 'Adult')[1]) + children * Number(rowOf(item, 'Child')[1]),
	'rule-of-table': (_, { figure }) =>
		figure?.kind === 'table' ? `Multiply by ${Number(figure.rows[2][1]) / Number(figure.rows[2][0])}` : '',
	'read-point': (_, { figure }) => (figure?.kind === 'plane' ? `(${figure.points[0].x}, ${figure.points[0].y})` : ''),
	'fair-share-mean': (n) => n.slice(0, 4).reduce((a, b) => a + b) / 4,
	'write-expression': ([fixed, each], item) => {
		const [, a, b] = /^\$(\d+)h \+ (\d+)\$$/.exec(optionText(item, item.key as number))!;
		return Number(a) === each && Number(b) === fixed;
	},
	'missing-value-for-mean': ([a, b, c, mean]) => 4 * mean - a - b - c,
	'one-step-equation': (_, { stem }) => {
		const product = /\$(\d+)x = (\d+)/.exec(stem);
		if (product) return Number(product[2]) / Number(product[1]);
		const [, a, total] = /\$x \+ (\d+) = (\d+)/.exec(stem)!;
		return Number(total) - Number(a);
	},
	'two-step-equation': (_, { stem }) => {
		const [, a, b, total] = /\$(\d+)x \+ (\d+) = (\d+)/.exec(stem)!;
		return (Number(total) - Number(b)) / Number(a);
	},
	'simple-probability': ([white, gray]) => white / (white + gray),
	'order-signed-values': (_, item) => ascending((item.key as number[]).map((i) => numbersIn(optionText(item, i))[0])),
	'multiples-true': ([factor], item) =>
		(item.response as { options: string[] }).options.every(
			(text, i) => (Number(text) % factor === 0) === (item.key as number[]).includes(i)
		),
	'most-frequent-share': (_, item) => {
		const [, one, two] = /by (\w+) than by (\w+)/.exec(item.stem)!;
		return Number(rowOf(item, one)[1]) - Number(rowOf(item, two)[1]);
	}
};

const ascending = (values: number[]) => values.every((value, i) => i === 0 || values[i - 1] < value);

function expectKey(item: Item, expected: number | string | boolean) {
	const { kind } = item.response;
	if (typeof expected === 'boolean') return expect(expected, item.stem).toBe(true);
	if (typeof expected === 'string') return expect(optionText(item, item.key as number), item.stem).toBe(expected);
	if (kind === 'choice')
		return expect(numbersIn(optionText(item, item.key as number))[0], item.stem).toBeCloseTo(expected, 9);
	if (kind === 'fraction')
		return expect(fraction(`$\\frac{${(item.key as string).replace('/', '}{')}}$`), item.stem).toBeCloseTo(expected, 9);
	expect(Number(item.key), item.stem).toBeCloseTo(expected, 9);
}

const texts = (item: Item) => [
	item.stem,
	item.hint,
	...item.solution,
	...('options' in item.response ? item.response.options : [])
];

describe.each(itemFamilies.map((family) => [family.id] as const))('family %s', (id) => {
	const items = SEEDS.map((seed) => itemFrom(id, seed));

	it('has the key that an independent computation from the text gives', () => {
		for (const item of items) expectKey(item, independentKeys[id](numbersIn(item.stem), item));
	});

	it('accepts its key and no expected error, and names each error’s misconception', () => {
		for (const item of items) {
			expect(check(item, item.key)).toEqual({ correct: true, misconception: null, readable: true });
			for (const { answer, misconception } of item.expectedErrors) {
				expect(check(item, answer), `${item.stem} ${JSON.stringify(answer)}`).toEqual({
					correct: false,
					misconception,
					readable: true
				});
				expect(misconceptionById(misconception)).not.toBeNull();
			}
		}
	});

	it('offers distinct options, at least three', () => {
		for (const item of items) {
			if (!('options' in item.response)) continue;
			const { options } = item.response;
			expect(new Set(options).size, item.stem).toBe(options.length);
			expect(options.length, item.stem).toBeGreaterThanOrEqual(3);
		}
	});

	it('has text that renders, no leftovers of code in it, a hint and a solution', () => {
		for (const item of items) {
			expect(item.hint.length).toBeGreaterThan(5);
			expect(item.solution.length).toBeGreaterThan(0);
			for (const text of texts(item)) {
				expect(text).not.toMatch(/undefined|NaN|null|\[object/);
				const parts = text.split('$');
				expect(parts.length % 2, text).toBe(1);
				parts
					.filter((_, i) => i % 2)
					.forEach((formula) => katex.renderToString(formula, { throwOnError: true, output: 'mathml' }));
			}
		}
	});

	it('repeats itself from the same seed and makes no two of ten in a row alike', () => {
		const faces = items.map((item) => JSON.stringify([item.stem, item.figure, item.response]));
		expect(JSON.stringify(itemFrom(id, 7))).toBe(JSON.stringify(items[7]));
		for (let i = 0; i + 10 <= faces.length; i++) expect(new Set(faces.slice(i, i + 10)).size).toBe(10);
	});

	it('keeps the key out of what the student gets', () => {
		expect(Object.keys(withoutKey(items[0])).sort()).toEqual(['figure', 'response', 'stem']);
	});
});

describe('describing answers', () => {
	it('says what was chosen, in the item’s own words', () => {
		const response = { kind: 'choice' as const, options: ['a half', 'a third'] };
		expect(describeAnswer({ response }, 1)).toBe('a third');
		expect(describeAnswer({ response: { kind: 'order', options: ['x', 'y'], direction: '' } }, [1, 0] as Answer)).toBe(
			'y, x'
		);
		expect(describeAnswer({ response: { kind: 'number', unit: 'cm' } }, '5')).toBe('5 cm');
	});
});
