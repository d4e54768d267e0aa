import { checkFamilies, figureOf, keyText, marks, numbersIn, optionsOf, rowOf } from '../familyChecks';
import { patternsFamilies } from '.';

/** Both sides of a line of sums worked out. */
const sides = (text: string) =>
	text.split(' = ').map((side) => side.split(' + ').reduce((sum, one) => sum + Number(one), 0));
type InX = (x: number) => number;
const known = new Map<string, InX>();
/** A side of an equation in x, worked out. */
function at(side: string, x: number): number {
	let value = known.get(side);
	if (!value) {
		const code = side
			.replace(/\\frac\{(\w+)\}\{(\w+)\}/g, '($1/$2)')
			.replace(/\\cdot/g, '*')
			.replace(/(\d|\))(?=[x(])/g, '$1*');
		known.set(side, (value = new Function('x', `return ${code}`) as InX));
	}
	return value(x);
}
const equation = (stem: string) => /\$([^$]*=[^$]*)\$/.exec(stem)![1].split(' = ');
/** The x that makes both sides of the stem's equation equal, among whole numbers. */
function solution(stem: string): number {
	const [left, right] = equation(stem);
	const solutions = Array.from({ length: 1_001 }, (_, i) => i - 500).filter(
		(x) => Math.abs(at(left, x) - at(right, x)) < 1e-9
	);
	if (solutions.length !== 1) throw new Error(`${solutions.length} solutions: ${stem}`);
	return solutions[0];
}
const equal = (one: string, other: string) => [0, 1, 2, 5, -3].every((x) => Math.abs(at(one, x) - at(other, x)) < 1e-9);
const formula = (text: string) => text.replaceAll('$', '');
const holds = (inequality: string, x: number) => {
	const [left, sign, right] = formula(inequality).split(/ (<|>|\\le|\\ge) /);
	const difference = at(left, x) - at(right, x);
	return { '<': difference < 0, '>': difference > 0, '\\le': difference <= 0, '\\ge': difference >= 0 }[sign]!;
};
const pairs = (text: string) => [...text.matchAll(/\((\d+), (\d+)\)/g)].map(([, x, y]) => [x, y]);
/** Slope and starting value of the line through A and B of a plane. */
function lineOf(item: Parameters<typeof figureOf>[0]) {
	const [a, b] = figureOf(item, 'plane').points;
	const slope = (b.y - a.y) / (b.x - a.x);
	return { slope, start: a.y - slope * a.x };
}

checkFamilies(patternsFamilies, {
	'next-shape': (_, item) => {
		const { shapes } = figureOf(item, 'row');
		// The shortest unit that repeats through the row tells what comes next.
		const unit = [2, 3, 4].find((length) => shapes.every((shape, i) => i < length || shape === shapes[i - length]))!;
		return `a ${shapes[shapes.length % unit]}`;
	},
	'true-equations': (_, item) => marks(item, (text) => sides(text)[0] === sides(text)[1]),
	'balance-sides': ([a, b, c]) => a + b - c,
	'missing-addend': (n) => n[1] - n[0],
	'missing-start': ([gone, left]) => gone + left,
	'missing-number-100': ([a, b], { stem }) => (stem.includes('\u2212') ? a + b : b - a),
	'change-unknown': ([before, after]) => after - before,
	'pattern-in-the-middle': ([a, b, c]) => [2 * b - a, 2 * c - (2 * b - a)],
	'unknown-factor': ([a, b]) => b / a,
	'unknown-dividend': ([a, b]) => a * b,
	'tiles-at-step': (n, item) => {
		const [first, second] = figureOf(item, 'stages').stages.map((columns) => columns.reduce((a, b) => a + b));
		return first + (n[0] - 1) * (second - first);
	},
	'pattern-table': ([first, add]) => [first + 3 * add, first + 9 * add],
	'equation-for-story': ([total, each], item) => {
		const [left, right] = formula(keyText(item)).split(' = ');
		return left === `b \\times ${each}` && Number(right) === total;
	},
	'solve-story-letter': ([all, rest, each]) => (all - rest) / each,
	'table-with-rule': (_, item) => {
		const factor = Number(rowOf(item, '7')[1]) / 7;
		const rows = figureOf(item, 'table').rows;
		return [Number(rows[3][0]) * factor, Number(rows[4][1]) / factor];
	},
	'words-to-calculation': ([a, b, c]) => `(${a} + ${b}) × ${c}`,
	'times-as-large': ([times, a, b]) => `${times} × (${a} + ${b})`,
	'compare-two-rules': ([, first, second]) => second / first,
	'plot-pair': ([, a, , b, steps]) => [a * steps, b * steps],
	'equation-for-table': (_, item) => {
		const [x, y] = figureOf(item, 'table').rows[1].map(Number);
		return ({ h }) => (h * y) / x;
	},
	'value-from-equation': (_, { stem }) => {
		const [, start, rate] = /d = (\d+) \+ (\d+)h/.exec(stem)!.map(Number);
		const [, one, other] = /after (\d+) and after (\d+)/.exec(stem)!.map(Number);
		return [start + rate * one, start + rate * other];
	},
	'continue-pattern': (n) => 2 * n[3] - n[2],
	'rule-of-table': (_, item) => {
		const [x, y] = figureOf(item, 'table').rows[2].map(Number);
		return `Multiply by ${y / x}`;
	},
	'write-expression': ([fixed, each], item) => {
		const [, a, b] = /^\$(\d+)h \+ (\d+)\$$/.exec(keyText(item))!;
		return Number(a) === each && Number(b) === fixed;
	},
	'one-step-equation': (_, { stem }) => solution(stem),
	'two-step-equation': (_, { stem }) => solution(stem),
	'expression-of-story':
		([start, each]) =>
		({ h }) =>
			start - each * h,
	'value-with-letter': (_, { stem }) => at(/of \$([^$]*)\$ for/.exec(stem)![1], Number(/x = (\d+)/.exec(stem)![1])),
	'value-of-formula': (_, { stem }) => {
		const [, a, b] = /a = (\d+)\$ and \$b = (\d+)/.exec(stem)!.map(Number);
		return a ** 2 - 2 * b;
	},
	'mark-equal-expressions': (_, item) => {
		const wanted = /\$([^$]*)\$/.exec(item.stem)![1];
		return marks(item, (text) => equal(formula(text), wanted));
	},
	'common-factor': (_, { stem }) => {
		const [, x, one, factor] = /\$(\d+)x \+ (\d+) = (\d+)\(/.exec(stem)!.map(Number);
		return [x / factor, one / factor];
	},
	'one-step-story': ([total, count]) => total / count,
	'one-step-divided': (_, { stem }) => solution(stem),
	'inequality-of-story': ([limit], item) => {
		const fits = (p: number) => (item.stem.includes('at most') ? p <= limit : p >= limit);
		const said = formula(keyText(item)).replaceAll('p', 'x');
		return [limit - 1, limit, limit + 1].every((p) => holds(said, p) === fits(p));
	},
	'numbers-of-inequality': (_, item) => {
		const said = /\$([^$]*)\$/.exec(item.stem)![1];
		return marks(item, (text) => holds(said, numbersIn(text)[0]));
	},
	'collect-terms':
		(_, { stem }) =>
		({ x }) =>
			at(/\$([^$]*)\$/.exec(stem)![1], x),
	'multiply-out':
		(_, { stem }) =>
		({ x }) =>
			at(/\$([^$]*)\$/.exec(stem)![1], x),
	'two-step-story': ([fixed, each, paid]) => (paid - fixed) / each,
	'solve-two-step-inequality': (_, item) => {
		const given = /\$([^$]*)\$/.exec(item.stem)![1];
		const right = formula(keyText(item));
		return Array.from({ length: 41 }, (__, i) => i - 20).every((x) => holds(given, x) === holds(right, x));
	},
	'least-whole-number': ([have, each, need]) => {
		let weeks = 0;
		while (have + weeks * each < need) weeks++;
		return weeks;
	},
	'equation-with-parentheses': (_, { stem }) => solution(stem),
	'equation-with-fraction': (_, { stem }) => solution(stem),
	'letters-on-both-sides': (_, { stem }) => solution(stem),
	'how-many-solutions': (_, item) => {
		const [left, right] = equation(item.stem);
		const fitting = Array.from({ length: 101 }, (__, i) => i - 50).filter((x) => at(left, x) === at(right, x)).length;
		return fitting > 1
			? 'Every number is a solution'
			: fitting
				? 'There is exactly one solution'
				: 'There is no solution';
	},
	'slope-from-graph': (_, item) => lineOf(item).slope,
	'slope-from-points': ([x, y, u, v]) => (v - y) / (u - x),
	'equation-of-graph':
		(_, item) =>
		({ x }) =>
			lineOf(item).slope * x + lineOf(item).start,
	'plot-intercept': (_, { stem }) => [0, at(/y = ([^$]*)\$/.exec(stem)![1], 0)],
	'which-is-function': (_, item) =>
		optionsOf(item)
			.filter((text) => new Set(pairs(text).map(([x]) => x)).size === pairs(text).length)
			.join('; ') === keyText(item),
	'read-function-value': (_, { stem }) => {
		const [, rule, x] = /f\(x\) = ([^$]*)\$.*f\((-?\d+)\)/.exec(stem)!;
		return at(rule, Number(x));
	},
	'rate-and-start': (_, item) => {
		const [[t, d], [u, e]] = figureOf(item, 'table').rows.map((row) => row.map(Number));
		const rate = (e - d) / (u - t);
		return [rate, d - rate * t];
	},
	'meaning-of-model': (_, item) => {
		const [, start, rate] = /h = (\d+) - (\d+)t/.exec(item.stem)!.map(Number);
		return marks(item, (text) => {
			const n = numbersIn(text);
			if (text.startsWith('At the start')) return n[0] === start;
			if (text.includes('in each hour')) return n[0] === rate;
			return n[1] === start - rate * n[0];
		});
	},
	'plot-crossing': (_, { stem, key }) => {
		const [first, second] = [...stem.matchAll(/y = ([^$]*)\$/g)].map(([, rule]) => rule);
		const [x, y] = key as number[];
		return at(first, x) === y && at(second, x) === y;
	},
	'two-prices': ([a, c, p, , d, q]) => {
		const child = (q - p) / (d - c);
		return [child, (p - c * child) / a];
	}
});
