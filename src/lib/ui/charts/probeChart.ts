import { aimAt, PROBE_ITEMS, type Aimline, type Forecast, type Point } from '../../core/growth';

const INK = '#1B2733';
const SOFT = '#54606C';
const ACCENT = '#0F6B6B';
const RULE = '#E6E0D2';
const SHEET = '#FFFFFF';

export interface ProbeChartContent {
	probes: Point[];
	goal: Point;
	aimline: Aimline | null;
	trend: { slope: number; intercept: number } | null;
	forecast: Forecast | null;
}

/** What ECharts draws of a series of probes: weeks across, correct answers up, each line labeled at its end. */
export function probeChartOptions(content: ProbeChartContent) {
	return {
		animation: false,
		textStyle: { fontFamily: 'Atkinson Hyperlegible Next Variable' },
		grid: { left: 44, right: 150, top: 24, bottom: 44 },
		xAxis: weekAxis(content.goal),
		yAxis: {
			type: 'value' as const,
			min: 0,
			max: PROBE_ITEMS,
			interval: 2,
			name: `right of ${PROBE_ITEMS}`,
			axisLabel: { color: SOFT },
			nameTextStyle: { color: SOFT },
			splitLine: { lineStyle: { color: RULE } }
		},
		series: [probesInOrder(content.probes), ...linesOf(content).map(labeledLine)]
	};
}

function weekAxis(goal: Point) {
	return {
		type: 'value' as const,
		min: 0,
		max: Math.ceil(goal.x),
		name: 'week',
		nameLocation: 'middle' as const,
		nameGap: 26,
		minInterval: 1,
		axisLine: { lineStyle: { color: SOFT } },
		splitLine: { show: false },
		axisLabel: { color: SOFT, formatter: (week: number) => String(week + 1) },
		nameTextStyle: { color: SOFT }
	};
}

/** A straight line, labeled where it ends. */
interface Line {
	from: Point;
	to: Point;
	label: string;
	/** Where the label stands from the end. */
	side: 'right' | 'top' | 'bottom';
	color: string;
	style: object;
}

function linesOf({ probes, goal, aimline, trend, forecast }: ProbeChartContent): Line[] {
	const lines: Line[] = [];
	if (aimline) {
		const { from, to } = aimline;
		lines.push({ from, to, label: `aimline to ${goal.y}`, side: 'right', color: SOFT, style: { type: 'dashed' } });
	}
	if (trend && probes.length) {
		const at = (x: number) => ({ x, y: clip(trend.intercept + trend.slope * x) });
		const [from, to] = [at(probes[0].x), at(probes[probes.length - 1].x)];
		const label = `trend ${trend.slope >= 0 ? '+' : '−'}${Math.abs(trend.slope).toFixed(1)} a week`;
		lines.push({ from, to, label, side: sideOf(to, aimline), color: ACCENT, style: {} });
	}
	if (forecast) {
		const [near, far] = forecast.interval
			.map((y) => ({ x: goal.x, y: clip(y) }))
			.sort((a, b) => Math.abs(a.y - goal.y) - Math.abs(b.y - goal.y));
		// Labeled at the end that is farther from the aimline's label.
		const style = { width: 6, opacity: 0.35 };
		lines.push({ from: near, to: far, label: 'forecast, 80%', side: 'right', color: ACCENT, style });
	}
	return lines;
}

/** Correct answers between the end of the trend and the aimline, under which a label beside it would lie on that. */
const APART = 0.8;

/** Beside the end of the trend, or where the aimline goes on there, away from it and inside the chart. */
function sideOf(end: Point, aimline: Aimline | null): Line['side'] {
	const above = aimline ? end.y - aimAt(aimline, end.x) : Infinity;
	if (Math.abs(above) >= APART) return 'right';
	return above >= 0 && end.y < PROBE_ITEMS ? 'top' : 'bottom';
}

const clip = (correct: number) => Math.max(0, Math.min(PROBE_ITEMS, correct));

function labeledLine({ from, to, label, side, color, style }: Line) {
	return {
		type: 'line' as const,
		silent: true,
		lineStyle: { color, width: 2, ...style },
		data: [
			[from.x, from.y],
			{
				value: [to.x, to.y],
				label: {
					show: true,
					formatter: label,
					color,
					position: side,
					fontSize: 13,
					backgroundColor: SHEET,
					padding: [1, 3]
				}
			}
		],
		// Labels hang on symbols: there, but not to be seen.
		symbol: 'circle',
		symbolSize: 0.1,
		showSymbol: true,
		showAllSymbol: true
	};
}

function probesInOrder(probes: Point[]) {
	return {
		type: 'line' as const,
		data: probes.map(({ x, y }) => [x, y]),
		symbol: 'circle',
		symbolSize: 9,
		itemStyle: { color: INK },
		lineStyle: { color: INK, width: 1, opacity: 0.4 }
	};
}
