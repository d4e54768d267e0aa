import type { CanvasElement, Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Sheet, SheetPart } from '../../../core/sheets';
import { HEAD, TEXT } from './fonts';

const INK = '#1b2733';
const SOFT = '#54606c';
const RULE = '#d9d2c3';
const BAND = '#d3e8e4';
const AHEAD = '#e4e8ee';
const LEVEL = '#0f6b6b';
/** Of a drawn series: points of type. */
const WIDTH = 532;
const HEIGHT = 96;

/** A sheet as a document for pdfmake: plain values, US Letter, wide where it is one table of many columns. */
export function sheetDocument(sheet: Sheet, school: string): TDocumentDefinitions {
	const isWide = sheet.parts.some(({ table }) => table && table.columns.length > 5);
	return {
		pageSize: 'LETTER',
		pageOrientation: isWide ? 'landscape' : 'portrait',
		pageMargins: [40, 36, 40, 36],
		info: { title: sheet.title, author: school },
		language: sheet.language,
		defaultStyle: { font: TEXT, fontSize: sheet.language === 'en-US' ? 9.5 : 11.5, color: INK, lineHeight: 1.2 },
		content: [
			{
				columns: [
					[
						{ text: sheet.title, fontSize: 17, font: HEAD },
						{ text: sheet.about, color: SOFT }
					],
					{ text: sheet.printed, alignment: 'right', color: SOFT, width: 170 }
				]
			},
			{ canvas: [line(0, 4, isWide ? 712 : WIDTH, 4, INK, 1.2)], margin: [0, 0, 0, 4] },
			...sheet.parts.flatMap(partContent),
			{ text: sheet.foot, color: SOFT, fontSize: 8, margin: [0, 10, 0, 0] }
		]
	};
}

function partContent({ heading, lines, table, series }: SheetPart): Content[] {
	return [
		{ text: heading, fontSize: 12, font: HEAD, margin: [0, 8, 0, 3] },
		...(series ? [{ canvas: drawSeries(series), margin: [0, 2, 0, 4] } as Content] : []),
		...lines.map((text): Content => ({ text, margin: [0, 0, 0, 2] })),
		...(table ? [tableContent(table)] : [])
	];
}

const tableContent = ({ columns, rows }: NonNullable<SheetPart['table']>): Content => ({
	table: {
		headerRows: 1,
		widths: columns.map((_, i) => (i === 0 || i === columns.length - 1 ? '*' : 'auto')),
		// pdfmake writes into what it is given.
		body: [columns.map((text) => ({ text, bold: true })), ...rows.map((row) => [...row])]
	},
	layout: {
		hLineWidth: (row) => (row === 0 ? 0 : 0.6),
		vLineWidth: () => 0,
		hLineColor: () => RULE,
		paddingLeft: () => 0,
		paddingRight: () => 8,
		paddingTop: () => 3,
		paddingBottom: () => 3
	}
});

const line = (
	x1: number,
	y1: number,
	x2: number,
	y2: number,
	color: string,
	width: number,
	dash = 0
): CanvasElement => ({
	...{ type: 'line', x1, y1, x2, y2, lineWidth: width, lineColor: color },
	...(dash ? { dash: { length: dash, space: dash } } : {})
});

/** A series of probes as on the screen: probes as dots, the level with its band, what may come, and the goal. */
export function drawSeries({ reading, questions, goal, weeks }: NonNullable<SheetPart['series']>): CanvasElement[] {
	const last = Math.max(weeks, reading.probes[reading.probes.length - 1].week + 1);
	const x = (week: number) => 6 + (week / last) * (WIDTH - 12);
	const y = (right: number) => HEIGHT - 4 - (right / questions) * (HEIGHT - 10);
	const band = (points: { week: number; lower: number; upper: number }[], color: string): CanvasElement[] =>
		points.length < 2
			? []
			: [
					{
						type: 'polyline',
						closePath: true,
						color,
						lineWidth: 0,
						points: [
							...points.map(({ week, upper }) => ({ x: x(week), y: y(upper) })),
							...points.map(({ week, lower }) => ({ x: x(week), y: y(lower) })).reverse()
						]
					}
				];
	const levels = reading.levels.map((level, i) => ({ week: reading.probes[i].week, ...level }));
	const now = levels[levels.length - 1];
	return [
		...[0, questions / 2, questions].map((right) => line(x(0), y(right), x(last), y(right), RULE, 0.5)),
		...band([{ ...now }, ...reading.ahead], AHEAD),
		...band(levels, BAND),
		line(x(0), y(goal), x(last), y(goal), SOFT, 0.6, 2),
		...levels
			.slice(1)
			.map((level, i) => line(x(levels[i].week), y(levels[i].value), x(level.week), y(level.value), LEVEL, 1.4)),
		...reading.probes.map(({ week, right }): CanvasElement => ({
			type: 'ellipse',
			x: x(week),
			y: y(right),
			r1: 2.2,
			r2: 2.2,
			color: INK
		}))
	];
}
