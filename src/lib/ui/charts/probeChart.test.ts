import { describe, expect, test } from 'vitest';
import { aimline, type Forecast } from '../../core/growth';
import { probeChartOptions, type ProbeChartContent } from './probeChart';

const goal = { x: 10, y: 7 };
const probes = [2, 3, 2, 3].map((y, x) => ({ x, y }));
const forecast = (low: number, high: number) => ({ interval: [low, high] }) as Forecast;
const content: ProbeChartContent = {
	probes,
	goal,
	aimline: aimline(probes, goal),
	trend: { slope: 0.25, intercept: 2.125 },
	forecast: forecast(2, 6.5)
};

interface End {
	value: number[];
	label: { formatter: string; position: string };
}
const labels = (changes: Partial<ProbeChartContent> = {}) =>
	probeChartOptions({ ...content, ...changes }).series.flatMap(({ data }) =>
		(data as (number[] | End)[]).flatMap((point) => (Array.isArray(point) ? [] : [point]))
	);
const labelOf = (word: string, changes?: Partial<ProbeChartContent>) =>
	labels(changes).find(({ label }) => label.formatter.startsWith(word))!;

describe('the chart of probes', () => {
	test('draws each probe, and a labeled line for each thing that is known', () => {
		expect(probeChartOptions(content).series[0].data).toEqual([
			[0, 2],
			[1, 3],
			[2, 2],
			[3, 3]
		]);
		expect(labels().map(({ label }) => label.formatter)).toEqual([
			'aimline to 7',
			'trend +0.3 a week',
			'forecast, 80%'
		]);
		expect(labels({ aimline: null, trend: null, forecast: null })).toEqual([]);
	});

	test('ends the trend at the last probe and says its direction', () => {
		expect(labelOf('trend').value).toEqual([3, 2.875]);
		expect(labelOf('trend', { trend: { slope: -0.5, intercept: 3 } }).label.formatter).toBe('trend −0.5 a week');
	});

	test('puts the label of the trend beside its end, or away from the aimline and never above the chart', () => {
		const flat = (intercept: number) => ({ trend: { slope: 0, intercept } });
		expect(labelOf('trend').label.position).toBe('bottom');
		expect(labelOf('trend', flat(3.5)).label.position).toBe('top');
		expect(labelOf('trend', flat(6)).label.position).toBe('right');
		expect(labelOf('trend', { ...flat(3), aimline: null }).label.position).toBe('right');
		const atTop = aimline(
			[0, 1, 2, 3].map((x) => ({ x, y: 8 })),
			{ x: 10, y: 8 }
		);
		expect(labelOf('trend', { ...flat(9), aimline: atTop })).toMatchObject({
			value: [3, 8],
			label: { position: 'bottom' }
		});
	});

	test('labels the forecast at its end that is farther from the goal, within the scale', () => {
		expect(labelOf('forecast').value).toEqual([10, 2]);
		expect(labelOf('forecast', { forecast: forecast(6.8, 9.5) }).value).toEqual([10, 8]);
	});
});
