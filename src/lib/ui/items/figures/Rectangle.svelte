<!-- A rectangle with its sides, or with its unit squares. -->
<script lang="ts">
	import { range, type Drawing } from './figures';

	let { figure, words }: Drawing<'rectangle'> = $props();
	const scale = $derived(Math.min(250 / figure.width, 120 / figure.height));
	const [wide, high] = $derived([figure.width * scale, figure.height * scale]);
</script>

<svg viewBox="0 0 320 150" role="img" aria-label={words}>
	<rect class="outline pale" x="10" y="6" width={wide} height={high} />
	{#if figure.squares}
		{#each range(figure.width - 1) as i (i)}<line
				x1={10 + (i + 1) * scale}
				x2={10 + (i + 1) * scale}
				y1="6"
				y2={6 + high}
			/>{/each}
		{#each range(figure.height - 1) as i (i)}<line
				x1="10"
				x2={10 + wide}
				y1={6 + (i + 1) * scale}
				y2={6 + (i + 1) * scale}
			/>{/each}
	{:else}
		<text x={10 + wide / 2} y={high + 22} text-anchor="middle">{figure.width} {figure.unit}</text>
		<text x={16 + wide} y={10 + high / 2}>{figure.height} {figure.unit}</text>
	{/if}
</svg>
