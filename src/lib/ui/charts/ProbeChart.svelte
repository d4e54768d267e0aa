<!-- Probes week by week with baseline, aimline, trend and forecast, labeled on the lines themselves. -->
<script lang="ts">
	import { PROBE_ITEMS } from '$lib/core/growth';
	import { LineChart, ScatterChart } from 'echarts/charts';
	import { AriaComponent, GridComponent, MarkPointComponent } from 'echarts/components';
	import { init, use } from 'echarts/core';
	import { SVGRenderer } from 'echarts/renderers';
	import type { Aimline, Forecast, Point } from '$lib/core/growth';

	use([LineChart, ScatterChart, GridComponent, AriaComponent, MarkPointComponent, SVGRenderer]);

	interface Props {
		probes: Point[];
		goal: Point;
		aimline: Aimline | null;
		trend: { slope: number; intercept: number } | null;
		forecast: Forecast | null;
		says: string;
	}
	let { probes, goal, aimline, trend, forecast, says }: Props = $props();

	const INK = '#1B2733';
	const SOFT = '#54606C';
	const ACCENT = '#0F6B6B';
	const clip = (value: number) => Math.max(0, Math.min(PROBE_ITEMS, value));

	const options = $derived.by(() => {
		const last = probes.length ? probes[probes.length - 1].x : 0;
		const label = (text: string, color: string, position: 'right' | 'top' | 'bottom' = 'right') => ({
			show: true,
			formatter: text,
			color,
			position,
			fontSize: 13
		});
		const line = (
			points: number[][],
			color: string,
			style: object,
			text: string,
			side: 'right' | 'top' | 'bottom' = 'right'
		) => ({
			type: 'line' as const,
			symbol: 'none',
			silent: true,
			lineStyle: { color, width: 2, ...style },
			data: points.map((value, i) =>
				i === points.length - 1 ? { value, symbol: 'circle', symbolSize: 0.1, label: label(text, color, side) } : value
			),
			showSymbol: true,
			symbolSize: 0.1,
			showAllSymbol: true
		});
		return {
			animation: false,
			textStyle: { fontFamily: 'Atkinson Hyperlegible Next Variable' },
			grid: { left: 44, right: 150, top: 24, bottom: 44 },
			xAxis: {
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
			},
			yAxis: {
				type: 'value' as const,
				min: 0,
				max: PROBE_ITEMS,
				interval: 2,
				name: `right of ${PROBE_ITEMS}`,
				axisLabel: { color: SOFT },
				nameTextStyle: { color: SOFT },
				splitLine: { lineStyle: { color: '#E6E0D2' } }
			},
			series: [
				...(aimline
					? [
							line(
								[
									[aimline.from.x, aimline.from.y],
									[aimline.to.x, aimline.to.y]
								],
								SOFT,
								{ type: 'dashed' },
								`aimline to ${goal.y}`,
								'right'
							)
						]
					: []),
				...(trend
					? [
							line(
								[
									[probes[0].x, clip(trend.intercept + trend.slope * probes[0].x)],
									[last, clip(trend.intercept + trend.slope * last)]
								],
								ACCENT,
								{},
								`trend ${trend.slope >= 0 ? '+' : '−'}${Math.abs(trend.slope).toFixed(1)} a week`,
								'right'
							)
						]
					: []),
				...(forecast
					? [
							line(
								[
									[goal.x, clip(forecast.interval[0])],
									[goal.x, clip(forecast.interval[1])]
								],
								ACCENT,
								{ width: 6, opacity: 0.35 },
								'forecast, 80%',
								'right'
							)
						]
					: []),
				{
					type: 'line' as const,
					data: probes.map(({ x, y }) => [x, y]),
					symbol: 'circle',
					symbolSize: 9,
					itemStyle: { color: INK },
					lineStyle: { color: INK, width: 1, opacity: 0.4 }
				}
			]
		};
	});

	/** As wide as a page, which is laid out only after a browser has asked for the chart. */
	const ON_PAPER = { width: 660, height: 260 };
	let resize = (_: { width: number; height: number } | undefined) => {};

	function chart(node: HTMLElement) {
		const drawn = init(node, null, { renderer: 'svg' });
		resize = (to) => {
			drawn.resize(to ?? { width: 'auto', height: 'auto' });
			// At once: paper does not wait for the next frame.
			drawn.getZr().flush();
		};
		$effect(() => {
			drawn.setOption(options, { notMerge: true });
		});
		const observer = new ResizeObserver(() => drawn.resize());
		observer.observe(node);
		return () => {
			observer.disconnect();
			drawn.dispose();
		};
	}
</script>

<svelte:window onbeforeprint={() => resize(ON_PAPER)} onafterprint={() => resize(undefined)} />

<div class="chart" role="img" aria-label={says} {@attach chart}></div>

<style>
	.chart {
		width: 100%;
		height: 300px;
		/* What is drawn for a wider place is drawn anew a moment later. */
		overflow: hidden;
	}
</style>
