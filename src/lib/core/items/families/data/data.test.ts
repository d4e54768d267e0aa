import { checkFamilies, figureOf, keyText, marks, numbersIn, optionsOf, rowOf } from '../familyChecks';
import { dataFamilies } from '.';

const total = (values: number[]) => values.reduce((a, b) => a + b, 0);
const mean = (values: number[]) => total(values) / values.length;
const median = (values: number[]) => {
	const sorted = [...values].sort((a, b) => a - b);
	return (sorted[Math.floor((sorted.length - 1) / 2)] + sorted[Math.ceil((sorted.length - 1) / 2)]) / 2;
};
const range = (values: number[]) => Math.max(...values) - Math.min(...values);
/** How y goes with x: the sign of their covariance, 0 when it is small. */
function association(points: [number, number][]): number {
	const [mx, my] = [mean(points.map(([x]) => x)), mean(points.map(([, y]) => y))];
	const covariance = mean(points.map(([x, y]) => (x - mx) * (y - my)));
	const spread = Math.sqrt(mean(points.map(([x]) => (x - mx) ** 2)) * mean(points.map(([, y]) => (y - my) ** 2)));
	const correlation = covariance / spread;
	return Math.abs(correlation) < 0.6 ? 0 : Math.sign(correlation);
}

checkFamilies(dataFamilies, {
	'read-tallies': (_, item) => {
		const { labels, counts } = figureOf(item, 'tallies');
		return counts[labels.findIndex((label) => item.stem.includes(label.toLowerCase()))];
	},
	'compare-tallies': (_, item) => {
		const { labels, counts } = figureOf(item, 'tallies');
		const [, more, less] = /more (\w+) boats than (\w+) boats/.exec(item.stem)!;
		const of = (name: string) => counts[labels.findIndex((label) => label.toLowerCase() === name)];
		return of(more) - of(less);
	},
	'bars-together': (_, item) => {
		const { labels, values } = figureOf(item, 'bars');
		const [, one, other] = /many (\w+) and (\w+) were/.exec(item.stem)!;
		return values[labels.indexOf(one)] + values[labels.indexOf(other)];
	},
	'count-on-line-plot': ([at], item) => figureOf(item, 'dot plot').values.filter((value) => value === at).length,
	'longer-than-on-line-plot': ([limit], item) =>
		figureOf(item, 'dot plot').values.filter((value) => value > limit).length,
	'fourths-on-line-plot': (_, item) => range(figureOf(item, 'dot plot').values),
	'read-pictures': (_, item) => {
		const { labels, counts, each } = figureOf(item, 'pictures');
		return counts[labels.indexOf('Monday')] * each;
	},
	'difference-of-pictures': (_, item) => {
		const { labels, counts, each } = figureOf(item, 'pictures');
		return (counts[labels.indexOf('North')] - counts[labels.indexOf('South')]) * each;
	},
	'two-steps-from-table': (_, item) =>
		total(['Maps', 'Cards'].map((name) => Number(rowOf(item, name)[1]) - Number(rowOf(item, name)[2]))),
	'rise-on-line-graph': (_, item) => {
		const { labels, values } = figureOf(item, 'line graph');
		const [, from, to] = /warmer from (.*) to (.*)\?/.exec(item.stem)!;
		const at = (time: string) => values[labels.findIndex((label) => label.startsWith(time))];
		return at(to) - at(from);
	},
	'steepest-part': (_, item) => {
		const { labels, values } = figureOf(item, 'line graph');
		const rises = values.slice(1).map((value, i) => value - values[i]);
		const i = rises.indexOf(Math.max(...rises));
		return `from ${labels[i]} to ${labels[i + 1]}`;
	},
	'read-histogram': ([least], item) => {
		const { from, width, counts } = figureOf(item, 'histogram');
		return total(counts.filter((_, i) => from + i * width >= least));
	},
	'true-of-histogram': (_, item) => {
		const { counts } = figureOf(item, 'histogram');
		return marks(item, (text) => {
			const [n, minutes] = numbersIn(text);
			if (text.includes('exactly')) return false;
			return text.includes('were asked') ? n === total(counts) : n === total(counts.slice(0, minutes / 5));
		});
	},
	'share-of-row': (_, item) => {
		const [, bike, other] = rowOf(item, 'Grade 8').map(Number);
		return (100 * bike) / (bike + other);
	},
	'compare-shares': (_, item) => {
		const share = (name: string) =>
			Number(rowOf(item, name)[1]) / (Number(rowOf(item, name)[1]) + Number(rowOf(item, name)[2]));
		return share('Mornings') > share('Evenings') ? 'In the mornings' : 'In the evenings';
	},
	'table-total': (_, item) => {
		const { head, rows } = figureOf(item, 'table');
		const column = head.indexOf(/all (\w+) on the three/.exec(item.stem)![1]);
		return [total(rowOf(item, 'Tuesday').slice(1).map(Number)), total(rows.map((row) => Number(row[column])))];
	},
	'read-bars': (_, item) => {
		const { labels, values } = figureOf(item, 'bars');
		const [, more, less] = /more (\w+) than (\w+)/.exec(item.stem)!;
		return values[labels.indexOf(more)] - values[labels.indexOf(less)];
	},
	'read-two-way-table': (_, item) => {
		const [, bird, one, two] = /many (\w+) were counted on (\w+) and (\w+)/.exec(item.stem)!;
		const column = figureOf(item, 'table').head.indexOf(bird);
		return Number(rowOf(item, one)[column]) + Number(rowOf(item, two)[column]);
	},
	'fair-share-mean': (n) => mean(n.slice(0, 4)),
	'missing-value-for-mean': ([a, b, c, wanted]) => 4 * wanted - a - b - c,
	'simple-probability': ([white, gray]) => white / (white + gray),
	'most-frequent-share': (_, item) => {
		const [, one, two] = /by (\w+) than by (\w+)/.exec(item.stem)!;
		return Number(rowOf(item, one)[1]) - Number(rowOf(item, two)[1]);
	},
	'level-out': (n) => mean(n),
	'median-of-list': (n) => median(n),
	'median-and-range': (n) => [median(n), range(n)],
	'mean-after-one-more': ([count, value, next]) => (count * value + next) / (count + 1),
	'read-box-plot': (_, item) => {
		const [, first, middle, third] = figureOf(item, 'box plot').five;
		return [middle, third - first];
	},
	'quartiles-of-list': (n) => [median(n.slice(0, 3)), median(n.slice(4, 7))],
	'probability-of-cards': ([, count, factor]) =>
		Array.from({ length: count }, (_, i) => i + 1).filter((card) => card % factor === 0).length / count,
	'probability-of-not': ([top, bottom]) => 1 - top / bottom,
	'from-sample-to-all': ([sample, hits, all]) => (hits / sample) * all,
	'fair-sample': (_, item) =>
		keyText(item).includes('from all names') &&
		optionsOf(item).filter((text) => text.includes('all names')).length === 1,
	'two-draws': ([a, b, c, d]) => (a / b) * (c / d),
	'count-outcomes': (n) => n.reduce((a, b) => a * b),
	'expected-number': ([sides, times]) => times / sides,
	'expected-from-trials': ([trials, hits], item) =>
		marks(item, (text) => {
			const n = numbersIn(text);
			if (text.includes('exactly') || text.includes('next throw')) return false;
			return text.includes('probability')
				? n[0] / n[1] === hits / trials
				: Math.abs(n[1] / n[0] - hits / trials) < 1e-9;
		}),
	'kind-of-association': (_, item) =>
		['As one goes up, the other goes down.', 'There is no clear pattern.', 'As one goes up, the other goes up.'][
			association(figureOf(item, 'scatter').points) + 1
		],
	'find-outlier': (_, item) => {
		const { points } = figureOf(item, 'scatter');
		// Without the point that does not fit, the rest lies closest to a line.
		const misfit = points.map((_point, leave) => {
			const rest = points.filter((__, i) => i !== leave);
			const [mx, my] = [mean(rest.map(([x]) => x)), mean(rest.map(([, y]) => y))];
			const slope = total(rest.map(([x, y]) => (x - mx) * (y - my))) / total(rest.map(([x]) => (x - mx) ** 2));
			return total(rest.map(([x, y]) => (y - my - slope * (x - mx)) ** 2));
		});
		return `(${points[misfit.indexOf(Math.min(...misfit))].join(', ')})`;
	},
	'predict-from-fit': (_, { stem }) => {
		const [, slope, start] = /w = (\d+)t \+ (\d+)/.exec(stem)!.map(Number);
		return slope * Number(/week (\d+)/.exec(stem)![1]) + start;
	},
	'read-line-of-fit': ([at], item) => {
		const [x, y, u, v] = figureOf(item, 'scatter').fit!;
		return y + ((v - y) / (u - x)) * (at - x);
	},
	'table-total-cost': ([adults, children], item) =>
		adults * Number(rowOf(item, 'Adult')[1]) + children * Number(rowOf(item, 'Child')[1])
});
