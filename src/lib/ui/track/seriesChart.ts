import type { Aimline, Goal, SeriesReading } from '$lib/core/growth';
import type { SessionDay } from '$lib/core/timetable';

const INK = '#1B2733';
const SOFT = '#54606C';
const ACCENT = '#0F6B6B';
const RULE = '#E6E0D2';
const SHEET = '#FFFFFF';
const FAN = '#E4E8EE';
const BAND = '#D3E8E4';

/** What a chart of one series draws. Weeks count from 0; a place within one is a part of it. */
export interface SeriesContent {
	questions: number;
	goal: Goal;
	goalOn: string;
	reading: SeriesReading | null;
	aimline: Aimline | null;
	phases: { at: number; says: string }[];
	sessions: { at: number; is: SessionDay['is'] }[];
}

/** Whether it stands by itself, with words at its lines, or among many. */
export type ChartSize = 'large' | 'medium' | 'small';

/** What a custom series draws a shape from: places of values in pixels. */
interface Drawing {
	value(dimension: number): number;
	coord(point: [number, number]): [number, number];
}

/** What ECharts draws of a series of probes. */
export function seriesChartOptions(content: SeriesContent, size: ChartSize) {
	const { questions, goal, reading, aimline, phases, sessions } = content;
	const isLarge = size !== 'small';
	const weeks = Math.max(goal.week, reading ? reading.probes[reading.probes.length - 1].week : 0);
	return {
		animation: false,
		textStyle: { fontFamily: 'Atkinson Hyperlegible Next Variable' },
		grid: isLarge ? { left: 40, right: 150, top: 44, bottom: 62 } : { left: 26, right: 14, top: 10, bottom: 38 },
		xAxis: weekAxis(weeks, isLarge),
		yAxis: {
			type: 'value' as const,
			min: 0,
			max: questions,
			interval: questions / (isLarge ? 4 : 2),
			name: isLarge ? `right of ${questions}` : '',
			nameLocation: 'end' as const,
			axisLabel: { color: SOFT },
			nameTextStyle: { color: SOFT, align: 'left' as const },
			axisLine: { onZero: false, show: false },
			splitLine: { lineStyle: { color: RULE } }
		},
		series: [
			...(reading ? readingSeries(reading, content, isLarge) : []),
			...(aimline ? [aimSeries(aimline, isLarge)] : []),
			...phases.map((phase) => phaseSeries(phase, questions, isLarge)),
			stripSeries(sessions, isLarge)
		]
	};
}

/** A chart of more weeks than this names every second one. */
const MOST_NAMED = 12;

function weekAxis(weeks: number, isLarge: boolean) {
	const step = weeks > MOST_NAMED || !isLarge ? 2 : 1;
	const named = Array.from({ length: Math.floor(weeks / step) + 1 }, (_, i) => i * step);
	return {
		type: 'value' as const,
		min: -0.5,
		max: weeks + 0.5,
		axisLine: { lineStyle: { color: SOFT } },
		axisTick: { show: false, customValues: named },
		splitLine: { show: false },
		axisLabel: {
			color: SOFT,
			customValues: named,
			formatter: (week: number) => (isLarge && week === 0 ? 'week 1' : String(week + 1))
		}
	};
}

/** Places of probes: in the middle of their week, or around it where it has several. */
export function placesOf(probes: { week: number }[]): number[] {
	return probes.map(({ week }, i) => {
		const same = probes.filter((probe) => probe.week === week).length;
		const nth = probes.slice(0, i).filter((probe) => probe.week === week).length;
		return week + (nth + 0.5) / same - 0.5;
	});
}

/** An area between an upper and a lower edge. */
function areaSeries(name: string, edges: { at: number; lower: number; upper: number }[], fill: string) {
	return {
		type: 'custom' as const,
		name,
		silent: true,
		z: 1,
		data: [edges.flatMap(({ at, lower, upper }) => [at, lower, upper])],
		renderItem: (_: unknown, api: Drawing) => ({
			type: 'polygon' as const,
			shape: {
				points: [
					...edges.map(({ at, upper }) => api.coord([at, upper])),
					...[...edges].reverse().map(({ at, lower }) => api.coord([at, lower]))
				]
			},
			style: { fill }
		})
	};
}

function readingSeries(reading: SeriesReading, { goalOn }: SeriesContent, isLarge: boolean) {
	const at = placesOf(reading.probes);
	const now = reading.levels[reading.levels.length - 1];
	const last = at[at.length - 1];
	const ahead = reading.ahead.map(({ week, lower, upper }) => ({ at: week, lower, upper }));
	const end = ahead[ahead.length - 1];
	const fan = [{ at: last, lower: now.lower, upper: now.upper }, ...ahead];
	return [
		areaSeries('what may come', fan, FAN),
		areaSeries(
			'level, 80%',
			reading.levels.map(({ lower, upper }, i) => ({ at: at[i], lower, upper })),
			BAND
		),
		{
			type: 'line' as const,
			name: 'level',
			silent: true,
			z: 2,
			symbol: 'none',
			lineStyle: { color: ACCENT, width: 2 },
			data: reading.levels.map(({ value }, i) => [at[i], value])
		},
		...(isLarge
			? [
					words(last, now.lower, 'level now, 80% band', ACCENT, 'bottom'),
					words(end.at, (end.lower + end.upper) / 2, `${end.lower} to ${end.upper} by ${goalOn}`, SOFT, 'right')
				]
			: []),
		{
			type: 'custom' as const,
			name: 'what each probe says by itself',
			silent: true,
			z: 3,
			data: reading.probes.map(({ alone }, i) => [at[i], alone.lower, alone.upper]),
			renderItem: (_: unknown, api: Drawing) => {
				const [x, y1] = api.coord([api.value(0), api.value(1)]);
				const [, y2] = api.coord([api.value(0), api.value(2)]);
				return { type: 'line' as const, shape: { x1: x, y1, x2: x, y2 }, style: { stroke: SOFT, lineWidth: 1 } };
			}
		},
		{
			type: 'scatter' as const,
			name: 'probes',
			silent: true,
			z: 4,
			symbolSize: isLarge ? 9 : 6,
			itemStyle: { color: INK },
			data: reading.probes.map(({ right }, i) => [at[i], right])
		}
	];
}

/** Words at a place: they hang on a symbol that is there, but not to be seen. */
function words(x: number, y: number, says: string, color: string, position: 'right' | 'bottom' | 'top') {
	return {
		type: 'scatter' as const,
		name: says,
		silent: true,
		symbolSize: 0.1,
		z: 5,
		clip: false,
		data: [
			{
				value: [x, y],
				label: { show: true, formatter: says, color, position, fontSize: 13, backgroundColor: SHEET, padding: [1, 3] }
			}
		]
	};
}

function aimSeries({ from, to }: Aimline, isLarge: boolean) {
	return {
		type: 'line' as const,
		name: 'aimline',
		silent: true,
		z: 2,
		lineStyle: { color: SOFT, width: 1.5, type: 'dashed' as const },
		symbol: 'circle',
		symbolSize: 0.1,
		showAllSymbol: true,
		data: [
			[from.x, from.y],
			{
				value: [to.x, to.y],
				label: {
					show: isLarge,
					formatter: `goal ${to.y}`,
					color: SOFT,
					position: 'right' as const,
					fontSize: 13
				}
			}
		]
	};
}

function phaseSeries({ at, says }: SeriesContent['phases'][number], top: number, isLarge: boolean) {
	return {
		type: 'line' as const,
		name: says,
		silent: true,
		z: 3,
		lineStyle: { color: INK, width: 1, type: 'dotted' as const },
		symbol: 'circle',
		symbolSize: 0.1,
		showAllSymbol: true,
		data: [
			[at - 0.5, 0],
			{
				value: [at - 0.5, top],
				label: {
					show: isLarge,
					formatter: says,
					color: INK,
					position: [4, -18],
					fontSize: 12
				}
			}
		]
	};
}

/** Sessions below the weeks: filled where the student was there, an outline where they missed it, a short line where none was held. */
function stripSeries(sessions: SeriesContent['sessions'], isLarge: boolean) {
	const width = isLarge ? 8 : 4;
	const KINDS: SessionDay['is'][] = ['attended', 'missed', 'not held'];
	return {
		type: 'custom' as const,
		name: 'sessions',
		silent: true,
		clip: false,
		data: sessions.map(({ at, is }) => [at - 0.5, KINDS.indexOf(is)]),
		renderItem: (_: unknown, api: Drawing) => {
			const [x, y] = api.coord([api.value(0), 0]);
			const kind = KINDS[api.value(1)];
			const height = kind === 'not held' ? 1 : 6;
			return {
				type: 'rect' as const,
				shape: { x: x - width / 2, y: y + 26 + (6 - height) / 2, width, height },
				style: { fill: kind === 'missed' ? SHEET : INK, stroke: INK, lineWidth: kind === 'missed' ? 1 : 0 }
			};
		}
	};
}
