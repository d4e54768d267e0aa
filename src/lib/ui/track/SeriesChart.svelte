<!--
	A series through the weeks, of probes or of a measure that an adult gives. It is drawn once it comes into view, so that many on one page do not keep
	anybody waiting; what it says stands in `says` and in a table beside it.
	<SeriesChart options={seriesChartOptions(content, 'small')} size="small" says="Probes: 3, 4, 6 of 16." />
-->
<script lang="ts">
	import { CustomChart, LineChart, ScatterChart } from 'echarts/charts';
	import { GridComponent } from 'echarts/components';
	import { init, use } from 'echarts/core';
	import { LabelLayout } from 'echarts/features';
	import { SVGRenderer } from 'echarts/renderers';
	import type { EChartsCoreOption } from 'echarts/core';
	import { flushSync } from 'svelte';
	import type { ChartSize } from './chartParts';
	import { drawInTurn } from './drawInTurn';

	use([LineChart, ScatterChart, CustomChart, GridComponent, LabelLayout, SVGRenderer]);

	let { options, size = 'large', says }: { options: EChartsCoreOption; size?: ChartSize; says: string } = $props();
	let isSeen = $state(false);

	/** As wide as a page, which is laid out only after a browser has asked for the chart. */
	const ON_PAPER = {
		large: { width: 660, height: 260 },
		medium: { width: 660, height: 220 },
		small: { width: 220, height: 130 }
	};
	let resize = (_: { width: number; height: number } | undefined) => {};

	/** Says when the chart comes into view and its turn to be drawn has come. */
	function watch(node: HTMLElement) {
		let giveUp = () => {};
		const observer = new IntersectionObserver(([entry]) => {
			if (!entry.isIntersecting) return;
			observer.disconnect();
			giveUp = drawInTurn(() => flushSync(() => (isSeen = true)));
		});
		observer.observe(node);
		return () => {
			observer.disconnect();
			giveUp();
		};
	}

	function chart(node: HTMLElement) {
		const drawn = init(node, null, { renderer: 'svg' });
		// At once: paper does not wait for the next frame, in which all that are in view would be drawn together.
		const draw = (change: () => void) => {
			change();
			drawn.getZr().flush();
		};
		resize = (to) => draw(() => drawn.resize(to ?? { width: 'auto', height: 'auto' }));
		$effect(() => draw(() => drawn.setOption(options, { notMerge: true })));
		const observer = new ResizeObserver(() => {
			const isOtherSize = drawn.getWidth() !== node.clientWidth || drawn.getHeight() !== node.clientHeight;
			if (isOtherSize) drawn.resize();
		});
		observer.observe(node);
		return () => {
			observer.disconnect();
			drawn.dispose();
		};
	}
</script>

<svelte:window
	onbeforeprint={() => {
		isSeen = true;
		resize(ON_PAPER[size]);
	}}
	onafterprint={() => resize(undefined)}
/>

<div class="chart {size}" role="img" aria-label={says} {@attach watch}>
	{#if isSeen}<div class="drawn" {@attach chart}></div>{/if}
</div>

<style>
	.chart {
		width: 100%;
		/* What is drawn for a wider place is drawn anew a moment later. */
		overflow: hidden;
	}
	.large {
		height: 320px;
	}
	.medium {
		height: 240px;
	}
	.small {
		height: 150px;
	}
	.drawn {
		width: 100%;
		height: 100%;
	}
</style>
