<!-- A bar cut into parts below the whole. -->
<script lang="ts">
	import type { Drawing } from './figures';

	let { figure, words }: Drawing<'parts'> = $props();
	const WIDTH = 300;
	const sum = $derived(figure.parts.reduce((all, { size }) => all + size, 0));
	const starts = $derived(
		figure.parts.map((_, i) => figure.parts.slice(0, i).reduce((all, { size }) => all + size, 0))
	);
</script>

<svg viewBox="0 0 {WIDTH + 20} 78" role="img" aria-label={words}>
	<path class="outline" d="M10 26v-6h{WIDTH}v6" />
	<text x={10 + WIDTH / 2} y="14" text-anchor="middle">{figure.total}</text>
	{#each figure.parts as { label, size }, i (i)}
		<rect
			class={i % 2 ? 'outline' : 'pale outline'}
			x={10 + (starts[i] / sum) * WIDTH}
			y="32"
			width={(size / sum) * WIDTH}
			height="36"
		/>
		<text x={10 + ((starts[i] + size / 2) / sum) * WIDTH} y="54" text-anchor="middle">{label}</text>
	{/each}
</svg>
