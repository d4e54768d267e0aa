// What the charts of the Track leg are drawn from.
import type { Aimline } from '$lib/core/growth';

export const INK = '#1B2733';
export const SOFT = '#54606C';
export const ACCENT = '#0F6B6B';
const RULE = '#E6E0D2';
export const SHEET = '#FFFFFF';
export const FAN = '#E4E8EE';
export const BAND = '#D3E8E4';

export const TEXT = { fontFamily: 'Atkinson Hyperlegible Next Variable' };

/** Whether it stands by itself, beside what else is said of a student, or among many. */
export type ChartSize = 'large' | 'medium' | 'small';

/** Pixels from which on there is room for words at what is drawn. */
const ROOM_FOR_WORDS = 520;

/** Whether words stand at what is drawn; elsewhere a key below says it. @param width in pixels */
export const hasRoomForWords = (size: ChartSize, width: number) => size !== 'small' && width >= ROOM_FOR_WORDS;

/** What a custom series draws a shape from: places of values in pixels. */
export interface Drawing {
	value(dimension: number): number;
	coord(point: [number, number]): [number, number];
}

/** A chart of more weeks than this names every second one. */
const MOST_NAMED = 12;

/** Weeks from one to another, counted from 0 and named from 1. @param first can lie before the first week */
export function weekAxis(first: number, weeks: number, hasWords: boolean) {
	const step = weeks > MOST_NAMED || !hasWords ? 2 : 1;
	const named = Array.from({ length: Math.floor(weeks / step) + 1 }, (_, i) => i * step);
	return {
		type: 'value' as const,
		min: first - 0.5,
		max: weeks + 0.5,
		axisLine: { lineStyle: { color: SOFT } },
		axisTick: { show: false, customValues: named },
		splitLine: { show: false },
		axisLabel: {
			color: SOFT,
			customValues: named,
			formatter: (week: number) => (hasWords && week === 0 ? 'week 1' : String(week + 1))
		}
	};
}

/** What is measured, from 0 up. @param says its name at the top; empty where there is no room */
export const valueAxis = (says: string) => ({
	type: 'value' as const,
	min: 0,
	name: says,
	nameLocation: 'end' as const,
	axisLabel: { color: SOFT },
	nameTextStyle: { color: SOFT, align: 'left' as const },
	axisLine: { onZero: false, show: false },
	splitLine: { lineStyle: { color: RULE } }
});

/** An area between an upper and a lower edge. */
export function areaSeries(name: string, edges: { at: number; lower: number; upper: number }[], fill: string) {
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

/** A line through what is believed. */
export const lineSeries = (name: string, places: { at: number; value: number }[]) => ({
	type: 'line' as const,
	name,
	silent: true,
	z: 2,
	symbol: 'none',
	lineStyle: { color: ACCENT, width: 2 },
	data: places.map(({ at, value }) => [at, value])
});

/** The own error of each of what was measured, as a stroke. */
export const barSeries = (name: string, edges: { at: number; lower: number; upper: number }[]) => ({
	type: 'custom' as const,
	name,
	silent: true,
	z: 3,
	data: edges.map(({ at, lower, upper }) => [at, lower, upper]),
	renderItem: (_: unknown, api: Drawing) => {
		const [x, y1] = api.coord([api.value(0), api.value(1)]);
		const [, y2] = api.coord([api.value(0), api.value(2)]);
		return { type: 'line' as const, shape: { x1: x, y1, x2: x, y2 }, style: { stroke: SOFT, lineWidth: 1 } };
	}
});

/** What was measured. */
export const dotSeries = (name: string, places: { at: number; value: number }[], hasWords: boolean) => ({
	type: 'scatter' as const,
	name,
	silent: true,
	z: 4,
	symbolSize: hasWords ? 9 : 6,
	itemStyle: { color: INK },
	data: places.map(({ at, value }) => [at, value])
});

/** Words at a place: they hang on a symbol that is there, but not to be seen. */
export function words(x: number, y: number, says: string, color: string, position: 'right' | 'bottom' | 'top') {
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

/** The aimline to its goal. */
export function aimSeries({ from, to }: Aimline, hasWords: boolean) {
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
					show: hasWords,
					formatter: `goal ${to.y}`,
					color: SOFT,
					position: 'right' as const,
					fontSize: 13
				}
			}
		]
	};
}
