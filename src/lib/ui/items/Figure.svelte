<!-- What is drawn beside a question, with the same content in words for a screen reader. -->
<script lang="ts">
	import { figureInWords, type Figure } from '$lib/core/items';
	import Bars from './figures/Bars.svelte';
	import Blocks from './figures/Blocks.svelte';
	import Box from './figures/Box.svelte';
	import BoxPlot from './figures/BoxPlot.svelte';
	import Circle from './figures/Circle.svelte';
	import ClockFace from './figures/ClockFace.svelte';
	import Coins from './figures/Coins.svelte';
	import Crossing from './figures/Crossing.svelte';
	import CutCorner from './figures/CutCorner.svelte';
	import DotPlot from './figures/DotPlot.svelte';
	import Dots from './figures/Dots.svelte';
	import Histogram from './figures/Histogram.svelte';
	import Jumps from './figures/Jumps.svelte';
	import LineGraph from './figures/LineGraph.svelte';
	import MarkedLine from './figures/MarkedLine.svelte';
	import Net from './figures/Net.svelte';
	import PartGrid from './figures/PartGrid.svelte';
	import PartsBar from './figures/PartsBar.svelte';
	import Pictures from './figures/Pictures.svelte';
	import Plane from './figures/Plane.svelte';
	import ProductArea from './figures/ProductArea.svelte';
	import Rectangle from './figures/Rectangle.svelte';
	import Ruler from './figures/Ruler.svelte';
	import Scale from './figures/Scale.svelte';
	import Scatter from './figures/Scatter.svelte';
	import Shape from './figures/Shape.svelte';
	import ShapeRow from './figures/ShapeRow.svelte';
	import SolidShape from './figures/SolidShape.svelte';
	import SplitAngle from './figures/SplitAngle.svelte';
	import Stages from './figures/Stages.svelte';
	import Tallies from './figures/Tallies.svelte';
	import Triangle from './figures/Triangle.svelte';
	import Turn from './figures/Turn.svelte';
	import ValueTable from './figures/ValueTable.svelte';

	let { figure }: { figure: Figure } = $props();

	const words = $derived(figureInWords(figure));
</script>

<div class="figure" data-kind={figure.kind}>
	{#if figure.kind === 'table'}<ValueTable {figure} />
	{:else if figure.kind === 'clock'}<ClockFace hour={figure.hour} minute={figure.minute} {words} />
	{:else if figure.kind === 'plane'}<Plane plane={figure} {words} />
	{:else if figure.kind === 'crossing' || figure.kind === 'parallels'}<Crossing {figure} {words} />
	{:else if figure.kind === 'tallies'}<Tallies {figure} {words} />
	{:else if figure.kind === 'pictures'}<Pictures {figure} {words} />
	{:else if figure.kind === 'bars'}<Bars {figure} {words} />
	{:else if figure.kind === 'histogram'}<Histogram {figure} {words} />
	{:else if figure.kind === 'line graph'}<LineGraph {figure} {words} />
	{:else if figure.kind === 'dot plot'}<DotPlot {figure} {words} />
	{:else if figure.kind === 'box plot'}<BoxPlot {figure} {words} />
	{:else if figure.kind === 'scatter'}<Scatter {figure} {words} />
	{:else if figure.kind === 'ruler'}<Ruler {figure} {words} />
	{:else if figure.kind === 'scale'}<Scale {figure} {words} />
	{:else if figure.kind === 'coins'}<Coins {figure} {words} />
	{:else if figure.kind === 'blocks'}<Blocks {figure} {words} />
	{:else if figure.kind === 'dots'}<Dots {figure} {words} />
	{:else if figure.kind === 'grid'}<PartGrid {figure} {words} />
	{:else if figure.kind === 'row'}<ShapeRow {figure} {words} />
	{:else if figure.kind === 'stages'}<Stages {figure} {words} />
	{:else if figure.kind === 'line'}<MarkedLine {figure} {words} />
	{:else if figure.kind === 'jumps'}<Jumps {figure} {words} />
	{:else if figure.kind === 'parts'}<PartsBar {figure} {words} />
	{:else if figure.kind === 'product'}<ProductArea {figure} {words} />
	{:else if figure.kind === 'rectangle'}<Rectangle {figure} {words} />
	{:else if figure.kind === 'corner'}<CutCorner {figure} {words} />
	{:else if figure.kind === 'shape'}<Shape {figure} {words} />
	{:else if figure.kind === 'angle'}<SplitAngle {figure} {words} />
	{:else if figure.kind === 'turn'}<Turn {figure} {words} />
	{:else if figure.kind === 'circle'}<Circle {figure} {words} />
	{:else if figure.kind === 'solid'}<SolidShape {figure} {words} />
	{:else if figure.kind === 'box'}<Box {figure} {words} />
	{:else if figure.kind === 'net'}<Net {figure} {words} />
	{:else}<Triangle {figure} {words} />{/if}
</div>

<style>
	.figure {
		width: 100%;
	}
	/* What drawings share; :where lets each component's own styles come first. */
	:global(:where(.figure) svg) {
		display: block;
		width: 100%;
		max-width: 420px;
		color: var(--ink);
		font: 12px var(--text);
	}
	:global(:where(.figure) :is(text, circle)) {
		fill: var(--ink);
	}
	:global(:where(.figure) line) {
		stroke: var(--ink);
		stroke-width: 1;
	}
	:global(.figure .small) {
		max-width: 230px;
	}
	:global(.figure .faint) {
		stroke: var(--rule);
	}
	:global(.figure .dashed) {
		stroke-dasharray: 4 3;
	}
	:global(.figure .outline) {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1.4;
	}
	:global(.figure .medium) {
		stroke: var(--ink);
		stroke-width: 2;
	}
	:global(.figure .thick) {
		stroke-width: 4;
	}
	:global(.figure .accent) {
		stroke: var(--verdigris);
		stroke-width: 2.4;
	}
	:global(.figure .fill) {
		fill: var(--figure-fill);
	}
	:global(.figure .pale) {
		fill: var(--verdigris-wash);
	}
	:global(.figure .label) {
		font-weight: 700;
	}
</style>
