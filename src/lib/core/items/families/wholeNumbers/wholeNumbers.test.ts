import { checkFamilies, figureOf, keyText, marks, numbersIn, optionsOf, ordered } from '../familyChecks';
import { wholeNumbersFamilies } from '.';

const number = (text: string) => numbersIn(text)[0];
const digitsOf = (value: number) => [...String(value)].reverse().map(Number);
const divisible = (value: number, by: number) => value % by === 0;
const isPrime = (value: number) =>
	value > 1 && Array.from({ length: value - 2 }, (_, i) => i + 2).every((one) => !divisible(value, one));
const lcm = (a: number, b: number) => {
	let multiple = a;
	while (!divisible(multiple, b)) multiple += a;
	return multiple;
};
const gcd = (a: number, b: number) => {
	let best = 1;
	for (let one = 1; one <= Math.min(a, b); one++) if (divisible(a, one) && divisible(b, one)) best = one;
	return best;
};
const calculate = (text: string) => {
	// Times before plus and minus, from left to right.
	const sum = text
		.replaceAll('\u2212', '-')
		.replaceAll(/\d+(?: × \d+)+/g, (product) =>
			String(product.split(' × ').reduce((all, one) => all * Number(one), 1))
		);
	return sum.split(/ (?=[+-])/).reduce((all, one) => all + Number(one.replace(/ /g, '')), 0);
};
const spelled = (text: string) => {
	const words =
		'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
			' '
		);
	const tens = '. . twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
	let total = 0;
	let part = 0;
	for (const word of text.split(/[ -]/)) {
		if (words.includes(word)) part += words.indexOf(word);
		else if (tens.includes(word)) part += 10 * tens.indexOf(word);
		else if (word === 'hundred') part *= 100;
		else if (word === 'thousand') [total, part] = [total + 1_000 * part, 0];
	}
	return total + part;
};
const scientific = (text: string) => {
	const [a, , power] = numbersIn(text.replace(/10\^\{(-?\d+)\}/, '10 $1').replace(' -', ' \u2212'));
	return a * 10 ** power;
};
const superscripts = (text: string) =>
	[...text.matchAll(/(-?\d+)\^\{?(-?\d+)\}?/g)].map(([, base, power]) => [base, power].map(Number));

checkFamilies(wholeNumbersFamilies, {
	'number-after': (n, { stem }) => Number(/said (\d+)/.exec(stem)![1]) + 1,
	'count-back': ([a]) => [a - 2, a - 3],
	'blocks-to-number': (_, item) => 10 * figureOf(item, 'blocks').tens + figureOf(item, 'blocks').ones,
	'tens-and-ones': ([a]) => [Math.floor(a / 10), a % 10],
	'compare-sign': ([a, b]) => (a < b ? '<' : '>'),
	'order-to-100': (_, item) => ordered(item, Number),
	'add-tens': ([a, tens]) => a + 10 * tens,
	'ten-less-ten-more': ([, a]) => [a - 10, a + 10],
	'expanded-to-number': ([ones, hundreds, , tens]) => ones + 100 * hundreds + 10 * tens,
	'blocks-to-1000': (_, item) => {
		const { hundreds, tens, ones } = figureOf(item, 'blocks');
		return hundreds * 100 + tens * 10 + ones;
	},
	'skip-count-next': ([, b, c]) => 2 * c - b,
	'skip-count-gap': ([a, c, e]) => [(a + c) / 2, (c + e) / 2],
	'mark-even': (_, item) => marks(item, (text) => divisible(Number(text), 2) === item.stem.includes('even')),
	'all-in-pairs': (_, item) =>
		optionsOf(item)
			.filter((text) => divisible(Number(text), 2))
			.join() === keyText(item),
	'order-to-1000': (_, item) => ordered(item, Number),
	'greatest-of-three-digits': (cards) => Number([...cards].sort((a, b) => b - a).join('')),
	'rounds-to': ([target], item) => marks(item, (text) => Math.floor((Number(text) + 5) / 10) * 10 === target),
	'words-to-number': (_, { stem }) => spelled(/has (.*) birds/.exec(stem)![1]),
	'digit-worth-large': ([value], { stem }) => {
		const place = /hundred thousands/.test(stem) ? 5 : /ten thousands/.test(stem) ? 4 : 3;
		return digitsOf(value)[place] * 10 ** place;
	},
	'add-to-20': ([a, b]) => a + b,
	'make-ten': ([a, b]) => a + b - 10,
	'take-away-20': ([a, b]) => a - b,
	'fact-family': ([a, b, total], item) => {
		const [x, y, z] = numbersIn(keyText(item));
		return x - y === z && [x, y, z].sort().join() === [a, b, total].sort().join();
	},
	'put-together-100': ([a, b]) => a + b,
	'take-away-1000': ([a, b]) => a - b,
	'two-step-packs': ([packs, each, used]) => packs * each - used,
	'which-calculation': ([a, b, c], item) => calculate(keyText(item)) === a + b * c,
	'add-large': ([a, b]) => a + b,
	'subtract-large': ([a, b]) => a - b,
	'digit-worth': ([n], { stem }) => {
		const place = ['ones', 'tens', 'hundreds'].findIndex((name) => stem.includes(`the ${name} place`));
		return Number(String(n)[2 - place] + '0'.repeat(place));
	},
	'take-away-100': ([a, b]) => a - b,
	'put-together-1000': ([a, b]) => a + b,
	'equal-groups': ([a, b]) => a * b,
	facts: ([a, b]) => a * b,
	'multiples-true': ([factor], item) => marks(item, (text) => divisible(Number(text), factor)),
	'share-equally': ([a, b]) => a / b,
	round: ([n], { stem }) => (stem.includes('ten.') ? Math.floor((n + 5) / 10) * 10 : Math.floor((n + 50) / 100) * 100),
	'multiply-by-one-digit': ([a, b]) => a * b,
	'remainder-in-context': ([people, seats]) => Math.ceil(people / seats),
	'order-of-operations': ([a, b, c, d]) => a + b * (c - d),
	'multiply-two-digits': ([a, b]) => a * b,
	'build-rows': ([rows, each]) => [rows, each],
	'array-to-product': (_, item) => {
		const { rows, columns } = figureOf(item, 'dots');
		return `${rows} × ${columns}`;
	},
	'divide-fact': ([a, b]) => a / b,
	'one-digit-times-tens': ([a, b]) => a * b,
	'product-in-tens': (_, { response }) =>
		response.kind === 'fill' && response.blanks.map(({ before }) => numbersIn(before).reduce((a, b) => a * b)),
	'split-missing-part': ([rows, , , , first]) => rows - first,
	'same-product': ([a, b], item) => calculate(keyText(item)) === a * b,
	'parts-of-a-product': ([a, b]) => {
		const [ones, tens, hundreds] = digitsOf(a);
		return [100 * hundreds * b, 10 * tens * b, ones * b, a * b];
	},
	'quotient-and-remainder': ([a, b]) => [Math.floor(a / b), a % b],
	'divide-three-digits': ([a, b]) => a / b,
	'zero-in-quotient': ([a, b]) => a / b,
	'without-parentheses': (_, { stem }) => calculate(/Work out (.*)\./.exec(stem)![1]),
	'times-power-of-ten': ([a, b]) => a * b,
	'power-of-ten-table': ([a]) => [a / 10, a / 100],
	'four-parts': ([a, b]) => a * b,
	'divide-by-two-digits': ([a, b]) => a / b,
	'two-digit-remainder': ([a, b]) => [Math.floor(a / b), a % b],
	'mark-factors': ([a], item) => marks(item, (text) => divisible(a, Number(text))),
	'common-multiple': ([a, b], item) =>
		optionsOf(item)
			.filter((text) => divisible(Number(text), a) && divisible(Number(text), b))
			.join() === keyText(item),
	'mark-primes': (_, item) => marks(item, (text) => isPrime(Number(text))),
	'last-prime-factor': ([n, , a, b]) => n / a / b,
	'value-of-power': (_, { stem }) => {
		const [[base, exponent]] = superscripts(stem);
		return Array<number>(exponent)
			.fill(base)
			.reduce((a, b) => a * b);
	},
	'write-as-power': (n, item) => {
		const [[base, exponent]] = superscripts(keyText(item));
		return n.every((one) => one === base) && n.length === exponent;
	},
	'greatest-common-factor': ([a, b]) => gcd(a, b),
	'least-common-multiple': ([a, b]) => lcm(a, b),
	'product-of-powers':
		(_, { stem }) =>
		({ x }) => {
			const [, a, b] = /x\^\{(\d+)\} .* x\^\{(\d+)\}/.exec(stem)!.map(Number);
			return x ** a * x ** b;
		},
	'quotient-of-powers': (_, { stem }) => {
		const [[base, a], [, b]] = superscripts(stem);
		return Math.round(Math.log(base ** a / base ** b) / Math.log(base));
	},
	'side-of-square': ([area]) => Math.sqrt(area),
	'cube-root': (_, { response }) =>
		response.kind === 'fill' && [
			Math.cbrt(number(response.blanks[0].before)),
			Math.sqrt(number(response.blanks[1].before))
		],
	'root-between': (n) => [Math.floor(Math.sqrt(n[0])), Math.ceil(Math.sqrt(n[0]))],
	'root-on-line': ([n]) => Math.round(10 * Math.sqrt(n)) / 10,
	'exponent-of-ten': ([n], { key }) => {
		const [first, power] = (key as string[]).map(Number);
		return first >= 1 && first < 10 && Math.abs((first * 10 ** power) / n - 1) < 1e-9;
	},
	'order-scientific': (_, item) => ordered(item, scientific),
	'place-signed': ([n]) => n,
	'order-signed-values': (_, item) => ordered(item, number),
	'add-signed': ([a, b]) => a + b,
	'farther-from-zero': (n, item) => Math.max(...n.slice(0, 4).map(Math.abs)) === Math.abs(number(keyText(item))),
	'distance-from-zero': ([a, b]) => Math.abs(a) - Math.abs(b),
	'subtract-signed': ([a, b]) => a - b,
	'multiply-signed': ([a, b]) => a * b,
	'divide-signed': ([a, hours]) => a / hours,
	'signed-expression': ([a, b, c]) => a + b * c,
	'square-of-signed': (_, { stem }) => {
		const [, a, b] = /\((-\d+)\)\^2 - (\d+)/.exec(stem)!.map(Number);
		return a * a - b;
	}
});
