/** What is drawn beside a question or a solution. Each carries all that is needed to draw it and to read it aloud. */
export type Figure =
	| { kind: 'table'; head: string[]; rows: string[][] }
	| { kind: 'tallies'; labels: string[]; counts: number[] }
	| { kind: 'pictures'; labels: string[]; counts: number[]; each: number; unit: string }
	| { kind: 'bars'; labels: string[]; values: number[]; unit: string; step: number }
	| { kind: 'histogram'; from: number; width: number; counts: number[]; unit: string }
	| { kind: 'line graph'; labels: string[]; values: number[]; unit: string; step: number }
	| { kind: 'dot plot'; values: number[]; from: number; to: number; step: number; unit: string }
	| { kind: 'box plot'; five: [number, number, number, number, number]; from: number; to: number; step: number }
	| {
			kind: 'scatter';
			points: [number, number][];
			across: { name: string; to: number; step: number };
			up: { name: string; to: number; step: number };
			/** A line of fit, by its ends. */
			fit?: [number, number, number, number];
	  }
	| { kind: 'ruler'; from: number; to: number; unit: string }
	| { kind: 'scale'; of: 'jug' | 'thermometer' | 'weights'; to: number; step: number; value: number; unit: string }
	| { kind: 'clock'; hour: number; minute: number }
	| { kind: 'coins'; cents: number[] }
	| { kind: 'blocks'; hundreds: number; tens: number; ones: number }
	| { kind: 'dots'; rows: number; columns: number }
	| { kind: 'grid'; rows: number; columns: number; shaded: number }
	| { kind: 'row'; shapes: string[] }
	| { kind: 'stages'; stages: number[][] }
	| { kind: 'line'; from: number; to: number; step: number; labelEvery: number; marks: { at: number; label: string }[] }
	/** Stops with a jump between each two, as they are sketched on an open line; a jump back has a minus sign. */
	| { kind: 'jumps'; stops: string[]; jumps: string[] }
	/** A bar cut into parts; sizes give the drawn lengths. */
	| { kind: 'parts'; parts: { label: string; size: number }[]; total: string }
	/** A product as a rectangle cut by the parts of both factors. */
	| { kind: 'product'; rows: number[]; columns: number[] }
	| { kind: 'rectangle'; width: number; height: number; unit: string; squares: boolean }
	| { kind: 'corner'; width: number; height: number; cutWidth: number; cutHeight: number; unit: string }
	| { kind: 'triangle'; base: number; height: number; unit: string }
	/** Any flat shape: corners in drawing units, a label a side (empty for none), inner lines, corners marked square. */
	| {
			kind: 'shape';
			corners: [number, number][];
			sides?: string[];
			inner?: { from: [number, number]; to: [number, number]; label: string }[];
			square?: number[];
			words: string;
	  }
	| { kind: 'angle'; first: number; second: number }
	| { kind: 'turn'; degrees: number; protractor: boolean }
	/** Two lines that cross; labels of the four angles, from the one at the right counterclockwise. */
	| { kind: 'crossing'; degrees: number; labels: [string, string, string, string] }
	/** A line across two parallel ones; labels of the upper and the lower four angles, as for `crossing`. */
	| {
			kind: 'parallels';
			degrees: number;
			upper: [string, string, string, string];
			lower: [string, string, string, string];
	  }
	| { kind: 'circle'; line: 'radius' | 'diameter'; label: string }
	| { kind: 'solid'; shape: Solid; labels: string[] }
	| { kind: 'box'; length: number; width: number; height: number; unit: string; cubes: boolean }
	| { kind: 'net'; cells: [number, number][]; triangles: boolean }
	| {
			kind: 'plane';
			from: number;
			to: number;
			points: { label: string; x: number; y: number }[];
			/** Lines from point to point. */
			segments?: [number, number, number, number][];
	  };

export type Solid = 'cube' | 'box' | 'cylinder' | 'cone' | 'sphere' | 'pyramid' | 'triangular prism';

const list = (words: string[]) => words.join('. ') + '.';
const shapeWords = (angle: string, index: number) => `${['right', 'upper', 'left', 'lower'][index]} angle ${angle}`;
const labeled = (labels: string[]) => labels.flatMap((label, i) => (label ? [shapeWords(label, i)] : []));

/** A figure in words, for those who cannot see it; a table needs none, its cells are text. */
export function figureInWords(figure: Figure): string {
	switch (figure.kind) {
		case 'table':
			return '';
		case 'tallies':
			return `Tally marks. ${list(figure.labels.map((label, i) => `${label}: ${figure.counts[i]}`))}`;
		case 'pictures':
			return `Picture graph; each symbol stands for ${figure.each} ${figure.unit}. ${list(figure.labels.map((label, i) => `${label}: ${figure.counts[i]} symbols`))}`;
		case 'bars':
			return `Bar graph of ${figure.unit}. ${list(figure.labels.map((label, i) => `${label}: ${figure.values[i]}`))}`;
		case 'histogram':
			return `Histogram of ${figure.unit}. ${list(figure.counts.map((count, i) => `${figure.from + i * figure.width} up to ${figure.from + (i + 1) * figure.width}: ${count}`))}`;
		case 'line graph':
			return `Line graph of ${figure.unit}. ${list(figure.labels.map((label, i) => `${label}: ${figure.values[i]}`))}`;
		case 'dot plot':
			return `Line plot in ${figure.unit}, one cross for each value: ${[...figure.values].sort((a, b) => a - b).join(', ')}.`;
		case 'box plot': {
			const [low, first, middle, third, high] = figure.five;
			return `Box plot. Its line goes from ${low} to ${high}, its box from ${first} to ${third}, with a bar at ${middle}.`;
		}
		case 'scatter':
			return `Scatter plot, ${figure.across.name} across and ${figure.up.name} up. Points: ${figure.points.map(([x, y]) => `(${x}, ${y})`).join(', ')}.${figure.fit ? ` A line of fit goes from (${figure.fit[0]}, ${figure.fit[1]}) to (${figure.fit[2]}, ${figure.fit[3]}).` : ''}`;
		case 'ruler':
			return `A pencil along a ruler in ${figure.unit}. It begins at ${figure.from} and ends at ${figure.to}.`;
		case 'scale': {
			const below = Math.floor(figure.value / figure.step + 1e-9) * figure.step;
			const exact = Math.abs(below - figure.value) < 1e-9;
			return `A ${figure.of === 'weights' ? 'kitchen scale' : figure.of} with a mark every ${figure.step} ${figure.unit}. It reads ${exact ? `the mark number ${Math.round(figure.value / figure.step)} above 0` : `between ${below} and ${below + figure.step}`}.`;
		}
		case 'clock':
			return `A clock. The short hand is ${figure.minute ? 'past' : 'at'} ${figure.hour}. The long hand points at minute mark ${figure.minute}${figure.minute % 5 ? '' : `, at the number ${figure.minute / 5 || 12}`}.`;
		case 'coins':
			return `Coins: ${figure.cents.map((cents) => coinNames[cents]).join(', ')}.`;
		case 'blocks':
			return `Blocks: ${figure.hundreds ? `${figure.hundreds} flats of a hundred, ` : ''}${figure.tens} rods of ten, ${figure.ones} single cubes.`;
		case 'dots':
			return `${figure.rows} rows of ${figure.columns} dots.`;
		case 'grid':
			return figure.rows === 1
				? `A strip of ${figure.columns} equal parts. ${figure.shaded} of them are shaded.`
				: `A rectangle of ${figure.rows} rows of ${figure.columns} equal parts. ${figure.shaded} of them are shaded.`;
		case 'row':
			return `In a row: ${figure.shapes.join(', ')}.`;
		case 'stages':
			return list(figure.stages.map((columns, i) => `Step ${i + 1}: columns of ${columns.join(', ')} squares`));
		case 'line':
			return `A number line from ${figure.from} to ${figure.to} with ${Math.round((figure.to - figure.from) / figure.step)} equal spaces. ${list(figure.marks.map(({ at, label }) => `${label} is at mark ${Math.round((at - figure.from) / figure.step)} from the left`))}`;
		case 'jumps':
			return `Jumps on a line: ${figure.jumps.map((jump, i) => `${i ? 'then' : `from ${figure.stops[0]}`} ${jump} to ${figure.stops[i + 1]}`).join(', ')}.`;
		case 'parts':
			return `A bar of ${figure.total} in parts: ${figure.parts.map(({ label }) => label).join(', ')}.`;
		case 'product':
			return `A rectangle cut into parts: ${figure.rows.flatMap((row) => figure.columns.map((column) => `${row} by ${column}`)).join(', ')}.`;
		case 'rectangle':
			return figure.squares
				? `${figure.height} rows of ${figure.width} squares.`
				: `A rectangle, ${figure.width} ${figure.unit} by ${figure.height} ${figure.unit}.`;
		case 'corner':
			return `A ${figure.width} ${figure.unit} by ${figure.height} ${figure.unit} rectangle without one corner of ${figure.cutWidth} ${figure.unit} by ${figure.cutHeight} ${figure.unit}.`;
		case 'triangle':
			return `A triangle with base ${figure.base} ${figure.unit} and height ${figure.height} ${figure.unit}.`;
		case 'shape':
			return figure.words;
		case 'angle':
			return `An angle of ${figure.first + figure.second} degrees in two parts; one is ${figure.first} degrees.`;
		case 'turn':
			return figure.protractor
				? `An angle on a protractor. One side lies on 0, the other on ${figure.degrees} of the inner scale and ${180 - figure.degrees} of the outer scale.`
				: `An angle that opens ${figure.degrees} degrees.`;
		case 'crossing':
			return `Two lines cross. ${list(labeled(figure.labels))}`;
		case 'parallels':
			return `A line crosses two parallel lines. At the upper one: ${labeled(figure.upper).join(', ')}. At the lower one: ${labeled(figure.lower).join(', ')}.`;
		case 'circle':
			return `A circle with ${figure.line} ${figure.label}.`;
		case 'solid':
			return `A ${figure.shape}${figure.labels.length ? `: ${figure.labels.join(', ')}` : ''}.`;
		case 'box':
			return figure.cubes
				? `A box built of unit cubes: ${figure.length} long, ${figure.width} wide, ${figure.height} high.`
				: `A box, ${figure.length} ${figure.unit} long, ${figure.width} ${figure.unit} wide, ${figure.height} ${figure.unit} high.`;
		case 'net':
			return `A flat pattern of ${figure.cells.length} ${figure.triangles ? 'squares, the outer ones triangles' : 'squares'}: ${netRows(figure.cells).join('; ')}.`;
		case 'plane':
			return [
				...figure.points.map(({ label, x, y }) => `Point ${label} is at ${x} across and ${y} up.`),
				...(figure.segments ?? []).map(([x, y, u, v]) => `A line goes from (${x}, ${y}) to (${u}, ${v}).`)
			].join(' ');
	}
}

export const coinNames: Record<number, string> = { 1: 'penny', 5: 'nickel', 10: 'dime', 25: 'quarter' };

function netRows(cells: [number, number][]): string[] {
	const rows = [...new Set(cells.map(([, y]) => y))].sort((a, b) => a - b);
	return rows.map(
		(row, i) =>
			`row ${i + 1}, places ${cells
				.filter(([, y]) => y === row)
				.map(([x]) => x + 1)
				.sort((a, b) => a - b)
				.join(', ')}`
	);
}
