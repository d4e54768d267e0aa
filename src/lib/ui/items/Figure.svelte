<!-- What is drawn beside a question, with the same content in words for a screen reader. -->
<script lang="ts">
	import { figureInWords, type Figure } from '$lib/core/items';
	import { drawingOf, loadDrawing } from './itemParts';

	let { figure }: { figure: Figure } = $props();

	const Drawing = $derived(drawingOf(figure.kind));
	const words = $derived(figureInWords(figure));
</script>

<div class="figure" data-kind={figure.kind}>
	{#if Drawing}
		<Drawing {figure} {words} />
	{:else}
		{#await loadDrawing(figure.kind) then Loaded}<Loaded {figure} {words} />{/await}
	{/if}
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
