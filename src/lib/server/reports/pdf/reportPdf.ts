import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { ReportText } from '../../../core/screening';
import { HEAD, TEXT } from './fonts';

const INK = '#1b2733';
const SOFT = '#54606c';
const RULE = '#d9d2c3';
const BAND = '#b9cfd0';
/** Width of the axis of scores, and half the height of its row: points of type. */
const WIDTH = 120;
const MIDDLE = 7;

/** Student reports as a document for pdfmake: plain values, one report a page. US Letter. */
export function reportDocument(reports: ReportText[], school: string, printed: string): TDocumentDefinitions {
	return {
		pageSize: 'LETTER',
		pageMargins: [40, 36, 40, 36],
		info: { title: reports.length === 1 ? `Student report: ${reports[0].name}` : 'Student reports', author: school },
		language: 'en-US',
		defaultStyle: { font: TEXT, fontSize: 9, color: INK, lineHeight: 1.15 },
		content: reports.map((report, i) => reportContent(report, school, printed, i > 0))
	};
}

function reportContent(report: ReportText, school: string, printed: string, breakBefore: boolean): Content {
	const head: Content = {
		columns: [
			[
				{ text: report.name, fontSize: 18, font: HEAD },
				{ text: `${report.place} · ${school}`, color: SOFT }
			],
			{ text: `${report.window}\nprinted ${printed}`, alignment: 'right', color: SOFT, width: 180 }
		]
	};
	const line: Content = {
		canvas: [{ type: 'line', x1: 0, y1: 4, x2: 532, y2: 4, lineWidth: 1.2, lineColor: INK }],
		margin: [0, 0, 0, 8]
	};
	const body: Content[] = report.none
		? [{ text: report.none, fontSize: 11 }]
		: [
				{ text: report.overall.heading, fontSize: 12, font: HEAD },
				{
					text: [
						{ text: report.overall.score, bold: true, fontSize: 13 },
						{ text: `  ${report.overall.error}`, color: SOFT }
					],
					margin: [0, 2, 0, 2]
				},
				{ text: report.overall.sentences.join(' '), fontSize: 10, margin: [0, 0, 0, 10] },
				{ text: 'By domain', fontSize: 12, font: HEAD, margin: [0, 0, 0, 4] },
				domainTable(report),
				{ text: report.foot, color: SOFT, fontSize: 8, margin: [0, 8, 0, 0] }
			];
	return { stack: [head, line, ...body], ...(breakBefore ? { pageBreak: 'before' as const } : {}) };
}

function domainTable({ headings, domains, axis, cut }: ReportText): Content {
	const bold = (text: string) => ({ text, bold: true });
	return {
		table: {
			headerRows: 1,
			widths: [72, WIDTH, 66, '*', '*', '*'],
			body: [
				[
					bold(headings.domain),
					{
						columns: [
							{ text: String(axis.from), width: 24 },
							{ text: headings.axis, alignment: 'center', width: '*' },
							{ text: String(axis.to), alignment: 'right', width: 24 }
						],
						color: SOFT,
						fontSize: 7.5
					},
					bold(headings.level),
					bold(headings.secure),
					bold(headings.ready),
					bold(headings.gaps)
				],
				...domains.map(({ name, score, says, level, secure, ready, gaps }) => [
					bold(name),
					[...(score ? [scoreBand(score, cut, axis)] : []), { text: says, color: SOFT }],
					level,
					secure,
					ready,
					gaps
				])
			]
		},
		layout: {
			hLineWidth: (line: number) => (line === 0 ? 0 : 0.6),
			vLineWidth: () => 0,
			hLineColor: () => RULE,
			paddingLeft: () => 0,
			paddingRight: () => 8,
			paddingTop: () => 4,
			paddingBottom: () => 4
		}
	};
}

/** A score with its error band on the axis, and the line as dashes. */
function scoreBand(score: { points: number; error: number }, cut: number | null, axis: ReportText['axis']): Content {
	const x = (points: number) =>
		Math.max(1, Math.min(WIDTH - 1, ((points - axis.from) / (axis.to - axis.from)) * WIDTH));
	const [low, high] = [x(score.points - score.error), x(score.points + score.error)];
	return {
		canvas: [
			{ type: 'line', x1: 0, y1: MIDDLE, x2: WIDTH, y2: MIDDLE, lineWidth: 0.6, lineColor: RULE },
			{ type: 'rect', x: low, y: MIDDLE - 3, w: Math.max(2, high - low), h: 6, color: BAND },
			{ type: 'ellipse', x: x(score.points), y: MIDDLE, r1: 2.2, r2: 2.2, color: INK },
			...(cut === null
				? []
				: [
						{
							type: 'line' as const,
							x1: x(cut),
							y1: 0,
							x2: x(cut),
							y2: 2 * MIDDLE,
							lineWidth: 0.8,
							lineColor: INK,
							dash: { length: 1.6, space: 1.6 }
						}
					])
		]
	};
}
