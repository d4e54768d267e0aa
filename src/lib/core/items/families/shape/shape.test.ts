import { checkFamilies, figureOf, keyText, marks, numbersIn, ordered } from '../familyChecks';
import { shapeFamilies } from '.';

type Point = [number, number];
const NAMES: Record<number, string> = {
	3: 'a triangle',
	4: 'a square',
	5: 'a pentagon',
	6: 'a hexagon',
	8: 'an octagon'
};
/** How many sides or corners a shape named in words has. */
const cornersNamed: [RegExp, number][] = [
	[/three points|triangle/, 3],
	[/four points|square|rectangle|kite|trapezoid/, 4],
	[/pentagon/, 5],
	[/hexagon/, 6],
	[/octagon/, 8],
	[/star/, 10],
	[/circle|egg|ball/, 0]
];
const cornersOf = (text: string) => cornersNamed.find(([pattern]) => pattern.test(text))![1];
/** Faces, edges and corners; Euler's formula holds for those with flat faces. */
const SOLIDS: Record<string, { faces: number; edges: number; corners: number }> = {
	cube: { faces: 6, edges: 12, corners: 8 },
	box: { faces: 6, edges: 12, corners: 8 },
	pyramid: { faces: 5, edges: 8, corners: 5 },
	'triangular prism': { faces: 5, edges: 9, corners: 6 }
};
const SOLID_CLUES: [RegExp, string][] = [
	[/all squares|six equal squares/, 'a cube'],
	[/6 faces that are rectangles|three pairs of rectangles/, 'a box'],
	[/two flat circles|two circles/, 'a cylinder'],
	[/one flat circle and a point/, 'a cone'],
	[/round all over/, 'a sphere'],
	[/a square at the bottom|one square and four triangles/, 'a pyramid'],
	[/two triangles and three rectangles/, 'a triangular prism']
];
const solidFrom = (text: string) => SOLID_CLUES.find(([clue]) => clue.test(text))![1];
const WITH: [RegExp, string[]][] = [
	[/four right angles\./, ['a square', 'a rectangle']],
	[/four equal sides\./, ['a square', 'a rhombus']],
	[/two pairs of parallel sides\./, ['a square', 'a rectangle', 'a rhombus', 'a parallelogram']]
];
/** Which kinds are kinds of which. */
const PARENTS: Record<string, string[]> = {
	square: ['rectangle', 'rhombus'],
	rectangle: ['parallelogram'],
	rhombus: ['parallelogram'],
	parallelogram: ['quadrilateral'],
	trapezoid: ['quadrilateral'],
	quadrilateral: []
};
const isKindOf = (one: string, other: string): boolean =>
	one === other || PARENTS[one].some((parent) => isKindOf(parent, other));
/** Pairs of parallel sides of a drawn shape. */
function parallelPairs(corners: Point[]): number {
	const directions = corners.map(([x, y], i) => {
		const [u, v] = corners[(i + 1) % corners.length];
		return Math.atan2(v - y, u - x);
	});
	let pairs = 0;
	directions.forEach((one, i) =>
		directions.slice(i + 1).forEach((other) => {
			if (Math.abs(Math.sin(one - other)) < 1e-6) pairs++;
		})
	);
	return pairs;
}
/** Lines through the middle that map a drawn shape's corners onto each other. */
function symmetries(corners: Point[]): number {
	const [cx, cy] = [0, 1].map((axis) => corners.reduce((sum, corner) => sum + corner[axis], 0) / corners.length);
	let lines = 0;
	for (let degrees = 0; degrees < 180; degrees += 3) {
		const angle = (degrees * Math.PI) / 180;
		const mirrored = corners.map(([x, y]) => {
			const [dx, dy] = [x - cx, y - cy];
			return [
				cx + dx * Math.cos(2 * angle) + dy * Math.sin(2 * angle),
				cy + dx * Math.sin(2 * angle) - dy * Math.cos(2 * angle)
			];
		});
		if (mirrored.every(([x, y]) => corners.some(([u, v]) => Math.hypot(x - u, y - v) < 1e-6))) lines++;
	}
	return lines;
}
/** Whether six squares fold into a cube: rolling a die over them shows six different faces. */
function foldsToCube(cells: Point[]): boolean {
	const seen = new Map<string, number>();
	const visit = (x: number, y: number, [top, front, right]: [number, number, number]) => {
		if (!cells.some(([u, v]) => u === x && v === y) || seen.has(`${x} ${y}`)) return;
		seen.set(`${x} ${y}`, top);
		visit(x + 1, y, [-right, front, top]);
		visit(x - 1, y, [right, front, -top]);
		visit(x, y + 1, [-front, top, right]);
		visit(x, y - 1, [front, -top, right]);
	};
	visit(...cells[0], [1, 2, 3]);
	return new Set(seen.values()).size === 6;
}
const pointIn = (text: string) => numbersIn(text).slice(0, 2);
const firstPoint = (text: string) => pointIn(/\([^)]*\)/.exec(text)![0]) as Point;
const reflected = ([x, y]: Point, over: string): Point => (over === 'x' ? [x, 0 - y] : [0 - x, y]);
const same = (a: number[], b: number[]) => a.every((value, i) => Math.abs(value - b[i]) < 1e-9);
const overAxis = (stem: string) => /over the (\w)-axis/.exec(stem)![1];

checkFamilies(shapeFamilies, {
	'name-flat-shape': (_, item) => NAMES[figureOf(item, 'shape').corners.length],
	'shape-in-the-world': (_, item) => {
		const { stem } = item;
		if (/round|no corners/.test(stem)) return 'a circle';
		if (/six sides/.test(stem)) return 'a hexagon';
		if (/three (straight )?sides/.test(stem)) return 'a triangle';
		return /same length|equal sides/.test(stem) ? 'a square' : 'a rectangle';
	},
	'count-corners': (_, item) => figureOf(item, 'shape').corners.length,
	'mark-with-corners': ([wanted], item) => marks(item, (text) => cornersOf(text) === wanted),
	'name-solid': (_, { stem }) => solidFrom(stem),
	'count-faces': (_, item) => {
		const what = /many (faces|edges|corners)/.exec(item.stem)![1] as 'faces' | 'edges' | 'corners';
		const solid = SOLIDS[figureOf(item, 'solid').shape];
		return solid.faces + solid.corners - solid.edges === 2 && Number(item.key) === solid[what];
	},
	'type-polygon-name': (_, item) => NAMES[figureOf(item, 'shape').corners.length].replace(/^an? /, ''),
	'mark-quadrilaterals': (_, item) => marks(item, (text) => cornersOf(text) === 4),
	'mark-right-angled': (_, item) => {
		const [, kinds] = WITH.find(([clue]) => clue.test(item.stem))!;
		return marks(item, (text) => kinds.includes(text));
	},
	'name-from-clues': (_, { stem }) => {
		if (stem.includes('only one pair')) return 'a trapezoid';
		if (stem.includes('two pairs of parallel')) return 'a parallelogram';
		if (stem.includes('four equal sides')) return stem.includes('no right angle') ? 'a rhombus' : 'a square';
		return 'a rectangle';
	},
	'kind-of-lines': (_, { stem }) => {
		if (/rails|Opposite|long sides|writing paper/.test(stem)) return 'parallel';
		return /corner of a sheet|3 o’clock|flagpole/.test(stem) ? 'perpendicular' : 'crossing, but not at a right angle';
	},
	'count-parallel-pairs': (_, item) => parallelPairs(figureOf(item, 'shape').corners),
	'lines-of-symmetry': (_, item) => symmetries(figureOf(item, 'shape').corners),
	'triangle-by-sides': (n) =>
		['equilateral', 'isosceles, but not equilateral', 'scalene'][new Set(n.slice(0, 3)).size - 1],
	'triangle-by-angles': (n) => {
		const [a, b, c] = n.slice(0, 3).sort((x, y) => x - y);
		return a + b + c === 180 ? (c < 90 ? 'acute' : c === 90 ? 'right' : 'obtuse') : '';
	},
	'always-true': (_, item) =>
		marks(item, (text) => {
			const [, one, other] = /Every (\w+) is a (\w+)\./.exec(text)!;
			return isKindOf(one, other);
		}),
	'fits-all-names': (_, { stem }) => {
		if (/rectangle and a rhombus|rectangle with four equal/.test(stem)) return 'a square';
		if (/four right angles/.test(stem)) return 'a rectangle';
		return /four equal sides/.test(stem) ? 'a rhombus' : 'a parallelogram';
	},
	'net-of-solid': (_, item) => keyText(item).startsWith('Yes') === foldsToCube(figureOf(item, 'net').cells),
	'faces-of-net': (_, { stem }) => solidFrom(stem),
	'kind-of-angle': (_, item) => {
		const { degrees } = figureOf(item, 'turn');
		return degrees < 90 ? 'acute' : degrees > 90 ? 'obtuse' : 'right';
	},
	'order-angles': (_, item) =>
		ordered(item, (text) => (text.includes('right') ? 90 : text.includes('straight') ? 180 : numbersIn(text)[0])),
	'read-protractor': (_, item) => figureOf(item, 'turn').degrees,
	'turn-in-degrees': ([a, b]) => a + b,
	'angle-in-three-parts': ([a, b]) => 180 - a - b,
	'third-angle': ([a, b]) => 180 - a - b,
	'equal-base-angles': ([n], { stem }) => (stem.includes('third angle') ? 180 - n - n : (180 - n) / 2),
	'vertical-angle': (_, item) => {
		const { labels, degrees } = figureOf(item, 'crossing');
		return labels.indexOf('x') === 2 ? degrees : 180 - degrees;
	},
	'angle-pair-equation': (_, { stem }) => {
		const [, times, rest] = /\$(\d+)x \+ (\d+)\$/.exec(stem)!.map(Number);
		return ((stem.includes('right') ? 90 : 180) - rest) / (times + 1);
	},
	'corresponding-angle': (_, item) => {
		const { degrees, lower } = figureOf(item, 'parallels');
		return lower.indexOf('x') % 2 ? 180 - degrees : degrees;
	},
	'name-angle-pair': (_, item) => {
		const { upper, lower } = figureOf(item, 'parallels');
		const [one, two] = [upper.indexOf('1'), lower.indexOf('2')];
		if (one === two) return 'corresponding angles, equal';
		return one % 2 === two % 2 ? 'alternate interior angles, equal' : 'interior angles on the same side, together 180°';
	},
	'plot-point': ([x, y]) => [x, y],
	'plot-in-quadrants': ([x, y]) => [x, y],
	'reflect-over-axis': (_, item) => same(pointIn(keyText(item)), reflected(firstPoint(item.stem), overAxis(item.stem))),
	'side-on-grid': ([x, y, u, v]) => Math.hypot(u - x, v - y),
	'fourth-corner': ([x1, , , , , y2]) => [x1, y2],
	'length-in-copy': ([a, b, , copy]) => (b * copy) / a,
	'area-in-copy': ([factor, area]) => area * factor ** 2,
	'slide-point': (_, { stem }) => {
		const [x, y] = firstPoint(stem);
		const [, dx, across, dy, up] = /moved (\d+) to the (left|right) and (\d+) (down|up)/.exec(stem)!;
		return [x + Number(dx) * (across === 'left' ? -1 : 1), y + Number(dy) * (up === 'down' ? -1 : 1)];
	},
	'flip-point': (_, { stem }) => reflected(firstPoint(stem), overAxis(stem)),
	'turn-point': (_, { stem }) => {
		const [x, y] = firstPoint(stem);
		const angle = ((stem.includes('180') ? 180 : 90) * Math.PI) / 180;
		return [x * Math.cos(angle) - y * Math.sin(angle), x * Math.sin(angle) + y * Math.cos(angle)].map(Math.round);
	},
	hypotenuse: ([a, b]) => Math.hypot(a, b),
	'missing-leg': ([c, a]) => Math.sqrt(c * c - a * a),
	shadow: ([height, shadow, long]) => (height * long) / shadow,
	'sides-of-similar': ([a, b, c, copy]) => [(b * copy) / a, (c * copy) / a],
	'distance-between-points': ([x, y, u, v]) => Math.hypot(u - x, v - y),
	'distance-not-whole': (_, { stem }) => {
		const [a, b] = numbersIn(stem).slice(2);
		return Math.round(10 * Math.hypot(a, b)) / 10;
	},
	'missing-angle': ([n], { stem }) => (stem.startsWith('A square') ? 90 : 180) - n,
	'read-point': (_, item) => {
		const [{ x, y }] = figureOf(item, 'plane').points;
		return `(${x}, ${y})`;
	}
});
