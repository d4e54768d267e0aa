import {
	ascending,
	checkFamilies,
	figureOf,
	fractionIn,
	keyText,
	marks,
	numbersIn,
	optionsOf,
	ordered,
	rowOf
} from '../familyChecks';
import { fractionsFamilies } from '.';

const number = (text: string) => numbersIn(text)[0];
const largestFraction = (texts: string[]) =>
	texts.reduce((best, text) => (fractionIn(text) > fractionIn(best) ? text : best));
const signedFraction = (text: string) =>
	text.includes('frac') ? fractionIn(text.replace('-', '')) * (text.includes('-') ? -1 : 1) : number(text);
const PART: Record<string, number> = { half: 2, third: 3, fourth: 4 };
const partNamed = (stem: string) => PART[/one (half|third|fourth)/.exec(stem)![1]];

checkFamilies(fractionsFamilies, {
	'fair-shares': (_, item) =>
		keyText(item).includes('same size') && number(keyText(item)) === (item.stem.startsWith('Two') ? 2 : 4),
	'shade-half': (_, { stem, response }) =>
		response.kind === 'shade' && (response.rows * response.columns) / partNamed(stem),
	'shade-equal-part': (_, { stem, response }) =>
		response.kind === 'shade' && (response.rows * response.columns) / partNamed(stem),
	'shade-fraction': ([top, bottom], { response }) => response.kind === 'shade' && (response.columns * top) / bottom,
	'read-fraction-mark': (_, item) => figureOf(item, 'line').marks[0].at,
	'larger-like-fraction': (_, item) => largestFraction(optionsOf(item)),
	'order-like-fractions': (_, item) => ordered(item, fractionIn),
	'part-of-set': ([total, top, bottom]) => (total * top) / bottom,
	'several-parts-of-set': ([total, top, bottom]) => (total * top) / bottom,
	'shade-equivalent': ([top, bottom], { response }) =>
		response.kind === 'shade' && (response.rows * response.columns * top) / bottom,
	'lowest-terms': ([top, bottom], item) => fractionIn(keyText(item)) === top / bottom,
	'mixed-to-fraction': ([whole, top, bottom]) => (whole + top / bottom) * bottom,
	'fraction-to-mixed': ([all, bottom]) => [Math.floor(all / bottom), all % bottom],
	'larger-fraction': ([a, b, c, d], item) => {
		const [x, y, u, v] = numbersIn(keyText(item));
		return a / b > c / d && x / y === a / b && u / v === c / d && keyText(item).includes('is more than');
	},
	'take-like-parts': ([a, p, b, q]) => a / p - b / q,
	'share-as-fraction': ([things, people]) => things / people,
	'equal-parts': ([n]) => ({ 2: 'a half', 3: 'a third', 4: 'a fourth' })[n]!,
	'shaded-strip': (_, item) => figureOf(item, 'grid').shaded / figureOf(item, 'grid').columns,
	'place-fraction': ([top, bottom]) => top / bottom,
	'equivalent-missing': ([top, bottom, wanted]) => (top / bottom) * wanted,
	'order-fractions': (_, item) => ascending((item.key as number[]).map((i) => fractionIn(optionsOf(item)[i]))),
	'add-like-parts': ([a, p, b, q]) => a / p + b / q,
	'add-unlike-parts': ([a, p, b, q]) => a / p + b / q,
	'fraction-times-whole': ([a, p, n]) => (a / p) * n,
	'subtract-unlike-parts': ([a, p, b, q]) => a / p - b / q,
	'fraction-of-amount': ([total, top, bottom]) => (total * top) / bottom,
	'fraction-of-fraction': ([a, b, c, d]) => (a / b) * (c / d),
	'shade-product': ([c, rows, a, columns], { response }) =>
		response.kind === 'shade' && Math.round((c / rows) * (a / columns) * response.rows * response.columns),
	'whole-by-unit': ([whole, top, bottom]) => whole / (top / bottom),
	'unit-by-whole': ([top, bottom, people]) => top / bottom / people,
	'divide-fractions': ([a, b, c, d]) => a / b / (c / d),
	'how-many-fit': ([a, b, c, d]) => Math.round(a / b / (c / d)),
	'shade-decimal': ([, share]) => share * 100,
	'fraction-to-decimal': ([top, bottom]) => top / bottom,
	'place-decimal': ([n]) => n,
	'read-decimal-mark': (_, item) => figureOf(item, 'line').marks[0].at,
	'order-decimals': (_, item) => ordered(item, Number),
	'digit-worth-decimal': (_, { stem }) => {
		const digits = /of \d+\.(\d{3})/.exec(stem)![1];
		const place = /thousandths/.test(stem) ? 3 : /hundredths/.test(stem) ? 2 : 1;
		return Number(digits[place - 1]) * 0.1 ** place;
	},
	'thousandths-as-decimal': ([whole, thousandths]) => whole + thousandths / 1_000,
	'add-decimals': ([a, b]) => a + b,
	'subtract-decimals': ([b, a]) => a - b,
	'round-decimal': ([n]) => Math.floor(n * 10 + 0.5 + 1e-9) / 10,
	'round-to-whole': ([n]) => Math.floor(n + 0.5),
	'multiply-decimals': ([a, b]) => a * b,
	'price-of-weight': ([price, weight]) => price * weight,
	'divide-by-decimal': ([total, piece]) => total / piece,
	'share-decimal': ([people, total]) => total / people,
	'match-forms': (_, { response, key }) =>
		response.kind === 'match' &&
		response.left.every(
			(text, i) => Math.abs(fractionIn(text) - number(response.options[(key as number[])[i]]) / 100) < 1e-9
		),
	'percent-to-decimal': ([n]) => n / 100,
	'fraction-as-long-decimal': (n) => (n.length === 3 ? n[0] + n[1] / n[2] : n[0] / n[1]),
	'which-repeats': (_, item) => {
		const repeats = (bottom: number) => {
			let rest = bottom;
			for (const prime of [2, 5]) while (rest % prime === 0) rest /= prime;
			return rest > 1;
		};
		return (
			optionsOf(item)
				.filter((text) => repeats(numbersIn(text)[1]))
				.join() === keyText(item)
		);
	},
	'add-signed-decimals': ([a, b]) => a + b,
	'order-signed-fractions': (_, item) => ordered(item, signedFraction),
	'compare-decimals': (n) => Math.max(...n),
	'scale-ratio': ([a, b, wanted]) => (wanted / a) * b,
	'percent-of': ([amount, percent]) => (amount * percent) / 100,
	'percent-change-true': ([price, percent], item) => {
		const now = price * (1 - percent / 100);
		return marks(item, (text) => {
			const [value] = numbersIn(text);
			if (text.startsWith('The new price')) return Math.abs(value - now) < 1e-9;
			if (text.startsWith('The price fell')) return Math.abs(value - (price - now)) < 1e-9;
			return Math.abs(now * (1 + value / 100) - price) < 1e-9;
		});
	},
	'ratio-table': ([a, b, p, q]) => [(p / a) * b, (q / a) * b],
	'price-for-one': ([count, total]) => total / count,
	'better-buy': (_, item) => {
		const rate = (text: string) => {
			const [kilograms, dollars] = numbersIn(text);
			return kilograms ? dollars / kilograms : Infinity;
		};
		return optionsOf(item).every((text) => rate(text) >= rate(keyText(item)));
	},
	'percent-bar': ([amount, percent]) => (amount * percent) / 100,
	'percent-of-total': ([part, total]) => (100 * part) / total,
	'percent-of-two-parts': ([young, old]) => (100 * young) / (young + old),
	'price-after-change': ([price, percent], { stem }) =>
		price * (1 + ((stem.includes('rises') ? 1 : -1) * percent) / 100),
	'percent-of-change': ([before, after]) => (100 * (after - before)) / before,
	'constant-of-table': (_, item) => {
		const [x, y] = figureOf(item, 'table').rows[2].map(Number);
		return y / x;
	},
	'which-is-proportional': (_, item) =>
		keyText(item).includes('for each hour') && numbersIn(keyText(item)).length === 1,
	'whole-from-percent': ([part, percent]) => (100 * part) / percent,
	'price-before-discount': ([percent, now]) => now / (1 - percent / 100),
	'faster-of-two': (_, item) => {
		const [, a] = /d = (\d+)t/.exec(item.stem)!.map(Number);
		const b = Number(rowOf(item, '2')[1]) / 2;
		return a > b ? 'Ferry A' : 'Ferry B';
	},
	'difference-of-rates': (n, { stem }) => {
		const [, a] = /w = (\d+)t/.exec(stem)!.map(Number);
		const [, liters, seconds] = /moves (\d+) liters in (\d+) seconds/.exec(stem)!.map(Number);
		return liters / seconds - a;
	},
	'percent-twice': ([start, percent]) => start * (1 + percent / 100) * (1 + percent / 100),
	'up-then-down': ([start, percent]) => start * (1 + percent / 100) * (1 - percent / 100)
});
