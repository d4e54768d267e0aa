<!-- A number line with marks that have names. -->
<script lang="ts">
	import NumberLine from '../NumberLine.svelte';
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'line'> = $props();
	const place = (at: number) => ((at - figure.from) / (figure.to - figure.from)) * 100;
</script>

<div role="img" aria-label={words}>
	<p aria-hidden="true">
		{#each figure.marks as { at, label } (at)}<span style:left="{(place(at) * 320 + 1200) / 344}%">{label}</span>{/each}
	</p>
	<NumberLine line={{ ...figure, kind: 'line' }} marks={figure.marks.map(({ at }) => at)} />
</div>

<style>
	div {
		width: 100%;
		max-width: 460px;
	}
	p {
		position: relative;
		height: 1.4em;
		margin: 0;
	}
	span {
		position: absolute;
		transform: translateX(-50%);
		font-weight: 700;
	}
</style>
