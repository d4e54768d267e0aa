<!--
	A series through the weeks, of probes or of a measure that an adult gives. It is drawn once it comes into view, so that many on one page do not keep
	anybody waiting; what it says stands in `says` and in a table beside it. Where there is no room for words at its lines, `key` stands below it.
	<SeriesChart options={(hasWords) => seriesChartOptions(content, hasWords)} size="small" says="Probes: 3, 4, 6 of 16." />
-->
<script lang="ts">
	import { CustomChart, LineChart, ScatterChart } from 'echarts/charts';
	import { GridComponent } from 'echarts/components';
	import { init, use } from 'echarts/core';
	import { LabelLayout } from 'echarts/features';
	import { SVGRenderer } from 'echarts/renderers';
	import type { EChartsCoreOption } from 'echarts/core';
	import { flushSync } from 'svelte';
	import { type ChartSize, hasRoomForWords } from './chartParts';
	import { drawInTurn } from './drawInTurn';

	use([LineChart, ScatterChart, CustomChart, GridComponent, LabelLayout, SVGRenderer]);

	interface Props {
		options: (hasWords: boolean) => EChartsCoreOption;
		size?: ChartSize;
		says: string;
		/** What is drawn, and how. */
		key?: string;
	}
	let { options, size = 'large', says, key }: Props = $props();
	/** As wide as a page, which is laid out only after a browser has asked for the chart. */
	const ON_PAPER = {
		large: { width: 660, height: 260 },
		medium: { width: 660, height: 220 },
		small: { width: 220, height: 130 }
	};
	let isSeen = $state(false);
	let width = $state(0);
	let isOnPaper = $state(false);
	const hasWords = $derived(hasRoomForWords(size, isOnPaper ? ON_PAPER[size].width : width));

	let resize = (_: { width: number; height: number } | undefined) => {};

	function print(isPaper: boolean) {
		// Words come and go at once, for paper does not wait for the next frame.
		flushSync(() => {
			isSeen ||= isPaper;
			isOnPaper = isPaper;
		});
		resize(isPaper ? ON_PAPER[size] : undefined);
	}

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
		$effect(() => draw(() => drawn.setOption(options(hasWords), { notMerge: true })));
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

<svelte:window onbeforeprint={() => print(true)} onafterprint={() => print(false)} />

<div class="chart {size}" role="img" aria-label={says} bind:clientWidth={width} {@attach watch}>
	{#if isSeen}<div class="drawn" {@attach chart}></div>{/if}
</div>
{#if key && width && !hasWords}<p class="soft">{key}</p>{/if}

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
