<!-- Probes week by week with baseline, aimline, trend and forecast, labeled on the lines themselves. -->
<script lang="ts">
	import { LineChart, ScatterChart } from 'echarts/charts';
	import { AriaComponent, GridComponent, MarkPointComponent } from 'echarts/components';
	import { init, use } from 'echarts/core';
	import { SVGRenderer } from 'echarts/renderers';
	import { probeChartOptions, type ProbeChartContent } from './probeChart';

	use([LineChart, ScatterChart, GridComponent, AriaComponent, MarkPointComponent, SVGRenderer]);

	let { says, ...content }: ProbeChartContent & { says: string } = $props();
	const options = $derived(probeChartOptions(content));

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
